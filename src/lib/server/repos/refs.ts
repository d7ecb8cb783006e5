import { slotsOf } from '../../core/recipe/pattern.ts';
import { matchKey } from '../../core/materials/catalogue.ts';
import type { Id, Place, Recipe } from '../../core/recipe/recipe.ts';

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
	const balloon = ({ kind, nominal, material }: Place, slots: readonly Id[]) => {
		if (material !== null) return put('material', material);
		for (const slot of slots)
			for (const { fills } of recipe.colourways)
				put('material', matchKey(kind, nominal, fills[slot] ?? null));
	};
	for (const { swaps } of recipe.sizes) {
		// An element is exchanged for a design where it is one, else for a material.
		for (const [element, to] of Object.entries(swaps)) {
			const part = recipe.sections.some((s) => s.id === element && s.structure.kind === 'design');
			put(part ? 'design' : 'material', to);
		}
	}
	for (const rule of recipe.rules) put('material', rule.material);
	for (const { structure, stand } of recipe.sections) {
		put('material', stand.tie);
		switch (structure.kind) {
			case 'design':
				put('design', structure.design);
				break;
			case 'extras':
				for (const line of structure.lines) put('material', line.material);
				break;
			case 'applied':
				for (const { what } of structure.pieces) {
					if (what.kind === 'material') put('material', what.material);
					else balloon(what.balloon, [what.balloon.slot]);
				}
				break;
			case 'stack':
				put('material', structure.upright.material);
				for (const cluster of structure.layers.flatMap((l) => l.clusters))
					for (const place of cluster.places)
						balloon(place, place.slot ? [place.slot] : slotsOf(cluster.pattern));
		}
	}
	return [...found.keys()].sort().map((key) => found.get(key)!);
}
