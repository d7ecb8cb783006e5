import { leads, rowsToHeight, sizeOf } from '../structures/registry/variant.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { withCarriers } from './carriers.ts';
import { leadingSection, runsBy } from './scale.ts';
import type { Measure } from '../document/measure.ts';
import type { Recipe } from './recipe.ts';

export interface ToHeight {
	readonly recipe: Recipe;
	/** The height it comes out at, mm. */
	readonly body: number;
}

/**
 * The same design made taller or shorter: rows that repeat are repeated more or less, in proportion (by largest
 * remainder, one layer at a time); base, collar and topper (rows that stand once) stay, unless no row repeats: then all do but balls on their own. Sizes never change.
 * @param height wanted, mm, above 0 @param of what it is said of
 * @returns the nearest it can come; the recipe itself where it has no stack
 */
export function toHeight(
	recipe: Recipe,
	height: number,
	pumps: readonly PumpProfile[] = [],
	of: Measure = 'rows'
): ToHeight {
	const lead = leadingSection(recipe)?.structure;
	if (!lead) return { recipe, body: 0 };
	// A run goes further: it takes more balloons, none of them larger.
	if (leads(lead) === 'along its path')
		return { recipe: runsBy(recipe, height / sizeOf(lead, pumps, of).mm), body: height };
	const structure = rowsToHeight(lead, height, pumps, of);
	const sections = recipe.sections.map((s) => (s.structure === lead ? { ...s, structure } : s));
	return {
		recipe: withCarriers(recipe, { ...recipe, sections }, pumps, of),
		body: sizeOf(structure, pumps, of).mm
	};
}
