import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { beaufort, standsWind } from './wind.ts';

const column = { area: 1, middle: 1, weight: 5, toEdge: 0.25, friction: 0.4 };

describe('wind', () => {
	test('q at 10 m/s is 61.3 Pa: ASCE 7, SI form; 1 m² of balls is pushed with 28.8 N, by hand', () => {
		const found = standsWind(column, 10);
		expect(found.pressure).toBeCloseTo(61.3, 9);
		expect(found.force).toBeCloseTo(61.3 * 0.47, 9);
		expect(found.overturning).toBeCloseTo(28.811, 3);
		expect(found.resisting).toBeCloseTo(5 * 9.80665 * 0.25, 9);
		expect(found.holds).toBe(false);
	});
	test('it tips at the gust where both moments are one: √(12.258 / 0.28811) = 6.52 m/s, by hand', () => {
		const { tipsAt } = standsWind(column, 10);
		expect(tipsAt).toBeCloseTo(6.523, 3);
		const there = standsWind(column, tipsAt);
		expect(there.overturning).toBeCloseTo(there.resisting, 9);
	});
	test('what is said to be missing makes it hold, whatever the piece (property)', () => {
		const n = (min: number, max: number) => fc.double({ min, max, noNaN: true });
		fc.assert(
			fc.property(
				n(0.1, 9),
				n(0.2, 4),
				n(0, 90),
				n(0.05, 2),
				n(0.1, 0.9),
				n(0, 30),
				(area, middle, weight, toEdge, friction, gust) => {
					const piece = { area, middle, weight, toEdge, friction };
					const { more } = standsWind(piece, gust);
					expect(standsWind({ ...piece, weight: weight + more + 1e-6 }, gust).holds).toBe(true);
					if (more > 1e-6)
						expect(standsWind({ ...piece, weight: weight + more * 0.99 - 1e-6 }, gust).holds).toBe(false);
				}
			)
		);
	});
	test('on a smooth floor it slides before it tips, and the ballast is what keeps it from sliding: 11 kg, by hand', () => {
		// 28.811 N at 1.5 over μ g: 1.5 × 28.811 / (0.2 × 9.80665) = 22.034 kg; a wide base tips at a tenth of that.
		const smooth = { ...column, toEdge: 2, friction: 0.2, weight: 11 };
		const { more, tipsAt, slidesAt, holds } = standsWind(smooth, 10);
		expect(more).toBeCloseTo(11.034, 2);
		expect([slidesAt < tipsAt, holds]).toEqual([true, false]);
	});
	test('Beaufort by the WMO’s speeds: 3.3 m/s is a light breeze (2), 11 a strong one (6), 33 a hurricane', () => {
		expect([0, 3.3, 5, 11, 33].map(beaufort)).toEqual([0, 2, 3, 6, 12]);
	});
	test('a piece without base or area is refused', () => {
		expect(() => standsWind({ ...column, toEdge: 0 }, 5)).toThrow(
			expect.objectContaining({ code: 'not-positive' })
		);
	});
});

test('what it takes to stand is the larger of two: against turning over its edge, and against sliding', () => {
	// 300 N at 2 m is 600 N m; over an edge of 0.5 m that takes 600 / (9.80665 × 0.5) = 122.4 kg, and with the margin 183.5.
	const piece = { area: 1, middle: 2, weight: 0, toEdge: 0.5, friction: 2 };
	const { force, more } = standsWind(piece, 20);
	expect(more).toBeCloseTo((1.5 * force * 2) / (9.80665 * 0.5), 6);
	const slides = standsWind({ ...piece, friction: 0.05 }, 20);
	expect(slides.more).toBeCloseTo((1.5 * force) / (9.80665 * 0.05), 6);
});
