import { bundleOf } from '../../core/files/bundle.ts';
import { namesIn } from '../../core/files/remap.ts';
import { fileName } from '../file-name.ts';
import type { Repos } from '../repos/index.ts';
import { loadStudio } from './studio.ts';

/** Designs as one file; what of them cannot be read any more is left, and the others go all the same. */
export interface RecipesFile {
	readonly text: string;
	/** Without its ending: what was left is said where she sees it. */
	readonly name: string;
	readonly many: number;
	readonly left: readonly string[];
}

/** @param asked ids of designs; none is every one. What they use goes with them */
export async function recipesFile(repos: Repos, { asked }: { readonly asked: readonly string[] }): Promise<RecipesFile> {
	const { designs } = repos;
	const wanted = asked.length > 0 ? asked : (await designs.shelf()).map((row) => row.id);
	const found = new Map<string, Awaited<ReturnType<typeof designs.those>>['designs'][number]>();
	const left = new Set<string>();
	for (let next: readonly string[] = wanted; next.length > 0;) {
		const { designs: read, damaged } = await designs.those([...next]);
		for (const design of damaged) left.add(design);
		for (const design of read) found.set(design.id, design);
		const used = new Set(read.flatMap(({ recipe }) => [...namesIn(recipe).designs]));
		next = [...used].filter((id) => !found.has(id));
	}
	const list = [...found.values()].map(({ id, recipe }) => ({ id, recipe }));
	const studio = await loadStudio(repos);
	const [only] = list;
	const all = list.length === 1 ? fileName(only!.recipe.name, 'design') : fileName(studio.settings.business.name, 'designs');
	const name = left.size === 0 ? all : `${all}-without-${fileName([...left].join(' '), 'damaged')}`;
	return { text: list.length > 0 ? JSON.stringify(bundleOf(list, studio)) : '', name, many: list.length, left: [...left] };
} // prettier-ignore
