import { describe, expect, test } from 'vitest';
import { design, studio } from '../../../../tests/kit/studio.ts';
import { assemble } from '../assembly/assemble.ts';
import { projector } from './camera.ts';
import { drawAssembly } from './draw-list.ts';
import { leanOf, lookOf, OUTLINE, OUTLINES } from './outlines.ts';
import { svgOf } from './svg.ts';

const deg = Math.PI / 180;

describe('what is no ball', () => {
	test('an 18-inch foil is 0.9139 a thick and 1.5254 a wide: Paulsen, Amer. Math. Monthly 101 (1994)', () => {
		expect(lookOf('foil-round')!.depth).toBeCloseTo(0.599, 3);
		expect(lookOf('latex-round')).toBeUndefined();
	});
	test.each<[string, number, number, number]>([
		['looked at from the front it is as wide as it is', 0, 0, 1],
		['from its edge as wide as it is thick', 90, 0, 0.6],
		['turned by 60°: √(cos² 60° + 0.6² sin² 60°), by hand', 60, 0, 0.7211],
		['tilted by 60° the same, upwards', 0, 60, 0.7211]
	])('%s', (_, turn, tilt, flat) => {
		const seen = projector({ turn: turn * deg, tilt: tilt * deg })({ x: 0, y: -1, z: 0 });
		const look = leanOf(seen, 0.6);
		expect(look.flat).toBeCloseTo(flat, 4);
		if (tilt > 0) expect(Math.abs(look.lean)).toBeCloseTo(Math.PI / 2, 6);
	});
	/** Points along an outline, its curves by Bernstein. */
	const along = (outline: (typeof OUTLINES)[number]): [number, number][] => {
		let from: readonly [number, number] = [0, 0];
		return OUTLINE[outline].flatMap((s, i): [number, number][] => {
			const to = s.slice(-2) as [number, number];
			const [a, b] = s.length === 6 ? [[s[0], s[1]], [s[2], s[3]]] as const : [from, to] as const;
			const steps = i === 0 ? [1] : [0.25, 0.5, 0.75, 1];
			const at = (t: number, k: 0 | 1) => (1 - t) ** 3 * from[k] + 3 * (1 - t) ** 2 * t * a[k]! + 3 * (1 - t) * t * t * b[k]! + t ** 3 * to[k];
			const points = steps.map((t): [number, number] => [at(t, 0), at(t, 1)]);
			const first: [number, number][] = i === 0 ? [to] : points;
			from = to;
			return first;
		});
	}; // prettier-ignore
	test('their curves stay in the square, come back to where they began, and are mirrored where the thing is', () => {
		for (const outline of OUTLINES) {
			const points = along(outline);
			for (const [x, y] of points)
				expect([outline, Math.max(Math.abs(x), Math.abs(y)) <= 1.02]).toEqual([outline, true]);
			const area = points.reduce((sum, [x, y], i) => { const [u, v] = points[(i + 1) % points.length]!; return sum + x * v - u * y; }, 0) / 2; // prettier-ignore
			expect([outline, Math.abs(area) > 0.5 && Math.abs(area) < 4]).toEqual([outline, true]);
			expect([outline, Math.max(...points.map(([x]) => Math.abs(x))) > 0.6]).toEqual([outline, true]);
			if (outline === 'crescent' || outline === 'fish') continue;
			const mean = points.slice(1).reduce((sum, [x]) => sum + x, 0) / (points.length - 1);
			expect([outline, Math.abs(mean) < 0.05]).toEqual([outline, true]);
		}
	});
	test('a star has the points it is said to have, a foil the shape of its mark; unknown marks are what they were', () => {
		expect([null, '5', '4', '6', '8', '9'].map((m) => lookOf('foil-star', m)!.outline)).toEqual(['star', 'star', 'star of 4', 'star of 6', 'star of 8', 'star']);
		expect(['crescent', 'fish', 'T', null].map((m) => lookOf('foil-shape', m)!.outline)).toEqual(['crescent', 'fish', 'plate', 'plate']);
		expect(OUTLINE['star of 6']).toHaveLength(12);
	}); // prettier-ignore
	const comet = design(
		'comet',
		'1 11 at 10 gold',
		'put 1 foil star as star on row 1 front with tie',
		'put 3 foil star as ring on row 1 round with tie',
		'put 1 foil star as tail on row 1 back with tie'
	);
	const list = drawAssembly(
		assemble(comet, null, () => undefined),
		{ catalogue: studio, view: 'front' }
	);
	test('stars look to the audience, away from it behind, and outwards where they go round', () => {
		const stars = list.discs.filter((d) => d.outline === 'star');
		expect(stars).toHaveLength(5);
		const flats = (name: string) => {
			const piece = comet.sections.flatMap((s) => (s.structure.kind === 'applied' ? s.structure.pieces : [])).find((p) => p.name === name)!; // prettier-ignore
			return stars.filter((d) => list.about![d.row] === piece.id).map((d) => d.flat);
		};
		expect(flats('star')).toEqual([1]);
		expect(flats('tail')).toEqual([1]);
		// One to the front, two at 120° from it.
		expect(flats('ring').map((f) => f!.toFixed(2)).sort()).toEqual(['0.72', '0.72', '1.00']); // prettier-ignore
	});
	test('and an SVG draws them as paths with one gradient each paint, nothing that could run', () => {
		const svg = svgOf(list, 'Comet & <tail>');
		expect(svg.match(/<path d="M[^"]+Z"/g)).toHaveLength(5);
		expect(svg).toContain('<title>Comet &amp; &lt;tail&gt;</title>');
		expect(svg).not.toMatch(/script|href|on\w+=/);
	});
	test('a heart of latex is a heart', () => {
		const hearts = design('hearts', '4 11 hearts at 9 red');
		const drawn = drawAssembly(
			assemble(hearts, null, () => undefined),
			{ catalogue: studio, view: 'front' }
		);
		expect(drawn.discs.map((d) => d.outline)).toEqual(['heart', 'heart', 'heart', 'heart']);
	});
});

describe('drawn apart by its sections', () => {
	const figure = design(
		'figure',
		'4 11 at 10 white x2',
		'section head on column',
		'1 16 at 13 red',
		'section arm x2 mirrored left of column at 2 ft',
		'1 11 at 8 gold'
	);
	const assembly = assemble(figure, null, () => undefined);
	const at = (gap: number) =>
		drawAssembly(assembly, { catalogue: studio, view: 'front', apart: { sections: figure.sections, gap } });
	const of = (list: ReturnType<typeof at>, section: number) => {
		const { structure } = figure.sections[section]!;
		const id = structure.kind === 'stack' ? structure.layers[0]!.id : '';
		return list.discs.filter((d) => list.about![d.row] === id);
	};
	test('what stands on top is lifted by the gap, what stands beside goes outwards by it, the foot stays', () => {
		const [whole, open] = [at(0), at(300)];
		expect(of(open, 0).map((d) => d.y)).toEqual(of(whole, 0).map((d) => d.y));
		expect(of(open, 1)[0]!.y - of(whole, 1)[0]!.y).toBeCloseTo(300, 6);
		const [left, right] = of(open, 2).map((d) => d.x).sort((a, b) => a - b); // prettier-ignore
		const [wasLeft, wasRight] = of(whole, 2).map((d) => d.x).sort((a, b) => a - b); // prettier-ignore
		expect(left! - wasLeft!).toBeCloseTo(-300, 6);
		expect(right! - wasRight!).toBeCloseTo(300, 6);
		expect(open.height).toBeCloseTo(Math.max(...open.discs.map((d) => d.y + d.r)), 0);
		expect(open.height).toBeGreaterThan(whole.height);
	});
});
