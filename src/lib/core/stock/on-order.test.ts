import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { Pack } from '../materials/material.ts';
import { onShelf } from './ledger.ts';
import { COUNTED_BUILD } from './losses.ts';
import { isLate, priceOfPacks, readOrder, toCome } from './on-order.ts';
import { tookOf } from './took.ts';

const pack: Pack = { id: 'p', supplier: 'Quay', supplierId: 'quay', count: 100, priceMinor: 1650, breaks: [{ from: 5, priceMinor: 1500 }, { from: 10, priceMinor: 1400 }] }; // prettier-ignore
const context = { style: { decimal: '.' as const }, currency: 'USD' as const };
const read = (typed: Record<string, string>) => {
	const own = readOrder(typed, { material: 'm', packs: [pack, { ...pack, id: 'gone', ended: true }], today: '2027-03-01', due: '2027-03-08' }, context); // prettier-ignore
	return own.ok ? own.order : own.errors;
};

test('so many packs cost what the break they reach says', () => {
	expect([1, 4, 5, 9, 10, 25].map((n) => priceOfPacks(pack, n))).toEqual([1650, 6600, 7500, 13_500, 14_000, 35_000]); // prettier-ignore
	expect(priceOfPacks({ ...pack, priceMinor: null, breaks: undefined }, 3)).toBeNull();
});

test('an order as it is typed; what is left blank is as the pack and the supplier say', () => {
	expect(read({ pack: 'p', packs: '5' })).toEqual({ material: 'm', pack: 'p', packs: 5, count: 100, costMinor: 7500, ordered: '2027-03-01', due: '2027-03-08' }); // prettier-ignore
	expect(read({ pack: 'p', packs: '2', cost: '30', due: '2027-03-02' })).toMatchObject({ costMinor: 3000, due: '2027-03-02' }); // prettier-ignore
	expect(read({ pack: 'gone', packs: '0', cost: 'much', due: '2027-02-01' })).toEqual({ pack: expect.stringMatching(/Pick/), packs: expect.stringMatching(/from 1|least|at least/), cost: expect.stringMatching(/not an amount/), due: expect.stringMatching(/over/) }); // prettier-ignore
});

test('what is to come adds up by material; what was due before today is late', () => {
	const order = { id: 'o', material: 'm', pack: 'p', packs: 2, count: 100, costMinor: null, ordered: '2027-03-01', due: '2027-03-08' }; // prettier-ignore
	expect([...toCome([order, { ...order, packs: 1, count: 50 }, { ...order, material: 'n' }])]).toEqual([['m', 250], ['n', 200]]); // prettier-ignore
	expect([isLate(order, '2027-03-08'), isLate(order, '2027-03-09'), isLate({ due: null }, '2027-03-09')]).toEqual([false, true, false]); // prettier-ignore
});

test('what a build took leaves the shelf to the piece, lost ones among it (property)', () => {
	const line = fc.record({ material: fc.constantFrom('a', 'b'), took: fc.nat({ max: 500 }), lost: fc.nat({ max: 40 }) }); // prettier-ignore
	fc.assert(
		fc.property(fc.array(line, { maxLength: 8 }), (lines) => {
			const own = lines.map((l) => ({ ...l, lost: Math.min(l.lost, l.took), took: String(l.took) }) as const);
			const moves = tookOf(own as never, { id: 'c', day: '2027-03-01', note: 'column' });
			for (const material of ['a', 'b']) {
				const took = own.filter((l) => l.material === material);
				const shelf = onShelf(moves.get(material) ?? []);
				expect(shelf.onHand).toBe(took.reduce((a, l) => a - Number(l.took) * 1000, 0) || 0);
				for (const move of moves.get(material) ?? []) expect(move.id.startsWith(COUNTED_BUILD)).toBe(true);
			}
		})
	);
});
