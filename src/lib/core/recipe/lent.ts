import type { Recipe, Section } from './recipe.ts';

/** Whether a run goes along another's path. */
export const lendsPath = ({ sections }: Pick<Recipe, 'sections'>): boolean =>
	sections.some((s) => s.structure.kind === 'run' && s.structure.path.kind === 'lent');

/**
 * A recipe whose runs along others have the paths of those: a garland along the pipe it hangs on. A path that is lent by
 * what is not there, or lent on in turn, stays lent, and has no length.
 */
export function withPaths(recipe: Recipe): Recipe {
	if (!lendsPath(recipe)) return recipe;
	const sections = recipe.sections.map((section): Section => {
		const { structure } = section;
		if (structure.kind !== 'run' || structure.path.kind !== 'lent') return section;
		const { by } = structure.path;
		const lender = recipe.sections.find((s) => s.id === by)?.structure;
		if (lender?.kind !== 'run') return section;
		const { path, height, branches } = lender;
		return { ...section, structure: { ...structure, path, height, branches } };
	});
	return { ...recipe, sections };
}
