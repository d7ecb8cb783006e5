import type { Id } from '../document/id.ts';
import type { Recipe, Section } from './recipe.ts';

/** An element of a design that may be exchanged in one step, and what it is now. */
export interface Swappable {
	readonly element: Id;
	readonly name: string;
	readonly now: string;
	readonly what: 'material' | 'design';
}

/** Everything marked swappable, in the order of the recipe. `nameOf` finds the name of a material. */
export function swappables(recipe: Recipe, nameOf: (material: string) => string): Swappable[] {
	return recipe.sections.flatMap((section): Swappable[] => {
		const { structure } = section;
		switch (structure.kind) {
			case 'design':
				return section.swappable
					? [{ element: section.id, name: section.name, now: structure.design, what: 'design' }]
					: [];
			case 'extras':
				return structure.lines.flatMap(({ id, swappable, material }) =>
					swappable ? [{ element: id, name: nameOf(material), now: material, what: 'material' as const }] : []
				);
			case 'applied':
				return structure.pieces.flatMap(({ id, swappable, name, what }) =>
					swappable && what.kind === 'material' && what.material !== null
						? [{ element: id, name, now: what.material, what: 'material' as const }]
						: []
				);
			case 'bunch':
				return structure.items.flatMap(({ id, swappable, name, what }) =>
					swappable && what.kind === 'material' && what.material !== null
						? [{ element: id, name, now: what.material, what: 'material' as const }]
						: []
				);
			case 'stack':
			case 'form':
			case 'run':
			case 'weave':
				return [];
		}
	});
}

/**
 * The same design with one element exchanged: another foil in the place of this one, another design in the place of a
 * part. The part's colourway and size are its own, so the new one starts with its first.
 */
export function exchange(recipe: Recipe, element: Id, to: string): Recipe {
	const sections = recipe.sections.map((section): Section => {
		const { structure } = section;
		switch (structure.kind) {
			case 'design':
				if (section.id !== element || structure.design === to) return section;
				return {
					...section,
					structure: { ...structure, design: to, colourway: null, size: null, version: null }
				};
			case 'extras': {
				if (!structure.lines.some((l) => l.id === element)) return section;
				const lines = structure.lines.map((l) => (l.id === element ? { ...l, material: to } : l));
				return { ...section, structure: { ...structure, lines } };
			}
			case 'applied': {
				if (!structure.pieces.some((p) => p.id === element)) return section;
				const pieces = structure.pieces.map((p) =>
					p.id === element && p.what.kind === 'material' ? { ...p, what: { ...p.what, material: to } } : p
				);
				return { ...section, structure: { ...structure, pieces } };
			}
			case 'bunch': {
				if (!structure.items.some((i) => i.id === element)) return section;
				const items = structure.items.map((i) =>
					i.id === element && i.what.kind === 'material' ? { ...i, what: { ...i.what, material: to } } : i
				);
				return { ...section, structure: { ...structure, items } };
			}
			case 'stack':
			case 'form':
			case 'run':
			case 'weave':
				return section;
		}
	});
	return { ...recipe, sections };
}
