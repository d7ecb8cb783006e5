import { typedLines } from '../../core/language/typed.ts';
import type { Catalogue } from '../../core/materials/catalogue.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';

/** The lines of a recipe as they would be typed, its colours by their names. */
export function linesOf(recipe: Recipe, { colourNames, materials }: Catalogue): string[] {
	const fills = recipe.colourways[0]?.fills ?? {};
	const slots = recipe.slots.map((s) => ({ ...s, name: colourNames.get(fills[s.id] ?? '') ?? s.name }));
	return typedLines({ ...recipe, slots }, (id) => materials.get(id));
}
