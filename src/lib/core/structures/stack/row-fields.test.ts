import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { counter, design } from '../../../../../tests/kit/studio.ts';
import type { Mutable } from '../../document/mutable.ts';
import type { RecipeDraft } from '../../recipe/draft.ts';
import { recipeSchema } from '../../recipe/recipe.schema.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import { inches } from '../../units/length.ts';
import { PATTERN_KINDS } from '../kit/by-hand.ts';
import type { Layer, Stack } from './document.ts';
import { stackIn } from './edit.ts';
import { printLayer } from './print.ts';
import { coloursOf, fieldsOf, newRow, patternOf, setBalloon, setCount, setPattern, setRepeat } from './row-fields.ts'; // prettier-ignore

const recipe = design('c', '4 11 at 9 white', '3 11 at 8 spiral left white / red / gold x3');
const value = (size: number) => ({ kind: 'value', um: inches(size), unit: 'in', origin: 'typed' }) as const;
/** What a row prints as once its fields are changed, in a recipe that can still be kept. */
function changed(row: number, work: (layer: Mutable<Layer>) => unknown): string {
	const draft = structuredClone(recipe) as RecipeDraft;
	const stack = stackIn(draft as Recipe) as Mutable<Stack>;
	work(stack.layers[row]!);
	expect(recipeSchema.safeParse(draft).error?.message).toBeUndefined();
	return printLayer(stack.layers[row] as Layer, recipe.slots);
}
const slot = (name: string) => recipe.slots.find((s) => s.name === name)!.id;

describe('a row changed by its fields', () => {
	test('more and fewer balloons, like the last one; no cluster is empty or of more than twelve', () => {
		const count = (n: number) => (l: Mutable<Layer>) => setCount(l.clusters[0]!, n, counter('n'));
		expect(changed(0, count(6))).toBe('6 × 11 at 9 white');
		expect(changed(0, count(1))).toBe('1 × 11 at 9 white');
		for (const n of [0, 13, 2.5, NaN]) {
			expect(changed(0, (l) => expect(setCount(l.clusters[0]!, n, counter('n'))).toBe(false))).toBe('4 × 11 at 9 white'); // prettier-ignore
			expect(changed(0, (l) => expect(setRepeat(l, n === 13 ? 201 : n)).toBe(false))).toBe(
				'4 × 11 at 9 white'
			);
		}
		expect(changed(0, (l) => setRepeat(l, 5))).toBe('4 × 11 at 9 white ×5');
	});
	test('another bag and size for all of its balloons, and what they had in common before', () => {
		expect(changed(1, (l) => setBalloon(l.clusters[0]!, { nominal: inches(16), size: value(12) }))).toBe('3 × 16 at 12 spiral left white / red / gold ×3'); // prettier-ignore
		const [first] = stackIn(recipe)!.layers;
		expect(fieldsOf(first!.clusters[0]!)).toEqual({ count: 4, nominal: inches(11), size: value(9) });
		const mixed = stackIn(design('m', '3 11 at 9 white with 1 5 at 4 white'))!.layers[0]!.clusters[0]!;
		expect(fieldsOf(mixed)).toEqual({ count: 4, nominal: null, size: null });
	});
	test('colours: one is the same everywhere, a spiral keeps its hand, blocks their rings', () => {
		const pattern = (kind: (typeof PATTERN_KINDS)[number], ...names: string[]) =>
			changed(1, (l) => setPattern(l.clusters[0]!, patternOf(kind, names.map(slot), l.clusters[0]!.pattern as never))); // prettier-ignore
		expect(pattern('checker', 'white')).toBe('3 × 11 at 8 white ×3');
		expect(pattern('spiral', 'red', 'gold')).toBe('3 × 11 at 8 spiral left red / gold ×3');
		expect(pattern('list', 'white', 'gold')).toBe('3 × 11 at 8 white / gold ×3');
		const blocks = { kind: 'blocks', blocks: [{ slot: slot('red'), rings: 2 }, { slot: slot('gold'), rings: 3 }] } as const; // prettier-ignore
		expect(patternOf('blocks', [slot('white'), slot('gold')], blocks)).toEqual({ kind: 'blocks', blocks: [{ slot: slot('white'), rings: 2 }, { slot: slot('gold'), rings: 3 }] }); // prettier-ignore
	});
	test('the colours that are read are the colours that were set (property)', () => {
		const names = fc.array(fc.constantFrom('white', 'red', 'gold'), { minLength: 1, maxLength: 5 });
		fc.assert(
			fc.property(fc.constantFrom(...PATTERN_KINDS), fc.uniqueArray(fc.constantFrom('white', 'red', 'gold'), { minLength: 1 }), names, (kind, few, many) => {
				const slots = (kind === 'blocks' ? few : many).map(slot);
				expect(coloursOf(patternOf(kind, slots))).toEqual(slots);
			})
		); // prettier-ignore
	});
});

test('a new row is like the one below it with ids of its own; the first is four elevens at 9', () => {
	const stack = stackIn(recipe)!;
	const made = newRow(stack, slot('white'), counter('new'));
	expect(printLayer(made, recipe.slots)).toBe('3 × 11 at 8 spiral left white / red / gold');
	const ids = (layer: Layer) => [
		layer.id,
		...layer.clusters.flatMap((c) => [c.id, ...c.places.map((p) => p.id)])
	];
	expect(ids(made).filter((id) => ids(stack.layers[1]!).includes(id))).toEqual([]);
	expect(printLayer(newRow({ layers: [] }, slot('gold'), counter('new')), recipe.slots)).toBe(
		'4 × 11 at 9 gold'
	);
});
