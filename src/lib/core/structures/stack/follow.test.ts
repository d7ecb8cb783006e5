import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, entryContext } from '../../../../../tests/kit/studio.ts';
import { parseEntry } from '../../language/read.ts';
import type { RecipeDraft } from '../../recipe/draft.ts';
import { followRows } from '../../recipe/follow-rows.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import { printSize, type Size } from '../../sizing/size.ts';
import { inches } from '../../units/length.ts';
import { layerWith, stackIn } from './edit.ts';
import { printLayer } from './print.ts';
import { setBalloon } from './row-fields.ts';

const rowsOf = (recipe: Recipe) => stackIn(recipe)!.layers;
const sizes = (recipe: Recipe) => rowsOf(recipe).map((l) => printSize(l.clusters[0]!.places[0]!.size));
const typed = (n: number): Size => ({ kind: 'value', um: inches(n), unit: 'in', origin: 'typed' });
/** A recipe after an edit, as the Bench does it. */
function edited(recipe: Recipe, work: (draft: RecipeDraft) => void): Recipe {
	const draft = structuredClone(recipe) as RecipeDraft;
	work(draft);
	followRows(draft, recipe);
	return draft as Recipe;
}
const sized = (recipe: Recipe, row: number, n: number) =>
	edited(recipe, (d) => {
		const layer = layerWith(d, rowsOf(recipe)[row]!.id)!;
		for (const c of layer.clusters) setBalloon(c, { nominal: inches(11), size: typed(n) });
	});
const STEPPED = [
	'4 11 at 9 white',
	'4 11 white as below + ½',
	'4 11 white as below + ½',
	'4 11 red as row 1 - 1'
];

describe('a row that follows another', () => {
	test('is so much larger or smaller, row upon row', () => {
		expect(sizes(design('d', ...STEPPED))).toEqual(['9', '9½', '10', '8']);
	});
	test('keeps to it when that changes', () => {
		expect(sizes(sized(design('d', ...STEPPED), 0, 8))).toEqual(['8', '8½', '9', '7']);
	});
	test('a size said since is its own again, and those above it follow that', () => {
		const own = sized(design('d', ...STEPPED), 1, 7);
		expect(sizes(own)).toEqual(['9', '7', '7½', '8']);
		expect(rowsOf(own).map((l) => l.follows !== undefined)).toEqual([false, false, true, true]);
	});
	test('where the row it follows is gone it keeps its size', () => {
		const recipe = design('d', '4 11 at 9 white', '4 11 at 8 white', '4 11 white as row 1 + 1');
		const left = edited(recipe, (d) => {
			const { structure } = d.sections[0]!;
			if (structure.kind === 'stack') structure.layers.splice(0, 1);
		});
		expect(sizes(left)).toEqual(['8', '10']);
		expect(rowsOf(left)[1]!.follows).toBeUndefined();
	});
	test('of two that would follow each other one does', () => {
		const recipe = design('d', '4 11 at 9 white', '4 11 white as below');
		const round = edited(recipe, (d) => {
			layerWith(d, rowsOf(recipe)[0]!.id)!.follows = { row: rowsOf(recipe)[1]!.id, by: 0 };
		});
		expect(rowsOf(round).filter((l) => l.follows)).toHaveLength(1);
		expect(sizes(round)).toEqual(['9', '9']);
	});
	test('of a row without a size it has none', () => {
		expect(sizes(design('d', '4 11 white', '4 11 white as below + ½'))).toEqual(['—', '—']);
	});
	test('the first row follows none below it', () => {
		expect(rowsOf(design('d', '4 11 at 9 white as below'))[0]!.follows).toBeUndefined();
	});
	test('prints so, and what it prints is read back; what is no length is refused in words', () => {
		const recipe = design('d', ...STEPPED);
		const lines = rowsOf(recipe).map((l) => printLayer(l, recipe.slots, rowsOf(recipe)));
		expect(lines.slice(1)).toEqual([
			'4 × 11 at 9½ white as below + ½',
			'4 × 11 at 10 white as below + ½',
			'4 × 11 at 8 red as row 1 − 1'
		]);
		expect(sizes(design('again', ...lines))).toEqual(sizes(recipe));
		expect(parseEntry('4 11 white as below + lots', entryContext(recipe))).toMatchObject({
			ok: false,
			say: expect.stringContaining('as below + ½') as string
		});
	});
	test('law: every row that follows is as much larger as it says, whatever is said of the first', () => {
		const by = fc.integer({ min: -8, max: 8 });
		fc.assert(
			fc.property(fc.integer({ min: 40, max: 80 }), fc.array(by, { minLength: 1, maxLength: 5 }), (eighths, steps) => {
				const text = (n: number) => `${n < 0 ? '-' : '+'} ${Math.abs(n) / 8}`;
				const recipe = design('d', '4 11 at 9 white', ...steps.map((n) => `4 11 white as below ${text(n)}`));
				const now = rowsOf(sized(recipe, 0, eighths / 8)).map((l) => l.clusters[0]!.places[0]!.size);
				const um = now.map((s) => (s.kind === 'value' ? s.um : NaN));
				steps.forEach((n, i) => expect(um[i + 1]! - um[i]!).toBe((n / 8) * 25_400));
			}),
			{ numRuns: 40 }
		);
	}); // prettier-ignore
});

describe('a row split in two', () => {
	const column = () => design('d', '4 11 at 9 white x5', '1 16 at 12 red');
	test('has as many layers in all as before, a step can stand between them', () => {
		const recipe = design('d', '4 11 at 9 white x5', '1 16 at 12 red', 'row 1 split after 2');
		expect(rowsOf(recipe).map((l) => l.repeat)).toEqual([2, 3, 1]);
		expect(new Set(rowsOf(recipe).flatMap((l) => [l.id, ...l.clusters.flatMap((c) => c.places.map((p) => p.id))])).size).toBe(3 + 4 + 4 + 1); // prettier-ignore
	});
	test.each([
		['row 1 split after 5', 'It has 5 layers: split it after 1 to 4.'],
		['row 1 split after 0', 'It has 5 layers: split it after 1 to 4.'],
		['row 2 split after 1', 'It is one layer: there is nothing to split.']
	])('%s: %s', (line, say) => {
		expect(parseEntry(line, entryContext(column()))).toMatchObject({ ok: false, say });
	});
	test('colours that go on from layer to layer are not cut', () => {
		const spiral = design('d', '4 11 at 9 spiral white / red x4');
		expect(parseEntry('row 1 split after 2', entryContext(spiral))).toMatchObject({ ok: false, say: expect.stringContaining('go on from layer to layer') as string }); // prettier-ignore
	});
	test('the upper one of two that follow the row below keeps the size of both', () => {
		const recipe = design('d', '4 11 at 9 white', '4 11 white as below − ½ x4', 'row 2 split after 1');
		expect(sizes(recipe)).toEqual(['9', '8½', '8½']);
	});
});
