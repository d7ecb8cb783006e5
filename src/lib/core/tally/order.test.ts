import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
	catalogueOf,
	colours,
	design,
	designOf,
	floating,
	rates,
	studio
} from '../../../../tests/kit/studio.ts';
import { add, zero } from '../money/money.ts';
import { rational } from '../units/rational.ts';
import { addSection } from '../recipe/edit.ts';
import { stackOf } from '../structures/stack/edit.ts';
import { type RecipeDraft } from '../recipe/draft.ts';
import { newSection } from '../recipe/build.ts';
import { designUse } from '../structures/design/empty.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { tallyOrder } from './order.ts';
import { tally, type TallyContext } from './tally.ts';

const none = () => undefined;
const context = (change: Partial<typeof rates> = {}): TallyContext => ({
	catalogue: studio,
	rates: { ...rates, ...change },
	library: none
});
const column = design('column', '4 16 at 12 grey', '4 11 at 9 white x6', '1 11 at 10 gold');
const pair = design('pair', '2 11 at 9 white', '2 5 at 4 white');
const item = (recipe: Recipe, quantity = 1) => ({ recipe, colourway: null, quantity });

describe('one bill for an order', () => {
	test('whole bags are opened once, whether three stand on one line or on three', () => {
		const bags = context({ counting: 'bag' });
		const one = tallyOrder([item(column, 3)], bags);
		const three = tallyOrder([item(column), item(column), item(column)], bags);
		expect(three.cost.total).toEqual(one.cost.total);
		// By hand: 3 × 24 elevens of white and their spares are one bag of 100 for 17.00.
		expect(one.cost.materials.find((l) => l.label === '11 rounds, gull white')!.amount!.minor).toBe(1700);
	});
	test('a material is bought once, whether a colour, its name or a rule asks for it', () => {
		const recipe = designOf(floating, 'gate', ['4 11 at 9 white', 'put 2 5 at 4 white as eyes on row 1 front with attachment point']); // prettier-ignore
		const rules = [{ of: 'attachment point' as const, each: '1', material: '5-white' }];
		const { bill } = tally({ ...recipe, rules }, null, 1, {
			...context({ counting: 'bag' }),
			catalogue: catalogueOf(floating, colours)
		});
		const fives = bill.lines.filter((l) => l.material?.id === '5-white');
		expect(fives.map((l) => l.used.valueOf())).toEqual([4]);
	});
	test('the lines sum to the cost of the order to the cent, whatever is on it and however it is counted', () => {
		fc.assert(
			fc.property(
				fc.array(fc.record({ of: fc.constantFrom(column, pair), quantity: fc.integer({ min: 1, max: 9 }) }), { minLength: 1, maxLength: 5 }),
				fc.constantFrom('piece' as const, 'bag' as const),
				fc.constantFrom({ kind: 'hour' as const, minor: 901 }, { kind: 'percent' as const, percent: '11' }),
				(lines, counting, overhead) => {
					const order = tallyOrder(lines.map((l) => item(l.of, l.quantity)), context({ counting, overhead }));
					expect(order.items.map((i) => i.known).reduce(add, zero('USD'))).toEqual(order.cost.total.known);
				}
			),
			{ numRuns: 60 }
		); // prettier-ignore
	});
	test('what one line takes is its own cost where the order is that line alone', () => {
		const order = tallyOrder([item(column, 2)], context());
		expect(order.items[0]!.known).toEqual(tally(column, null, 2, context()).cost.total.known);
	});
	test('what is paid besides is paid for each of them, wherever it stands, and by nobody else on the order', () => {
		const sign = { ...pair, paid: [{ id: 'sign', label: 'painted sign', minor: 1250 }] };
		const inside = {
			...design('gate'),
			sections: [newSection('u', 'use', { ...designUse('sign'), quantity: '2' })]
		};
		const library = (id: string) => (id === 'sign' ? sign : undefined);
		const cost = (recipe: Recipe, quantity: number, more: Partial<TallyContext> = {}) =>
			tallyOrder([item(column), item(recipe, quantity)], { ...context(), ...more }).items;
		const besides = cost(sign, 3)[1]!.known.minor - cost(pair, 3)[1]!.known.minor;
		expect(besides).toBe(3 * 1250);
		expect(cost(sign, 3)[0]).toEqual(cost(pair, 3)[0]);
		const line = tally(inside, null, 3, { ...context(), library }).cost.materials.find(
			(l) => l.label === 'painted sign'
		);
		expect(line).toMatchObject({ count: '6', amount: { minor: 6 * 1250 } });
		const bags = tally(sign, null, 1, context({ counting: 'bag' })).cost.materials;
		expect(bags.find((l) => l.label === 'painted sign')!.amount!.minor).toBe(1250);
	});
	test('what is too heavy for one go is carried in parts: 30 kg three times, as often as there are pieces', () => {
		const heavy = floating.map((m) => (m.kind === 'base' ? { ...m, grams: 30_000 } : m));
		const draft = structuredClone(design('post', '4 11 at 9 white x4')) as RecipeDraft;
		Object.assign(stackOf(draft)!.upright, { kind: 'pole', material: 'stand', length: 84 * 25_400 }); // prettier-ignore
		const recipe = draft as Recipe;
		const own = (materials: typeof floating) => ({
			...context(),
			catalogue: catalogueOf(materials, colours)
		});
		const carried = (materials: typeof floating, quantity: number) =>
			tally(recipe, null, quantity, own(materials)).tasks.find((t) => t.task === 'carry in')?.count ?? 0;
		expect(carried(heavy, 1) - carried(floating, 1)).toBe(2);
		expect(carried(heavy, 3) - carried(floating, 3)).toBe(6);
		const order = tallyOrder([item(recipe, 3)], own(heavy));
		expect(order.cost.seconds).toEqual(tally(recipe, null, 3, own(heavy)).cost.seconds);
	});
	test('a design that cannot be counted costs an unknown sum, never nothing', () => {
		const lost = { ...design('lost'), sections: [newSection('u', 'use', designUse('nowhere'))] };
		const order = tallyOrder([item(column), item(lost)], context());
		expect(order.cost.total.unknown).toEqual(['lost']);
		expect(order.items[1]!.unknown).toEqual(['lost']);
		const alone = tally(lost, null, 1, context());
		expect(alone.price).toMatchObject({ missing: ['lost'] });
	});
});

/** What a bill says of each material, exactly. */
const figures = (recipe: Recipe, quantity: number, library: TallyContext['library'], ctx: TallyContext) =>
	tally(recipe, null, quantity, { ...ctx, library }).bill.lines.map((l) => ({
		label: l.label,
		used: l.used,
		lost: l.lost,
		low: l.estimate?.low ?? l.used,
		high: l.estimate?.high ?? l.used
	}));

describe('n of a design needs n times what one needs, however n is reached', () => {
	const gas = { of: 'litre of helium' as const, each: '1', material: 'helium' };
	const stocked: TallyContext = {
		...context({ rules: [...rates.rules, gas] }),
		catalogue: catalogueOf(floating, colours)
	};
	const examples = [
		['4 16 at 12 grey', '4 11 at 9 white x6', '1 11 at 10 gold'],
		['bunch moons', 'weight sack', '3 buoy foil in helium on 4 ft thin ribbon', '2 11 at 10 white in helium'],
		['4 11 at 9 white', '2 to 4 fairy lights'],
		['run garland', 'line 8 ft', '60 % 11 at 9 white', '40 % 5 at 4 white'],
		['form arms', '2 260 red 20 in'],
		['4 11 at 9 white with 1 11 at 7 gold', 'put 2 foil star as star on row 1 front with tie']
	].map((lines, i) => designOf(floating, `example ${i}`, lines));
	test.each(examples)('$name', (recipe) => {
		const one = figures(recipe, 1, none, stocked);
		expect(one.length).toBeGreaterThan(0);
		const many = (n: number) =>
			one.map((l) => ({
				label: l.label,
				used: l.used.mul(n),
				lost: l.lost.mul(n),
				low: l.low.mul(n),
				high: l.high.mul(n)
			}));
		const nested = (times: number, quantity: string) => {
			const outer = structuredClone(design('outer')) as RecipeDraft;
			addSection(outer, { ...newSection('u', 'use', { ...designUse('inner'), quantity }), times });
			return { ...(outer as Recipe), sections: outer.sections.slice(-1) } as Recipe;
		};
		for (const n of [2, 7]) {
			expect(figures(recipe, n, none, stocked)).toEqual(many(n));
			expect(figures(nested(n, '1'), 1, () => recipe, stocked)).toEqual(many(n));
			expect(figures(nested(1, String(n)), 1, () => recipe, stocked)).toEqual(many(n));
			expect(figures(nested(2, '3'), n, () => recipe, stocked)).toEqual(many(6 * n));
		}
	});
	test('ten foils of 42 L by their maker take ten times the gas of one', () => {
		const buoy = designOf(floating, 'buoy', ['bunch buoy', 'weight sack', '1 buoy foil in helium on 4 ft thin ribbon']); // prettier-ignore
		const litres = (n: number) => figures(buoy, n, none, stocked).find((l) => l.label === 'helium')!.used;
		expect(litres(10).equals(litres(1).mul(10))).toBe(true);
		expect(litres(1).compare(rational(30))).toBe(1);
	});
});
