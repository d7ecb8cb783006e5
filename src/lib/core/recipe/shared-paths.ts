import { along, goesAlong, wayOf } from '../structures/registry/variant.ts';
import type { Recipe, Section } from './recipe.ts';

/** Whether anything goes along another's path. */
export const sharesPath = ({ sections }: Pick<Recipe, 'sections'>): boolean =>
	sections.some((s) => goesAlong(s.structure) !== null);

/**
 * A recipe whose runs along others have the paths of those: a garland along the pipe it hangs on. A path that is lent by
 * what is not there, or lent on in turn, stays lent, and has no length.
 */
export function withPaths(recipe: Recipe): Recipe {
	if (!sharesPath(recipe)) return recipe;
	const sections = recipe.sections.map((section): Section => {
		const by = goesAlong(section.structure);
		const lender = by === null ? undefined : recipe.sections.find((s) => s.id === by);
		const way = lender && wayOf(lender.structure);
		return way ? { ...section, structure: along(section.structure, way) } : section;
	});
	return { ...recipe, sections };
}
