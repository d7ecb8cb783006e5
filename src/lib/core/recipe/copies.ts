import type { Id, Recipe, Section } from './recipe.ts';

/** How many of a section a design has in all: its own times those of what it stands by. */
export function copiesOf(recipe: Recipe, section: Section): number {
	let count = 1;
	let now: Section | undefined = section;
	for (let steps = 0; now && steps <= recipe.sections.length; steps++) {
		count *= now.times;
		const { by }: { by: Id | null } = now.stand;
		now = by === null ? undefined : recipe.sections.find((s) => s.id === by);
	}
	return count;
}
