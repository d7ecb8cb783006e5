import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { tally } from '../tally/tally.ts';
import { compare, longestCommon } from './compare.ts';
import type { Recipe } from './recipe.ts';

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
			['second', '4 × 11 at 9 white ×6'],
			['second', '1 × 11 at 10 red']
		]);
		expect(found.materials).toEqual([
			{ label: '11 rounds, gull white', first: 16, second: 24 },
			{ label: '11 rounds, hive gold', first: 1, second: 0 },
			{ label: '11 rounds, buoy red', first: 0, second: 1 }
		]);
		expect(found.cost.minor).toBe(second.tally.cost.total.known.minor - first.tally.cost.total.known.minor);
		expect(found.seconds).toBeGreaterThan(0);
	});
	test('a version against itself differs in nothing; the other way round every sign turns', () => {
		const same = compare(first, first);
		expect([same.materials, same.cost.minor, same.seconds, same.price!.minor]).toEqual([[], 0, 0, 0]);
		expect(compare(second, first).cost.minor).toBe(-compare(first, second).cost.minor);
	});
});
