import type { Id } from '../document/id.ts';
import type { Swappable } from '../structures/facets/variant.ts';
import { exchanged, swappablesIn } from '../structures/registry/variant.ts';
import type { Recipe } from './recipe.ts';

/** Everything marked swappable, in the order of the recipe. `nameOf` finds the name of a material. */
export const swappables = (recipe: Recipe, nameOf: (material: string) => string): Swappable[] =>
	recipe.sections.flatMap((section) => swappablesIn(section.structure, { section, nameOf }));

/** The same design with one element exchanged: another foil in the place of this one, another design in the place of a part. */
export const exchange = (recipe: Recipe, element: Id, to: Id): Recipe => ({
	...recipe,
	sections: recipe.sections.map((s) => ({ ...s, structure: exchanged(s.structure, element, to, s.id) }))
});
