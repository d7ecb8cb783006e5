import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { nesting } from './bands.ts';

const IN = 25.4;
const bands = (...lengths: number[]) => lengths.map((l) => ({ length: l * IN, width: 3 * IN }));

describe('bands bent over each other', () => {
	test('half a circle, 3 in thick: each 9.42 in longer', () => {
		const { steps, flat } = nesting(bands(30, 39.43, 48.85), Math.PI);
		expect(steps.map((s) => s.needs / IN)).toEqual([expect.closeTo(9.4248, 4), expect.closeTo(9.4248, 4)]);
		expect(flat).toBe(true);
	});
	test('with less they fan out, and it is said by how much each falls short', () => {
		const { steps, flat } = nesting(bands(30, 36, 46), Math.PI);
		expect(flat).toBe(false);
		expect(steps.map((s) => s.short / IN)).toEqual([expect.closeTo(3.4248, 4), 0]);
	});
	test('against circles: the middles of nested half rings have just these lengths (property)', () => {
		const n = fc.double({ min: 10, max: 400, noNaN: true });
		fc.assert(
			fc.property(
				n,
				fc.array(n, { minLength: 2, maxLength: 6 }),
				fc.double({ min: 0.1, max: 6.2, noNaN: true }),
				(inner, widths, angle) => {
					let outside = inner;
					const rings = widths.map((width) => {
						const middle = outside + width / 2;
						outside += width;
						return { length: angle * middle, width };
					});
					expect(nesting(rings, angle).flat).toBe(true);
				}
			)
		);
	});
	test('one band, no angle, no length are refused', () => {
		expect(() => nesting(bands(3), 1)).toThrow(expect.objectContaining({ code: 'empty' }));
		expect(() => nesting(bands(3, 4), 7)).toThrow(expect.objectContaining({ code: 'out-of-range' }));
		expect(() => nesting(bands(3, 0), 1)).toThrow(expect.objectContaining({ code: 'not-positive' }));
	});
});
