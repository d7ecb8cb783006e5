import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { inBags, MOVE_KINDS, onShelf, reorderAt, toOrderAgain, type Move } from './ledger.ts';

const move = (day: string, kind: Move['kind'], pieces: number, costMinor: number | null = null): Move => ({
	id: `${day}${kind}${pieces}`,
	day,
	kind,
	thousandths: Math.round(pieces * 1000),
	costMinor,
	note: ''
});

describe('what is on the shelf by its movements', () => {
	test('by hand: 100 at 16 and 100 at 18, 130 gone: 70 at 18, worth 1,260', () => {
		const shelf = onShelf([move('2026-01-05', 'bought', 100, 1600), move('2026-02-01', 'bought', 100, 1800), move('2026-02-10', 'used', -120), move('2026-02-11', 'lost', -10)]); // prettier-ignore
		expect(shelf.onHand).toBe(70_000);
		expect(shelf.layers).toMatchObject([{ day: '2026-02-01', thousandths: 70_000 }]);
		expect([shelf.value.valueOf(), shelf.average!.valueOf(), shelf.valueKnown]).toEqual([1260, 18, true]);
	});
	test('movements are taken in the order of their days, whatever order they were written in', () => {
		const all = [move('2026-02-10', 'used', -50), move('2026-01-05', 'bought', 100, 1600)];
		expect(onShelf(all)).toEqual(onShelf(all.toReversed()));
	});
	test('more gone than known: it says so, and what comes next makes up for it first', () => {
		const short = [move('2026-01-05', 'used', -30)];
		expect(onShelf(short)).toMatchObject({ onHand: -30_000, layers: [], average: null });
		expect(onShelf([...short, move('2026-01-06', 'bought', 100, 1000)])).toMatchObject({ onHand: 70_000, layers: [{ thousandths: 70_000 }] }); // prettier-ignore
	});
	test('what a count finds more has no known cost', () => {
		const shelf = onShelf([move('2026-01-05', 'bought', 10, 100), move('2026-01-06', 'counted', 5)]);
		expect([shelf.onHand, shelf.valueKnown, shelf.average!.valueOf()]).toEqual([15_000, false, 10]);
	});
	test('on hand is the sum, layers are what is there, the average lies between what was paid (property)', () => {
		const moves = fc.array(
			fc.record({
				id: fc.string(),
				day: fc.integer({ min: 1, max: 28 }).map((d) => `2026-03-${String(d).padStart(2, '0')}`),
				kind: fc.constantFrom(...MOVE_KINDS),
				thousandths: fc.integer({ min: -90_000, max: 90_000 }),
				costMinor: fc.option(fc.integer({ min: 0, max: 9000 })),
				note: fc.constant('')
			}),
			{ maxLength: 25 }
		);
		fc.assert(
			fc.property(moves, (all) => {
				const shelf = onShelf(all);
				expect(shelf.onHand).toBe(all.reduce((a, m) => a + m.thousandths, 0));
				const there = shelf.layers.reduce((a, l) => a + l.thousandths, 0);
				expect(there).toBe(Math.max(0, shelf.onHand));
				const paid = all.flatMap((m) => (m.thousandths > 0 && m.costMinor !== null ? [(m.costMinor * 1000) / m.thousandths] : [])); // prettier-ignore
				if (shelf.average !== null) {
					expect(shelf.average.valueOf()).toBeGreaterThanOrEqual(Math.min(...paid) - 1e-9);
					expect(shelf.average.valueOf()).toBeLessThanOrEqual(Math.max(...paid) + 1e-9);
				}
				for (let i = 1; i < shelf.layers.length; i++) expect(shelf.layers[i - 1]!.day <= shelf.layers[i]!.day).toBe(true); // prettier-ignore
			}),
			{ numRuns: 200 }
		);
	});
});

describe('when to order again', () => {
	test('the most that went in any so many days of the last half year: 70 in three days, by hand', () => {
		const all = [move('2026-05-01', 'used', -40), move('2026-05-03', 'used', -30), move('2026-05-10', 'used', -60), move('2025-01-01', 'used', -500), move('2026-05-04', 'counted', -99)]; // prettier-ignore
		expect(reorderAt(all, '2026-06-01', 3)).toBe(70_000);
		expect(reorderAt(all, '2026-06-01', 1)).toBe(60_000);
		expect(reorderAt([], '2026-06-01', 3)).toBe(0);
	});
});

test('what is to come counts before it is time to order; more gone than came always is', () => {
	const at = (onHand: number, coming: number, reorder: number) => toOrderAgain({ onHand, coming, reorder });
	expect([at(40, 0, 40), at(41, 0, 40), at(10, 30, 40), at(10, 31, 40), at(-1, 500, 0), at(0, 0, 0)]).toEqual([true, false, true, false, true, false]); // prettier-ignore
});

test('as bags and what is in the opened one', () => {
	expect([inBags(234_000, 100), inBags(200_000, 100), inBags(100_000, 100), inBags(34_000, 100), inBags(3500, undefined), inBags(-2000, 100)]).toEqual(['2 bags and 34', '2 bags', '1 bag', '34', '3.5', '-2']); // prettier-ignore
});
