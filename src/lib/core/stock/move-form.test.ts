import { describe, expect, test } from 'vitest';
import { readCountSheet, readMove, readQuantity } from './move-form.ts';

const context = { style: { decimal: '.' as const }, currency: { code: 'USD', digits: 2 } as never };
const value = (text: string, pack?: number) => {
	const read = readQuantity(text, pack, context.style);
	return read.ok ? read.value : read.say;
};

describe('movements as they are typed', () => {
	test.each([['34', 100, 34_000], ['2 bags', 100, 200_000], ['2 bags and 34', 100, 234_000], ['1 pack, 5', 50, 55_000], ['½ bag', 100, 50_000], ['2.5', undefined, 2500]] as const)(
		'%s',
		(text, pack, thousandths) => expect(value(text, pack)).toBe(thousandths)
	); // prettier-ignore
	test.each([['', 100, /How many/], ['-3', 100, /negative/], ['0', 100, /least|at least|from/], ['many', 100, /not a number/], ['2 bags', undefined, /no bags/], ['2 bags of joy', 100, /not a number/], ['9999999', 100, /most/]] as const)(
		'“%s” is refused in words',
		(text, pack, say) => expect(value(text, pack)).toMatch(say)
	); // prettier-ignore
	test('what is used leaves, what is bought comes with its cost; moved goes either way', () => {
		const of = (typed: Record<string, string>) => {
			const read = readMove(typed, { pack: 100, today: '2026-06-01', suppliers: [{ id: 'quay' }] }, context);
			return read.ok ? read.values : read.errors;
		};
		expect(of({ kind: 'used', quantity: '12', cost: '5' })).toMatchObject({ thousandths: -12_000, costMinor: null, day: '2026-06-01' }); // prettier-ignore
		expect(of({ kind: 'bought', quantity: '1 bag', cost: '16.50', day: '2026-05-30' })).toMatchObject({ thousandths: 100_000, costMinor: 1650, day: '2026-05-30' }); // prettier-ignore
		expect(of({ kind: 'moved', quantity: '3', away: 'on' })).toMatchObject({ thousandths: -3000 });
		expect(of({ kind: 'moved', quantity: '3' })).toMatchObject({ thousandths: 3000 });
		expect(of({ kind: 'lost', quantity: '3', cause: 'holed', batch: ' B1 ', supplier: 'quay' })).toMatchObject({ cause: 'holed', batch: 'B1', supplier: 'quay' }); // prettier-ignore
		expect(of({ kind: 'used', quantity: '3', cause: 'holed' })).not.toHaveProperty('cause');
		expect(of({ kind: 'lost', quantity: '3', cause: 'sabotage', supplier: 'x' })).toMatchObject({ cause: expect.stringMatching(/Pick/), supplier: expect.stringMatching(/Pick/) }); // prettier-ignore
		expect(of({ kind: 'counted', quantity: '3' })).toEqual({ kind: 'What happened to it?' });
		expect(of({ kind: 'used', quantity: '3', day: '2026-06-02' })).toEqual({ day: expect.stringMatching(/still to come/) }); // prettier-ignore
	});
	test('a count sheet takes what is typed, 0 too; a blank is not counted, nonsense is said at its row', () => {
		const all = [{ id: 'a', pack: 100 }, { id: 'b', pack: undefined }, { id: 'c', pack: 50 }]; // prettier-ignore
		expect(readCountSheet({ 'at.a': '2 bags and 4', 'at.b': '0', 'at.c': ' ' }, all, context.style)).toEqual({ ok: true, found: [{ material: 'a', thousandths: 204_000 }, { material: 'b', thousandths: 0 }] }); // prettier-ignore
		expect(readCountSheet({ 'at.a': 'lots', 'at.b': '3' }, all, context.style)).toMatchObject({ ok: false, errors: { 'at.a': expect.stringMatching(/not a number/) } }); // prettier-ignore
		expect(readCountSheet({}, all, context.style)).toMatchObject({ ok: false, errors: { sheet: expect.stringMatching(/Nothing is counted/) } }); // prettier-ignore
	});
});
