import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyOf } from '../../../../tests/kit/any-answers.ts';
import { catalogueOf, colours, counter, designOf, floating, rates } from '../../../../tests/kit/studio.ts';
import { answerErrors, firstAnswers } from '../by-hand/answers.ts';
import type { Answers } from '../by-hand/asked.ts';
import type { Id } from '../document/id.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { HandForm } from '../structures/facets/by-hand.ts';
import type { Kind, Structure } from '../structures/kinds.ts';
import { handFormsOf } from '../structures/registry/by-hand.ts';
import { partsOf } from '../structures/registry/refs.ts';
import { tally } from '../tally/tally.ts';
import { rational } from '../units/rational.ts';
import { putByHand } from './put-by-hand.ts';

const stock = { materials: floating, colours };
const catalogue = catalogueOf(floating, colours);
/** Something of each kind, with nothing in it yet. */
const BEGUN: Partial<Record<Kind, readonly string[]>> = {
	run: ['run garland', 'line 10 ft'],
	weave: ['weave wall', 'panel of 10 links at 9'],
	bunch: ['bunch tops'],
	form: ['form arms'],
	extras: ['4 11 at 9 white']
};
const begun = (kind: Kind) => designOf(floating, 'by hand', BEGUN[kind]!);
const all = (Object.keys(BEGUN) as Kind[]).flatMap((kind) =>
	handFormsOf({ kind }).map((form) => [`${kind}: ${form.title}`, kind, form] as const)
);
/** Ids go on: what is put twice is two. */
const newId = counter('put');
const place = (recipe: Recipe, editing: Id | null = null) => ({
	section: recipe.sections[0]!.id,
	editing,
	colourway: recipe.colourways[0]!.id,
	nameOf: (colour: string) => catalogue.colourNames.get(colour)!,
	material: (id: string) => catalogue.materials.get(id)
});
function put(recipe: Recipe, form: HandForm<Structure>, values: Answers, editing: Id | null = null) {
	const draft = structuredClone(recipe) as RecipeDraft;
	const done = putByHand(draft, form, values, place(recipe, editing), newId);
	expect(recipeSchema.safeParse(draft).error?.message).toBeUndefined();
	return { done, recipe: draft as Recipe };
}
/** A colour is picked in every field that asks for one. */
const coloured = (values: Answers) => Object.values(values).every((v) => !Array.isArray(v) || v.length > 0);

/** Forms that set what is there already, where the others put something. */
const OF_ALL = new Set([
	'hangs',
	'weight',
	'looks',
	'spine',
	'kept',
	'joined',
	'built',
	'many',
	'thinner',
	'open',
	'shape',
	'ribbons',
	'held',
	'bent'
]);

describe.each(all)('%s', (_, kind, form) => {
	test('what its fields say is in the recipe, and can be kept (property)', () => {
		const any = fc.record(
			Object.fromEntries(Object.entries(form.fields).map(([name, f]) => [name, anyOf(f)]))
		);
		fc.assert(
			fc.property(any.filter(coloured), (values) => {
				if (Object.keys(answerErrors(form.fields, values)).length > 0) return;
				const before = begun(kind);
				const { done, recipe } = put(before, form, values);
				if (!done) expect(recipe).toEqual(before);
				// What is said of all of it may be as it was: nothing to hang on, none kept aside.
				else if (!OF_ALL.has(form.id)) expect(recipe.sections).not.toEqual(before.sections);
				tally(recipe, null, 1, { catalogue, rates, library: () => undefined });
			}),
			{ numRuns: 40 }
		);
	});
	test('what is so of the whole already is what its fields start with: put there untouched it stays as it is', () => {
		const before = begun(kind);
		const now = form.now?.(before.sections[0]!.structure);
		if (!now) return;
		expect(answerErrors(form.fields, now)).toEqual({});
		const { recipe } = put(before, form, now);
		expect(recipe.sections).toEqual(before.sections);
	});
	test('a part that is there is shown by the fields it was put with, and changed in its place', () => {
		if (!form.of) return;
		const values = firstAnswers(form.fields, stock);
		const { recipe } = put(begun(kind), form, values);
		const [section] = recipe.sections;
		const id = partsOf(section!.structure, '').at(-1)!.id;
		const fills = recipe.colourways[0]!.fills;
		const shown = Object.fromEntries(
			Object.entries(form.of(section!.structure, id)!).map(([name, v]) => [name, Array.isArray(v) ? v.map((s) => fills[s as string]) : v]) // prettier-ignore
		);
		// One colour has no pattern; a size by itself has all of the mix.
		expect(shown).toMatchObject(Object.fromEntries(Object.entries(values).filter(([name]) => name !== 'share' && name !== 'pattern'))); // prettier-ignore
		const again = put(recipe, form, { ...values, ...('repeat' in values ? { repeat: 3 } : {}) }, id).recipe;
		expect(partsOf(again.sections[0]!.structure, '').map((p) => p.id)).toEqual(partsOf(section!.structure, '').map((p) => p.id)); // prettier-ignore
	});
});

test('shares of a mix add up whatever is said, and none is nothing (property)', () => {
	const size = handFormsOf({ kind: 'run' }).find((f) => f.id === 'size')!;
	const share = fc.integer({ min: 1, max: 100 });
	fc.assert(
		fc.property(fc.array(share, { minLength: 1, maxLength: 6 }), share, fc.nat(5), (shares, last, which) => {
			let recipe = begun('run');
			const values = (n: number) => ({ ...firstAnswers(size.fields, stock), share: n });
			for (const n of shares) recipe = put(recipe, size, values(n)).recipe;
			const mix = () => {
				const { structure } = recipe.sections[0]!;
				return structure.kind === 'run' ? structure.mix : [];
			};
			const id = mix()[which % mix().length]!.id;
			recipe = put(recipe, size, values(last), id).recipe;
			const said = mix().map((p) => rational(p.share).valueOf());
			expect(said.reduce((a, b) => a + b, 0)).toBe(100);
			expect(Math.min(...said)).toBeGreaterThanOrEqual(1);
			if (mix().length > 1) expect(rational(mix().find((p) => p.id === id)!.share).valueOf()).toBe(Math.min(last, 100 - (mix().length - 1))); // prettier-ignore
		}),
		{ numRuns: 60 }
	);
});

test('a colour that the design has is that slot; another makes one of its name', () => {
	const [clusters] = handFormsOf({ kind: 'run' });
	const values = { ...firstAnswers(clusters!.fields, stock), colours: ['red', 'gold'] };
	const once = put(begun('run'), clusters!, values).recipe;
	expect(once.slots.map((s) => s.name)).toEqual(['buoy red', 'hive gold matte']);
	const twice = put(once, clusters!, { ...values, colours: ['gold', 'white'] }).recipe;
	expect(twice.slots.map((s) => s.name)).toEqual(['buoy red', 'hive gold matte', 'gull white']);
});
