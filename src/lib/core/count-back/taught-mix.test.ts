import { expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { inches } from '../units/length.ts';
import { asCounted } from './as-counted.ts';
import { countLines } from './count-lines.ts';
import { countsTaught, taughtMix, type SizeSeen } from './taught-mix.ts';

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
	const counts = countsTaught(recipe, [{ nominal: inches(11), times: 1.2 }], context);
	const made = asCounted(recipe, { colourway: recipe.colourways[0]!.id, counts }, context, () => 'new');
	expect(made.left).toEqual([]);
	const before = told().map((l) => l.recipe.valueOf());
	const after = told(made.recipe).map((l) => l.recipe.valueOf());
	expect(after).toHaveLength(before.length);
	expect(after).toEqual(told().map((l, i) => (l.label.startsWith('11') ? Math.round(before[i]! * 1.2) : before[i]))); // prettier-ignore
});

test('a size that rows take as well is not learned, and no design without a mix', () => {
	const mixed = design('both', '4 11 at 9 white x6', 'run garland', 'line 10 ft', '60 % 11 at 9 white', '40 % 5 at 4 white'); // prettier-ignore
	const jobs = [seen('a', 11, 100, 130), seen('a', 5, 100, 130)];
	expect(taughtMix(mixed, jobs, context).map((s) => s.nominal)).toEqual([inches(5)]);
	expect(taughtMix(design('column', '4 11 at 9 white x6'), jobs, context)).toEqual([]);
});
