import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { counter, design, rates, studio } from '../../../../tests/kit/studio.ts';
import { rational } from '../units/rational.ts';
import { asCounted } from './as-counted.ts';
import { newSection } from '../recipe/build.ts';
import { designUse } from '../structures/design/empty.ts';
import { countLines } from './count-lines.ts';
import { stackIn } from '../structures/stack/edit.ts';
import { printLayer } from '../structures/stack/print.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import type { Recipe } from '../recipe/recipe.ts';

const context = { catalogue: studio, rates, library: () => undefined };
const ONCE = { colourway: null, size: null, quantity: 1 };
const lines = (recipe: Recipe) => countLines(recipe, ONCE, context);
const counts = (recipe: Recipe) =>
	Object.fromEntries(lines(recipe).map((l) => [l.label, l.recipe.valueOf()]));
/** Counts back by labels: what is not named was as the recipe says. */
function count(recipe: Recipe, took: Record<string, number>) {
	const byLabel = new Map(lines(recipe).map((l) => [l.label, l.key]));
	const keys = new Map(Object.entries(took).map(([label, n]) => [byLabel.get(label)!, n]));
	const done = asCounted(recipe, { colourway: null, counts: keys }, context, counter('new'));
	return { ...done, recipe: recipeSchema.parse(JSON.parse(JSON.stringify(done.recipe))) };
}
const rows = (recipe: Recipe) => stackIn(recipe)!.layers.map((l) => printLayer(l, recipe.slots));
const column = design(
	'column',
	'4 16 at 13 grey',
	'4 11 at 10 white x6',
	'4 11 at 10 white / red',
	'1 fairy lights'
);

describe('what a design takes, to be counted', () => {
	test('balloons by bag, inflated size and colour over all rows, then other things; spares are no part of it', () => {
		expect(counts(column)).toEqual({
			'16 at 13, limpet grey': 4,
			'11 at 10, gull white': 26,
			'11 at 10, buoy red': 2,
			'patch': 4,
			'fairy lights': 1
		}); // prettier-ignore
	});
});

describe('a recipe as it was counted', () => {
	test('a layer more is a layer more', () => {
		const { recipe, left } = count(column, { '11 at 10, gull white': 30 });
		expect(rows(recipe)).toEqual(['4 × 16 at 13 grey', '4 × 11 at 10 white ×7', '4 × 11 at 10 white / red']);
		expect(left).toEqual([]);
	});
	test('a layer of two colours goes when both colours say so', () => {
		const { recipe, left } = count(column, { '11 at 10, gull white': 24, '11 at 10, buoy red': 0 });
		expect(rows(recipe)).toEqual(['4 × 16 at 13 grey', '4 × 11 at 10 white ×6']);
		expect(left).toEqual([]);
	});
	test('one balloon less comes out of the topmost layer that has it, one more is tucked in there', () => {
		const less = count(column, { '16 at 13, limpet grey': 3 });
		expect(rows(less.recipe)[0]).toBe('3 × 16 at 13 grey');
		const more = count(column, { '11 at 10, buoy red': 5 });
		expect(counts(more.recipe)['11 at 10, buoy red']).toBe(5);
		const [piece] = more.recipe.sections.flatMap((s) =>
			s.structure.kind === 'applied' ? s.structure.pieces : []
		);
		expect(piece).toMatchObject({
			name: 'infill',
			fixing: 'tucked',
			on: [{ count: 3, host: { side: 'all' } }]
		});
		expect([less.left, more.left]).toEqual([[], []]);
	});
	test('lines take their count; none of it takes the line out; what follows by a rule is said, not changed', () => {
		const { recipe, left } = count(column, { 'fairy lights': 2, patch: 3 });
		expect(counts(recipe)).toMatchObject({ 'fairy lights': 2, patch: 4 });
		expect(left).toEqual(['patch: counted 3, the recipe says 4. Change it by hand.']);
		expect(counts(count(column, { 'fairy lights': 0 }).recipe)).not.toHaveProperty('fairy lights');
		expect(counts(count(column, { patch: 6 }).recipe).patch).toBe(6);
	});
	test('counted in another colourway the rows change, and the colourways keep their order', () => {
		const [day] = column.colourways;
		const night = { ...day!, id: 'night', name: 'night', fills: { ...day!.fills } };
		for (const slot of column.slots)
			if (slot.name === 'white') night.fills = { ...night.fills, [slot.id]: 'gold' };
		const two = { ...column, colourways: [day!, night] };
		const choice = { ...ONCE, colourway: 'night' };
		const gold = countLines(two, choice, context).find((l) => l.label === '11 at 10, hive gold matte')!;
		const counts = new Map([[gold.key, 22]]);
		const { recipe, left } = asCounted(two, { colourway: 'night', counts }, context, counter('new'));
		expect([rows(recipe)[1], left]).toEqual(['4 × 11 at 10 white ×5', []]);
		expect(recipe.colourways.map((c) => c.name)).toEqual([day!.name, 'night']);
	});
	test('what a design inside takes stays with that design', () => {
		const inner = design('inner', '4 11 at 10 white');
		const use = { ...newSection('use', 'inner', designUse('inner')), times: 2 };
		const outer = { ...column, sections: [...column.sections, use] };
		const own = { ...context, library: (id: string) => (id === 'inner' ? inner : undefined) };
		const white = countLines(outer, ONCE, own).find((l) => l.label === '11 at 10, gull white')!;
		expect([white.recipe.valueOf(), white.inside.valueOf()]).toEqual([34, 8]);
		const done = asCounted(
			outer,
			{ colourway: null, counts: new Map([[white.key, 38]]) },
			own,
			counter('new')
		);
		expect(rows(done.recipe)[1]).toBe('4 × 11 at 10 white ×7');
		expect(done.recipe.sections.at(-1)).toEqual(use);
	});
	test('whatever is counted of balloons, the recipe then says it, and is one (property)', () => {
		const balloons = lines(column).filter((l) => l.what === 'balloon');
		const took = fc.tuple(...balloons.map((l) => fc.integer({ min: 0, max: l.recipe.valueOf() + 9 })));
		fc.assert(
			fc.property(took, (numbers) => {
				fc.pre(numbers.some((n) => n > 0));
				const keys = new Map(balloons.map((l, i) => [l.key, numbers[i]!]));
				const { recipe, left } = asCounted(
					column,
					{ colourway: null, counts: keys },
					context,
					counter('new')
				);
				const after = new Map(
					lines(recipeSchema.parse(JSON.parse(JSON.stringify(recipe)))).map((l) => [l.key, l.recipe])
				);
				const wrong = [...keys].filter(([key, n]) => !(after.get(key) ?? rational(0)).equals(n));
				// A colour that is gone from every row has nowhere to be tucked in: that is said.
				expect(left).toHaveLength(wrong.length);
				expect(wrong).toEqual([]);
			}),
			{ numRuns: 60 }
		);
	});
});

test('a garland whose length was open is as long as it was counted, and known from then on', () => {
	const open = design('garland', 'run garland', 'line 8 to 12 ft', '4 11 at 10 white');
	const label = '11 at 10, gull white';
	const { recipe, left } = count(open, { [label]: counts(open)[label]! + 8 });
	expect(counts(recipe)[label]).toBe(counts(open)[label]! + 8);
	expect(left).toEqual([]);
	const run = recipe.sections[0]!.structure;
	expect(run).toMatchObject({ kind: 'run', path: { kind: 'line' } });
	expect(run).not.toHaveProperty('open');
});

test('clusters of a known length are as many as were counted', () => {
	const known = design('garland', 'run garland', 'line 10 ft', '4 11 at 10 white');
	const label = '11 at 10, gull white';
	const { recipe } = count(known, { [label]: counts(known)[label]! - 12 });
	expect(counts(recipe)[label]).toBe(counts(known)[label]! - 12);
	expect(recipe.sections[0]!.structure).toMatchObject({ path: { kind: 'line', length: 3_048_000 } });
});
