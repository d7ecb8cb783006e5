import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { catalogue } from '../materials/catalogue.ts';
import { settings as demoSettings } from '../../../../scripts/demo/settings.ts';
import { colours, design, materials, rates, studio } from '../../../../tests/kit/studio.ts';
import { POINT } from '../units/number.ts';
import {
	chosenIds,
	hasChoices,
	NOTHING_CHOSEN,
	plainSelection,
	type ClientChoice,
	type Offered
} from './choices.ts';
import { chosenOf, type ChosenQuote } from './chosen.ts';
import { freeze } from './freeze.ts';
import type { FrozenQuote } from './frozen.ts';
import { LEFT_OUT } from './own-slots.ts';
import { offersOf } from './offers.ts';
import { plainTerms, priceQuote, type QuoteItem, type QuoteTerms } from './quote.ts';
import { printLines, PLAIN_LINE, readLevels, readLines } from './read-lines.ts';
import { frozenQuoteSchema, quoteTermsSchema } from './quote.schema.ts';

const context = { catalogue: studio, rates, library: () => undefined };
const [column, pair] = [
	design('column', '4 16 at 12 grey', '4 11 at 9 white x6'),
	design('pair', '2 11 at 9 white')
];
const item = (id: string, recipe = column, quantity = 1): QuoteItem => ({
	id,
	recipe,
	colourway: null,
	quantity
});
const items = [item('arch'), item('bunch', pair, 4), item('plain', pair), item('fancy', column, 2)];
const terms = (more: Partial<QuoteTerms>): QuoteTerms => ({
	...plainTerms(rates),
	tax: '77/10',
	deposit: '30',
	...more
});
const choosing: Offered = {
	levels: ['Good', 'Best'],
	about: {
		bunch: { addOn: true },
		plain: { group: 'topper' },
		fancy: { group: 'topper' },
		fee: { heading: 'besides', tax: '5' },
		lights: { levels: ['Best'] }
	},
	typed: [
		{ id: 'fee', label: 'design fee', quantity: 1, priceMinor: 4000, costMinor: null, material: null },
		{ id: 'lights', label: 'lights', quantity: 2, priceMinor: null, costMinor: 900, material: null }
	],
	order: ['fee', 'arch', 'plain', 'fancy', 'bunch', 'lights']
};
const frozenOf = (own: QuoteTerms): FrozenQuote => {
	const frozen = freeze({
		number: 7, clientName: 'Tidewick Library', eventDate: null, zone: 'UTC', terms: own,
		priced: priceQuote(items, own, context), offers: offersOf(items, own, context),
		settings: { ...demoSettings, rates }, catalogue: catalogue(materials, colours),
		sentAt: '2027-05-04T15:00:00Z', validUntil: '2027-05-18'
	}); // prettier-ignore
	if (!frozen) throw new Error('no price');
	return frozenQuoteSchema.parse(JSON.parse(JSON.stringify(frozen)));
};
const made = (frozen: FrozenQuote, choice: Partial<ClientChoice>): ChosenQuote => {
	const chosen = chosenOf(frozen, { ...NOTHING_CHOSEN, ...choice });
	if ('refused' in chosen) throw new Error(chosen.refused);
	return chosen;
};
const names = ({ lines }: ChosenQuote) => lines.map((l) => `${l.line.name} × ${l.line.quantity}`);

describe('what is on a quote as it is chosen', () => {
	const ids = choosing.order!;
	test('the first level, no add-on and the first of a group where nothing is chosen', () =>
		expect([...chosenIds(choosing, ids, plainSelection(choosing))]).toEqual(['fee', 'arch', 'plain']));
	test('ticked, picked, and of the other level', () =>
		expect([
			...chosenIds(choosing, ids, { level: 'Best', ticked: ['bunch'], picks: { topper: 'fancy' } })
		]).toEqual(['fee', 'arch', 'fancy', 'bunch', 'lights']));
	test('a pick of something else is the first; a group of one is no choice', () => {
		expect([...chosenIds(choosing, ids, { level: null, ticked: [], picks: { topper: 'arch' } })]).toContain(
			'plain'
		);
		expect(hasChoices({ about: { plain: { group: 'topper' } } }, ids)).toBe(false);
		expect(hasChoices(choosing, ids)).toBe(true);
	});
});

describe('a frozen quote with choices', () => {
	const own = terms(choosing);
	const frozen = frozenOf(own);
	test('none chosen is a state: of two levels one has to be chosen first', () =>
		expect(chosenOf(frozen, NOTHING_CHOSEN)).toEqual({ refused: 'Choose one of Good, Best first.' }));
	test('lines stand in their order, under their headings', () => {
		expect(names(made(frozen, { level: 'Good' }))).toEqual(['design fee × 1', 'column × 1', 'pair × 1']);
		expect(names(made(frozen, { level: 'Best', ticked: [4], picks: { topper: 3 } }))).toEqual([
			'design fee × 1', 'column × 1', 'column × 2', 'pair × 4', 'lights × 2'
		]); // prettier-ignore
		expect(frozen.lines[0]).toMatchObject({
			name: 'design fee',
			heading: 'besides',
			amount: { minor: 4000 }
		});
	});
	test.each(['Good', 'Best'])(
		'%s as it is, and with any one choice, costs to the cent what it was priced at',
		(level) => {
			for (const selection of [{}, { ticked: ['bunch'] }, { picks: { topper: 'fancy' } }]) {
				const price = priceQuote(items, own, context, undefined, {
					...plainSelection(own, level),
					...selection
				});
				const choice = {
					level,
					ticked: 'ticked' in selection ? [4] : [],
					picks: 'picks' in selection ? { topper: 3 } : {}
				};
				const chosen = made(frozen, choice as ClientChoice);
				expect(price.price).toMatchObject({
					net: chosen.net,
					tax: chosen.tax,
					total: chosen.total,
					deposit: chosen.deposit
				});
			}
		}
	);
	test('what is read sums to the total, whatever is chosen and however it is taxed (property)', () => {
		fc.assert(
			fc.property(
				fc.constantFrom('0', '77/10', '20'), fc.boolean(), fc.constantFrom(null, { kind: 'percent' as const, percent: '10' }),
				fc.constantFrom('Good', 'Best'), fc.boolean(), fc.boolean(),
				(tax, inclusive, discount, level, ticked, picked) => {
					const one = { ...frozenOf(terms({ ...choosing, tax, discount })), taxInclusive: inclusive };
					const chosen = made(one, { level, ticked: ticked ? [4] : [], picks: picked ? { topper: 3 } : {} });
					const said = chosen.lines.reduce((a, l) => a + l.amount.minor, 0) + chosen.delivery.minor - chosen.discount.minor;
					expect(said).toBe(inclusive ? chosen.total.minor : chosen.net.minor);
					expect(chosen.net.minor + chosen.tax.minor).toBe(chosen.total.minor);
				}
			),
			{ numRuns: 40 }
		); // prettier-ignore
	});
	test.each([
		[{ level: 'Finest' }, 'Choose one of'],
		[{ level: 'Good', ticked: [3] }, 'extras ticked'],
		[{ level: 'Good', ticked: [99] }, 'extras ticked'],
		[{ level: 'Good', picks: { topper: 1 } }, 'not on this offer'],
		[{ level: 'Good', picks: { base: 3 } }, 'not on this offer']
	])('%j is refused in words', (choice, say) =>
		expect(chosenOf(frozen, { ...NOTHING_CHOSEN, ...choice } as ClientChoice)).toEqual({ refused: expect.stringContaining(say) })
	); // prettier-ignore
	test('nothing of the owner’s is in it', () =>
		expect(JSON.stringify(frozen)).not.toMatch(/cost|margin|profit|hours|versionId/i));
});

describe('lines as they are typed', () => {
	const reading = { style: POINT, currency: 'USD' as const };
	const typed = (more: object) => [{ ...PLAIN_LINE, id: 'f', versionId: '', ...more }];
	test('read back as they were said', () => {
		const lines = [{ id: 'arch', versionId: 'd.1', colourwayId: null, sizeId: null, quantity: 2, way: null }];
		const offered: Offered = { ...choosing, order: ['fee', 'arch', 'lights'], about: { arch: { addOn: true, note: 'in gold', slots: { body: 'white', top: LEFT_OUT } }, lights: { levels: ['Best'], tax: '19/2' } } }; // prettier-ignore
		const raw = printLines(lines, offered, POINT);
		expect(raw.map((l) => l.id)).toEqual(['fee', 'arch', 'lights']);
		const again = readLines(raw, choosing.levels!, reading);
		expect(again).toEqual({ errors: {}, lines, offered });
		expect(quoteTermsSchema.parse(terms(offered))).toMatchObject(offered);
	});
	test.each([
		[{ price: '5' }, 'label f', 'What is it?'],
		[{ label: 'parking' }, 'price f', '0 where it is free'],
		[{ label: 'parking', price: 'lots' }, 'price f', ''],
		[{ label: 'parking', price: '5', stands: 'one of' }, 'group f', 'choice of'],
		[{ label: 'parking', price: '5', quantity: '0' }, 'quantity f', '']
	])('%j is asked about', (more, field, say) =>
		expect(readLines(typed(more), [], reading).errors).toEqual({ [field]: expect.stringContaining(say) })
	);
	test.each([
		['', []],
		['Good, Better , Best', ['Good', 'Better', 'Best']],
		['Good', expect.stringContaining('no choice')],
		['a,b,A', expect.stringContaining('one name')],
		['a,b,c,d,e,f', expect.stringContaining('At most 5')]
	])('levels “%s”', (text, found) => expect(readLevels(text)).toEqual(found));
});
