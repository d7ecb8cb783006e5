import { byWhatItIsAbout } from '../../core/checks/silence.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { tally } from '../../core/tally/tally.ts';
import type { Repos } from '../repos/index.ts';
import { contextOf, loadLibrary, loadStudio } from './studio.ts';

/**
 * Working copies whose findings were silenced by the words they began with know them by what they are about from then
 * on. Kept versions never change: theirs are read by either.
 * @returns how many designs were changed
 */
export async function renameSilenced(repos: Repos): Promise<number> {
	const ids = await repos.silenced.designs();
	if (ids.length === 0) return 0;
	const studio = await loadStudio(repos);
	let changed = 0;
	for (const id of ids) {
		const design = await repos.designs.find(id);
		if (!design) continue;
		const { recipe } = design;
		const context = contextOf(studio, await loadLibrary(repos, recipe));
		const silenced = byWhatItIsAbout(recipe.silenced, findingsOf(recipe, context));
		if (silenced === recipe.silenced) continue;
		if (await repos.silenced.rewrite(id, design.revision, { ...recipe, silenced })) changed++;
	}
	return changed;
}

/** Every finding of a design, in all its colours and sizes. */
const findingsOf = (recipe: Recipe, context: ReturnType<typeof contextOf>) =>
	recipe.colourways.flatMap(({ id }) =>
		[null, ...recipe.sizes.map((s) => s.id)].flatMap((size) => {
			const { findings, silenced } = tally(recipe, id, 1, context, size);
			return [...silenced, ...findings];
		})
	);
