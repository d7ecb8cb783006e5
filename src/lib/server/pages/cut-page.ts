import { cutListsOf } from '../../core/bom/cut-lists.ts';
import { GONE } from '../../core/document/names.ts';
import type { Repos } from '../repos/index.ts';
import { wantedOf } from '../services/jobs-ahead.ts';

/** One cut list over the jobs that are ticked, with what lies on the shelf. */
export async function cutPage(repos: Repos, { quotes }: { quotes: readonly string[] }) {
	const [{ wanted, context }, shelf] = await Promise.all([wantedOf(repos, quotes), repos.things.offcuts()]);
	const nameOf = (id: string | null) =>
		id === null ? 'tube, not chosen yet' : (context.catalogue.materials.get(id)?.name ?? GONE.material);
	return {
		lists: cutListsOf(wanted, context.library, context.catalogue, shelf).map(({ material, problem }) => ({
			material,
			tube: nameOf(material),
			problem
		})),
		shelf: shelf.map((o) => ({ ...o, tube: nameOf(o.material) }))
	};
}
