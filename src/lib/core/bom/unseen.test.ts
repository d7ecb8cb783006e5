import { describe, expect, test } from 'vitest';
import { colours, designOf, floating, rates } from '../../../../tests/kit/studio.ts';
import { printLines } from '../language/print.ts';
import { catalogue } from '../materials/catalogue.ts';
import { planOf } from '../plan/plan.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import { tally } from '../tally/tally.ts';

const stock = catalogue(floating, colours);
const context = { catalogue: stock, rates, library: () => undefined };
const made = (...lines: string[]): Recipe => designOf(floating, 'box', lines);
const bill = (recipe: Recipe) => tally(recipe, null, 1, context).bill.lines.filter((l) => l.balloon);

/** Of 11-inch rounds the one a piece of which costs least. */
const cheapest = floating
	.filter((m) => m.kind === 'latex-round' && m.nominal === 279_400 && m.packs.some((p) => p.priceMinor !== null))
	.toSorted((a, b) => Math.min(...a.packs.map((p) => p.priceMinor! / p.count)) - Math.min(...b.packs.map((p) => p.priceMinor! / p.count)))[0]!; // prettier-ignore

describe('a colour wherever nobody sees it', () => {
	test('of rows, pieces and bunches the cheapest colour is taken', () => {
		const rows = made('4 11 at 9 hidden', '4 11 at 9 red', 'put 2 11 at 9 hidden on row 1 back');
		const unseen = bill(rows).filter((l) => l.material?.id === cheapest.id);
		expect(unseen.reduce((a, l) => a + l.used.valueOf(), 0)).toBe(
			6 + (cheapest.name.includes('red') ? 4 : 0)
		);
		expect(tally(rows, null, 1, context).findings.map((f) => f.code)).not.toContain('open-slot');
	});
	test('one slot stands for all of them; a colour chosen for it is taken then', () => {
		const rows = made('4 11 at 9 hidden', '2 11 at 9 hidden');
		expect(rows.slots).toHaveLength(1);
		const chosen = structuredClone(rows) as RecipeDraft;
		const red = colours.find((c) => floating.some((m) => m.nominal === 279_400 && m.colour === c.id && m.id !== cheapest.id))!; // prettier-ignore
		for (const way of chosen.colourways) way.fills[chosen.slots[0]!.id] = red.id;
		expect(bill(chosen as Recipe).map((l) => l.material?.colour)).toEqual([red.id]);
	});
	test('it is kept, printed and read back; the crew reads that it is not seen', () => {
		const rows = made('4 11 at 9 hidden');
		expect(recipeSchema.safeParse(JSON.parse(JSON.stringify(rows))).success).toBe(true);
		const printed = printLines(rows.sections[0]!, rows, () => undefined).map((l) => l.text);
		expect(printed.join()).toContain('hidden');
		const again = made(...printed);
		expect(again.slots).toEqual([{ id: expect.any(String), name: 'hidden', role: null, any: true }]);
		const words = planOf(rows, { colourway: null, size: null, quantity: 1 }, context)[0]!.steps;
		expect(JSON.stringify(words)).not.toContain('(open)');
	});
});

test('what is retired is offered to nobody: where any colour will do it is another', () => {
	const without = catalogue(floating.map((m) => (m.id === cheapest.id ? { ...m, retired: true as const } : m)), colours); // prettier-ignore
	const rows = made('4 11 at 9 hidden');
	const [line] = tally(rows, null, 1, { ...context, catalogue: without }).bill.lines.filter((l) => l.balloon);
	expect(line!.material?.id).not.toBe(cheapest.id);
	expect(line!.material?.nominal).toBe(279_400);
});
