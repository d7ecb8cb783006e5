import { expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import type { Mutable } from '../document/mutable.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { Run } from '../structures/run/document.ts';
import { inches } from '../units/length.ts';
import { countLines } from './count-lines.ts';
import { taughtMix, withTaught, type SizeSeen } from './taught-mix.ts';

const context = { rates, catalogue: studio, library: () => undefined };
const garland = () =>
	design('garland', 'run garland', 'line 10 ft', '60 % 11 at 9 white', '40 % 5 at 4 white');
const told = (recipe = garland()) =>
	countLines(recipe, { colourway: recipe.colourways[0]!.id, size: null, quantity: 1 }, context);
const seen = (job: string, size: number, reckoned: number, used: number): SizeSeen => ({ job, nominal: inches(size), reckoned, used }); // prettier-ignore

test('balloons a foot are learned size by size, what the recipe says weighing as six jobs', () => {
	const jobs = [seen('a', 11, 100, 130), seen('b', 11, 200, 220), seen('c', 5, 50, 0), seen('d', 16, 10, 20)];
	const [eleven, ...others] = taughtMix(garland(), jobs, context);
	// (6 · 1 + 1.3 + 1.1) / 8 by hand; nothing of the fives was counted, and it takes no sixteens.
	expect(others).toEqual([]);
	expect(eleven).toMatchObject({ nominal: inches(11), jobs: 2 });
	expect(eleven!.times).toBeCloseTo(1.05, 12);
	expect(eleven!.low).toBeLessThan(1.05);
	expect(eleven!.high).toBeGreaterThan(1.05);
	const before = told()
		.find((l) => l.label.startsWith('11'))!
		.recipe.valueOf();
	expect([eleven!.before, eleven!.after]).toEqual([before, Math.round(before * 1.05)]);
});

test('what was taught becomes the recipe: it then takes exactly that, and another size what it took', () => {
	const recipe = garland();
	const made = withTaught(recipe, [{ nominal: inches(11), times: 1.2 }], context);
	const before = told().map((l) => l.recipe.valueOf());
	const after = told(made).map((l) => l.recipe.valueOf());
	expect(after).toHaveLength(before.length);
	expect(after).toEqual(told().map((l, i) => (l.label.startsWith('11') ? Math.round(before[i]! * 1.2) : before[i]))); // prettier-ignore
});

test('a size that rows take as well is not learned, and no design without a mix', () => {
	const mixed = design('both', '4 11 at 9 white x6', 'run garland', 'line 10 ft', '60 % 11 at 9 white', '40 % 5 at 4 white'); // prettier-ignore
	const jobs = [seen('a', 11, 100, 130), seen('a', 5, 100, 130)];
	expect(taughtMix(mixed, jobs, context).map((s) => s.nominal)).toEqual([inches(5)]);
	expect(taughtMix(design('column', '4 11 at 9 white x6'), jobs, context)).toEqual([]);
});

test('all else of the design stays as it is: what is open, rows, and balloons of that size that are no rounds', () => {
	const open = design('both', '4 16 at 14 white x4 to 6', 'run garland', 'line 8 to 12 ft', '60 % 11 at 9 white', '40 % 5 at 4 white'); // prettier-ignore
	const made = withTaught(open, [{ nominal: inches(11), times: 1.2 }], context);
	expect(made.sections[0]).toEqual(open.sections[0]);
	const changed = { mix: expect.anything() as unknown, organic: expect.anything() as unknown };
	expect(made.sections[1]).toEqual({ ...open.sections[1], structure: { ...open.sections[1]!.structure, ...changed } }); // prettier-ignore
	expect(made).not.toEqual(open);
	const hearts = structuredClone(garland()) as RecipeDraft;
	(hearts.sections[0]!.structure as Mutable<Run>).mix[0]!.kind = 'latex-heart';
	expect(taughtMix(hearts as Recipe, [seen('a', 11, 100, 130)], context)).toEqual([]);
});

test('colours of one size share what all of it comes to', () => {
	const three = design('garland', 'run garland', 'line 10 ft', '60 % 11 at 9 white / red / gold', '40 % 5 at 4 white'); // prettier-ignore
	const [taught] = taughtMix(three, [seen('a', 11, 100, 135)], context);
	const made = told(withTaught(three, [taught!], context)).filter((l) => l.label.startsWith('11'));
	expect(taught!.times).toBeCloseTo(1.05, 12);
	expect(taught!.after).toBe(Math.round(taught!.before * 1.05));
	expect(made).toHaveLength(3);
	expect(made.reduce((a, l) => a + l.recipe.valueOf(), 0)).toBe(taught!.after);
});
