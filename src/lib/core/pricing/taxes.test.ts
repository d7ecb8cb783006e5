import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { plainTerms, priceQuote, taxedFor, type QuoteTerms } from '../quote/quote.ts';
import { priceTape } from './price-tape.ts';
import { discountShares, taxesOf, type ToTax } from './taxes.ts';

const on = (percent: string, inclusive = false) => ({ percent, inclusive });
const figures = (to: ToTax, terms: ReturnType<typeof on>) => {
	const { parts, net, tax, total } = taxesOf(to, terms, 'EUR');
	return {
		parts: parts.map((p) => [p.percent, p.discount.minor, p.net.minor, p.tax.minor]),
		sums: [net.minor, tax.minor, total.minor]
	};
};

describe('tax by its rates', () => {
	test('one rate on top: an invoice of 2,800.00 less a line of 1,500.00, 25.00 carriage and 25 % is 1,656.25 (example of the standard, from memory)', () =>
		expect(
			figures({ lines: [{ minor: 280_000 }, { minor: -150_000 }], delivery: 2500, discount: 0 }, on('25'))
		).toEqual({ parts: [['25', 0, 132_500, 33_125]], sums: [132_500, 33_125, 165_625] }));
	test('by hand: 100.00 at 20 % and 50.00 at 5 %, 10.00 off, 12.00 delivery: the discount is borne 6.67 and 3.33', () =>
		expect(
			figures(
				{ lines: [{ minor: 10_000 }, { minor: 5000, percent: '5' }], delivery: 1200, discount: 1000 },
				on('20')
			)
		).toEqual({
			parts: [
				['20', 667, 10_533, 2107],
				['5', 333, 4667, 233]
			],
			sums: [15_200, 2340, 17_540]
		}));
	test('by hand, in the price: 120.00 with 20 % and 105.00 with 5 % are 100.00 each', () =>
		expect(
			figures({ lines: [{ minor: 12_000 }, { minor: 10_500, percent: '5' }], delivery: 0, discount: 0 }, on('20', true))
		).toEqual({
			parts: [
				['20', 0, 10_000, 2000],
				['5', 0, 10_000, 500]
			],
			sums: [20_000, 2500, 22_500]
		})); // prettier-ignore
	test('a rate of its own that is the usual one is no other; where nothing stands under the usual one it is not named', () => {
		expect(figures({ lines: [{ minor: 100, percent: '77/10' }, { minor: 100 }], delivery: 0, discount: 0 }, on('77/10')).parts).toHaveLength(1);
		expect(figures({ lines: [{ minor: 100, percent: '0' }], delivery: 0, discount: 0 }, on('20')).parts).toEqual([['0', 0, 100, 0]]);
		expect(figures({ lines: [], delivery: 0, discount: 0 }, on('20')).parts).toEqual([['20', 0, 0, 0]]);
	}); // prettier-ignore
	test('the parts sum to what is said, whatever the rates; lines of one rate are as one sum (property)', () => {
		const rate = fc.constantFrom(undefined, '0', '5', '77/10', '20');
		const lines = fc.array(fc.record({ minor: fc.integer({ min: 0, max: 900_000 }), percent: rate }), { maxLength: 9 });
		fc.assert(
			fc.property(lines, fc.nat(30_000), fc.nat(40_000), fc.boolean(), (own, delivery, discount, inclusive) => {
				const said = own.reduce((a, l) => a + l.minor, delivery) - discount;
				const { parts, net, tax, total } = taxesOf({ lines: own, delivery, discount }, on('20', inclusive), 'USD');
				expect((inclusive ? total : net).minor).toBe(said);
				expect(net.minor + tax.minor).toBe(total.minor);
				expect(parts.reduce((a, p) => a + p.net.minor, 0)).toBe(net.minor);
				for (const p of parts) {
					const [n, d = 1] = p.percent.split('/').map(Number) as [number, number?];
					expect(Math.abs(p.tax.minor - (p.net.minor * n) / d / 100)).toBeLessThanOrEqual(inclusive ? 1 : 0.5);
				}
				const sum = own.reduce((a, l) => a + l.minor, 0);
				expect(discountShares(own.map((l) => l.minor), discount, 'USD').reduce((a, s) => a + s, 0)).toBe(sum > 0 ? discount : 0);
			})
		);
	}); // prettier-ignore
});

describe('a quote whose lines stand under different rates', () => {
	const items = [{ id: 'a', recipe: design('column', '4 11 at 9 white x6'), colourway: null, quantity: 1 }];
	const context = { catalogue: studio, rates, library: () => undefined };
	const terms: QuoteTerms = {
		...plainTerms(rates),
		tax: '20',
		typed: [
			{ id: 'fee', label: 'design fee', quantity: 1, priceMinor: 4000, costMinor: null, material: null }
		],
		about: { fee: { tax: '5' } }
	};
	const priced = (own: QuoteTerms) => {
		const { price, terms: under } = priceQuote(items, own, context);
		if (price.status !== 'priced') throw new Error('no price');
		return { price, rows: priceTape(price, under) };
	};
	test('the fee bears its own rate, and the tape says both', () => {
		const { price, rows } = priced(terms);
		const rest = price.said.minor - 4000;
		expect(price.tax.minor).toBe(Math.round(rest * 0.2) + 200);
		expect(rows.filter((r) => r.id.startsWith('tax')).map((r) => [r.label, r.amount.minor])).toEqual([
			['tax 20 %', Math.round(rest * 0.2)],
			['tax 5 %', 200]
		]);
	});
	test('where all stands under one rate of its own, the tape says that one', () => {
		const { rows } = priced({ ...terms, about: { a: { tax: '10' }, fee: { tax: '10' } } });
		expect(rows.filter((r) => r.id.startsWith('tax')).map((r) => r.label)).toEqual(['tax 10 %']);
	});
	test('its last step leaves the profit', () => {
		const { price } = priced({ ...terms, discount: { kind: 'percent', percent: '10' } });
		expect(price.steps.at(-1)!.left).toEqual(price.profit);
	});
	test('a client who pays no tax pays none on any line', () =>
		expect(priced(taxedFor(terms, 'a school')).price.tax.minor).toBe(0));
});
