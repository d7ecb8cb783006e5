import fc from 'fast-check';
import { expect, test } from 'vitest';
import { wantsOf, type OnDay } from './wants.ts';

const on = (day: string, pieces: number, material = 'white'): OnDay => ({ material, pieces, day });
const shelf = (pieces: number) => new Map([['white', pieces]]);

test('need less stock less what comes, day by day: by hand', () => {
	const needs = [on('2027-05-10', 60), on('2027-05-20', 80), on('2027-05-30', 10)];
	expect(wantsOf(needs, shelf(100), [on('2027-05-25', 50)])).toEqual([{ material: 'white', pieces: 40, by: '2027-05-20' }]); // prettier-ignore
	expect(wantsOf(needs, shelf(100), [on('2027-05-20', 50)])).toEqual([]);
	expect(wantsOf(needs, shelf(-20), [])).toEqual([
		{ material: 'white', pieces: 60, by: '2027-05-10' },
		{ material: 'white', pieces: 80, by: '2027-05-20' },
		{ material: 'white', pieces: 10, by: '2027-05-30' }
	]);
	expect(wantsOf([on('2027-05-10', 3.2), on('2027-05-10', 3.2)], new Map(), [])).toEqual([{ material: 'white', pieces: 7, by: '2027-05-10' }]); // prettier-ignore
});

test('bought so, no day is short, and nothing is bought for a day that is not: whatever is needed', () => {
	const day = fc.integer({ min: 10, max: 28 }).map((d) => `2027-05-${d}`);
	const some = fc.array(fc.tuple(day, fc.integer({ min: 1, max: 50 })), { maxLength: 8 });
	fc.assert(
		fc.property(some, some, fc.integer({ min: -20, max: 120 }), (needs, coming, onHand) => {
			const [own, arriving] = [needs, coming].map((all) => all.map(([d, n]) => on(d, n)));
			const wants = wantsOf(own!, shelf(onHand), arriving!);
			const sum = (all: readonly { readonly pieces: number }[]) => all.reduce((a, x) => a + x.pieces, 0);
			const left = (until: string, without = 0) =>
				Math.max(0, onHand) + sum(arriving!.filter((c) => c.day <= until)) + sum(wants.filter((w) => w.by <= until)) - without - sum(own!.filter((n) => n.day <= until)); // prettier-ignore
			for (const { day: until } of own!) expect(left(until)).toBeGreaterThanOrEqual(0);
			// One less of any of them, and its day is short.
			for (const { by } of wants) expect(left(by, 1)).toBeLessThan(0);
		})
	);
});
