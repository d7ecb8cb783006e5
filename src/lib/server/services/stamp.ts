import type { Repos } from '../repos/index.ts';
import { loadKept } from './studio.ts';

/**
 * What every answer about a working copy hangs on: its revision, the kept versions of all designs inside it, the Stockroom
 * and settings, and its photos. Where the stamp is the same, so is the answer. A design that is not there has one too.
 */
export async function stampOf(repos: Repos, id: string): Promise<string> {
	const design = await repos.designs.find(id);
	if (!design) return `no ${id}`;
	const [kept, stock, photos] = await Promise.all([
		loadKept(repos, design.recipe),
		repos.workspaces.stamp(),
		repos.photos.list(id)
	]);
	const versions = kept.map((k) => k.id).sort();
	return JSON.stringify([id, design.revision, design.keptNumber, versions, stock, photos]);
}
