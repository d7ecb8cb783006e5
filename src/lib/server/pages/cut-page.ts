import { cutListsOf } from '../../core/bom/cut-lists.ts';
import { sheetListsOf } from '../../core/bom/sheet-lists.ts';
import { GONE } from '../../core/document/names.ts';
import type { Repos } from '../repos/index.ts';
import type { Micrometres } from '../../core/units/length.ts';
import type { Offcut } from '../repos/things.ts';
import { wantedOf } from '../services/jobs-ahead.ts';

/** What is left of a sheet has two sides. */
const isRest = (o: Offcut): o is Offcut & { readonly wide: Micrometres } => o.wide !== 0;

/** One cut list over the jobs that are ticked, with what lies on the shelf. */
export async function cutPage(repos: Repos, { quotes }: { quotes: readonly string[] }) {
	const [{ wanted, context }, shelf] = await Promise.all([wantedOf(repos, quotes), repos.things.offcuts()]);
	const nameOf = (id: string | null) =>
		id === null ? 'tube, not chosen yet' : (context.catalogue.materials.get(id)?.name ?? GONE.material);
	return {
		lists: cutListsOf(
			wanted,
			context.library,
			context.catalogue,
			shelf.filter((o) => !isRest(o))
		).map(({ material, problem }) => ({
			material,
			tube: nameOf(material),
			problem
		})),
		sheets: sheetListsOf(
			wanted,
			context.library,
			context.catalogue,
			shelf.filter(isRest).map(({ length, ...r }) => ({ ...r, wide: length, deep: r.wide }))
		).map((list) => ({
			...list,
			stuff: list.material === null ? 'plates, not chosen yet' : nameOf(list.material)
		})),
		shelf: shelf.map((o) => ({ ...o, tube: nameOf(o.material) }))
	};
}
