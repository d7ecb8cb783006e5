import fc from 'fast-check';
import { expect, test } from 'vitest';
import { rates } from '../../../../tests/kit/studio.ts';
import { formatAmount, money } from '../money/money.ts';
import { priceOrder } from './price.ts';
import { priceTape, rateText, type PriceRow } from './price-tape.ts';

/** The figures as they are printed: a tape is added up from what stands on it. */
const printed = ({ amount }: PriceRow): number =>
	Math.round(Number(formatAmount(amount).replace(/,/g, '').replace('−', '-')) * 100);

test('every printed tape adds up, with tax on top and with tax in it', () => {
	const cost = (minor: number) => ({ known: money(minor, 'USD'), unknown: [] });
	const way = { method: 'margin' as const, percent: '48' };
	fc.assert(
		fc.property(
			fc.array(fc.integer({ min: 0, max: 90_000 }), { minLength: 1, maxLength: 4 }),
			fc.option(fc.integer({ min: 0, max: 9000 }), { nil: null }),
			fc.record({
				rush: fc.constantFrom('0', '15'),
				volume: fc.constantFrom('0', '5'),
				discount: fc.constantFrom(null, { kind: 'percent' as const, percent: '10' }),
				minimumMinor: fc.constantFrom(0, 7500),
				pricePoint: fc.constantFrom(null, { step: 500, mode: 'up' as const }),
				tax: fc.record({ percent: fc.constantFrom('0', '7', '71/8'), inclusive: fc.boolean() }),
				fee: fc.constantFrom(rates.price.fee, { percent: '3', onTax: true, fixedMinor: 30, payments: 1 })
			}),
			(costs, charge, change) => {
				const terms = { ...rates.price, ...change };
				const delivery = charge === null ? null : { charge: money(charge, 'USD'), cost: cost(500), way };
				const price = priceOrder({ lines: costs.map((c) => ({ cost: cost(c), way })), delivery }, terms);
				if (price.status === 'refused') throw new Error(price.why);
				const rows = priceTape(price, terms, delivery !== null);
				let sum = 0;
				for (const row of rows) {
					if (row.as === 'line') sum += printed(row);
					if (row.as === 'sum') expect(printed(row)).toBe(sum);
				}
				expect(sum).toBe(price.total.minor);
				const net = rows.find((r) => r.id === 'net');
				if (net) expect(printed(net) + printed(rows.find((r) => r.id === 'tax')!)).toBe(price.total.minor);
				const last = rows.findLast((r) => r.id.startsWith('after '));
				if (last) expect(last.amount).toEqual(price.profit);
			}
		)
	);
});

test('a tax of 8.875 % is printed as it is', () => {
	expect([rateText('71/8'), rateText('7'), rateText('10/3')]).toEqual(['8.875 %', '7 %', '3 1/3 %']);
});
