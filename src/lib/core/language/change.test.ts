import { describe, expect, test } from 'vitest';
import { Desk } from '../../../../tests/sayings/read.ts';
import { parseEntry } from './read.ts';
import { partsInHand } from './sentences/parts.ts';
import { applyLines, readLine } from './plain/read-line.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { stackIn } from '../structures/stack/edit.ts';

const deskWith = (...lines: string[]) => {
	const desk = new Desk();
	for (const line of lines) if (!desk.say(line)) throw new Error(line);
	return desk;
};
const refusal = (desk: Desk, line: string) => {
	const read = parseEntry(line, desk.context);
	return read.ok ? 'read' : read.say;
};

describe('a row becomes another', () => {
	test('of each kind that has parts, in its place and with its id', () => {
		for (const [before, change, after] of [
			[['4 11 at 9 white', '4 11 at 9 red'], 'row 1 becomes 6 11 at 8 blue', ['6 11 at 8 blue', '4 11 at 9 red']],
			[['bunch b', '3 11 at 9 white in helium'], 'last becomes 5 11 at 9 white in helium', ['bunch b', '5 11 at 9 white in helium']],
			[['run g', 'line 8 ft', '60 % 5 at 4 of white', '40 % 11 at 9 of red'], 'row 2 becomes 40 % 11 at 8 of red', ['run g', 'line 8 ft', '60 % 5 at 4 of white', '40 % 11 at 8 of red']]
		] as const) {
			const desk = deskWith(...before);
			const parts = () => partsInHand(desk.context).map((p) => p.id);
			const ids = parts();
			expect(desk.say(change)).toBe(true);
			expect(desk.said).toBe(deskWith(...after).said);
			expect(parts()).toEqual(ids);
		}
	}); // prettier-ignore
	test('only another of its kind; a row that is not there is refused with how many there are', () => {
		const desk = deskWith('4 11 at 9 white');
		expect(refusal(desk, 'row 1 becomes pole 7 ft')).toMatch(/another of its kind/);
		expect(refusal(desk, 'row 3 becomes 4 11 at 9 white')).toBe('There is 1 row here: there is no row 3.');
		expect(refusal(desk, 'row 1 becomes 4 11 at 9 nonsense')).toMatch(/nonsense/);
		expect(refusal(desk, 'blue becomes red')).toMatch(/Nothing here is blue/);
		const mix = deskWith('run g', 'line 8 ft', '60 % 5 at 4 of white');
		expect(refusal(mix, 'row 1 becomes 4 5 at 4 white')).toMatch(/another of its kind/);
	});
	test('a colour becomes another in all of it, and its slot is called so where that was its name', () => {
		const desk = deskWith('4 11 at 9 white', '4 11 at 9 white / red', 'white becomes blue');
		expect(desk.said).toBe(deskWith('4 11 at 9 blue', '4 11 at 9 blue / red').said);
	});
	test('a section said again with its place stands there, but not by what stands by it', () => {
		const desk = deskWith('4 11 at 9 white', 'section arm', '4 5 at 4 white');
		expect(desk.say('section arm x2 mirrored left of column')).toBe(true);
		expect(desk.recipe.sections[1]).toMatchObject({ times: 2, mirror: true, stand: { how: 'left' } });
		expect(refusal(desk, 'section column on arm')).toMatch(/cannot stand by what stands by it/);
	});
	test('a bare colour or number is the beginning of a row, never a change of the one in hand', () => {
		const desk = deskWith('4 11 at 9 white');
		for (const text of ['red', '6', 'gold', 'sand', 'gull white'])
			expect([text, readLine(text, desk.context).parsed.ok]).toEqual([text, false]);
	});
});

describe('several changes at once', () => {
	test('each is read of what stands there by then: a row that came since is counted', () => {
		const desk = deskWith('4 16 at 13 grey', '6 11 at 9 white');
		const draft = structuredClone(desk.recipe) as RecipeDraft;
		const lines = ['row 1 becomes 4 16 at 12 grey', '4 11 at 9 white', 'top row becomes 4 11 at 8 white'];
		expect(applyLines(draft, lines, desk.context, { section: draft.sections[0]!.id }, () => 'new').ok).toBe(true);
		expect(stackIn(draft as Recipe)!.layers.map((l) => l.clusters[0]!.places.length)).toEqual([4, 6, 4]);
		expect(stackIn(draft as Recipe)!.layers[2]!.clusters[0]!.places[0]!.size).toMatchObject({ um: 203_200 });
	});
	test('a place that is said and not understood is not passed over', () => {
		const desk = deskWith('4 16 at 13 grey', '4 11 at 9 white');
		for (const text of ['4 red 5s at 4 behind the top row', '4 red 5s at 4 below that', '4 red 5s at 4 under the base', '4 red 5s at 4 between them'])
			expect([text, readLine(text, desk.context).parsed.ok]).toEqual([text, false]);
	});
}); // prettier-ignore
