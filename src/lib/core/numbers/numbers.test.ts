import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { cellForSheet } from './answer.ts';
import { cashAhead } from './cash-ahead.ts';
import { hourOf, marginOf, notWorthIt, type SoldDesign } from './earned.ts';
import { winBands } from './win-rate.ts';

const sold = (design: string, net: number, real: number, more: Partial<SoldDesign> = {}): SoldDesign => ({ design, name: design, net, real, reckoned: real, jobs: 3, pieces: 4, ...more }); // prettier-ignore

describe('what was earned', () => {
	test('by hand: 400 of 1000 is 40 %; 100 left and 90 of hers over three hours are 63.33 an hour', () => {
		expect(marginOf(1000, 600)).toBe(40);
		expect(marginOf(0, 600)).toBeNull();
		expect(hourOf({ net: 50_000, real: 40_000 }, { minutes: 180, minor: 9_000 })).toBeCloseTo(6333.33, 1);
		expect(hourOf({ net: 50_000, real: 40_000 }, { minutes: 0, minor: 0 })).toBeNull();
	});
	test('what lost money or kept less than half of what is wanted, the worst first; one job is no measure', () => {
		const found = notWorthIt([sold('good', 1000, 600), sold('thin', 1000, 850), sold('bad', 1000, 1100), sold('once', 1000, 2000, { jobs: 1 })], 40); // prettier-ignore
		expect(found.map((d) => [d.design, d.why])).toEqual([['bad', 'loses'], ['thin', 'below']]); // prettier-ignore
		// 1100 for four are 275 each: 275 / 0.6.
		expect(found[0]!.price).toBe(Math.ceil(275 / 0.6));
		expect(marginOf(found[0]!.price, 275)).toBeGreaterThanOrEqual(40);
	});
});

describe('how many say yes', () => {
	const quote = (price: number, yes: boolean) => ({ net: price * 10, feet: 10, yes });
	test('by hand: eight quotes in two bands; 3 of 4 and 1 of 4', () => {
		const quotes = [10, 11, 12, 13, 20, 21, 22, 23].map((p, i) => quote(p, [0, 1, 2, 4].includes(i)));
		const bands = winBands(quotes);
		expect(bands.map((b) => [b.from, b.to, b.won, b.quotes])).toEqual([[10, 13, 3, 4], [20, 23, 1, 4]]); // prettier-ignore
		// Quantiles of beta(4, 2) and beta(2, 4): 5 % at 0.3426, 95 % at 0.9236 (their distribution summed as a binomial).
		const under = (x: number) => [4, 5].reduce((a, k) => a + [0, 0, 0, 0, 5, 1][k]! * x ** k * (1 - x) ** (5 - k), 0); // prettier-ignore
		expect(under(bands[0]!.low)).toBeCloseTo(0.05, 6);
		expect(under(bands[0]!.high)).toBeCloseTo(0.95, 6);
		expect(bands[1]!.low).toBeCloseTo(1 - bands[0]!.high, 6);
	});
	test('whatever was asked, every quote is in one band, bands do not overlap, and one price is in one (property)', () => {
		const any = fc.array(fc.record({ price: fc.integer({ min: 1, max: 9 }), yes: fc.boolean() }), {
			maxLength: 60
		});
		fc.assert(
			fc.property(any, (all) => {
				const bands = winBands(all.map((q) => quote(q.price, q.yes)));
				expect(bands.reduce((a, b) => a + b.quotes, 0)).toBe(all.length);
				expect(bands.reduce((a, b) => a + b.won, 0)).toBe(all.filter((q) => q.yes).length);
				for (const [i, b] of bands.entries()) {
					expect(b.low).toBeLessThan(b.high);
					if (i > 0) expect(b.from).toBeGreaterThan(bands[i - 1]!.to);
				}
			})
		);
		expect(winBands([{ net: 100, feet: 0, yes: true }])).toEqual([]);
	});
});

describe('money ahead', () => {
	const move = (day: string, minor: number) => ({ day, minor, kind: 'balances' as const, says: 'x' });
	test('by hand: a week is seven days from today; what was due before is due now; later is left out', () => {
		const weeks = cashAhead([move('2027-04-01', 500), move('2027-05-10', 100), move('2027-05-11', -300), move('2027-06-30', 9999)], '2027-05-04', 3); // prettier-ignore
		expect(weeks.map((w) => [w.from, w.comes, w.goes, w.sum])).toEqual([['2027-05-04', 600, 0, 600], ['2027-05-11', 0, -300, 300], ['2027-05-18', 0, 0, 300]]); // prettier-ignore
	});
});

test('a sheet has plain numbers: money in its unit, hours as hours, shares as per cent', () => {
	expect([cellForSheet(12_345, 'money', 2), cellForSheet(90, 'hours', 2), cellForSheet(0.125, 'share', 2), cellForSheet(null, 'money', 2), cellForSheet('x', 'money', 2)]).toEqual([123.45, 1.5, 12.5, '', 'x']); // prettier-ignore
});
