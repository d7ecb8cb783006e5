import fc from 'fast-check';
import { copyPart, repeatPart } from './edit-parts.ts';
import { describe, expect, test } from 'vitest';
import { applyEntry } from '../language/apply.ts';
import { parseEntry } from '../language/read.ts';
import { counter, design, entryContext, rates } from '../../../../tests/kit/studio.ts';
import { bodyHeight } from '../geometry/heights.ts';
import { placeStack } from '../structures/stack/place.ts';
import { emptyRecipe } from './build.ts';
import { newLine } from '../structures/extras/empty.ts';
import { swapSlots } from './edit.ts';
import { extrasIn } from '../structures/extras/edit.ts';
import { addExtra, removePart } from './edit-parts.ts';
import { moveLayer, orderLayers, removeLayer, resizeLayer, stackIn } from '../structures/stack/edit.ts';
import { type RecipeDraft } from './draft.ts';
import { recipeSchema } from './recipe.schema.ts';
import { balloonCount, layerCount } from '../structures/stack/document.ts';
import type { Recipe } from './recipe.ts';
import { toHeight } from './to-height.ts';

const column = design(
	'column',
	'4 16 at 13 grey',
	'4 11 at 9 white x4',
	'4 11 at 8 gold x2',
	'1 11 at 10 gold'
);
const draft = (recipe: Recipe = column): RecipeDraft => structuredClone(recipe) as RecipeDraft;
const layers = (recipe: unknown) => stackIn(recipe as Recipe)!.layers;
const ids = (recipe: unknown) => layers(recipe).map((l) => l.id);

describe('a recipe as a document', () => {
	test('a new one is one, and so is everything keyed', () => {
		expect(recipeSchema.safeParse(emptyRecipe('new', counter())).success).toBe(true);
		expect(recipeSchema.parse(JSON.parse(JSON.stringify(column)))).toEqual(column);
	});
	const broken: [string, (d: Record<string, never>) => unknown, RegExp][] = [
		['another format', (d) => ({ ...(d as object), format: 'other' }), /bright-tally\/recipe/],
		['a version of tomorrow', (d) => ({ ...(d as object), version: 99 }), /Invalid/],
		['no colourway', (d) => ({ ...(d as object), colourways: [] }), />=1/],
		['a name of blanks', (d) => ({ ...(d as object), name: '   ' }), /Give it a name/],
		['a key nobody knows', (d) => ({ ...(d as object), cost: 5 }), /Unrecognized key/]
	];
	test.each(broken)('%s is refused', (_, change, says) => {
		const parsed = recipeSchema.safeParse(change(structuredClone(column) as never));
		expect(parsed.success).toBe(false);
		expect(parsed.error!.issues.map((i) => i.message).join(' ')).toMatch(says);
	});
	test('numbers that no balloon can have are refused wherever they hide', () => {
		const place = (change: object) => {
			const d = draft();
			Object.assign(stackIn(d as Recipe)!.layers[0]!.clusters[0]!.places[0]!, change);
			return recipeSchema.safeParse(d).success;
		};
		const size = { kind: 'value', unit: 'in', origin: 'typed' };
		expect(place({ nominal: 279_400 })).toBe(true);
		for (const nominal of [0, -5, 1.5, 1e12, Number.NaN, '11']) expect(place({ nominal })).toBe(false);
		for (const um of [0, -1, 2.5, null]) expect(place({ size: { ...size, um } })).toBe(false);
		expect(place({ size: { kind: 'strokes', strokes: 0, pump: null, origin: 'typed' } })).toBe(false);
	});
	test('a layer that names a slot the recipe lacks is refused with its place', () => {
		const parsed = recipeSchema.safeParse({ ...column, slots: column.slots.slice(1) });
		expect(parsed.error!.issues[0]).toMatchObject({
			path: ['sections', 0],
			message: 'A layer names a slot the recipe does not have.'
		});
	});
});

describe('edits of a recipe', () => {
	test('every edit leaves a recipe that is one, with ids that are met once', () => {
		const anyEdit = fc.record({
			what: fc.nat(6),
			row: fc.nat(9),
			by: fc.constantFrom(-1, 1),
			halves: fc.integer({ min: -4, max: 4 })
		});
		fc.assert(
			fc.property(fc.array(anyEdit, { maxLength: 20 }), (edits) => {
				const d = draft();
				const newId = counter('e');
				for (const { what, row, by, halves } of edits) {
					const id = ids(d)[row % Math.max(1, ids(d).length)] ?? '';
					if (what === 0) moveLayer(d, id, by * row);
					else if (what === 1) repeatPart(d, id, by * row);
					else if (what === 2) copyPart(d, id, newId);
					else if (what === 3) removeLayer(d, id);
					else if (what === 4) resizeLayer(d, id, halves);
					else if (what === 5) orderLayers(d, [...ids(d)].reverse());
					else addExtra(d, newLine(newId(), 'fairy lights', '1/2'), newId);
				}
				const parsed = recipeSchema.safeParse(d);
				expect(parsed.error?.issues ?? []).toEqual([]);
				const all = JSON.stringify(d).match(/"id":"[^"]+"/g)!;
				expect(new Set(all).size).toBe(all.length);
			}),
			{ numRuns: 80 }
		);
	});
	test('moving stops at the floor and at the top; an order with a stranger in it changes nothing', () => {
		const d = draft();
		const [floor, second, third, top] = ids(d);
		moveLayer(d, floor!, -3);
		moveLayer(d, top!, 5);
		expect(ids(d)).toEqual([floor, second, third, top]);
		moveLayer(d, floor!, 2);
		expect(ids(d)).toEqual([second, third, floor, top]);
		orderLayers(d, [top!, 'stranger', floor!, third!]);
		orderLayers(d, [top!]);
		expect(ids(d)).toEqual([second, third, floor, top]);
	});
	test('a slot goes with the last layer that names it, in every colourway', () => {
		const d = draft();
		const golden = d.slots.find((s) => s.name === 'gold')!.id;
		d.colourways.push({ id: 'two', name: 'two', fills: { [golden]: 'red' }, without: [] });
		const [, , third, top] = ids(d);
		removeLayer(d, third!);
		expect(d.slots.map((s) => s.name)).toContain('gold');
		removeLayer(d, top!);
		expect(d.slots.map((s) => s.name)).toEqual(['grey', 'white']);
		expect(d.colourways.map((c) => golden in c.fills)).toEqual([false, false]);
	});
	test('a row replaced keeps its id and place; a copy stands above with ids of its own', () => {
		const d = draft();
		const [, second] = ids(d);
		const said = parseEntry('1 11 at 10 gold', entryContext(d as Recipe));
		if (!said.ok) throw new Error(said.say);
		applyEntry(d, said.value, { editing: second }, counter('r'));
		expect([ids(d)[1], ids(d).length]).toEqual([second, 4]);
		expect(layers(d)[1]!.clusters[0]!.places).toHaveLength(1);
		const copy = copyPart(d, second!, counter('c'));
		expect(ids(d)[2]).toBe(copy);
		expect(copyPart(d, 'nobody', counter())).toBeUndefined();
		applyEntry(d, said.value, { index: 0 }, counter('floor'));
		expect([ids(d)[1], ids(d).length]).toEqual([ids(column)[0], 6]);
	});
	test('repeats stay between 1 and 200, and count in layers and balloons', () => {
		const d = draft();
		const [, second] = ids(d);
		repeatPart(d, second!, 500);
		expect(layers(d)[1]!.repeat).toBe(200);
		repeatPart(d, second!, -900);
		expect(layers(d)[1]!.repeat).toBe(1);
		const stack = stackIn(d as Recipe)!;
		expect([layerCount(stack), balloonCount(stack)]).toEqual([5, 17]);
	});
	test('half an inch at a time: ranges move whole, strokes by one, a word becomes an estimate', () => {
		const d = draft(
			design('sizes', '4 11 at 8 to 9 white', '4 5 at 4 strokes white', '4 11 at soft white', '4 11 white')
		);
		for (const id of ids(d)) expect(resizeLayer(d, id, 1).ok).toBe(true);
		const sizes = layers(d).map((l) => l.clusters[0]!.places[0]!.size);
		expect(sizes[0]).toMatchObject({ low: 215_900, high: 241_300 });
		expect(sizes[1]).toMatchObject({ strokes: 5 });
		expect(sizes[2]).toMatchObject({ kind: 'value', origin: 'estimated', um: 203_200 }); // 7½ as assumed, and a half
		expect(sizes[3]).toMatchObject({ kind: 'value', origin: 'estimated' });
		expect(resizeLayer(d, ids(d)[0]!, 9)).toMatchObject({ ok: false, code: 'refused' });
		expect(resizeLayer(d, 'nobody', 1).ok).toBe(true);
	});
	test('two slots change places in one colourway alone, and back again; an open one stays open on the other side', () => {
		const d = draft();
		const [grey, white, gold] = d.slots.map((s) => s.id) as [string, string, string];
		const first = d.colourways[0]!;
		d.colourways.push({ id: 'two', name: 'two', fills: { ...first.fills, [gold]: null }, without: [] });
		swapSlots(d, 'two', [grey, gold]);
		expect(d.colourways[1]!.fills).toEqual({ [grey]: null, [white]: 'white', [gold]: 'grey' });
		expect(first.fills).toEqual(column.colourways[0]!.fills);
		swapSlots(d, 'two', [grey, gold]);
		expect(d.colourways[1]!.fills[grey]).toBe('grey');
		swapSlots(d, 'nobody', [grey, gold]);
	});
	test('extras come and go with their section', () => {
		const d = draft();
		addExtra(d, newLine('x', 'fairy lights', '2'), counter('s'));
		expect(extrasIn(d as Recipe)!.lines).toHaveLength(1);
		removePart(d, 'x');
		expect(extrasIn(d as Recipe)).toBeUndefined();
	});
});

describe('to another height', () => {
	const body = (recipe: Recipe) => bodyHeight(placeStack(stackIn(recipe)!, rates.pumps).layers);
	test('comes as near as whole layers allow, base and topper untouched, sizes unchanged', () => {
		fc.assert(
			fc.property(fc.integer({ min: 900, max: 4000 }), (wanted) => {
				const tall = toHeight(column, wanted);
				expect(tall.body).toBeCloseTo(body(tall.recipe), 6);
				const repeats = layers(tall.recipe).map((l) => l.repeat);
				expect([repeats[0], repeats[3]]).toEqual([1, 1]);
				// One layer more or less of any repeating row would be within a layer of it.
				const step = (tall.body - body(column)) / Math.max(1, Math.abs(repeats[1]! + repeats[2]! - 6));
				expect(Math.abs(tall.body - wanted)).toBeLessThan(Math.max(450, Math.abs(step) * 2));
				expect(layers(tall.recipe).map((l) => l.clusters)).toEqual(layers(column).map((l) => l.clusters));
			}),
			{ numRuns: 40 }
		);
	});
	test('where no row repeats all of them do; without a stack nothing changes', () => {
		const plain = design('plain', '4 11 at 9 white');
		expect(layers(toHeight(plain, 1524).recipe)[0]!.repeat).toBe(10); // 9 in quads, common practice
		const empty = emptyRecipe('none', counter());
		expect(toHeight(empty, 1524)).toEqual({ recipe: empty, body: 0 });
	});
});
