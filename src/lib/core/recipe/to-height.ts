import { leads, rowsToHeight, sizeOf } from '../structures/registry/variant.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { leadingSection, runsBy } from './scale.ts';
import type { Measure } from '../document/measure.ts';
import type { Recipe, Section } from './recipe.ts';

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
	const section = leadingSection(recipe);
	const lead = section?.structure;
	if (!lead) return { recipe, body: 0 };
	// A run goes further: it takes more balloons, none of them larger.
	if (leads(lead) === 'along its path')
		return { recipe: runsBy(recipe, height / sizeOf(lead, pumps, of).mm), body: height };
	const structure = rowsToHeight(lead, height, pumps, of);
	const body = sizeOf(structure, pumps, of).mm;
	// What it is threaded over is cut as much longer or shorter: the pole goes with what stands on it.
	const by = section.stand.how === 'over' ? body - sizeOf(lead, pumps, of).mm : 0;
	const carrying = (s: Section): Section => {
		if (by === 0 || s.id !== section.stand.by || leads(s.structure) !== 'where nothing else does') return s;
		const high = sizeOf(s.structure, pumps, of).mm + by;
		return high > 0 ? { ...s, structure: rowsToHeight(s.structure, high, pumps, of) } : s;
	};
	const sections = recipe.sections.map((s) => (s.structure === lead ? { ...s, structure } : carrying(s)));
	return { recipe: { ...recipe, sections }, body };
}
