import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { lookOf, pathOf, strokesOf } from './outlines.ts';
import { OUTLINE_SHAPE, readOutline } from './own-outline.ts';

const read = (text: string): string => {
	const outline = readOutline(text);
	if (!outline.ok) throw new Error(outline.say);
	return outline.value;
};
/** Area inside an outline, in squares of half its longer side: the shoelace over its curves cut fine. */
function areaOf(outline: string): number {
	const points = strokesOf(`own ${outline}`).flatMap((s, i, all): [number, number][] => {
		const [x0, y0] = i === 0 ? [s[0], s[1]] : (all[i - 1]!.slice(-2) as unknown as [number, number]);
		if (s.length === 2) return [[s[0], s[1]]];
		const [a, b, c, d, x, y] = s;
		return Array.from({ length: 40 }, (_, k): [number, number] => {
			const t = (k + 1) / 40;
			const u = 1 - t;
			const at = (p: number, q: number, r: number, e: number) => u ** 3 * p + 3 * u * u * t * q + 3 * u * t * t * r + t ** 3 * e; // prettier-ignore
			return [at(x0!, a, c, x), at(y0!, b, d, y)];
		});
	});
	return Math.abs(points.reduce((sum, [x, y], i) => { const [nx, ny] = points[(i + 1) % points.length]!; return sum + x * ny - nx * y; }, 0) / 2); // prettier-ignore
}

describe('an outline of her own', () => {
	test('the triangle of SVG 1.1, section 8.1 (“M 100 100 L 300 100 L 200 300 z”): half of its square', () => {
		const outline = read('M 100 100 L 300 100 L 200 300 z');
		expect(outline).toBe('M-100 -100L100 -100L0 100Z');
		expect(areaOf(outline)).toBeCloseTo(2, 6);
	});
	test('two arcs make a circle, wherever and however large it is drawn: π', () => {
		expect(areaOf(read('M 10 40 a 30 30 0 1 0 60 0 a 30 30 0 1 0 -60 0 z'))).toBeCloseTo(Math.PI, 2);
		expect(areaOf(read('M 310 340 a 3 3 0 1 0 6 0 a 3 3 0 1 0 -6 0 z'))).toBeCloseTo(Math.PI, 2);
	});
	test('shorthands, lines across and down, quadratic curves: what they stand for', () => {
		expect(read('m0 0h10v10h-10z')).toBe('M-100 -100L100 -100L100 100L-100 100Z');
		// A quadratic arch over a base of 2 has two thirds of the box of its handle: 2/3 · 2 · 1, in a square of half 1.
		expect(areaOf(read('M0 0 Q 5 -5 10 0 Z'))).toBeCloseTo(areaOf(read('M0 0 C 3.3333 -3.3333 6.6667 -3.3333 10 0 Z')), 2); // prettier-ignore
	});
	test('of a file the largest path is the edge', () => {
		const file =
			'<svg xmlns="http://www.w3.org/2000/svg"><path id="eye" d="M1 1h1v1z"/><path style="fill:red" d="M0 0h40v40h-40z"/></svg>';
		expect(read(file)).toBe('M-100 -100L100 -100L100 100L-100 100Z');
		expect(read('M1 1h1v1z M0 0h40v40h-40z')).toBe(read(file));
	});
	test('what holds no shape is refused in words', () => {
		for (const text of [
			'hello',
			'<svg></svg>',
			'M 0 0',
			'M0 0L0 0L0 0Z',
			'M0 0 L nonsense',
			'<svg><path d=""/></svg>'
		])
			expect([text, readOutline(text).ok]).toEqual([text, false]);
		expect(readOutline(`M0 0${'L1 2'.repeat(60_000)}`).ok).toBe(false);
	});
	test('drawn it fills its square, in pictures and in SVG', () => {
		const outline = read('m0 0h20v10h-20z');
		expect(lookOf('foil-shape', null, outline)!.outline).toBe(`own ${outline}`);
		expect(lookOf('foil-shape', 'fish')!.outline).toBe('fish');
		expect(pathOf(`own ${outline}`, 10)).toBe('M-10 -5L10 -5L10 5L-10 5Z');
	});
	test('whatever polygon is drawn, it is kept as it can be stored and lies in its square (property)', () => {
		const point = fc.tuple(fc.integer({ min: -500, max: 500 }), fc.integer({ min: -500, max: 500 }));
		fc.assert(
			fc.property(fc.array(point, { minLength: 3, maxLength: 40 }), (points) => {
				const outline = readOutline(`M${points.map((p) => p.join(' ')).join('L')}Z`);
				const isPoint = points.every(([x, y]) => x === points[0]![0] && y === points[0]![1]);
				expect(outline.ok).toBe(!isPoint);
				if (!outline.ok) return;
				expect(outline.value).toMatch(OUTLINE_SHAPE);
				const all = strokesOf(`own ${outline.value}`).flat();
				for (const v of all) expect(Math.abs(v)).toBeLessThanOrEqual(1);
				expect(Math.max(...all.map(Math.abs))).toBeCloseTo(1, 3);
			})
		);
	});
});
