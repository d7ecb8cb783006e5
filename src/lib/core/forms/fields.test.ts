import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { colours, materials } from '../../../../tests/kit/studio.ts';
import { readCount } from '../count-back/read-count.ts';
import { readColour, readMaterial, readPack } from '../materials/material-form.ts';
import { readStep } from '../plan/read-step.ts';
import { inches } from '../units/length.ts';
import { rational } from '../units/rational.ts';
import {
	amount,
	as,
	choice,
	count,
	held,
	length,
	number,
	orBlank,
	percent,
	words,
	type Field
} from './fields.ts';
import { readForm } from './read-form.ts';

const context = { style: { decimal: '.' as const }, currency: 'USD' as const };
const comma = { style: { decimal: ',' as const }, currency: 'EUR' as const };
const say = (field: Field<unknown>, text: string) => {
	const read = field.read(text, context);
	return read.ok ? read.value : read.say;
};

describe('a field reads what was meant, or says what to type', () => {
	test.each<[string, Field<unknown>, string, unknown]>([
		['words are trimmed', words({ what: 'A name', most: 5 }), '  gull ', 'gull'],
		[
			'too many of them',
			words({ what: 'A name', most: 5 }),
			'cormorant',
			'A name has at most 5 letters. Shorten it.'
		],
		['none of them', words({ what: 'A name', most: 5, missing: 'Name it.' }), '  ', 'Name it.'],
		['an amount in minor units', amount('The fee'), '12.50', 1250],
		['a blank amount is not 0', amount('The fee'), '', 'The fee is blank. Type 0 for none.'],
		['a length in its own unit', length('It', 'in'), '11', inches(11)],
		['no length at all', length('It', 'in'), '0', 'It must be above 0.'],
		['a whole number', count({ what: 'Pieces', min: 1, max: 9 }), '2.5', 'Pieces must be a whole number.'],
		['per cent from 0', percent('The tax', 100), '-1', 'The tax cannot be negative. Type 0 % or more.'],
		['one of several', choice(['a', 'b'], { as: 'a' }), 'b', 'b'],
		['another of several', choice(['a', 'b'], { as: 'a' }), 'c', 'a'],
		['refused of several', choice(['a', 'b'], { say: 'Choose.' }), 'c', 'Choose.'],
		['a blank that is taken', orBlank(amount('The fee'), null), ' ', null],
		['one more rule', held(amount('The fee'), (m) => (m === 0 ? 'Free?' : undefined)), '0', 'Free?'],
		['kept in another form', as(amount('The fee'), (m) => m * 2), '1', 200]
	])('%s', (_, field, text, wanted) => expect(say(field, text)).toEqual(wanted));

	test('numbers as they are typed where she lives: what a point is here is a group there', () => {
		expect(number({ what: 'It' }).read('1,250.5', context)).toMatchObject({ value: rational(2501, 2) });
		expect(number({ what: 'It' }).read('1.250,5', comma)).toMatchObject({ value: rational(2501, 2) });
	});
});

test('a form gives every value or a sentence for each field that has none (property)', () => {
	const form = { pieces: count({ what: 'Pieces', min: 1, max: 9 }), fee: orBlank(amount('The fee'), null) };
	fc.assert(
		fc.property(fc.string({ maxLength: 6 }), fc.string({ maxLength: 6 }), (pieces, fee) => {
			const read = readForm(form, { pieces, fee }, context);
			const own = [form.pieces.read(pieces, context), form.fee.read(fee, context)] as const;
			expect(read.ok).toBe(own.every((o) => o.ok));
			if (read.ok) expect(Object.keys(read.values)).toEqual(['pieces', 'fee']);
			else expect(Object.keys(read.errors)).toEqual(['pieces', 'fee'].filter((_, i) => !own[i]!.ok));
		})
	);
	expect(readForm(form, {}, context)).toMatchObject({
		ok: false,
		errors: { pieces: expect.stringMatching(/blank/) }
	});
});

describe('forms of the studio', () => {
	const stock = { materials, colours, suppliers: [{ id: 'wharf' }, { id: 'quay' }] };
	const round = { kind: 'latex-round', name: 'new round', nominal: '11', colour: 'white', supplier: 'quay', count: '100', price: '17' }; // prettier-ignore
	test('a material: what is not known is null, never 0', () => {
		const read = readMaterial(round, stock, context);
		expect(read).toMatchObject({ ok: true, values: { nominal: inches(11), price: 1700, loss: null, grams: null, chambers: 1, mark: null } }); // prettier-ignore
		expect(readMaterial({ ...round, loss: '4', mark: 'q', price: '' }, stock, context)).toMatchObject({ values: { loss: '1/25', mark: 'Q', price: null } }); // prettier-ignore
	});
	test('a material keeps its name when it is changed; no other may have it', () => {
		const own = { ...round, name: materials[0]!.name };
		expect(readMaterial({ ...own, id: materials[0]!.id }, stock, context).ok).toBe(true);
		expect(readMaterial({ ...own, id: materials[1]!.id }, stock, context)).toMatchObject({ ok: false, errors: { name: 'There is a material of that name already.' } }); // prettier-ignore
	});
	test('a material: each field with its own sentence, all at once', () => {
		const bad = { kind: 'latex-round', name: materials[0]!.name, count: '0', price: '0', mark: 'ABCD', colour: 'mauve' }; // prettier-ignore
		expect(readMaterial(bad, stock, context)).toEqual({
			ok: false,
			errors: {
				count: 'Pieces in a pack must be at least 1.',
				price: 'A price of 0 would make it free. Leave the field blank while the price is not known.',
				name: 'There is a material of that name already.',
				nominal: 'Which size is printed on the bag? 5, 9, 10, 11, 12, 16, 18, 24, 36.',
				colour: 'That colour is not in the Stockroom.',
				supplier: 'Choose a supplier.',
				mark: 'One letter or figure of a foil, points of a star, a model like 260, or a shape: crescent, flower, fish, butterfly, cloud, leaf, drop.'
			}
		});
	});
	test('a pack, and a colour', () => {
		expect(readPack({ count: '50', price: '' }, context)).toEqual({
			ok: true,
			values: { count: 50, price: null, deposit: null }
		});
		expect(readColour({ name: 'harbour blue', hex: '#3E5C76' }, context)).toMatchObject({
			values: { hex: '#3e5c76' }
		});
		expect(readColour({ name: 'blue 2', hex: 'blue' }, context)).toMatchObject({ errors: { name: expect.stringMatching(/letters/), hex: 'Choose how it looks.' } }); // prettier-ignore
	});
	test('an assorted bag names colours of the Stockroom, one said twice has twice the share', () => {
		const one = (id: string, hex: string) => ({ id, name: id, hex, finish: 'matte' as const });
		const [red, blue] = [one('r', '#c63d2f'), one('b', '#2c6e91')];
		const bag = { ...one('bag', '#ffffff'), of: [{ colour: 'r', parts: 1, hex: '#c63d2f' }] };
		const read = (of: string) =>
			readColour({ name: 'regatta', hex: '#000000', of }, context, [red, blue, bag]);
		expect(read('r,b,b')).toEqual({
			ok: true,
			values: {
				name: 'regatta',
				hex: '#2c6e91',
				of: [
					{ colour: 'r', parts: 1, hex: '#c63d2f' },
					{ colour: 'b', parts: 2, hex: '#2c6e91' }
				]
			}
		});
		expect(read('')).toEqual({ ok: true, values: { name: 'regatta', hex: '#000000' } });
		expect(read('r')).toMatchObject({ errors: { of: expect.stringMatching(/two colours or more/) } });
		for (const odd of ['r,bag', 'r,nothing']) expect(read(odd)).toMatchObject({ errors: { of: expect.stringMatching(/not in the Stockroom/) } }); // prettier-ignore
	});
	test('a count back: a blank line is not counted, and nothing at all is no count', () => {
		const typed = { 'took.a': '7 1/2', 'lost.a': '', 'took.b': ' ', 'lost.b': '3', note: ' windy ' };
		const read = readCount(['a', 'b'], typed, context);
		expect(read).toMatchObject({ ok: true, note: 'windy' });
		expect(read.ok && [...read.took]).toEqual([['a', { took: rational(15, 2), lost: 0 }]]);
		expect(readCount(['a'], {}, context)).toMatchObject({
			errors: { note: expect.stringMatching(/Nothing was counted/) }
		});
		expect(readCount(['a'], { 'took.a': 'many', 'lost.a': '1.5' }, context)).toMatchObject({ errors: { 'took.a': expect.stringMatching(/not a number/), 'lost.a': expect.stringMatching(/whole number/) } }); // prettier-ignore
	});
	test('a step of the plan: a blank wait is none, what it is about may be nothing', () => {
		const typed = { text: 'Fill the base', place: 'site', wait: '', about: '', after: '' };
		expect(readStep(typed, context)).toMatchObject({ step: { says: { wait: 0, photo: undefined }, uses: [], after: null } }); // prettier-ignore
		expect(readStep({ ...typed, wait: '1 h', about: 'row' }, context)).toMatchObject({ step: { says: { wait: 3600 }, uses: ['row'] } }); // prettier-ignore
		expect(readStep({ place: 'moon', text: ' ', wait: 'soon' }, context)).toMatchObject({ errors: { text: 'Say what is done.', place: 'Say where it is done.' } }); // prettier-ignore
	});
});
