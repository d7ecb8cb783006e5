import { maybe, type RefMap } from '../document/refs.ts';
import { mapRefs, nestedIn } from '../structures/registry/refs.ts';
import type { Recipe, Section } from './recipe.ts';

/** A whole recipe that names others in the same places: its sections, colourways, rules and sizes. */
export function mapRecipeRefs(recipe: Recipe, map: RefMap): Recipe {
	const parts = new Set(recipe.sections.flatMap((s) => (nestedIn(s.structure) ? [s.id] : [])));
	const section = (s: Section): Section => ({
		...s,
		structure: mapRefs(s.structure, map),
		stand: { ...s.stand, tie: maybe(s.stand.tie, map.material) }
	});
	return {
		...recipe,
		slots: recipe.slots.map((s) => ({ ...s, id: map.slot(s.id) })),
		sections: recipe.sections.map(section),
		colourways: recipe.colourways.map((w) => ({
			...w,
			fills: Object.fromEntries(
				Object.entries(w.fills).map(([slot, c]) => [map.slot(slot), maybe(c, map.colour)])
			),
			without: w.without.map(map.slot)
		})),
		rules: recipe.rules.map((r) => ({ ...r, material: maybe(r.material, map.material) })),
		sizes: recipe.sizes.map((size) => ({
			...size,
			// An element is exchanged for a design where it is one, else for a material.
			swaps: Object.fromEntries(
				Object.entries(size.swaps).map(([element, to]) => [
					element,
					parts.has(element) ? map.design(to) : map.material(to)
				])
			)
		}))
	};
}
