import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { printLines } from '../language/print.ts';
import { unitCost } from '../materials/unit-cost.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { tally } from '../tally/tally.ts';

const context = { catalogue: studio, rates, library: () => undefined };
const counted = (recipe: Recipe) => tally(recipe, null, 1, context);
const line = (recipe: Recipe) => counted(recipe).bill.lines.find((l) => l.balloon)!;
const each = (id: string) => unitCost(studio.materials.get(id)!)!;

describe('a bag that is open until it is known', () => {
	const open = design('dots', '4 5 or 11 at 4 white x3');
	test('it is reckoned with the first, and the list says what it may be', () => {
		const { material, used, either } = line(open);
		expect(material).toMatchObject({ nominal: 127_000 });
		expect(used.valueOf()).toBe(12);
		expect(either).toEqual([expect.objectContaining({ label: expect.stringMatching(/^11/) })]);
		expect(either![0]!.quantity.valueOf()).toBe(12);
	});
	test('its cost has ends: what the other bag costs more, for as many as are used and lost', () => {
		const [known, first] = [counted(open).cost, design('dots', '4 5 at 4 white x3')];
		expect(known.total.known).toEqual(counted(first).cost.total.known);
		const { lost } = line(open);
		const five = line(open).material!;
		const eleven = line(open).either![0]!.material!;
		const more = each(eleven.id).sub(each(five.id)).mul(lost.add(12)).valueOf();
		const over = rates.overhead.kind === 'percent' ? 1 + Number(rates.overhead.percent) / 100 : 1;
		expect(more).toBeGreaterThan(0);
		expect(known.spread!.more.minor / (more * over)).toBeCloseTo(1, 1);
		expect(known.spread!.less.minor).toBe(0);
	});
	test('said the other way round its ends change sides', () => {
		const other = counted(design('dots', '4 11 or 5 at 4 white x3')).cost.spread!;
		expect([other.more.minor, other.less.minor > 0]).toEqual([0, true]);
	});
	test('it is kept, printed and read back, in rows and pieces', () => {
		const both = design('dots', '4 5 or 11 at 4 white', 'put 2 5 or 11 at 4 white as eyes on row 1 front');
		expect(recipeSchema.safeParse(JSON.parse(JSON.stringify(both))).success).toBe(true);
		const printed = both.sections.flatMap((s) => printLines(s, both, () => undefined)).map((l) => l.text);
		expect(printed.join('; ')).toMatch(/4 × 5 or 11 at 4 white; .*2 5 or 11 at 4/);
		expect(line(both).either![0]!.quantity.valueOf()).toBe(6);
	});
	test('known, it is one bag again', () => {
		expect(line(design('dots', '4 5 or 5 at 4 white')).either).toBeUndefined();
	});
});
