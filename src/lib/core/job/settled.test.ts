import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { colours, design, rates, studio } from '../../../../tests/kit/studio.ts';
import { POINT } from '../units/number.ts';
import { tallyOrder } from '../tally/order.ts';
import { changedLines } from './changed-lines.ts';
import { jobSaidSchema } from './job.schema.ts';
import { NO_PLACE } from './job.ts';
import { readSettled, SETTLE_FIELD, type SettleAbout } from './read-settled.ts';
import { onJob, openIn, settledRecipe, withSettled } from './settled.ts';

const garland = design(
	'garland',
	'run arm',
	'line 10 ft',
	'4 11 at 9 white',
	'infill 2 to 4 a foot 5 at 3 gold'
);
const [infill] = openIn(garland);
const context = { catalogue: studio, rates, library: () => undefined };
const bill = (recipe: typeof garland) => tallyOrder([{ recipe, colourway: null, quantity: 1 }], context).bill.lines; // prettier-ignore
const ids = new Set(colours.map((c) => c.id));
const form = { style: POINT, currency: 'USD' } as const;
const about: SettleAbout = { id: 'l', wasOn: true, ground: undefined, slots: [{ id: 'main', was: 'white' }, { id: 'pop', was: '' }], parts: openIn(garland) }; // prettier-ignore

describe('what is settled late', () => {
	test('by hand: an infill of 2 to 4 a foot that is settled at 4 takes 40 on ten feet, and is no estimate any more', () => {
		expect(infill).toMatchObject({ what: 'infill', low: '2', high: '4', isColourOpen: false });
		const settled = settledRecipe(garland, { [infill!.id]: { count: '4' } });
		expect(openIn(settled)).toEqual([]);
		const [before, after] = [bill(garland), bill(settled)];
		const small = (lines: typeof before) => lines.find((l) => l.label.startsWith('5'))!;
		expect(small(before).estimate).not.toBeNull();
		expect([small(after).used.valueOf(), small(after).estimate]).toEqual([40, null]);
		const [change] = changedLines(before, after).filter((c) => c.label.startsWith('5'));
		expect([change!.was.valueOf(), change!.is.valueOf()]).toEqual([30, 40]);
		// The same for the same: what was worked out for it is found again.
		expect(settledRecipe(garland, { [infill!.id]: { count: '4' } })).toBe(settled);
		expect(settledRecipe(garland)).toBe(garland);
	});
	test('colours and grounds go over what the quote says of a line, and leave the rest', () => {
		const terms = { about: { l: { note: 'by the door', slots: { main: 'white' } } } };
		expect(
			withSettled(terms, { l: { slots: { pop: 'red' }, ground: 'grass' }, m: { isOn: false } }).about
		).toEqual(
			{ l: { note: 'by the door', ground: 'grass', slots: { main: 'white', pop: 'red' } } } // prettier-ignore
		);
		expect([...onJob(new Set(['a', 'b']), ['a', 'b', 'c'], { b: { isOn: false }, c: { isOn: true } })]).toEqual(['a', 'c']); // prettier-ignore
	});
	test('what stands as on the quote is not settled; an open colour stays open until one is chosen', () => {
		const same = { [SETTLE_FIELD.on('l')]: 'yes', [SETTLE_FIELD.slot('l', 'main')]: 'white', [SETTLE_FIELD.slot('l', 'pop')]: '', [SETTLE_FIELD.count('l', infill!.id)]: ' ' }; // prettier-ignore
		expect(readSettled(same, [about], ids, form)).toEqual({ ok: true, settled: {} });
		expect(readSettled({}, [about], ids, form)).toEqual({ ok: true, settled: {} });
	});
	test('nonsense is said at its field, and nothing of it is taken', () => {
		const count = SETTLE_FIELD.count('l', infill!.id);
		const read = readSettled({ [SETTLE_FIELD.slot('l', 'pop')]: 'no such', [count]: 'plenty', [SETTLE_FIELD.part('l', infill!.id)]: 'gone' }, [about], ids, form); // prettier-ignore
		expect(read.ok ? [] : Object.keys(read.errors).sort()).toEqual([count, SETTLE_FIELD.part('l', infill!.id), SETTLE_FIELD.slot('l', 'pop')].sort()); // prettier-ignore
		expect(readSettled({ [count]: '-1' }, [about], ids, form).ok).toBe(false);
		expect(readSettled({ [count]: '1e99' }, [about], ids, form).ok).toBe(false);
	});
	test('whatever is chosen, what is read is kept by the schema, and read again from its own fields it is the same (property)', () => {
		const slot = fc.constantFrom('', 'left out', ...[...ids].slice(0, 3));
		fc.assert(
			fc.property(fc.record({ on: fc.boolean(), main: slot, pop: slot, count: fc.option(fc.integer({ min: 0, max: 40 })) }), (chosen) => {
				const typed = { [SETTLE_FIELD.on('l')]: chosen.on ? 'yes' : 'no', [SETTLE_FIELD.slot('l', 'main')]: chosen.main, [SETTLE_FIELD.slot('l', 'pop')]: chosen.pop, [SETTLE_FIELD.count('l', infill!.id)]: chosen.count === null ? '' : `${chosen.count / 4}` }; // prettier-ignore
				const read = readSettled(typed, [about], ids, form);
				if (!read.ok) throw new Error(JSON.stringify(read.errors));
				const said = { days: [], place: NO_PLACE, note: '', settled: read.settled };
				expect(jobSaidSchema.parse(JSON.parse(JSON.stringify(said)))).toEqual(said);
				expect(read.settled['l']?.isOn ?? true).toBe(chosen.on);
				expect(read.settled['l']?.slots?.['pop'] ?? '').toBe(chosen.pop);
			}) // prettier-ignore
		);
	});
});
