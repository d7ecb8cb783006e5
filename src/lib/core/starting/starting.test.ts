import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyOf } from '../../../../tests/kit/any-answers.ts';
import { catalogueOf, colours, counter, design, floating, rates } from '../../../../tests/kit/studio.ts';
import { applyEntry } from '../language/apply.ts';
import { parseEntry } from '../language/read.ts';
import { typedLines } from '../language/typed.ts';
import { emptyRecipe } from '../recipe/build.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { tally } from '../tally/tally.ts';
import { feet, inches } from '../units/length.ts';
import { POINT } from '../units/number.ts';
import type { Answers } from '../by-hand/asked.ts';
import type { StartingShape } from './shape.ts';
import { ownShape, STARTS_NEW } from './own.ts';
import { SHAPES } from './shapes.ts';
import { startErrors, startRecipe, startValues } from './start.ts';

const stock = { materials: floating, colours };
const context = { catalogue: catalogueOf(floating, colours), rates, library: () => undefined };
const count = (recipe: Recipe) => tally(recipe, null, 1, context);
const shape = (id: string) => SHAPES.find((s) => s.id === id)!;
/** A shape with some fields said otherwise. */
const started = (id: string, said: Record<string, unknown> = {}, own = stock) => {
	const values = { ...startValues(shape(id), own), ...(said as Answers) };
	return { values, errors: startErrors(shape(id), values, own), make: () => startRecipe(shape(id), values, own, counter()) }; // prettier-ignore
};

const anyValues = ({ fields }: StartingShape) =>
	fc.record(Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, anyOf(field)])));

/** A recipe without what typing cannot give it: ids, what slots are called, the stand that was picked. */
function plain(recipe: Recipe): unknown {
	const slots = new Map(recipe.slots.map((s) => [s.id, recipe.colourways[0]!.fills[s.id]]));
	const names = new Map(recipe.sections.map((s, i) => [s.id, `section ${i}`]));
	const first = recipe.sections[0]!.name;
	return JSON.parse(
		JSON.stringify(recipe.sections, (key, value: unknown) => {
			if (key === 'id' || key === 'layer') return undefined;
			if (key === 'name' && [first, `on ${first}`].includes(value as string)) return undefined;
			if (key === 'upright') return { ...(value as object), material: null };
			if (typeof value === 'string') return slots.get(value) ?? names.get(value) ?? value;
			return value;
		})
	);
}
/** The same typed on the entry line of an empty design, colours by their names. */
function typed(recipe: Recipe): Recipe {
	const fills = recipe.colourways[0]!.fills;
	const named = recipe.slots.map((s) => ({ ...s, name: context.catalogue.colourNames.get(fills[s.id] ?? '') ?? s.name })); // prettier-ignore
	const lines = typedLines({ ...recipe, slots: named }, (id) => context.catalogue.materials.get(id));
	const newId = counter('t');
	const draft = emptyRecipe(recipe.name, newId) as RecipeDraft;
	let section: string | undefined = draft.sections[0]!.id;
	for (const line of lines) {
		const { slots, sections } = draft as Recipe;
		const entry = parseEntry(line, { slots, colourway: draft.colourways[0] as never, colours, materials: floating, sections, recipe: draft as Recipe, section, style: POINT }); // prettier-ignore
		if (!entry.ok) throw new Error(`${line}: ${entry.say}`);
		section = applyEntry(draft, entry.value, { section }, newId) ?? section;
	}
	return draft as Recipe;
}

describe.each(SHAPES.map((s) => [s.title, s] as const))('%s', (_, own) => {
	test('asks for five to eight things, and starts as something counted, drawn and priced', () => {
		expect(Object.keys(own.fields).length).toBeGreaterThanOrEqual(5);
		expect(Object.keys(own.fields).length).toBeLessThanOrEqual(8);
		const { errors, make } = started(own.id);
		expect(errors).toEqual({});
		const { bill, price, assembly } = count(make());
		// A frame is what balloons are built on.
		if (own.id !== 'frame') expect(bill.balloons).toBeGreaterThan(1);
		expect(price.status).toBe('priced');
		expect(assembly.overall.usual).toBeGreaterThan(0);
	});
	test('whatever is said is kept, or refused at its field (property)', () => {
		fc.assert(
			fc.property(anyValues(own), (values) => {
				const errors = startErrors(own, values, stock);
				for (const name of Object.keys(errors)) expect(Object.keys(own.fields)).toContain(name);
				if (Object.keys(errors).length > 0) return;
				const recipe = startRecipe(own, values, stock, counter());
				expect(recipeSchema.safeParse(recipe).error?.message).toBeUndefined();
				expect(count(recipe).findings.filter((f) => f.code === 'not-found' || f.code === 'host-lost')).toEqual([]); // prettier-ignore
			}),
			{ numRuns: 60 }
		);
	});
	test('its lines typed on an empty design give the same (property)', () => {
		const full = anyValues(own).filter((v) => (v['colours'] as readonly string[] | undefined)?.length !== 0);
		fc.assert(
			fc.property(full, (values) => {
				if (Object.keys(startErrors(own, values, stock)).length > 0) return;
				const recipe = startRecipe(own, values, stock, counter());
				expect(plain(typed(recipe))).toEqual(plain(recipe));
			}),
			{ numRuns: 40 }
		);
	});
});

describe('what is asked for is what is built', () => {
	test('a column of six feet is within a row of it, on a pole that reaches', () => {
		const { make } = started('column', { height: feet(6), topper: null });
		const { stacks, findings } = count(make());
		expect(Math.abs(stacks[0]!.placed.body.usual - 6 * 304.8)).toBeLessThan(120);
		expect(findings.map((f) => f.code)).not.toContain('upright-short');
	});
	test('a pillar’s height is foot and column together', () => {
		const { make } = started('pillar', { height: feet(5) });
		const { placed } = count(make()).stacks[0]!;
		// Collar and topper stand on it: the last two layers.
		const column = placed.layers.at(-3)!.top;
		expect(Math.abs(column - 5 * 304.8)).toBeLessThan(150);
	});
	test('a wall is as wide and as high as whole balloons come', () => {
		const { make } = started('wall', { width: feet(6), height: feet(4.5), balloon: { nominal: inches(10), size: inches(9) } }); // prettier-ignore
		const { bill } = count(make());
		expect(bill.inflate.filter((l) => l.bag.startsWith('10')).reduce((a, l) => a + l.quantity.valueOf(), 0)).toBe(8 * 6); // prettier-ignore
	});
	test('six balloons in two colours are three each, on ribbon over the weight that was picked', () => {
		const { make } = started('bouquet', { count: 6, foil: 'moon foil', foils: 2, weight: 'sack', colours: ['white', 'red'] }); // prettier-ignore
		const { bill } = count(make());
		const used = (label: string) => bill.lines.filter((l) => l.label.includes(label)).map((l) => l.used.valueOf()); // prettier-ignore
		expect([used('gull white'), used('buoy red'), used('moon foil'), used('sack')]).toEqual([
			[3],
			[3],
			[2],
			[1]
		]);
	});
});

describe('what cannot be is refused at its field', () => {
	test.each([
		['letters', { text: 'K' }, 'text', /no square frame/],
		['letters', { text: ' ' }, 'text', /Which letter/],
		['letters', { text: 'ABCDE' }, 'text', /Up to 4/],
		['column', { height: feet(0.5) }, 'height', /between 1′ 0″ and 30′ 0″/],
		['column', { balloon: { nominal: inches(11), size: inches(20) } }, 'balloon', /cannot be sized to 20/],
		['column', { each: 2.5 }, 'each', /whole number from 2 to 12/],
		['wall', { balloon: { nominal: inches(5), size: inches(4) } }, 'balloon', /no 5 in links .* has 10, 12/],
		['wall', { width: feet(60), balloon: { nominal: inches(10), size: inches(2.5) } }, 'width', /more than 200/]
	] as const)('%s %j', (id, said, field, say) => expect(started(id, said).errors[field]).toMatch(say)); // prettier-ignore
});

test('an empty Stockroom still starts: bags that are sold, colours left open until the job', () => {
	for (const { id } of SHAPES) {
		const { errors, make } = started(id, {}, { materials: [], colours: [] });
		expect([id, errors]).toEqual([id, {}]);
		expect(recipeSchema.safeParse(make()).success).toBe(true);
	}
});

describe('a design of the studio as a starting shape', () => {
	const column = design('Tall one', '4 16 at 12 grey', '4 11 at 9 white / red x6', '1 16 at 14 red');
	const kept = { ...column, tags: [STARTS_NEW, 'column'] };
	const own = ownShape('tall', kept, []);
	const values = startValues(own, stock);
	const id = (name: string) => `colour ${column.slots.find((s) => s.name === name)!.id}`;
	test('asks for each of its colours and its height, and left as it is gives the same design', () => {
		expect(Object.values(own.fields).map((f) => f.label)).toEqual(['grey', 'white', 'red', 'How tall']);
		expect(startErrors(own, values, stock)).toEqual({});
		const made = startRecipe(own, values, stock, counter('n'));
		expect(made.sections).toEqual(column.sections);
		expect(made.colourways[0]!.fills).toEqual(column.colourways[0]!.fills);
		expect(made.tags).toEqual(['column']);
	});
	test('in other colours and taller: rows that repeat are repeated more, what stands once stays', () => {
		const said = { ...values, [id('red')]: ['gold'], [id('white')]: [], height: feet(7) };
		const made = startRecipe(own, said, stock, counter('n'));
		expect(recipeSchema.safeParse(made).success).toBe(true);
		const { stacks, findings } = count(made);
		expect(Math.abs(stacks[0]!.placed.body.usual - 7 * 304.8)).toBeLessThan(120);
		expect(findings.map((f) => f.code)).toContain('open-slot');
		expect(Object.values(made.colourways[0]!.fills)).toContain('gold');
	});
});
