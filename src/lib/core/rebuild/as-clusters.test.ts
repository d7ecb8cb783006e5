import { describe, expect, test } from 'vitest';
import { catalogueOf, counter, design, rates, studio } from '../../../../tests/kit/studio.ts';
import { tally } from '../tally/tally.ts';
import { ringWidth } from '../geometry/ring.ts';
import { asClusters } from './as-clusters.ts';
import { stackIn } from '../structures/stack/edit.ts';
import { printLayer } from '../structures/stack/print.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import type { Recipe } from '../recipe/recipe.ts';

const context = { catalogue: studio, pumps: [] };
const rows = (recipe: Recipe) => stackIn(recipe)!.layers.map((l) => printLayer(l, recipe.slots));
const as = (recipe: Recipe, count: 3 | 4 | 5 | 6) => asClusters(recipe, count, context, counter('new'));

describe('the same silhouette with other clusters', () => {
	const column = design(
		'column',
		'4 11 at 10 white x6',
		'3 11 at 9 white with 1 5 at 4 white',
		'1 11 at 10 red'
	);
	test('quads of 10 in are 24.14 in wide; six balls of 8.05 in are as wide, by hand; a sizer holds eighths', () => {
		// 10/sin 45° + 10 = 24.142; 24.142 / (1 + 1/sin 30°) = 8.047, so 8 in.
		const { recipe, changed, left } = as(column, 6);
		expect(rows(recipe)[0]).toMatch(/^6 × 11 at 8 white ×/);
		expect([changed, left]).toEqual([1, 2]);
		expect(Math.abs(ringWidth(6, 8) - ringWidth(4, 10))).toBeLessThan(0.15);
		expect(rows(recipe).slice(1)).toEqual(rows(column).slice(1));
	});
	test('as high as it was, to the nearest layer: 6 quads rise 6 × 8.41 in, six-packs of 8 in 6.85 in each, by hand', () => {
		// Published antiprism rises .841 and .856 of the diameter: 50.46 / 6.848 = 7.4, so 7 layers.
		expect(rows(as(column, 6).recipe)[0]).toBe('6 × 11 at 8 white ×7');
	});
	test('what a row is short of, the next makes up: single layers do not shrink the whole', () => {
		const many = design(
			'many',
			...Array.from({ length: 8 }, (_, i) => `4 11 at 10 ${i % 2 ? 'white' : 'red'}`)
		);
		const made = as(many, 6).recipe;
		// 8 × 8.41 in = 67.3 in are 9.8 six-packs.
		expect(stackIn(made)!.layers.reduce((a, l) => a + l.repeat, 0)).toBe(10);
		const heights = [many, made].map(
			(r) => tally(r, null, 1, { catalogue: studio, rates, library: () => undefined }).assembly.overall.usual
		);
		expect(Math.abs(heights[0]! - heights[1]!)).toBeLessThan(6.85 * 25.4);
	});
	test('the bag stays while the fill is usual; else it is one of the Stockroom, or where none holds it the nearest there is', () => {
		expect(rows(as(design('r', '6 11 at 8 red'), 4).recipe)[0]).toMatch(/^4 × 11 at 10 red/);
		expect(rows(as(design('b', '6 16 at 13 grey'), 4).recipe)[0]).toMatch(/^4 × 18 at 16⅛ grey/);
		expect(rows(as(design('o', '6 11 at 9 red'), 4).recipe)[0]).toMatch(/^4 × 16 at 11⅛ red/);
		expect(rows(as(design('w', '4 5 at 4 white'), 6).recipe)[0]).toMatch(/^6 × 5 at 3¼ white/);
	});
	test('there and back is as wide as before, and the recipe is one', () => {
		const there = as(column, 6).recipe;
		const back = as(there, 4).recipe;
		expect(rows(back)[0]).toMatch(/^4 × 11 at 10 white/);
		expect(recipeSchema.parse(JSON.parse(JSON.stringify(back)))).toEqual(back);
		expect(as(column, 4).recipe).toEqual(column);
	});
});

test('what would be limp in its bag goes to the one it fills most like before', () => {
	// 6.6 × 2.155 / 3 = 4.74 in: in a 9 it is 53 % as wide as the bag, near the 60 % it was; in a 5 it would be 95 %.
	const column = design('column', '3 11 at 6.6 white x3');
	const { recipe } = asClusters(column, 6, { catalogue: catalogueOf([], []), pumps: [] }, counter('new'));
	expect(rows(recipe)[0]).toMatch(/^6 × 9 at 4¾ white/);
});
