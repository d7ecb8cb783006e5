import fc from 'fast-check';
import { expect, test } from 'vitest';
import { MATERIAL_KINDS } from '../../../core/materials/material.ts';
import { SORTED_BY, USUAL_VIEW } from '../../../core/stock/view.ts';
import { tableItems, type TableRow } from './stock-table.ts';

const row = (name: string, more: Partial<TableRow> = {}): TableRow => ({ id: name, kind: 'latex-round', name, size: 0, share: 0, pieces: null, coming: 0, worth: null, pack: null, eachMinor: null, suppliers: [], codes: [], isLow: false, retired: false, ...more }); // prettier-ignore
const names = (rows: readonly TableRow[], view: Partial<typeof USUAL_VIEW>) =>
	tableItems(rows, { ...USUAL_VIEW, ...view }).map((i) => ('row' in i ? i.row.name : `${i.kind} ${i.many} ${i.worth} ${i.low}`)); // prettier-ignore

const some = [
	row('11 in round, red', { pieces: 40, worth: 700, suppliers: ['quay'], codes: ['Q-7'] }),
	row('5 in round, red', { pieces: 8, worth: 30, isLow: true }),
	row('soft line', { kind: 'tie', retired: true }),
	row('9 in round, white', { pieces: null })
];

test('words, codes, kinds, suppliers, what is low, what is retired', () => {
	expect(names(some, { search: 'RED in' })).toEqual(['11 in round, red', '5 in round, red']);
	expect(names(some, { search: 'q-7' })).toEqual(['11 in round, red']);
	expect(names(some, { kind: 'tie' })).toEqual(['soft line']);
	expect(names(some, { supplier: 'quay' })).toEqual(['11 in round, red']);
	expect(names(some, { low: true })).toEqual(['5 in round, red']);
	expect(names(some, { retired: false, search: 'soft' })).toEqual([]);
});

test('in order by figures inside names, what is not known last either way; kinds with their sums', () => {
	expect(names(some, { sort: { by: 'name', down: false } })).toEqual(['5 in round, red', '9 in round, white', '11 in round, red', 'soft line']); // prettier-ignore
	expect(names(some, { sort: { by: 'onHand', down: true } }).slice(0, 2)).toEqual(['11 in round, red', '5 in round, red']); // prettier-ignore
	expect(names(some, { sort: { by: 'onHand', down: false } }).slice(0, 2)).toEqual(['5 in round, red', '11 in round, red']); // prettier-ignore
	expect(names(some, { grouped: true, sort: { by: 'name', down: false } })).toEqual(['latex-round 3 730 1', '5 in round, red', '9 in round, white', '11 in round, red', 'tie 1 0 0', 'soft line']); // prettier-ignore
});

test('nothing is lost and nothing is twice, whatever the order; groups have what is in them (property)', () => {
	const rows = fc.array(fc.record({ n: fc.nat(), kind: fc.constantFrom(...MATERIAL_KINDS), pieces: fc.option(fc.integer({ min: -50, max: 900 })), worth: fc.option(fc.nat()) }), { maxLength: 40 }); // prettier-ignore
	fc.assert(
		fc.property(rows, fc.constantFrom(...SORTED_BY), fc.boolean(), fc.boolean(), (all, by, down, grouped) => {
			const own = all.map(({ n, ...more }, i) => row(`thing ${n}`, { ...more, id: String(i) }));
			const items = tableItems(own, { ...USUAL_VIEW, sort: { by, down }, grouped });
			const shown = items.flatMap((i) => ('row' in i ? [i.row.id] : []));
			expect(shown.toSorted()).toEqual(own.map((r) => r.id).toSorted());
			const heads = items.flatMap((i) => ('row' in i ? [] : [i]));
			if (grouped) expect(heads.reduce((a, h) => a + h.many, 0)).toBe(own.length);
			else expect(heads).toEqual([]);
		}),
		{ numRuns: 100 }
	);
});
