import fc from 'fast-check';
import simpson from 'integrate-adaptive-simpson';
import { describe, expect, test } from 'vitest';
import {
	across,
	archStretch,
	catenaryLength,
	catenaryParameter,
	crossingOf,
	curveStretch,
	extentOf,
	halfEllipseLength,
	helixLength,
	helixStretch,
	pointOf,
	stretchOf
} from './path.ts';

const integral = (f: (t: number) => number, from: number, to: number): number =>
	simpson(f, from, to, 1e-9, 40) as number;
const within = (found: number, wanted: number, share: number) =>
	expect(Math.abs(found / wanted - 1)).toBeLessThan(share);

/** Gauss–Kummer series of the perimeter: π (a + b) Σ binom(½, n)² hⁿ. Published; from memory. */
function gaussKummer(a: number, b: number): number {
	const h = ((a - b) / (a + b)) ** 2;
	let [sum, term] = [0, 1];
	for (let n = 0; n < 400; n++) {
		sum += term ** 2 * h ** n;
		term *= (0.5 - n) / (n + 1);
	}
	return Math.PI * (a + b) * sum;
}

describe('lengths of paths', () => {
	const shapes = [
		[2438, 2134],
		[1000, 500],
		[3000, 400],
		[600, 2400]
	] as const;

	test.each(shapes)('half an ellipse %i wide, %i high: the Gauss–Kummer series', (span, rise) => {
		within(halfEllipseLength(span, rise), gaussKummer(span / 2, rise) / 2, 1e-3);
	});
	test.each(shapes)('half an ellipse %i wide, %i high: integrated by a reference library', (span, rise) => {
		const speed = (t: number) => Math.hypot((span / 2) * Math.sin(t), rise * Math.cos(t));
		within(halfEllipseLength(span, rise), integral(speed, 0, Math.PI), 1e-3);
	});
	test.each(shapes)('a catenary %i wide, %i high: integrated by a reference library', (span, rise) => {
		const a = catenaryParameter(span, rise);
		expect(a * (Math.cosh(span / 2 / a) - 1)).toBeCloseTo(rise, 6);
		within(
			catenaryLength(span, rise),
			integral((x) => Math.sqrt(1 + Math.sinh(x / a) ** 2), -span / 2, span / 2),
			1e-6
		);
	});
	test('half a circle is π r, a straight helix its height', () => {
		expect(halfEllipseLength(2000, 1000)).toBeCloseTo(Math.PI * 1000, 6);
		expect(helixLength(1e-9, 700, 3)).toBeCloseTo(700, 6);
	});
	test('a helix: integrated by a reference library', () => {
		const [w, h, turns] = [300, 2100, 4];
		const turn = 2 * Math.PI * turns;
		within(
			helixLength(w, h, turns),
			integral(() => Math.hypot((w / 2) * turn, h), 0, 1),
			1e-9
		);
	});
	test('what they are drawn with is as long as they are, to a thousandth', () => {
		for (const [span, rise] of shapes)
			for (const curve of ['ellipse', 'catenary'] as const) {
				const arch = archStretch(span, rise, curve);
				within(arch.along.at(-1)!, arch.length, 1e-3);
				const { span: wide, height } = extentOf([arch]);
				within(wide, span, 1e-6);
				within(height, rise, 1e-4);
			}
		const helix = helixStretch(300, 2100, 5);
		within(helix.along.at(-1)!, helix.length, 1e-3);
	});
	test('a hanging arch stands on its feet, its top in the middle, and leans in as a chain does', () => {
		const { points } = archStretch(2400, 2100, 'catenary', 30);
		const [first, middle, last] = [points[0]!, points[points.length >> 1]!, points.at(-1)!];
		for (const [foot, x] of [
			[first, -1200],
			[last, 1200]
		] as const)
			// prettier-ignore
			expect([foot.x, foot.z]).toEqual([expect.closeTo(x, 3), expect.closeTo(30, 3)]);
		expect([middle.x, middle.z]).toEqual([expect.closeTo(0, 6), expect.closeTo(2130, 6)]);
		const a = catenaryParameter(2400, 2100);
		for (const { x, z } of points) expect(2130 - z).toBeCloseTo(a * Math.cosh(x / a) - a, 6);
	});
	test('a smooth curve goes through its points, and straight ones are straight', () => {
		const points = [[0, 0], [600, 300], [1500, -100], [2000, 800]] as const; // prettier-ignore
		const curve = curveStretch(points, 50);
		for (const [x, z] of points)
			expect(Math.min(...curve.points.map((p) => Math.hypot(p.x - x, p.z - 50 - z)))).toBeLessThan(1e-6);
		expect(curveStretch([[0, 0], [1000, 0], [2000, 0]]).length).toBeCloseTo(2000, 6); // prettier-ignore
	});
	test('nothing is as long as nothing: refused', () => {
		for (const bad of [0, -1, NaN, Infinity]) {
			expect(() => halfEllipseLength(bad, 10)).toThrow('above 0');
			expect(() => catenaryLength(10, bad)).toThrow('above 0');
			expect(() => helixLength(bad, 1, 1)).toThrow('above 0');
		}
	});
});

describe('along a path', () => {
	test('a length from its beginning is where it is found, and ways are of length 1', () => {
		fc.assert(
			fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (t) => {
				const arch = archStretch(2400, 2100, 'catenary');
				const { point, way } = pointOf(arch, t * arch.length);
				const back = stretchOf([...arch.points.filter((p) => p.x < point.x), point]);
				expect(back.length).toBeCloseTo(t * arch.along.at(-1)!, 3);
				expect(Math.hypot(way.x, way.y, way.z)).toBeCloseTo(1, 9);
				const [u, v] = across(way);
				expect(u.x * v.x + u.y * v.y + u.z * v.z).toBeCloseTo(0, 9);
				expect(way.x * v.x + way.y * v.y + way.z * v.z).toBeCloseTo(0, 9);
			})
		);
	});
	test('a path that crosses itself says where; one with corners does not cross', () => {
		const p = (x: number, z: number) => ({ x, y: 0, z });
		const loop = [[p(0, 0), p(1000, 0)], [p(1000, 0), p(1000, 500)], [p(1000, 500), p(500, 500)], [p(500, 500), p(500, -400)]]; // prettier-ignore
		expect(crossingOf(loop.map((points) => stretchOf(points)))).toBe(0);
		// Back the way it came, and a ring that closes where it began.
		expect(crossingOf([stretchOf([p(0, 0), p(1000, 0)]), stretchOf([p(1000, 0), p(1000, 9)]), stretchOf([p(1000, 9), p(900, 0)])])).not.toBeNull(); // prettier-ignore
		expect(crossingOf([[p(0, 0), p(9, 0)], [p(9, 0), p(9, 9)], [p(9, 9), p(0, 9)], [p(0, 9), p(0, 0)]].map((l) => stretchOf(l)))).toBeNull(); // prettier-ignore
		expect(crossingOf(loop.slice(0, 3).map((points) => stretchOf(points)))).toBeNull();
		expect(crossingOf([archStretch(2000, 2000, 'ellipse')])).toBeNull();
		const knot = curveStretch([[0, 0], [1000, 800], [500, 1500], [0, 800], [1000, 0]]); // prettier-ignore
		expect(crossingOf([knot])).toBeGreaterThan(0);
	});
});
