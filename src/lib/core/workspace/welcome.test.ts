import { describe, expect, test } from 'vitest';
import { rates } from '../../../../tests/kit/studio.ts';
import { catalogue } from '../materials/catalogue.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import { SHAPES } from '../starting/shapes.ts';
import { startRecipe, startValues } from '../starting/start.ts';
import { tally } from '../tally/tally.ts';
import { firstStock } from './first-stock.ts';
import { settingsSchema } from './settings.schema.ts';
import type { Settings } from './settings.ts';
import { printWelcome, readWelcome } from './welcome.ts';

const business = { name: 'My studio', address: '', email: '', phone: '', terms: 'Half before.' };
const fresh: Settings = {
	business,
	zone: 'America/New_York',
	decimal: '.',
	dates: 'month first',
	lengths: 'in',
	welcomed: false,
	rates
};
const answers = { name: 'Saltmarsh Party', currency: 'EUR', lengths: 'cm', labour: '24.50', margin: '55' };

describe('the first questions', () => {
	test('go into the settings and leave all else as it was', () => {
		const { next, errors } = readWelcome(answers, fresh);
		expect(errors).toEqual({});
		expect(settingsSchema.parse(next)).toMatchObject({
			welcomed: true,
			lengths: 'cm',
			business: { name: 'Saltmarsh Party', terms: 'Half before.' },
			rates: { currency: 'EUR', labourPerHour: 2450, overhead: rates.overhead, price: { margin: '55', method: 'margin' } } // prettier-ignore
		});
	});
	test('ask for the name of a new studio, and show that of one that has it', () => {
		expect(printWelcome(fresh)['name']).toBe('');
		expect(printWelcome({ ...fresh, welcomed: true })['name']).toBe('My studio');
	});
	test('are each answered at their field where they cannot be read', () => {
		const { next, errors } = readWelcome({ ...answers, name: ' ', labour: 'a lot', margin: '100' }, fresh);
		expect(next).toBeUndefined();
		expect(errors).toMatchObject({ name: 'What is your studio called?' });
		expect(Object.keys(errors).sort()).toEqual(['labour', 'margin', 'name']);
	});
	test('studios from before they were asked work in inches and are not welcomed again', () => {
		const older = { ...fresh, lengths: undefined, welcomed: undefined };
		expect(settingsSchema.parse(JSON.parse(JSON.stringify(older)))).toMatchObject({
			lengths: 'in',
			welcomed: true
		});
	});
});

test('the first Stockroom has every colour in every bag, and all shapes start in it', () => {
	const { colours, materials } = firstStock();
	expect(materials).toHaveLength(colours.length * 3);
	expect(new Set(materials.map((m) => m.id)).size).toBe(materials.length);
	const stock = { colours, materials: materials.map((m) => ({ ...m, packs: [] })) };
	for (const shape of SHAPES) {
		let n = 0;
		const recipe = startRecipe(shape, startValues(shape, stock), stock, () => `id-${n++}`);
		expect([shape.id, recipeSchema.safeParse(recipe).success]).toEqual([shape.id, true]);
		const context = { catalogue: catalogue(stock.materials, colours), rates, library: () => undefined };
		// What they cost is not known yet: the price says so and is never 0 unsaid.
		expect(tally(recipe, null, 1, context).cost.total.unknown.length).toBeGreaterThan(0);
	}
});
