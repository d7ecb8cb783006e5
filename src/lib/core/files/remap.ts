import { withVersions } from '../structures/design/edit.ts';
import { KEEP } from '../document/refs.ts';
import { mapRecipeRefs } from '../recipe/map-refs.ts';
import type { Id } from '../document/id.ts';
import type { Recipe } from '../recipe/recipe.ts';

/** New ids in place of old ones; what is not named keeps its own. */
export interface Renames {
	readonly colours: ReadonlyMap<Id, Id>;
	readonly materials: ReadonlyMap<Id, Id>;
	readonly designs: ReadonlyMap<Id, Id>;
}

/** A recipe that names other colours, materials and designs in the same places. */
export function remap(recipe: Recipe, renames: Renames): Recipe {
	const by = (map: ReadonlyMap<Id, Id>) => (id: Id) => map.get(id) ?? id;
	const named = mapRecipeRefs(recipe, {
		...KEEP,
		colour: by(renames.colours),
		material: by(renames.materials),
		design: by(renames.designs)
	});
	// It was counted with a version of another workspace: that number says nothing here.
	return withVersions(named, () => null);
}

/** Every colour, material and design a recipe names by id. */
export function namesIn(recipe: Recipe): {
	readonly colours: ReadonlySet<Id>;
	readonly materials: ReadonlySet<Id>;
	readonly designs: ReadonlySet<Id>;
} {
	const [colours, materials, designs] = [new Set<Id>(), new Set<Id>(), new Set<Id>()];
	const listen = (into: Set<Id>) => (id: Id) => {
		into.add(id);
		return id;
	};
	mapRecipeRefs(recipe, {
		...KEEP,
		colour: listen(colours),
		material: listen(materials),
		design: listen(designs)
	});
	return { colours, materials, designs };
}
