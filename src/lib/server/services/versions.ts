import { GONE } from '../../core/document/names.ts';
import { compare, type Comparison } from '../../core/compare/compare.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { tally } from '../../core/tally/tally.ts';
import type { Repos } from '../repos/index.ts';
import { contextOf, loadLibrary, loadStudio } from './studio.ts';

/** The working copy stands in a comparison under this name. */
export const WORKING = 'working';

async function recipeOf(repos: Repos, design: string, which: string): Promise<Recipe | undefined> {
	if (which === WORKING) return (await repos.designs.find(design))?.recipe;
	const version = await repos.designs.version(which);
	return version?.design === design ? version.recipe : undefined;
}

/** Two versions of one design, by their ids. */
export interface VersionPair {
	readonly first: string;
	readonly second: string;
}

/** Two versions of a design at today's prices; undefined where one of them is not there. */
export async function compareVersions(
	repos: Repos,
	design: string,
	{ first, second }: VersionPair
): Promise<Comparison | undefined> {
	const studio = await loadStudio(repos);
	const worked = async (which: string) => {
		const recipe = await recipeOf(repos, design, which);
		return (
			recipe && { recipe, tally: tally(recipe, null, 1, contextOf(studio, await loadLibrary(repos, recipe))) }
		);
	};
	const [a, b] = [await worked(first), await worked(second)];
	const names = new Map([...studio.materials, ...studio.colours].map((m) => [m.id, m.name]));
	return a && b && compare(a, b, (id) => names.get(id) ?? GONE.material);
}

/**
 * Makes a kept version the working copy again. What the working copy held is kept first, so nothing is lost.
 * @returns false where the design was changed since the page was opened, or there is no such version
 */
export async function restoreVersion(
	repos: Repos,
	design: string,
	{ version, saveId, baseRevision }: { version: string; saveId: string; baseRevision: number },
	now: Date
): Promise<boolean> {
	const recipe = await recipeOf(repos, design, version);
	if (!recipe || version === WORKING) return false;
	await repos.designs.keep(design, now, 'going back');
	const outcome = await repos.designs.save(design, { saveId, baseRevision, recipe }, now);
	return outcome.status === 'saved';
}
