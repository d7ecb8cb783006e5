import type { Recipe } from '../../core/recipe/recipe.ts';
import type { Repos } from '../repos/index.ts';

/**
 * Changes the working copy of a design as it stands just now. Where somebody saves in between, the change is done
 * again on what they saved. Repeating it with the same id changes nothing.
 * @param change gives the new recipe; undefined where there is nothing to change it for
 * @returns whether it was changed, or had been
 */
export async function changeWorking(
	repos: Repos,
	design: string,
	{ saveId, now }: { saveId: string; now: Date },
	change: (recipe: Recipe) => Promise<Recipe | undefined>
): Promise<boolean> {
	for (let tries = 0; tries < 5; tries++) {
		const found = await repos.designs.find(design);
		if (!found) return false;
		const recipe = await change(found.recipe);
		if (!recipe) return false;
		// Saved as it was: there is nothing to save.
		if (JSON.stringify(recipe) === JSON.stringify(found.recipe)) return true;
		const outcome = await repos.designs.save(design, { saveId, baseRevision: found.revision, recipe }, now);
		if (outcome.status !== 'stale') return outcome.status === 'saved';
	}
	return false;
}
