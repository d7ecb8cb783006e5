import type { Id } from '../../document/id.ts';
import type { Recipe, Section } from '../../recipe/recipe.ts';
import type { DesignUse } from './document.ts';

/** Every design inside a recipe with its section, in order. */
export const usesIn = ({ sections }: Pick<Recipe, 'sections'>): { section: Section; use: DesignUse }[] =>
	sections.flatMap((section) =>
		section.structure.kind === 'design' ? [{ section, use: section.structure }] : []
	);

/** The designs a recipe uses as it stands, or in one of its sizes; one that is used twice comes twice. */
export function designsIn(recipe: Pick<Recipe, 'sections' | 'sizes'>): Id[] {
	const used = usesIn(recipe);
	const swaps = recipe.sizes.flatMap((size) => used.flatMap(({ section }) => size.swaps[section.id] ?? []));
	return [...used.map(({ use }) => use.design), ...swaps];
}

/** Each design inside with the version it is computed with; null where none is kept. */
export const withVersions = (recipe: Recipe, versionOf: (design: Id) => number | null): Recipe => ({
	...recipe,
	sections: recipe.sections.map((s) =>
		s.structure.kind === 'design'
			? { ...s, structure: { ...s.structure, version: versionOf(s.structure.design) } }
			: s
	)
});
