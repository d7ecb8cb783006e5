import { copyPart, repeatPart } from '../recipe/edit-parts.ts';
import { newLine } from '../structures/extras/empty.ts';
import { describe, expect, test } from 'vitest';
import { counter, design, rates, studio } from '../../../../tests/kit/studio.ts';
import { formatHours } from '../labour/standards.ts';
import { formatAmount } from '../money/money.ts';
import { addExtra } from '../recipe/edit-parts.ts';
import { moveLayer, orderLayers, removeLayer, resizeLayer, stackIn } from '../structures/stack/edit.ts';
import { type RecipeDraft } from '../recipe/draft.ts';
import { printLayer } from '../structures/stack/print.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { toHeight } from '../recipe/to-height.ts';
import { drawAssembly } from '../scene/draw-list.ts';
import { shade } from '../scene/shade.ts';
import { inches } from '../units/length.ts';
import { tally } from './tally.ts';

const context = { catalogue: studio, rates, library: () => undefined };
const column = design('column', '4 16 at 13 grey', '4 11 at 9 white x6', '1 11 at 10 gold');
const count = (recipe: Recipe, quantity = 1) => tally(recipe, null, quantity, context);
const rows = (recipe: Recipe) => stackIn(recipe)!.layers.map((l) => printLayer(l, recipe.slots));
const edited = (change: (draft: RecipeDraft) => unknown) => {
	const copy = structuredClone(column) as RecipeDraft;
	change(copy);
	return copy as Recipe;
};
const ids = stackIn(column)!.layers.map((l) => l.id);

describe('cost, worked by hand', () => {
	const result = count(column);
	test('materials: 4 × 0.50 + 24 × 0.17 + 1 × 0.20 + 4 patches × 0.02', () => {
		expect(result.cost.materials.map((l) => l.amount && formatAmount(l.amount))).toEqual([
			'2.00',
			'4.08',
			'0.20',
			'0.08'
		]);
		expect(formatAmount(result.cost.materialsTotal.known)).toBe('6.36');
	});
	test('labour: every task by its standard', () => {
		// inflate 4 × 12 + 40 and 4 × 19 L at 0.06, 25 × 15 + 2 × 40, tie 29 × 6; cluster 7 × 22, attach 7 × 30, patch 4 × 12;
		// four and a half feet: carry in 150, stand up 120, level 60, strike 120
		const seconds = { 'inflate and size': 88 + 4.56 + 455 + 174, build: 154 + 210 + 48, 'at the place': 450 };
		expect(Object.fromEntries(result.cost.labour.map((l) => [l.group, l.seconds.valueOf()]))).toEqual(
			seconds
		);
		expect(formatAmount(result.cost.labourTotal)).toBe('7.92'); // 1583.56 s at 18.00 an hour: 3.61 + 2.06 + 2.25
		expect(formatAmount(result.cost.overhead)).toBe('3.96');
	});
	test('the total is the sum of its lines, and the price meets the margin', () => {
		expect(formatAmount(result.cost.total.known)).toBe('18.24');
		expect(result.price).toMatchObject({ status: 'priced', net: { minor: 3648 } });
	});
	test('what is got off list prices and a tax that stays are in every line: 10 % off and 8 % on it', () => {
		const purchases = { discount: '10', tax: '8' };
		const own = tally(column, null, 1, { ...context, rates: { ...rates, purchases } });
		// 2.00, 4.08, 0.20 and 0.08, each × 0.972.
		expect(own.cost.materials.map((l) => l.amount?.minor)).toEqual([194, 397, 19, 8]);
		expect(own.cost.otherCounting.known.minor).toBe(2430 + 1652 + 972 + 389);
		expect(own.cost.materials[0]!.parts.at(-1)!.label).toBe('10 % off for you, 8 % tax you pay on it');
	});
	test('whole bags opened: both ways shown, one chosen', () => {
		expect(formatAmount(result.cost.otherCounting.known)).toBe('56.00'); // 25 + 17 + 10 + 4
		const bags = tally(column, null, 1, { ...context, rates: { ...rates, counting: 'bag' } });
		expect(formatAmount(bags.cost.materialsTotal.known)).toBe('56.00');
	});
	test('an unknown cost stays unknown and marks every total it touches', () => {
		const odd = design('odd', '4 16 at 13 red', '4 11 at 9 white');
		const { cost, findings } = count(odd);
		expect(cost.materials[0]!.amount).toBeUndefined();
		expect(cost.total.unknown).toEqual(['16 rounds, buoy red']);
		expect(findings.map((f) => f.code)).toContain('unknown-cost');
	});
	test('a stand that comes back costs a share a use: (90 − 10) / 40 + 0.10', () => {
		const stood = structuredClone(column) as RecipeDraft;
		const structure = stood.sections[0]!.structure;
		if (structure.kind === 'stack')
			Object.assign(structure.upright, { kind: 'pole', material: 'stand', length: inches(84) });
		const { frame } = count(stood as Recipe).cost;
		expect(frame.map((l) => [l.label, l.amount?.minor])).toEqual([['stand', 210]]);
	});
	test('hours print', () => expect(formatHours(6900)).toBe('1:55'));
});

describe('what a maker would say', () => {
	const codes = (...lines: string[]) => count(design('d', ...lines)).findings.map((f) => f.code);
	test('an empty design', () => expect(codes()).toEqual(['empty']));
	test('a stack higher than its pole', () => {
		const { findings } = count(design('tall', '4 11 at 9 white x12', 'pole 4 ft'));
		expect(findings.find((f) => f.code === 'upright-short')).toMatchObject({
			level: 'bad',
			say: expect.stringMatching(/needs 6′ 1″ of pole, and this one is 4′ 0″/)
		});
	});
	test('over the safe size a warning, well over it a refusal, under half pear-shaped', () => {
		expect(codes('4 11 at 11.5 white')).toContain('over-safe');
		expect(codes('4 11 at 5 white')).toContain('pear-shaped');
		const big = structuredClone(design('d', '4 11 at 9 white')) as RecipeDraft;
		const stack = big.sections[0]!.structure;
		if (stack.kind === 'stack')
			stack.layers[0]!.clusters[0]!.places[0]!.size = {
				kind: 'value',
				um: inches(14),
				unit: 'in',
				origin: 'typed'
			};
		expect(count(big as Recipe).findings.map((f) => f.code)).toContain('size-refused');
	});
	test('an unknown size: heights are not known, the picture still stands', () => {
		const { stacks } = count(design('d', '4 11 white', '4 11 at 9 white'));
		expect(stacks[0]!.placed.overall.known).toBe(false);
		expect(stacks[0]!.placed.overall.usual).toBeGreaterThan(0);
	});
	test('heights carry the range of the squash', () => {
		const { body } = count(column).stacks[0]!.placed;
		expect(body.low).toBeLessThan(body.usual);
		expect(body.high).toBeGreaterThan(body.usual);
	});
	test('too many balloons: a sentence, an empty bill, no freeze', () => {
		const huge = edited((d) => {
			const s = d.sections[0]!.structure;
			if (s.kind === 'stack') for (const l of s.layers) l.repeat = 200;
		});
		const result = tally(huge, null, 100, context);
		expect(result.findings.map((f) => f.code)).toContain('too-many');
		expect(result.bill.balloons).toBe(0);
	});
});

describe('edits', () => {
	test('order, repeat, duplicate, remove', () => {
		expect(rows(edited((d) => moveLayer(d, ids[0]!, 1)))[1]).toBe('4 × 16 at 13 grey');
		expect(rows(edited((d) => orderLayers(d, [...ids].reverse())))[0]).toBe('1 × 11 at 10 gold');
		expect(rows(edited((d) => orderLayers(d, ['x', ids[1]!, ids[2]!])))).toEqual(rows(column));
		expect(rows(edited((d) => repeatPart(d, ids[1]!, 2)))[1]).toBe('4 × 11 at 9 white ×8');
		expect(rows(edited((d) => copyPart(d, ids[1]!, counter('n'))))).toHaveLength(4);
		const less = edited((d) => removeLayer(d, ids[2]!));
		expect(less.slots.map((s) => s.name)).toEqual(['grey', 'white']);
		expect(recipeSchema.safeParse(less).success).toBe(true);
	});
	test('half an inch up or down by one key, refused where no balloon is that large', () => {
		expect(rows(edited((d) => resizeLayer(d, ids[1]!, -1)))[1]).toBe('4 × 11 at 8½ white ×6');
		const copy = structuredClone(column) as RecipeDraft;
		expect(resizeLayer(copy, ids[0]!, 20)).toMatchObject({ ok: false, code: 'refused' });
		expect(copy).toEqual(column);
	});
	test('extras go to a section of their own', () => {
		const lit = edited((d) => addExtra(d, newLine('e', 'fairy lights', '2'), counter('x')));
		expect(count(lit).cost.materials.find((l) => l.label === 'fairy lights')).toMatchObject({
			count: '2',
			amount: { minor: 1300 }
		});
	});
	test('to another height: rows that repeat grow, base and topper stay', () => {
		const { recipe, body } = toHeight(column, 6 * 304.8);
		const [base, middle, top] = stackIn(recipe)!.layers;
		expect([base!.repeat, top!.repeat]).toEqual([1, 1]);
		expect(middle!.repeat).toBeGreaterThan(6);
		expect(Math.abs(body - 6 * 304.8)).toBeLessThan(100);
	});
	test('the schema refuses what is not a recipe', () => {
		for (const bad of [
			{},
			null,
			'text',
			{ ...column, version: 9 },
			{ ...column, slots: [] },
			{ ...column, extra: 1 }
		]) {
			expect(recipeSchema.safeParse(bad).success).toBe(false);
		}
		expect(recipeSchema.parse(JSON.parse(JSON.stringify(column)))).toEqual(column);
	});
});

describe('the picture', () => {
	const draw = (view: 'front' | 'plan') => drawAssembly(count(column).assembly, { catalogue: studio, view });
	test('one disc a balloon, to scale, the lowest standing on the floor', () => {
		const { discs, height } = draw('front');
		expect(discs).toHaveLength(29);
		expect(Math.min(...discs.map((d) => d.y - d.r))).toBeCloseTo(0, 6);
		expect(Math.max(...discs.map((d) => d.y + d.r))).toBeCloseTo(height, 0);
	});
	test('plan: the four lowest at the corners of their ring, by hand 13 / √2 = 9.19 in from the axis', () => {
		const lowest = draw('plan').discs.filter((d) => d.row === 0);
		for (const disc of lowest) expect(Math.hypot(disc.x, disc.y) / 25.4).toBeCloseTo(13 / Math.SQRT2, 2);
	});
	test('shades run from a light to a dark of the colour, mirror with the most contrast', () => {
		expect(shade('#c8402f', 'matte').map((s) => s.at)).toEqual([0, 0.42, 0.82, 1]);
		expect(shade('#c8402f', 'mirror')[0]!.hex > shade('#c8402f', 'matte')[0]!.hex).toBe(true);
	});
});
