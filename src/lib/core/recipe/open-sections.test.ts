import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { colours, design, materials, rates } from '../../../../tests/kit/studio.ts';
import { catalogue } from '../materials/catalogue.ts';
import { parseEntry } from '../language/read.ts';
import { entryContext } from '../../../../tests/kit/studio.ts';
import { sayRecipe } from '../compare/say-recipe.ts';
import { resolve } from './resolve.ts';
import { tally } from '../tally/tally.ts';
import { makeSteps } from '../plan/make-steps.ts';
import { countDesigns } from '../bom/explode.ts';
import { rational } from '../units/rational.ts';
import { recipeSchema } from './recipe.schema.ts';
import type { Recipe } from './recipe.ts';

const context = { catalogue: catalogue(materials, colours), rates, library: () => undefined };
const PARTS = [
	'4 11 at 9 white',
	'4 11 at 8 white',
	'section wing left of column',
	'2 5 at 4 red',
	'section cap on column',
	'1 11 at 7 red'
];
const made = (...lines: string[]) => design('figure', ...PARTS, ...lines);
const bought = (recipe: Recipe, size: string | null = null) =>
	tally(recipe, null, 1, context, size).bill.lines.map((l) => `${l.used.valueOf()} ${l.label}`);
const says = (line: string, recipe = made()) => {
	const parsed = parseEntry(line, entryContext(recipe));
	return parsed.ok ? parsed.value.kind : parsed.say;
};

describe('what may be there or not', () => {
	test('left out it is neither bought, built, drawn nor priced; put back everything is as before', () => {
		const [all, without, back] = [made(), made('leave out cap'), made('leave out cap', 'put back cap')];
		expect(bought(without)).toEqual(bought(design('figure', ...PARTS.slice(0, 4))));
		expect(bought(back)).toEqual(bought(all));
		expect(tally(without, null, 1, context).assembly.pieces).toHaveLength(2);
		expect(tally(without, null, 1, context).cost.total.known.minor).toBeLessThan(
			tally(all, null, 1, context).cost.total.known.minor
		);
	});
	test('what stands by it goes with it, and what sat on it', () => {
		const recipe = made(
			'section bell on cap',
			'1 11 at 5 white',
			'put 2 5 at 2 white as eyes on cap row 1 front',
			'leave out cap'
		);
		expect(recipeSchema.safeParse(recipe).error?.issues ?? []).toEqual([]);
		expect(bought(recipe)).toEqual(bought(made('leave out cap')));
		expect(tally(recipe, null, 1, context).findings.map((f) => f.code)).not.toContain('host-lost');
	});
	test('a size may have what the design as it stands has not, and the other way round', () => {
		const recipe = made('leave out cap', 'size windy 2 ft');
		const [size] = recipe.sizes;
		const cap = recipe.sections.find((s) => s.name === 'cap')!.id;
		const wing = recipe.sections.find((s) => s.name === 'wing')!.id;
		const own = { ...recipe, sizes: [{ ...size!, height: null, open: { [cap]: true, [wing]: false } }] };
		expect(recipeSchema.safeParse(own).error?.issues ?? []).toEqual([]);
		expect(bought(own, size!.id)).toEqual(bought(design('figure', ...PARTS.slice(0, 2), ...PARTS.slice(4))));
	});
	test('what a size puts back stays there where the design is looked at once more, with a colour left out', () => {
		const recipe = made('leave out cap', 'size windy 2 ft', 'leave out white');
		const cap = recipe.sections.find((s) => s.name === 'cap')!.id;
		const [size] = recipe.sizes;
		const own = { ...recipe, sizes: [{ ...size!, height: null, open: { [cap]: true } }] };
		const once = resolve(own, { colourway: null, size: size!.id }).recipe;
		expect(once.sections.map((s) => s.name)).toContain('cap');
		expect(resolve(once, { colourway: null, size: null }).recipe.sections.map((s) => s.name)).toContain(
			'cap'
		);
	});
	test('of those that stand for each other one is there, whichever is pressed', () => {
		const recipe = made('cap instead of wing');
		const isOut = (r: Recipe) => Object.fromEntries(r.sections.map((s) => [s.name, s.open?.out ?? false]));
		expect(isOut(recipe)).toMatchObject({ wing: false, cap: true });
		expect(isOut(made('cap instead of wing', 'put back cap'))).toMatchObject({ wing: true, cap: false });
		expect(isOut(made('cap instead of wing', 'leave out wing'))).toMatchObject({ wing: true, cap: false });
		expect(isOut(made('cap instead of wing', 'cap always there', 'leave out wing'))).toMatchObject({
			wing: true,
			cap: false
		});
	});
	test('it is said in words that are read back', () => {
		const lines = sayRecipe(
			made('cap optional when it is outdoors', 'wing made 3 days before', 'leave out cap'),
			String
		);
		expect(lines).toContain('cap optional when it is outdoors');
		expect(lines).toContain('leave out cap');
		for (const line of lines.filter((l) => / (optional|made) |^leave out /.test(l)))
			expect(['open section', 'leave section']).toContain(says(line));
	});
	test('nonsense is refused in words', () => {
		expect(says('cap instead of bells')).toBe('Instead of what? There is column, wing.');
		expect(says('cap instead of column')).toContain('stands by the other');
		expect(says('column optional', design('x', '4 11 at 9 white'))).toContain('nothing would be left');
		expect(says('cap made 900 days before')).toContain('At most 90 days');
	});
	test('property: any of them left out, in any order, and put back again, is the design as it was', () => {
		fc.assert(
			fc.property(fc.shuffledSubarray(['wing', 'cap']), (out) => {
				const lines = [...out.map((n) => `leave out ${n}`), ...out.toReversed().map((n) => `put back ${n}`)];
				expect(bought(made(...lines))).toEqual(bought(made()));
			})
		);
	});
});

describe('made ahead', () => {
	const steps = (recipe: Recipe) => {
		const [node] = countDesigns(
			{ recipe, colourway: null, size: null, quantity: rational(1), pumps: rates.pumps },
			() => undefined
		);
		return makeSteps(node!, true, {
			catalogue: context.catalogue,
			library: () => undefined,
			pumps: rates.pumps,
			jobs: rates.jobs,
			rules: rates.rules
		});
	};
	test('what may be made before comes first, what is made on the day last, and each says so once', () => {
		const texts = steps(made('cap made 3 days before', 'column made on the day')).map(
			(s) => `${s.text} ${s.method}`
		);
		const first = (word: string) => texts.findIndex((t) => t.includes(word));
		expect(first('may be made up to 3 days before')).toBe(0);
		expect(texts.filter((t) => t.includes('up to 3 days'))).toHaveLength(1);
		expect(first('made on the day')).toBeGreaterThan(first('wing'));
	});
	test('the work is the same whenever it is made', () => {
		const work = (recipe: Recipe) =>
			steps(recipe)
				.flatMap((s) => s.work)
				.reduce((a, w) => a + w.task.count, 0);
		expect(work(made('cap made 3 days before'))).toBe(work(made()));
	});
});
