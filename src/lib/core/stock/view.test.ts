import fc from 'fast-check';
import { expect, test } from 'vitest';
import { MATERIAL_KINDS } from '../materials/material.ts';
import { byCode, codeRead, shelfCode } from './shelf-code.ts';
import { printView, readView, SORTED_BY, STOCK_COLUMNS, USUAL_VIEW } from './view.ts';

test('a view as an address reads back the same (property)', () => {
	const view = fc.record({
		search: fc.string({ maxLength: 40 }).map((s) => s.trim()),
		kind: fc.option(fc.constantFrom(...MATERIAL_KINDS)),
		supplier: fc.option(fc.stringMatching(/^[\w-]{1,20}$/)),
		low: fc.boolean(),
		retired: fc.boolean(),
		sort: fc.option(fc.record({ by: fc.constantFrom(...SORTED_BY), down: fc.boolean() })),
		grouped: fc.boolean(),
		columns: fc.subarray([...STOCK_COLUMNS])
	});
	fc.assert(
		fc.property(view, (v) => {
			expect(readView(new URLSearchParams(printView(v)))).toEqual(v);
		})
	);
	expect(printView(USUAL_VIEW)).toBe('');
	expect(readView(new URLSearchParams('kind=unicorn&sort=magic&supplier='))).toEqual(USUAL_VIEW);
});

test('a code of the shelf is eight signs nobody mistakes, and finds its own material (property)', () => {
	// The hash of an empty text is FNV-1a's own start; of “a” as its authors publish it: af63dc4c8601ec8c.
	expect(shelfCode('')).toBe(base32(0xcbf29ce484222325n));
	expect(shelfCode('a')).toBe(base32(0xaf63dc4c8601ec8cn));
	fc.assert(
		fc.property(fc.uniqueArray(fc.string({ minLength: 1, maxLength: 30 }), { minLength: 1, maxLength: 30 }), (ids) => {
			const all = ids.map((id) => ({ id, codes: [] }));
			for (const id of ids) {
				const code = shelfCode(id);
				expect(code).toMatch(/^[0-9A-HJKMNP-TV-Z]{8}$/);
				const typed = code.toLowerCase().replaceAll('0', 'o').replaceAll('1', 'l');
				expect(codeRead(`${typed.slice(0, 4)}-${typed.slice(4)}`)).toBe(code);
				expect(byCode(typed, all).map((m) => m.id)).toContain(id);
			}
		})
	); // prettier-ignore
});

test('the order code of a pack finds it too; a blank finds nothing', () => {
	const all = [{ id: 'a', codes: ['Q-100'] }, { id: 'b', codes: [] }]; // prettier-ignore
	expect([byCode(' q-100 ', all), byCode('', all), byCode('Q-1', all)]).toEqual([[all[0]], [], []]);
});

/** The last 40 bits, five by five. */
const base32 = (hash: bigint): string =>
	(hash & 0xffffffffffn)
		.toString(2)
		.padStart(40, '0')
		.match(/.{5}/g)!
		.map((five) => '0123456789ABCDEFGHJKMNPQRSTVWXYZ'[parseInt(five, 2)])
		.join('');
