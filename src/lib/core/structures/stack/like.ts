import type { Id } from '../../document/id.ts';
import type { Mutable } from '../../document/mutable.ts';
import type { Layer } from './document.ts';

/** Rows of all sections, whatever holds them. */
type Rows = readonly (readonly Layer[])[];

/** What a row is but for the names of its parts. */
const plain = ({ clusters }: Pick<Layer, 'clusters'>): string =>
	JSON.stringify(clusters, (key, value: unknown) => (key === 'id' ? undefined : value));

/**
 * Brings rows that are one row again and again to what that is. What was changed in one of them since is changed in all;
 * where the row itself is gone the others stand by themselves, as they are.
 * @param before the rows as they were, where somebody changed them
 */
export function settleLike(sections: readonly Mutable<Layer>[][], before: Rows = []): void {
	const all = sections.flat();
	const was = new Map(before.flat().map((l) => [l.id, l]));
	const changed = (layer: Mutable<Layer>): boolean => {
		const old = was.get(layer.id);
		return old !== undefined && old.like === layer.like && plain(old) !== plain(layer as Layer);
	};
	for (const source of all) {
		const others = all.filter((l) => l.like === source.id && l !== source);
		if (others.length === 0) continue;
		const news = changed(source) ? source : (others.find(changed) ?? source);
		for (const layer of [source, ...others])
			if (layer !== news && plain(layer as Layer) !== plain(news as Layer)) take(layer, news);
	}
	const ids = new Set(all.map((l) => l.id));
	for (const layer of all)
		if (layer.like !== undefined && (layer.like === layer.id || !ids.has(layer.like))) delete layer.like;
}

/** Clusters of another row under the names of one's own, so that what sits on them stays there. */
function take(layer: Mutable<Layer>, from: Mutable<Layer>): void {
	const had = layer.clusters;
	const name = (own: Id | undefined, c: number, p: number | string) => own ?? `${layer.id}.${c}.${p}`;
	layer.clusters = (JSON.parse(JSON.stringify(from.clusters)) as Mutable<Layer>['clusters']).map(
		(cluster, c) => ({
			...cluster,
			id: name(had[c]?.id, c, 'c'),
			places: cluster.places.map((place, p) => ({ ...place, id: name(had[c]?.places[p]?.id, c, p) }))
		})
	);
}

/** `like row 2`, `like arm row 1`: which row it is once more, as it is typed. */
export function likeWords(
	like: Id,
	rows: readonly { readonly id: Id }[],
	sections: readonly { readonly name: string; readonly structure: object }[]
): string {
	const own = rows.findIndex((l) => l.id === like) + 1;
	if (own > 0) return `like row ${own}`;
	for (const { name, structure } of sections) {
		const row =
			'layers' in structure ? (structure.layers as readonly Layer[]).findIndex((l) => l.id === like) + 1 : 0;
		if (row > 0) return `like ${name} row ${row}`;
	}
	return '';
}
