import { expect, test } from 'vitest';
import { colours, design, materials, rates } from '../../../../../tests/kit/studio.ts';
import { catalogue } from '../../materials/catalogue.ts';
import { PLAIN_MATERIAL, type Material } from '../../materials/material.ts';
import { planOf } from '../../plan/plan.ts';
import type { Recipe } from '../../recipe/recipe.ts';

const can = (id: string, dryMinutes: number): Material => ({ ...PLAIN_MATERIAL, id, kind: 'paint', name: id, packs: [], facts: { dryMinutes } }); // prettier-ignore
const glue: Material = { ...PLAIN_MATERIAL, id: 'slow glue', kind: 'adhesive', name: 'slow glue', packs: [], facts: { setMinutes: 8 } }; // prettier-ignore
const stock = catalogue([...materials, can('slow paint', 90), can('fast paint', 15), glue], colours);
const boat = design('boat', '4 11 at 9 white painted', 'put 2 5 at 4 red as eyes on row 1 front with glue');
const waits = (recipe: Recipe, rules: typeof rates.rules) => {
	const context = { catalogue: stock, rates: { ...rates, rules }, library: () => undefined };
	const { steps } = planOf(recipe, { colourway: null, size: null, quantity: 1 }, context)[0]!;
	return ['paint', 'piece'].map((kind) => steps.find((s) => s.id.startsWith(`${kind}:`))!.wait);
};

test('paint and glue wait as long as the Stockroom says of what is taken, the slowest of it; else as usual', () => {
	const paint = (material: string | null) => ({ of: 'painted balloon', each: '1/20', material }) as const;
	const stuck = (material: string | null) => ({ of: 'dab of glue', each: '1', material }) as const;
	expect(waits(boat, [])).toEqual([3600, 60]);
	expect(waits(boat, [paint('fast paint'), stuck('slow glue')])).toEqual([15 * 60, 8 * 60]);
	expect(waits(boat, [paint('fast paint'), paint('slow paint'), stuck(null)])).toEqual([90 * 60, 60]);
	// A design that takes another paint waits for that.
	expect(waits({ ...boat, rules: [paint('slow paint')] }, [paint('fast paint')])[0]).toBe(90 * 60);
});
