import type { Recipe } from '../recipe/recipe.ts';
import type { Id } from '../document/id.ts';
import { partsOf } from '../structures/registry/refs.ts';
import type { Step } from '../document/step.ts';
import { aboutOf } from './made-step.ts';

/** Everything of a recipe that a step can be about. */
export function idsIn(recipe: Recipe): ReadonlySet<Id> {
	const ids = new Set<Id>();
	for (const { id, name, structure } of recipe.sections) {
		ids.add(id);
		for (const part of partsOf(structure, name)) ids.add(part.id);
	}
	return ids;
}

/** Whether everything a stored step is about is gone from its recipe. @param ids what is there, by {@link idsIn} */
export function isLost({ id, own, uses }: Pick<Step, 'id' | 'own' | 'uses'>, ids: ReadonlySet<Id>): boolean {
	if (own) return uses.length > 0 && uses.every((u) => !ids.has(u));
	const about = aboutOf(id);
	return about !== undefined && about !== '' && !ids.has(about);
}
