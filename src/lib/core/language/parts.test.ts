import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { colours, counter, designOf, entryContext, floating, rates } from '../../../../tests/kit/studio.ts';
import { catalogue } from '../materials/catalogue.ts';
import { remap, namesIn } from '../files/remap.ts';
import { tally } from '../tally/tally.ts';
import { asCounted } from '../count-back/as-counted.ts';
import { compare } from '../compare/compare.ts';
import { countLines } from '../count-back/count-lines.ts';
import { countPart, movePart, removePart } from '../recipe/edit-parts.ts';
import { changeItem } from '../structures/bunch/edit.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import type { Bunch } from '../structures/bunch/document.ts';
import type { Form } from '../structures/form/document.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import { sayRecipe } from '../compare/say-recipe.ts';
import { scaleBy } from '../recipe/scale.ts';
import { exchange, swappables } from '../recipe/swap.ts';
import { omittingSlots } from '../recipe/omit-slots.ts';
import { parseEntry } from './read.ts';
import { applyEntry } from './apply.ts';
import { printLines } from './print.ts';

const stock = catalogue(floating, colours);
const context = { catalogue: stock, rates, library: () => undefined };
const made = (...lines: string[]): Recipe => designOf(floating, 'parts', lines);
const structureOf = (recipe: Recipe, at = 0) =>
	recipe.sections[at]!.structure as unknown as Omit<Bunch, 'kind'> & Omit<Form, 'kind'>;
const materialOf = (id: string) => stock.materials.get(id);
const read = (recipe: Recipe, line: string, section = recipe.sections[0]!.id) => {
	const entry = parseEntry(line, { ...entryContext(recipe), materials: floating, section });
	if (!entry.ok) throw new Error(`${line}: ${entry.say}`);
	return entry.value;
};
const edited = (recipe: Recipe, work: (draft: RecipeDraft) => unknown): Recipe => {
	const draft = structuredClone(recipe) as RecipeDraft;
	work(draft);
	return recipeSchema.parse(JSON.parse(JSON.stringify(draft)));
};
/** A part as it is typed. */
const textOf = (recipe: Recipe, id: string, at = 0) =>
	printLines(recipe.sections[at]!, recipe, materialOf).find((l) => l.id === id)!.text;
const buoy = made(
	'bunch buoy',
	'weight 5 at 4 white filled with sand',
	'3 11 at full white in helium on 5 ft ribbon as marks',
	'1 moon foil in helium on 4½ ft thin ribbon swappable',
	'1 buoy foil firm on ribbon as float',
	'1 place card'
);

describe('what a row prints is read back as the same', () => {
	test.each(structureOf(buoy).items.map((i) => [textOf(buoy, i.id), i] as const))('%s', (text, item) => {
		const again = edited(buoy, (d) =>
			applyEntry(d, read(buoy, text), { section: buoy.sections[0]!.id, editing: item.id }, counter('n'))
		);
		const same = structureOf(again).items.find((i) => i.id === item.id)!;
		const plain = (i: unknown) =>
			JSON.stringify(i, (key, value: unknown) => (key === 'id' ? undefined : value));
		expect(JSON.parse(plain(same))).toEqual(JSON.parse(plain(item)));
	});
	const says = fc.record({
		count: fc.integer({ min: 1, max: 9 }),
		bubbles: fc.array(fc.integer({ min: 2, max: 9 }), { minLength: 1, maxLength: 3 }),
		shape: fc.constantFrom('', 'wound', 'trained', 'bent 180', 'softened', 'neck cut', '2 together softened'),
		take: fc.constantFrom('', 'part used', 'cut in 3')
	});
	test('pieces of a form (property)', () => {
		fc.assert(
			fc.property(says, ({ count, bubbles, shape, take }) => {
				const line = [count, 260, 'red', bubbles.join(' + '), take, shape, 'as limb']
					.filter(Boolean)
					.join(' ');
				const recipe = made('form f', line);
				const [piece] = structureOf(recipe).pieces;
				const text = textOf(recipe, piece!.id);
				const entry = read(recipe, text);
				if (entry.kind !== 'form piece') throw new Error(text);
				const { id, slot, ...said } = piece!;
				expect(entry.piece).toMatchObject(said);
				expect([id, entry.piece.colour]).toEqual([id, { slot }]);
			})
		);
	});
	test('hosts by their names', () => {
		const bee = made('4 11 at 9 white x2', 'form legs on column', '6 260 red 20 as leg on row 1 round', '2 260 red 6 as arm on top row place 2'); // prettier-ignore
		const { pieces } = structureOf(bee, 1);
		const texts = pieces.map((p) => textOf(bee, p.id, 1));
		expect(texts).toEqual([
			'6 260 red 20 as leg on column row 1 round',
			'2 260 red 6 as arm on column row 1 place 2'
		]);
		const entry = read(bee, texts[0]!, bee.sections[1]!.id);
		expect(entry).toMatchObject({ kind: 'form piece', piece: { at: pieces[0]!.at } });
	});
	test('rows of a stack with something in them and on them', () => {
		const line = '4 16 at 12 grey filled with 5 at 4 white painted x2';
		const column = made(line);
		expect(sayRecipe(column, String)[0]).toBe('4 × 16 at 12 grey filled with 5 at 4 white painted ×2');
		expect(read(column, '4 16 at 12 grey filled with water with 1 11 at 9 red')).toMatchObject({
			kind: 'layer'
		});
	});
});

describe('edits of items and pieces', () => {
	const ids = structureOf(buoy).items.map((i) => i.id);
	test('one more, moved up, out; slots nobody names go along', () => {
		const more = edited(buoy, (d) => (countPart(d, ids[0]!, 1), movePart(d, ids[0]!, 2)));
		expect(structureOf(more).items.map((i) => i.count)).toEqual([1, 1, 4, 1]);
		expect(edited(buoy, (d) => countPart(d, ids[0]!, -9))).toMatchObject({ sections: [{ structure: { items: [{ count: 1 }, {}, {}, {}] } }] }); // prettier-ignore
		const red = made('bunch b', '1 11 at 9 red', '1 11 at 9 white');
		const less = edited(red, (d) => removePart(d, structureOf(red).items[0]!.id));
		expect(less.slots.map((s) => s.name)).toEqual(['white']);
		expect(
			structureOf(edited(buoy, (d) => changeItem(d, ids[0]!, (i) => (i.gas = 'air')))).items[0]!.gas
		).toBe('air');
	});
	test('a swap of what is swappable, a slot left out, a scale that says what stays', () => {
		expect(swappables(buoy, (id) => id)).toEqual([{ element: ids[1], name: 'moon foil', now: 'moon foil', what: 'material' }]); // prettier-ignore
		expect(structureOf(exchange(buoy, ids[1]!, 'foil star')).items[1]!.what).toMatchObject({
			material: 'foil star'
		});
		const white = buoy.slots.find((s) => s.name === 'white')!.id;
		const out = structureOf(omittingSlots(buoy, new Set([white])));
		expect([out.items.length, out.weight]).toEqual([3, null]);
		const nested = made('4 16 at 12 grey filled with 5 at 4 white');
		const inner = nested.slots.find((s) => s.name === 'white')!.id;
		expect(JSON.stringify(omittingSlots(nested, new Set([inner])).sections)).not.toContain(inner);
		expect(scaleBy(buoy, 2).notes[0]).toMatch(/buoy stays as large as it is/);
		const limbs = made('4 11 at 9 white', 'form legs on column', '6 260 red 20 as leg on row 1 round');
		const gone = omittingSlots(limbs, new Set([limbs.slots.find((s) => s.name === 'white')!.id]));
		expect(structureOf(gone, 1).pieces).toEqual([]);
	});
	test('another workspace’s materials in their place', () => {
		expect([...namesIn(buoy).materials].sort()).toEqual([
			'buoy foil',
			'moon foil',
			'place card',
			'thin ribbon'
		]);
		const theirs = remap(buoy, {
			colours: new Map(),
			materials: new Map([['thin ribbon', 'ours']]),
			designs: new Map()
		});
		expect(structureOf(theirs).items.flatMap((i) => i.ribbon?.material ?? [])).toEqual([
			'ours',
			'ours',
			'ours'
		]);
	});
	test('two versions are compared by what they say', () => {
		const less = edited(buoy, (d) => countPart(d, ids[0]!, 2));
		const [a, b] = [buoy, less].map((recipe) => ({ recipe, tally: tally(recipe, null, 1, context) }));
		const changed = compare(a!, b!, (id) => stock.materials.get(id)?.name ?? id).lines.filter(
			(l) => l.where !== 'both'
		);
		expect(changed.map((l) => l.text)).toEqual([
			'3 × 11 at full white in helium on 5 ft thin ribbon as marks',
			'5 × 11 at full white in helium on 5 ft thin ribbon as marks'
		]);
	});
});

describe('counting back', () => {
	const whole = made('bunch b', '3 11 at full white', '2 moon foil', 'letters TID of gold', 'form f', '6 260 red 20', '1 350 red 12', '1 360 red 12'); // prettier-ignore
	const once = { colourway: null, size: null, quantity: 1 };
	test('letters and models are told apart', () => {
		const labels = countLines(whole, once, context).map((l) => `${l.recipe} × ${l.label}`);
		expect(labels).toEqual([
			'3 × 11 at full, gull white', '1 × 34 foil letter T, hive gold matte', '1 × 34 foil letter I, hive gold matte',
			'1 × 34 foil letter D, hive gold matte', '6 × 260, 20 in, buoy red', '1 × 350, 12 in, buoy red', '1 × 360, 12 in, buoy red',
			'2 × moon foil'
		]); // prettier-ignore
	});
	test('items and pieces take the count they had', () => {
		const lines = countLines(whole, once, context);
		const counts = new Map(lines.map((l) => [l.key, l.recipe.valueOf()]));
		for (const [label, count] of [
			['11 at full, gull white', 5],
			['260, 20 in, buoy red', 4],
			['moon foil', 3]
		] as const)
			// prettier-ignore
			counts.set(lines.find((l) => l.label === label)!.key, count);
		const { recipe, left } = asCounted(whole, { colourway: null, counts }, context, counter('n'));
		expect(left).toEqual([]);
		expect(structureOf(recipe, 0).items.map((i) => i.count)).toEqual([5, 3, 1]);
		expect(structureOf(recipe, 1).pieces.map((p) => p.count)).toEqual([4, 1, 1]);
		expect(recipeSchema.safeParse(JSON.parse(JSON.stringify(recipe))).success).toBe(true);
	});
});
