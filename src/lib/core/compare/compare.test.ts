import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { tally } from '../tally/tally.ts';
import { sayRecipe } from './say-recipe.ts';
import { compare, longestCommon } from './compare.ts';
import type { Recipe } from '../recipe/recipe.ts';

const worked = (recipe: Recipe) => ({
	recipe,
	tally: tally(recipe, null, 1, { catalogue: studio, rates, library: () => undefined })
});
const marks = (first: string[], second: string[]) =>
	longestCommon(first, second).map(
		({ text, where }) => ({ both: ' ', first: '−', second: '+' })[where] + text
	);

describe('two lists side by side', () => {
	test('the textbook pair ABCBDAB and BDCABA share four (Cormen et al., from memory)', () => {
		const common = longestCommon([...'ABCBDAB'], [...'BDCABA']).filter((l) => l.where === 'both');
		expect(common).toHaveLength(4);
	});
	test('a line changed is one gone and one come, in its place', () =>
		expect(marks(['floor', 'middle', 'top'], ['floor', 'waist', 'top'])).toEqual([
			' floor',
			'−middle',
			'+waist',
			' top'
		]));
	test('nothing is lost, and each list reads in its own order', () => {
		const list = fc.array(fc.constantFrom('a', 'b', 'c', 'd'), { maxLength: 12 });
		fc.assert(
			fc.property(list, list, (first, second) => {
				const merged = longestCommon(first, second);
				expect(merged.filter((l) => l.where !== 'second').map((l) => l.text)).toEqual(first);
				expect(merged.filter((l) => l.where !== 'first').map((l) => l.text)).toEqual(second);
			})
		);
	});
});

describe('two versions of a design', () => {
	const first = worked(design('column', '4 16 at 13 grey', '4 11 at 9 white x4', '1 11 at 10 gold'));
	const second = worked(design('column', '4 16 at 13 grey', '4 11 at 9 white x6', '1 11 at 10 red'));
	test('rows, materials and what they come to, by hand', () => {
		const found = compare(first, second);
		expect(found.lines.map((l) => [l.where, l.text])).toEqual([
			['both', '4 × 16 at 13 grey'],
			['first', '4 × 11 at 9 white ×4'],
			['first', '1 × 11 at 10 gold'],
			['first', 'colours first colours: grey grey, white white, gold gold'],
			['second', '4 × 11 at 9 white ×6'],
			['second', '1 × 11 at 10 red'],
			['second', 'colours first colours: grey grey, white white, red red']
		]);
		expect(found.materials).toEqual([
			{ label: '11 rounds, gull white', first: 16, second: 24 },
			{ label: '11 rounds, hive gold matte', first: 1, second: 0 },
			{ label: '11 rounds, buoy red', first: 0, second: 1 }
		]);
		expect(found.cost.minor).toBe(second.tally.cost.total.known.minor - first.tally.cost.total.known.minor);
		expect(found.seconds).toBeGreaterThan(0);
	});
	test('a longer pole and another place of a section are differences', () => {
		const lines = ['4 11 at 9 white x4', 'pole 7 ft', 'section arm left of column at 4 ft', '4 5 at 4 white'];
		const before = worked(design('figure', ...lines));
		const texts = (where: string, changed: readonly string[]) =>
			compare(before, worked(design('figure', ...changed)))
				.lines.filter((l) => l.where === where)
				.map((l) => l.text);
		const pole = lines.map((l) => l.replace('7 ft', '8 ft'));
		expect(texts('second', pole)).toEqual(['pole 8′ 0″, tied 2 in over the top']);
		const place = lines.map((l) => l.replace('left of column at 4 ft', 'right of column at 5 ft'));
		expect(texts('first', place)).toEqual(['arm left of column at 4′ 0″']);
		expect(texts('second', place)).toEqual(['arm right of column at 5′ 0″']);
	});
	test('a version against itself differs in nothing; the other way round every sign turns', () => {
		const same = compare(first, first);
		expect([same.materials, same.cost.minor, same.seconds, same.price!.minor]).toEqual([[], 0, 0, 0]);
		expect(compare(second, first).cost.minor).toBe(-compare(first, second).cost.minor);
	});
	test('pieces, lines, sizes, rules and colours are lines of it too, by their names', () => {
		const rich = design(
			'rich',
			'4 11 at 9 white',
			'put 2 5 at 4 red as eyes on row 1 front with glue',
			'put 1 foil star on row 1 front, 2 on row 1 back',
			'2 to 3 fairy lights optional',
			'size tall 6 ft scaled',
			'each strip takes 2 patch',
			'leave out red'
		);
		expect(sayRecipe(rich, (id) => id.toUpperCase())).toEqual([
			'4 × 11 at 9 white',
			'put 5 at 4 red as eyes, 2 on column row 1 front with glue',
			'put FOIL STAR (18 in flat) as foil star, 1 on column row 1 front, 2 on column row 1 back with strip',
			'2 to 3 × FAIRY LIGHTS optional, not taken',
			'size tall 6′ 0″ scaled',
			'each strip takes 2 PATCH',
			'colours first colours: white WHITE, red left out'
		]);
		const plain = { recipe: design('rich', '4 11 at 9 white'), tally: first.tally };
		const found = compare(plain, { recipe: rich, tally: second.tally });
		expect(found.lines.filter((l) => l.where === 'both').map((l) => l.text)).toEqual(['4 × 11 at 9 white']);
	});
});
