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
	test('outlines lie in their square and close', () => {
		for (const outline of OUTLINES) {
			const points = OUTLINE[outline].map((s) => s.slice(-2) as [number, number]);
			for (const [x, y] of points) expect(Math.max(Math.abs(x), Math.abs(y))).toBeLessThanOrEqual(1.0001);
			const ends = points.map(([x]) => Math.abs(x));
			expect(Math.max(...ends)).toBeGreaterThan(0.6);
		}
	});
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
