import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { settings as demoSettings } from '../../../../scripts/demo/settings.ts';
import { colours, design, materials, rates, studio } from '../../../../tests/kit/studio.ts';
import { catalogue } from '../materials/catalogue.ts';
import { NOTHING_CHOSEN, type ClientChoice, type Offered } from './choices.ts';
import { atSomeLevel, chosenOf } from './chosen.ts';
import { chosenLines, frozenIds } from './chosen-lines.ts';
import { freeze } from './freeze.ts';
import { isChoosing, offersOf } from './offers.ts';
import { plainTerms, priceQuote, type QuoteItem } from './quote.ts';

const context = { catalogue: studio, rates, library: () => undefined };
/** Each line says its own id, so that a frozen line is known by what it says. */
const item = (id: string): QuoteItem => ({
	id,
	recipe: design(id, '2 11 at 9 white'),
	colourway: null,
	quantity: 1
});
const IDS = ['a', 'b', 'c', 'd'];
const items = IDS.map(item);
const fee = (id: string) => ({
	id,
	label: id,
	quantity: 1,
	priceMinor: 4000,
	costMinor: null,
	material: null
});

const about = fc.record(
	{
		addOn: fc.constant(true as const),
		group: fc.constantFrom('x', 'y'),
		levels: fc.subarray(['Good', 'Best'], { minLength: 1 })
	},
	{ requiredKeys: [] }
);
const offered: fc.Arbitrary<Offered> = fc.record({
	levels: fc.constantFrom<string[]>([], ['Good', 'Best']),
	about: fc.dictionary(fc.constantFrom(...IDS, 'fee'), about),
	typed: fc.constant([fee('fee')]),
	order: fc.shuffledSubarray([...IDS, 'fee'])
});

const frozenOf = (terms: ReturnType<typeof plainTerms>) =>
	freeze({
		number: 7, clientName: 'Tidewick Library', eventDate: null, zone: 'UTC', terms,
		priced: priceQuote(items, terms, context),
		offers: isChoosing(items, terms) ? offersOf(items, terms, context) : undefined,
		settings: { ...demoSettings, rates }, catalogue: catalogue(materials, colours),
		sentAt: '2027-05-04T15:00:00Z', validUntil: '2027-05-18'
	}); // prettier-ignore

describe('the lines a client chose', () => {
	test('stand where they stand in what was frozen, whatever may be chosen of it', () => {
		fc.assert(
			fc.property(offered, (own) => {
				const terms = { ...plainTerms(rates), ...own };
				const frozen = frozenOf(terms);
				fc.pre(frozen !== undefined);
				expect(frozenIds(terms, IDS)).toEqual(frozen!.lines.map((l) => l.name));
			}),
			{ numRuns: 60 }
		);
	});
	test('are the lines that are paid for, whatever is ticked and picked', () => {
		fc.assert(
			fc.property(offered, fc.array(fc.nat(5), { maxLength: 3 }), fc.nat(5), (own, ticked, pick) => {
				const terms = { ...plainTerms(rates), ...own };
				const frozen = frozenOf(terms);
				fc.pre(frozen !== undefined);
				const level = own.levels!.at(-1) ?? null;
				const choice: ClientChoice = { level, ticked, picks: { x: pick } };
				for (const one of [choice, { ...choice, picks: {} }, { ...choice, ticked: [] }, { ...NOTHING_CHOSEN, level }, atSomeLevel(frozen!)]) {
					const chosen = chosenOf(frozen!, one);
					if ('refused' in chosen) continue;
					expect([...chosenLines(terms, IDS, one)].sort()).toEqual(chosen.lines.map((l) => l.line.name).sort());
				}
			}),
			{ numRuns: 60 }
		);
	}); // prettier-ignore
});
