import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { counter, design, entryContext, rates, studio } from '../../../../../tests/kit/studio.ts';
import { applyEntry } from '../../language/apply.ts';
import { parseEntry } from '../../language/read.ts';
import type { RecipeDraft } from '../../recipe/draft.ts';
import { followRows } from '../../recipe/follow-rows.ts';
import { recipeSchema } from '../../recipe/recipe.schema.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import type { Price } from '../../pricing/price.ts';
import { tally } from '../../tally/tally.ts';
import { removeLayer, resizeLayer, stackIn, stacksIn } from './edit.ts';
import { printLayer } from './print.ts';

const rows = (recipe: Recipe) =>
	stacksIn(recipe).flatMap(({ stack }) => stack.layers.map((l) => printLayer(l, recipe.slots, stack.layers)));
const edited = (recipe: Recipe, work: (draft: RecipeDraft) => void): Recipe => {
	const draft = structuredClone(recipe) as RecipeDraft;
	work(draft);
	followRows(draft, recipe);
	return recipeSchema.parse(JSON.parse(JSON.stringify(draft)));
};
const AGAIN = [
	'4 11 at 9 white',
	'4 11 at 10 red',
	'4 11 at 9 white like row 1',
	'4 11 at 9 white x2 like row 1'
];
const bands = design('bands', ...AGAIN);
const ids = (recipe: Recipe) => stackIn(recipe)!.layers.map((l) => l.id);

describe('a row that is another once more', () => {
	test('what is changed in one is changed in all, the row itself or one of the others', () => {
		for (const at of [0, 2, 3]) {
			const larger = edited(bands, (d) => void resizeLayer(d, ids(bands)[at]!, 2));
			expect(rows(larger)).toEqual([
				'4 × 11 at 10 white',
				'4 × 11 at 10 red',
				'4 × 11 at 10 white like row 1',
				'4 × 11 at 10 white ×2 like row 1'
			]);
		}
	});
	test('balloons keep their names, so what sits on them stays there', () => {
		const place = (recipe: Recipe) => stackIn(recipe)!.layers[2]!.clusters[0]!.places.map((p) => p.id);
		const more = edited(bands, (d) => void resizeLayer(d, ids(bands)[0]!, 1));
		expect(place(more)).toEqual(place(bands));
		expect(new Set(place(bands)).size).toBe(4);
	});
	test('where the row itself goes, the others stay as they are', () => {
		const without = edited(bands, (d) => removeLayer(d, ids(bands)[0]!));
		expect(rows(without)).toEqual(['4 × 11 at 10 red', '4 × 11 at 9 white', '4 × 11 at 9 white ×2']);
	});
	test('a line that changes one in its place changes all of them', () => {
		const context = entryContext(bands);
		const line = parseEntry('4 11 at 8 white', { ...context, section: bands.sections[0]!.id });
		if (!line.ok) throw new Error(line.say);
		const draft = structuredClone(bands) as RecipeDraft;
		applyEntry(
			draft,
			line.value,
			{ section: bands.sections[0]!.id, editing: ids(bands)[0]! },
			counter('new')
		);
		expect(rows(draft as Recipe)[3]).toBe('4 × 11 at 8 white ×2 like row 1');
	});
	test('in another section too, by its name', () => {
		const two = design(
			'two',
			'4 11 at 9 white',
			'section arm',
			'4 11 at 9 white like x row 1'.replace('x', 'column')
		);
		const bigger = edited(two, (d) => void resizeLayer(d, ids(two)[0]!, 1));
		expect(rows(bigger)[1]).toMatch(/^4 × 11 at 9½ white/);
	});
	test('what is said before has to be that row', () => {
		const read = parseEntry('4 11 at 8 white like row 1', {
			...entryContext(bands),
			section: bands.sections[0]!.id
		});
		expect(read).toMatchObject({ ok: false });
		expect(!read.ok && read.say).toContain('4 × 11 at 9 white');
	});
	test('however rows are resized, those that are one are one (property)', () => {
		const step = fc.tuple(fc.integer({ min: 0, max: 3 }), fc.constantFrom(-1, 1));
		fc.assert(
			fc.property(fc.array(step, { maxLength: 6 }), (steps) => {
				const done = steps.reduce(
					(r, [at, by]) => edited(r, (d) => void resizeLayer(d, ids(r)[at]!, by)),
					bands
				);
				const [first, , third, fourth] = rows(done);
				expect(third).toBe(`${first} like row 1`);
				expect(fourth).toBe(`${first} ×2 like row 1`);
			}),
			{ numRuns: 30 }
		);
	});
});

describe('rows of a range of layers', () => {
	const column = (line: string) => tally(design('column', '4 16 at 13 grey', line), null, 1, { catalogue: studio, rates, library: () => undefined }); // prettier-ignore
	const net = (price: Price) => (price.status === 'priced' ? price.net.minor : NaN);
	test('their bill, work and price have ends: those of the fewest and of the most', () => {
		const open = column('4 11 at 10 white x 3 to 5');
		const white = (t: typeof open) => t.bill.lines.find((l) => l.label.includes('white'))!;
		const own = white(open);
		expect([own.used, own.estimate!.low, own.estimate!.high].map((v) => v.valueOf())).toEqual([16, 12, 20]);
		expect(net(open.ends!.low)).toBeLessThan(net(open.price));
		expect(net(open.ends!.high)).toBeGreaterThan(net(open.price));
		expect(white(column('4 11 at 10 white x4')).estimate).toBeNull();
	});
	test('a number that is said since settles it', () => {
		const open = design('column', '4 11 at 10 white x 3 to 5');
		const settled = edited(open, (d) => {
			const layer = stackIn(d as Recipe)!.layers[0]! as { repeat: number };
			layer.repeat = 6;
		});
		expect(rows(settled)).toEqual(['4 × 11 at 10 white ×6']);
	});
});
