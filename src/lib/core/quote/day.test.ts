import { describe, expect, test } from 'vitest';
import {
	colours,
	design,
	designOf,
	floating,
	materials,
	rates,
	studio
} from '../../../../tests/kit/studio.ts';
import { catalogue } from '../materials/catalogue.ts';
import { PLAIN_MATERIAL } from '../materials/material.ts';
import { tally } from '../tally/tally.ts';
import { dayNotes, outdoorNotes, type DayLine } from './day.ts';
import type { QuoteClimate } from './climate.ts';

const context = { catalogue: studio, rates, library: () => undefined };
const C = 273.15;
function quoted(...lines: string[]): DayLine[] {
	const recipe = design('column', ...lines);
	const worked = tally(recipe, null, 1, context);
	const item = { id: 'l', recipe, colourway: null, quantity: 1 };
	return [{ item, tally: worked }];
}
const notes = (lines: DayLine[], climate: Partial<QuoteClimate>) =>
	dayNotes(lines, { here: 20 + C, there: 20 + C, sun: 'shade', height: 0, ...climate }, context);

describe('what the day does to a quote', () => {
	test('a full eleven in the sun passes its bag: it is said what it becomes and what to size it to', () => {
		const [note] = notes(quoted('4 11 at 10¾ white'), { there: 35 + C, sun: 'dark' });
		// (333.15 / 293.15)^⅓ = 1.0435: 10.75 becomes 11.22, and 11 / 1.0435 is 10.54.
		expect(note).toEqual({
			level: 'bad',
			say: 'column: 11 at 10¾, gull white becomes 11¼ in there and may burst. Size it to 10½ or less.'
		});
	});
	test('cold makes it look soft, once for all sizes of a design, and it comes back', () => {
		const found = notes(quoted('4 11 at 10 white', '4 11 at 9 red'), { there: -5 + C });
		expect(found).toHaveLength(1);
		expect(found[0]).toMatchObject({ level: 'watch' });
		expect(found[0]!.say).toContain('11 at 10, 11 at 9 2.9 % smaller. It comes back');
	});
	test('what may be made the day before is kept warm overnight: a cube root of the air that is left', () => {
		const lines = quoted('4 11 at 9 white', 'section arm', '4 5 at 4 white', 'arm made 1 days before');
		const found = notes(lines, {}).map((n) => n.say);
		// (278.15 / 293.15)^⅓ = 0.9827.
		expect(found).toEqual([expect.stringMatching(/arm may be made before the day\. .*1\.7 % smaller/)]);
	});
	test('foils are filled less where it is warm or high, and nothing is said of a mild day', () => {
		const star = quoted('1 11 at 9 white', 'put 1 foil star as star on row 1 front with tie');
		expect(notes(star, { height: 2000 }).some((n) => /fill its foils to 78\.5 % of taut/.test(n.say))).toBe(
			true
		);
		const mild = notes(quoted('4 11 at 9 white'), { there: 24 + C });
		expect(mild).toEqual([{ level: 'good', say: expect.stringContaining('+1.4 % of air') }]);
	});
	test('a foil has room for 2 % more: nothing is said of +1.9 %, something of +2.1 %', () => {
		const star = quoted('1 11 at 9 white', 'put 1 foil star as star on row 1 front with tie');
		// By the gas law: 293.15 K × 1.019 is 25.57 °C, × 1.021 is 26.16 °C.
		const says = (there: number) => notes(star, { there: there + C }).some((n) => n.say.includes('foils'));
		expect([says(25.57), says(26.16)]).toEqual([false, true]);
	});
	test('of a size nobody said nothing is known', () => {
		expect(notes(quoted('4 11 white'), { there: 45 + C, sun: 'dark' })).toMatchObject([{ level: 'good' }]);
	});
	test('a bunch that floats here may sink high up, where it is said what to do', () => {
		const recipe = designOf(floating, 'moons', [
			'bunch moons',
			'weight sack',
			'1 moon foil in helium on 4 ft ribbon'
		]);
		const there = { ...context, catalogue: catalogue(floating, colours) };
		const worked = tally(recipe, null, 1, there);
		const lines = [{ item: { id: 'l', recipe, colourway: null, quantity: 1 }, tally: worked }]; // prettier-ignore
		const at = (height: number) =>
			dayNotes(lines, { here: 20 + C, there: 20 + C, sun: 'shade', height }, there);
		expect(at(0).filter((n) => n.level === 'bad')).toEqual([]);
		expect(at(3500)[0]).toEqual({
			level: 'bad',
			say: expect.stringMatching(/^moons: moons sinks there, \d g of lift for 10 g\. Take something off/)
		});
		expect(outdoorNotes(lines).map((n) => n.say)).toEqual([expect.stringMatching(/never let one go/)]);
	});
	test('a base that is made for indoors is spoken of on grass, and not where it belongs', () => {
		const made = { ...PLAIN_MATERIAL, id: 'plate', kind: 'base' as const, name: 'steel plate', packs: [], facts: { ground: 'indoors' as const } }; // prettier-ignore
		const recipe = designOf([...materials, made], 'column', ['4 11 at 9 white x2', '1 steel plate']);
		const worked = tally(recipe, null, 1, {
			...context,
			catalogue: catalogue([...materials, made], colours)
		});
		const on = (ground: 'grass' | 'indoors') => outdoorNotes([{ item: { id: 'l', recipe, colourway: null, quantity: 1, ground }, tally: worked }]).map((n) => n.say); // prettier-ignore
		expect(on('grass')).toEqual([expect.stringMatching(/steel plate is made for indoors, and it will stand on grass/)]); // prettier-ignore
		expect(on('indoors')).toEqual([]);
	});
	test('a topper that is tied further down is held by more than the top', () => {
		const rows = ['4 11 at 9 white x2', '4 11 at 8 white', '4 11 at 7 white'];
		const tied = (words: string) => outdoorNotes(quoted(...rows, `section hat on column tied with fairy lights${words}`, '1 16 at 12 grey')); // prettier-ignore
		expect(tied('').map((n) => n.say)).toEqual([expect.stringContaining('stands on the top layer alone')]);
		expect(tied(' down to row 1')).toEqual([]);
	});
	test('outdoors a topper that only the top layer holds is tied lower down', () => {
		const figure = quoted(
			'4 11 at 9 white x2',
			'4 11 at 8 white',
			'4 11 at 7 white',
			'section hat on column',
			'1 16 at 12 grey'
		);
		expect(outdoorNotes(figure).map((n) => n.say)).toEqual([
			'column: hat stands on the top layer alone. Where it is windy tie it two or three layers down.'
		]);
		expect(outdoorNotes(quoted('4 11 at 9 white x5'))).toEqual([]);
		const sail = quoted('4 11 at 9 white x3', 'letters T at 34 of gold');
		expect(outdoorNotes(sail).map((n) => n.say)).toEqual([expect.stringMatching(/is a sail outdoors/)]);
		// On a post of its own a hoop is a sail: said at which gust, and what holds it.
		const hoop = quoted('frame orbit', 'hoop 5 ft foot 2 ft', 'run ring', 'along orbit', '4 11 at 9 white');
		// What it is staked with holds on grass alone.
		const guyed = quoted(
			'frame mast',
			'post 8 ft on plate 30 in',
			'guyed 4 at 6 ft out 5 ft',
			'section column over mast',
			'4 11 at 9 white x8'
		);
		const on = (ground: 'grass' | 'paving') => outdoorNotes(guyed.map((l) => ({ ...l, item: { ...l.item, ground } })), 11.176).length; // prettier-ignore
		expect([on('grass'), on('paving')]).toEqual([0, 1]);
		// The gusts of the day itself: a light breeze leaves it standing.
		expect(outdoorNotes(hoop, 1)).toEqual([]);
		expect(outdoorNotes(hoop, 11.176)[0]!.say).toContain('for gusts of 25 mph');
		expect(outdoorNotes(hoop).map((n) => n.say)).toEqual([
			expect.stringMatching(
				/^column begins to tip or slide at gusts of \d+ mph\. Put \d+ lb on its foot, or give it a wider one, for gusts of 20 mph/
			)
		]);
	});
});
