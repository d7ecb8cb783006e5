import type { Recipe } from '../../core/recipe/recipe.ts';
import { STARTS_NEW } from '../../core/starting/own.ts';
import type { Repos } from '../repos/index.ts';
import { loadLibrary } from './studio.ts';

/** More starting shapes than this are a second Shelf. */
const MOST_OWN = 12;

/** Designs of the studio that new ones start from, as they were last kept, with all that is inside them. */
export async function ownShapes(repos: Repos): Promise<{
	own: { readonly id: string; readonly recipe: Recipe }[];
	library: (readonly [string, Recipe])[];
}> {
	const rows = await repos.designs.shelf();
	const words = await repos.designs.words(rows);
	const tagged = rows.filter((_, i) => words[i]!.tags.includes(STARTS_NEW)).slice(0, MOST_OWN);
	const kept = await repos.designs.lastKeptOf(tagged.map((r) => r.id));
	const libraries = await Promise.all(kept.map(({ recipe }) => loadLibrary(repos, recipe)));
	return {
		own: kept.map(({ design, recipe }) => ({ id: design, recipe })),
		library: libraries.flatMap((of) => [...of])
	};
}
