import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { rates } from '../../../../tests/kit/studio.ts';
import { money, zero } from '../money/money.ts';
import { price, toPricePoint } from './price.ts';
import type { PriceTerms } from './terms.ts';

const usd = (minor: number) => money(minor, 'USD');
const none = { charge: zero('USD'), cost: zero('USD') };
const priced = (cost: number, terms: Partial<PriceTerms>, extra = none) => {
	const result = price(usd(cost), { ...rates.price, ...terms }, extra);
	if (result.status !== 'priced') throw new Error(result.why);
	return result;
};

describe('margin and markup are never mixed up', () => {
	// The textbook pair, in any introduction to cost accounting (from memory): cost 60, price 100 is a margin
	// of 40 % and a markup of 66⅔ %.
	test('cost 60.00 at a margin of 40 % is 100.00; at a markup of 40 % it is 84.00', () => {
		const byMargin = priced(6000, { method: 'margin', margin: '40' });
		expect(byMargin.net).toEqual(usd(10_000));
		expect(byMargin.margin).toBeCloseTo(40, 9);
		expect(byMargin.markup).toBeCloseTo(66.6667, 3);
		expect(priced(6000, { method: 'markup', markup: '40' }).net).toEqual(usd(8400));
	});
	test('P = (C + fixed · payments) / (1 − m − f): by hand, 97 + 2 × 0.30 at 50 % and 3 % is 207.66', () => {
		const fee = { percent: '3', onTax: false, fixedMinor: 30, payments: 2 };
		const result = priced(9700, { margin: '50', fee });
		expect(result.net).toEqual(usd(20_766)); // 97.60 / 0.47
		expect(result.margin).toBeCloseTo(50, 1);
	});
	test('a fee charged on the gross counts the tax in: f = 3 % × 1.1', () => {
		const fee = { percent: '3', onTax: true, fixedMinor: 0, payments: 1 };
		const result = priced(4670, { margin: '50', fee, tax: { percent: '10', inclusive: false } });
		expect(result.net).toEqual(usd(10_000)); // 46.70 / (1 − 0.5 − 0.033)
	});
	test.each(['100', '97', '250'])('a margin of %s per cent with 3 of fees has no price', (margin) => {
		const fee = { percent: '3', onTax: false, fixedMinor: 0, payments: 1 };
		expect(price(usd(100), { ...rates.price, margin, fee }, none)).toEqual({
			status: 'refused',
			why: 'margin-too-high'
		});
	});
	test('a margin under 0 is a loss and is worked out as one', () => {
		expect(priced(6000, { margin: '-20' }).net).toEqual(usd(5000));
	});
});

describe('the order of steps', () => {
	test('rush, weekend, volume, discount, price point, minimum, tax, deposit, each on the last, by hand', () => {
		const result = priced(5000, {
			margin: '50',
			rush: '20',
			weekend: '10',
			volume: '5',
			discount: { kind: 'amount', minor: 500 },
			pricePoint: { step: 500, mode: 'up' },
			minimumMinor: 15_000,
			tax: { percent: '8', inclusive: false },
			deposit: '50'
		});
		expect(result.steps.map((s) => [s.id, s.price.minor])).toEqual([
			['rush', 12_000],
			['weekend', 13_200],
			['volume', 12_540],
			['discount', 12_040],
			['price point', 12_500],
			['minimum order', 15_000]
		]);
		expect(result.tax).toEqual(usd(1200));
		expect(result.total).toEqual(usd(16_200));
		expect(result.deposit).toEqual(usd(8100));
		expect(result.steps[3]!.margin).toBeCloseTo(100 * (1 - 5000 / 12_040), 9);
		expect(result.margin).toBeCloseTo(100 * (1 - 5000 / 15_000), 9);
	});
	test('with an inclusive tax the client pays the price and the margin is of what is left', () => {
		const result = priced(5000, { margin: '50', tax: { percent: '10', inclusive: true } });
		expect([result.total.minor, result.net.minor, result.tax.minor]).toEqual([11_000, 10_000, 1000]);
		expect(result.margin).toBeCloseTo(50, 9);
	});
	test('a delivery charge stands beside what the method prices, its cost in the margin', () => {
		const result = priced(5000, { margin: '50' }, { charge: usd(4000), cost: usd(2500) });
		expect(result.net).toEqual(usd(14_000));
		expect(result.profit).toEqual(usd(6500));
	});
	test('a discount of more than the price ends at 0, without a margin', () => {
		const result = priced(5000, { discount: { kind: 'amount', minor: 99_999 } });
		expect(result.net).toEqual(usd(0));
		expect(result.margin).toBeUndefined();
	});
	test('price points', () => {
		expect([12_001, 12_500, 12_249].map((p) => toPricePoint(p, { step: 500, mode: 'up' }))).toEqual([
			12_500, 12_500, 12_500
		]);
		expect(toPricePoint(12_249, { step: 500, mode: 'nearest' })).toBe(12_000);
	});
	test('the target margin is met to half a cent, for any cost and margin', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 10_000_000 }),
				fc.integer({ min: -50, max: 95 }),
				(cost, margin) => {
					const { net } = priced(cost, { margin: String(margin) });
					expect(Math.abs(net.minor * (1 - margin / 100) - cost)).toBeLessThanOrEqual(
						0.5001 * (1 - margin / 100) + 1e-6
					);
				}
			)
		);
	});
});
