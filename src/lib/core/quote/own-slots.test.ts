import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { drawAssembly } from '../scene/draw-list.ts';
import { LEFT_OUT, withOwnSlots, type OwnSlots } from './own-slots.ts';
import { plainTerms, priceQuote, quoteItems } from './quote.ts';

const column = design('column', '4 11 at 9 white x6', '1 16 at 12 grey');
const [body, top] = column.slots.map((s) => s.id) as [string, string];
const inWhite: Recipe = {
	...column,
	colourways: [{ id: 'w', name: 'Chalk', fills: { [body]: 'white', [top]: 'white' }, without: [] }]
};
const priced = (recipe: Recipe, slots: OwnSlots) => {
	const line = { id: 'a', versionId: 'v', colourwayId: null, sizeId: null, quantity: 1, way: null };
	const items = quoteItems([line], () => recipe, { about: { a: { slots } } });
	return priceQuote(items, plainTerms(rates), { catalogue: studio, rates, library: () => undefined });
};

const seen = ({ lines }: ReturnType<typeof priced>) =>
	drawAssembly(lines[0]!.tally.assembly, { catalogue: studio, view: 'front' });

describe('a line with slots of its own', () => {
	test('costs and looks as the design would in a colourway of these colours', () => {
		const grey: Recipe = {
			...inWhite,
			colourways: [{ ...inWhite.colourways[0]!, fills: { [body]: 'grey', [top]: 'white' } }]
		};
		const own = priced(inWhite, { [body]: 'grey' });
		const same = priced(grey, {});
		expect(own.price).toEqual(same.price);
		expect(seen(own)).toEqual(seen(same));
		expect(seen(own)).not.toEqual(seen(priced(inWhite, {})));
		expect(own.price).not.toEqual(priced(inWhite, {}).price);
	});
	test('a slot left out takes its balloons with it; one its colourway leaves out can be had', () => {
		const balloons = (slots: OwnSlots, recipe = inWhite) =>
			priced(recipe, slots).lines[0]!.tally.bill.balloons;
		expect(balloons({})).toBe(25);
		expect(balloons({ [top]: LEFT_OUT })).toBe(24);
		const bare = { ...inWhite, colourways: [{ ...inWhite.colourways[0]!, without: [top] }] };
		expect(balloons({}, bare)).toBe(24);
		expect(balloons({ [top]: 'grey' }, bare)).toBe(25);
	});
	test('what is said of slots it does not have changes nothing, and the same is the same thing', () => {
		expect(withOwnSlots(inWhite, 'w', { gone: 'grey' })).toEqual({ recipe: inWhite, colourway: 'w' });
		const once = withOwnSlots(inWhite, 'w', { [body]: 'grey' });
		expect(withOwnSlots(inWhite, 'w', { [body]: 'grey', gone: 'x' }).recipe).toBe(once.recipe);
		expect(withOwnSlots(inWhite, 'w', { [body]: LEFT_OUT }).recipe).not.toBe(once.recipe);
	});
});
