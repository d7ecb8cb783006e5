import { slotsOf } from '../../core/recipe/pattern.ts';
import { matchKey } from '../../core/materials/catalogue.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';

export interface Ref {
	readonly kind: 'material' | 'colour' | 'slot' | 'design';
	readonly refId: string;
}

/**
 * Everything a recipe refers to, once each, in a fixed order: what the index of a kept version must hold.
 * Balloons are referred to by what they are (kind, nominal size, colour), so the index follows from the recipe
 * alone, whatever the Stockroom holds later; other things by the id of their material.
 */
export function refsOf(recipe: Recipe): Ref[] {
	const found = new Map<string, Ref>();
	const put = (kind: Ref['kind'], refId: string | null | undefined) => {
		if (refId) found.set(`${kind}/${refId}`, { kind, refId });
	};
	for (const slot of recipe.slots) put('slot', slot.name);
	for (const { fills } of recipe.colourways) for (const colour of Object.values(fills)) put('colour', colour);
	for (const { structure, stand } of recipe.sections) {
		put('material', stand.tie);
		if (structure.kind === 'design') put('design', structure.design);
		else if (structure.kind === 'extras') for (const line of structure.lines) put('material', line.material);
		else {
			put('material', structure.upright.material);
			for (const cluster of structure.layers.flatMap((l) => l.clusters)) {
				for (const place of cluster.places) {
					for (const slot of place.slot ? [place.slot] : slotsOf(cluster.pattern)) {
						for (const { fills } of recipe.colourways) {
							put('material', matchKey(place.kind, place.nominal, fills[slot] ?? null));
						}
					}
				}
			}
		}
	}
	return [...found.keys()].sort().map((key) => found.get(key)!);
}
