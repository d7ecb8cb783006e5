import type { Recipe, Section } from './recipe.ts';

/** A section and what it stands by, one by one down to the floor. Ends after as many steps as there are sections. */
export function wayDown({ sections }: Pick<Recipe, 'sections'>, section: Section): Section[] {
	const way = [section];
	while (way.length <= sections.length) {
		const { by } = way.at(-1)!.stand;
		const next = by === null ? undefined : sections.find((s) => s.id === by);
		if (!next) break;
		way.push(next);
	}
	return way;
}

/** How many of a section a design has in all: its own times those of what it stands by. */
export const copiesOf = (recipe: Recipe, section: Section): number =>
	wayDown(recipe, section).reduce((count, { times }) => count * times, 1);
