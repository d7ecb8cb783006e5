import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { rational } from '../units/rational.ts';
import { halfAwayFromZero } from './half-away-from-zero.ts';
import { add, allocate, formatAmount, formatMoney, money, parseMoney } from './money.ts';

const weights = fc
	.array(fc.integer({ min: 0, max: 1e6 }), { minLength: 1, maxLength: 30 })
	.filter((w) => w.some((v) => v > 0));

describe('money', () => {
	test('Fowler, PoEAA (2002), "Money": 5 cents by 3:7 is 2 and 3 (from memory)', () => {
		expect(allocate(money(5, 'USD'), [3, 7]).map((m) => m.minor)).toEqual([2, 3]);
	});
	test('no cent is lost or made, and no part is off by a cent or more', () => {
		fc.assert(
			fc.property(fc.integer({ min: -1e9, max: 1e9 }), weights, (minor, w) => {
				const parts = allocate(money(minor, 'EUR'), w);
				expect(parts.reduce((sum, part) => sum + part.minor, 0)).toBe(minor);
				const whole = w.reduce((a, b) => a + b, 0);
				parts.forEach((part, i) =>
					expect(Math.abs(part.minor - (minor * w[i]!) / whole)).toBeLessThan(1.0001)
				);
			})
		);
	});
	test('weights that cannot share anything are refused', () => {
		expect(() => allocate(money(5, 'USD'), [0, 0])).toThrow(
			expect.objectContaining({ code: 'not-positive' })
		);
		expect(() => allocate(money(5, 'USD'), [0.5])).toThrow(expect.objectContaining({ code: 'not-integer' }));
	});
	test('two currencies never meet, half a cent is no money', () => {
		expect(() => add(money(1, 'USD'), money(1, 'EUR'))).toThrow(
			expect.objectContaining({ code: 'currency-mismatch' })
		);
		expect(() => money(0.5, 'USD')).toThrow(expect.objectContaining({ code: 'not-integer' }));
	});
	test('halves go away from zero', () => {
		expect([5, -5, 4, 6, 0].map((n) => halfAwayFromZero(rational(n, 2)))).toEqual([3, -3, 2, 3, 0]);
	});
	test('prints and reads amounts', () => {
		expect(formatAmount(money(-214, 'USD'))).toBe('−2.14');
		expect(formatMoney(money(120450, 'GBP'))).toBe('£1,204.50');
		expect(parseMoney('$1,204.5', 'USD')).toEqual({ ok: true, value: money(120450, 'USD') });
		expect(parseMoney('', 'USD')).toMatchObject({ code: 'missing' });
		expect(parseMoney('12.345', 'USD')).toMatchObject({ code: 'not-whole' });
		expect(parseMoney('-1', 'USD')).toMatchObject({ code: 'negative' });
		expect(parseMoney('99999999999', 'USD')).toMatchObject({ code: 'too-big' });
		expect(parseMoney('ten', 'USD')).toMatchObject({ code: 'not-a-number' });
	});
});
