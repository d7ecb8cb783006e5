import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { rates } from '../../../../tests/kit/studio.ts';
import type { Amount } from '../cost/amount.ts';
import { money } from '../money/money.ts';
import { rational } from '../units/rational.ts';
import { priceByMarkup } from './methods.ts';
import { paymentsOf, price, priceOrder, toPricePoint, type Order } from './price.ts';
import { pieceTerms, type PriceTerms } from './terms.ts';

const usd = (minor: number) => money(minor, 'USD');
const amount = (minor: number, ...unknown: string[]): Amount => ({ known: usd(minor), unknown });
const priced = (cost: number, terms: Partial<PriceTerms>) => {
	const result = price(amount(cost), { ...rates.price, ...terms });
	if (result.status !== 'priced') throw new Error(result.why);
	return result;
};
const way = (margin: string) => ({ method: 'margin', percent: margin }) as const;
const ordered = (order: Order, terms: Partial<PriceTerms> = {}) => {
	const result = priceOrder(order, { ...rates.price, ...terms });
	if (result.status !== 'priced') throw new Error(result.why);
	return result;
};
/** Goods of 100.00 at a target of 48 %, and a delivery of 80.00 that costs 80.00. */
const delivered = (charge: number | null, terms: Partial<PriceTerms> = {}, cost: number | null = 8000) =>
	ordered(
		{
			lines: [{ cost: amount(10_000), way: way('48') }],
			delivery: {
				charge: charge === null ? null : usd(charge),
				cost: cost === null ? amount(0, 'delivery') : amount(cost),
				way: way('48')
			}
		},
		terms
	);

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
		expect(price(amount(100), { ...rates.price, margin, fee })).toEqual({
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

describe('payment fees', () => {
	const fee = { percent: '29/10', onTax: false, fixedMinor: 30, payments: 1 };
	test('a deposit makes two payments, all of it at once one', () => {
		expect([paymentsOf({ fee, deposit: '0' }), paymentsOf({ fee, deposit: '30' })]).toEqual([1, 2]);
		expect(paymentsOf({ fee, deposit: '100' })).toBe(1);
		expect(paymentsOf({ fee: { ...fee, payments: 3 }, deposit: '30' })).toBe(3);
	});
	test('a markup of 50 % on 100.00 with the fees on top leaves 50.00, without them less, and the tape says which', () => {
		const terms = { method: 'markup', markup: '50', fee } as const;
		const onTop = priced(10_000, terms);
		expect(onTop.net).toEqual(usd(15_479)); // (150 + 0.30) / 0.971
		expect(onTop.profit).toEqual(usd(5000));
		const inside = priced(10_000, { ...terms, feeOnTop: false });
		expect([inside.net, inside.profit]).toEqual([usd(15_000), usd(5000 - 465)]);
	});
	test('each step says what it leaves after fees', () => {
		const result = priced(10_000, { margin: '50', fee, discount: { kind: 'percent', percent: '10' } });
		const [discount] = result.steps;
		expect(result.base).toEqual(usd(21_295)); // 100.30 / 0.471
		expect(discount!.price).toEqual(usd(19_165));
		expect(discount!.left).toEqual(usd(19_165 - 10_000 - 586)); // 2.9 % of 191.65 is 5.56, and 0.30
		expect(discount!.left).toEqual(result.profit);
	});
});

describe('what belongs to an order', () => {
	test('a piece by itself knows no minimum, rush, weekend, volume or discount', () => {
		const terms = { ...rates.price, rush: '20', weekend: '10', volume: '5', minimumMinor: 7500 };
		const piece = price(amount(1432), pieceTerms({ ...terms, discount: { kind: 'amount', minor: 100 } }));
		expect(piece).toMatchObject({ net: usd(2864), steps: [] });
		expect(price(amount(1432), terms)).toMatchObject({ net: usd(7500) });
	});
	test('lines are priced each by its own way, and the fixed fees are shared by cost', () => {
		const fee = { percent: '0', onTax: false, fixedMinor: 30, payments: 1 };
		const result = ordered(
			{
				lines: [
					{ cost: amount(10_000), way: way('50') },
					{ cost: amount(5000), way: { method: 'markup', percent: '200' } }
				],
				delivery: null
			},
			{ fee }
		);
		// (100 + 0.20) / 0.5 and 50 × 3 + 0.10
		expect(result.lines.map((l) => l.base.minor)).toEqual([20_040, 15_010]);
	});
	test('a delivery charged as said is no part of the target: the pieces earn theirs, the delivery what is over its cost', () => {
		const fee = { percent: '29/10', onTax: false, fixedMinor: 30, payments: 1 };
		const result = delivered(8000, { fee });
		// (100 + 0.30 + 2.9 % of 80) / (1 − 0.48 − 0.029)
		expect(result.pieces).toEqual(usd(20_900));
		expect(result.delivery).toEqual(usd(8000));
		expect(Math.abs(result.profit.minor - 0.48 * 20_900)).toBeLessThanOrEqual(1);
		expect(result.profit.minor).toBeGreaterThan(0);
	});
	test('a delivery whose charge is left to the method reaches the target with it', () => {
		const fee = { percent: '29/10', onTax: false, fixedMinor: 30, payments: 1 };
		const result = delivered(null, { fee });
		expect(result.margin).toBeCloseTo(48, 1);
		expect(result.pieces.minor + result.delivery.minor).toBe(result.net.minor);
	});
	test('a delivery dearer than the pieces is charged as said, and is in everything but the steps', () => {
		const far = delivered(50_000, { rush: '10', tax: { percent: '10', inclusive: false } });
		// 100.00 at 48 % is 192.31, a rush of 10 % makes it 211.54; 500.00 go there unchanged.
		expect([far.pieces.minor, far.delivery.minor]).toEqual([21_154, 50_000]);
		expect([far.said.minor, far.tax.minor, far.total.minor]).toEqual([71_154, 7115, 78_269]);
		expect(far.profit.minor).toBe(71_154 - 10_000 - 8000);
	});
	test('rush, discount and minimum are of the pieces: the delivery stands', () => {
		const result = delivered(8000, {
			rush: '10',
			discount: { kind: 'percent', percent: '50' },
			minimumMinor: 20_000
		});
		expect(result.delivery).toEqual(usd(8000));
		expect(result.steps.map((s) => [s.id, s.price.minor])).toEqual([
			['rush', 21_154],
			['discount', 10_577],
			['minimum order', 20_000]
		]);
	});
	test('an unknown cost is named by the price it makes', () => {
		expect(delivered(8000, {}, null).missing).toEqual(['delivery']);
		expect(price(amount(100, 'reeds', 'reeds'), rates.price)).toMatchObject({ missing: ['reeds'] });
	});
	test('what the client reads adds up, whatever the terms; a discount changes no line and nothing is under 0', () => {
		const percent = (max: number) => fc.integer({ min: 0, max }).map(String);
		const anyTerms = fc.record({
			rush: percent(60),
			weekend: percent(30),
			volume: percent(40),
			discount: fc.oneof(
				percent(100).map((n) => ({ kind: 'percent' as const, percent: n })),
				fc.integer({ min: 0, max: 60_000 }).map((minor) => ({ kind: 'amount' as const, minor }))
			),
			pricePoint: fc.constantFrom(null, { step: 500, mode: 'up' as const }, { step: 900, mode: 'nearest' as const }),
			minimumMinor: fc.constantFrom(0, 7500, 40_000),
			tax: fc.record({ percent: fc.constantFrom('0', '7', '71/8', '20'), inclusive: fc.boolean() }),
			fee: fc.constantFrom(rates.price.fee, { percent: '29/10', onTax: true, fixedMinor: 30, payments: 1 }),
			feeOnTop: fc.boolean(),
			deposit: percent(100)
		}); // prettier-ignore
		const anyLine = fc.record({
			cost: fc.integer({ min: 0, max: 40_000 }).map((n) => amount(n)),
			way: fc.record({
				method: fc.constantFrom('margin' as const, 'markup' as const),
				percent: percent(90)
			})
		});
		const anyDelivery = fc.record({
			charge: fc.option(
				fc.integer({ min: 0, max: 20_000 }).map((n) => usd(n)),
				{ nil: null }
			),
			cost: fc.integer({ min: 0, max: 9000 }).map((n) => amount(n)),
			way: fc.constant(way('48'))
		});
		fc.assert(
			fc.property(fc.array(anyLine, { maxLength: 6 }), anyDelivery, anyTerms, (lines, delivery, terms) => {
				const result = ordered({ lines, delivery }, terms);
				const shown = result.lines.map((l) => l.shown.minor);
				const sum = shown.reduce((a, b) => a + b, 0);
				expect(sum + result.delivery.minor - result.discount.minor).toBe(result.said.minor);
				expect(result.net.minor + result.tax.minor).toBe(result.total.minor);
				expect(result.said).toEqual(terms.tax.inclusive ? result.total : result.net);
				const { left = undefined } = result.steps.at(-1) ?? {};
				if (left) expect(left).toEqual(result.profit);
				const changes = result.steps.reduce((a, s) => a + s.change.minor, 0);
				expect(result.base.minor + changes).toBe(result.pieces.minor);
				for (const minor of [...shown, result.delivery.minor, result.discount.minor, result.total.minor])
					expect(minor).toBeGreaterThanOrEqual(0);
				const plain = ordered({ lines, delivery }, { ...terms, discount: null });
				expect(plain.lines.map((l) => l.shown.minor)).toEqual(shown);
				expect(plain.discount.minor).toBe(0);
			}),
			{ numRuns: 400 }
		);
	});
	test('a price that its price point takes to 0 still has its minimum; what costs nothing has none', () => {
		const terms = { pricePoint: { step: 900, mode: 'nearest' as const }, minimumMinor: 7500 };
		expect(priced(100, terms).net).toEqual(usd(7500));
		expect(priced(0, terms).net).toEqual(usd(0));
	});
});

test('fees that take all of a price, or more, leave no markup; of nothing no fee is taken', () => {
	const by = (share: number) => priceByMarkup(rational(100), rational('1/2'), { share: rational(share), fixed: rational(3) }); // prettier-ignore
	expect(by(0)?.valueOf()).toBe(153);
	expect([by(1), by(2)]).toEqual([undefined, undefined]);
	const fee = { percent: '3', onTax: false, fixedMinor: 30, payments: 1 };
	const nothing = priced(0, { method: 'markup', markup: '50', fee, feeOnTop: false });
	expect([nothing.net.minor, nothing.profit.minor]).toEqual([0, 0]);
});
