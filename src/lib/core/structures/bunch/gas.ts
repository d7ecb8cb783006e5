import type { Recipe } from '../../recipe/recipe.ts';
import { inflatedIn } from './count.ts';

/** A design with every balloon and foil of its bunches in one gas; it is itself where they are so already. */
export function inGas(recipe: Recipe, gas: 'air' | 'helium'): Recipe {
	let changed = false;
	const sections = recipe.sections.map((section) => {
		const { structure } = section;
		if (structure.kind !== 'bunch') return section;
		const items = structure.items.map((item) => {
			if (item.gas === gas || inflatedIn(item) === 0) return item;
			changed = true;
			return { ...item, gas };
		});
		return { ...section, structure: { ...structure, items } };
	});
	return changed ? { ...recipe, sections } : recipe;
}

/** When it may be built and how long it looks well. */
export interface Keeping {
	/** Days before the event: the most, 0 for the same day. */
	readonly ahead: number;
	readonly build: string;
	readonly life: string;
}

/**
 * What the softest of it keeps: latex in helium is built the same day and floats for about one, latex in air one to
 * three days before; foils up to a week, in helium floating for some days of it. Common practice, from memory.
 */
export function keepingOf(recipe: Recipe): Keeping {
	const items = recipe.sections.flatMap((s) => (s.structure.kind === 'bunch' ? s.structure.items : []));
	const latex = items.filter((i) => i.what.kind === 'balloon');
	if (latex.some((i) => i.gas === 'helium'))
		return { ahead: 0, build: 'the same day', life: 'floats about a day: 12 to 24 hours for an 11 in' };
	if (latex.length > 0)
		return { ahead: 3, build: '1 to 3 days before', life: 'days to weeks indoors, softer by the day' };
	return items.some((i) => i.gas === 'helium')
		? { ahead: 3, build: 'up to 3 days before', life: 'floats 3 to 7 days, topped up where it softens' }
		: { ahead: 7, build: 'up to a week before', life: 'weeks indoors' };
}
