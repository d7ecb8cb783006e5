import type { Side } from '../document/side.ts';
import { newPlace } from '../structures/kit/build-cluster.ts';
import { type NewId } from '../document/id.ts';
import { layerWith } from '../structures/stack/edit.ts';
import { dropUnusedSlots, type RecipeDraft } from './draft.ts';
import type { Mutable } from '../document/mutable.ts';
import { MOST_IN_CLUSTER } from '../document/limits.ts';
import type { Cluster, Place } from '../document/cluster.ts';
import type { Id } from '../document/id.ts';

/** Changes some places of a row, all alike. */
export function changePlaces(
	recipe: RecipeDraft,
	layer: Id,
	places: ReadonlySet<Id>,
	change: Partial<Omit<Place, 'id'>>
) {
	for (const cluster of layerWith(recipe, layer)?.clusters ?? [])
		for (const place of cluster.places) if (places.has(place.id)) Object.assign(place, change);
	if ('slot' in change) dropUnusedSlots(recipe);
}

/** One more in the cluster that holds `beside`, like it and next to it. @returns its id, or nothing where the cluster is full */
export function addPlace(recipe: RecipeDraft, layer: Id, beside: Id, newId: NewId): Id | undefined {
	for (const { places } of layerWith(recipe, layer)?.clusters ?? []) {
		const at = places.findIndex((p) => p.id === beside);
		if (at < 0 || places.length >= MOST_IN_CLUSTER) continue;
		const place = { ...places[at]!, id: newId(), side: null };
		places.splice(at + 1, 0, place);
		return place.id;
	}
	return undefined;
}

/** Takes places out; a cluster goes with its last one. The last balloon of a row stays: rows are taken out whole. */
export function removePlaces(recipe: RecipeDraft, layer: Id, places: ReadonlySet<Id>) {
	const own = layerWith(recipe, layer);
	if (!own) return;
	const left = own.clusters
		.map((c) => ({ ...c, places: c.places.filter((p) => !places.has(p.id)) }))
		.filter((c) => c.places.length > 0);
	if (left.length > 0) own.clusters = left;
	dropUnusedSlots(recipe);
}

/** A small cluster more: a pair of the row's first balloon, on a side and tier of its own. @returns its first place */
export function addCluster(
	recipe: RecipeDraft,
	layer: Id,
	{ side, tier }: { side: Side; tier: number },
	newId: NewId
): Id | undefined {
	const own = layerWith(recipe, layer);
	const like = own?.clusters[0];
	if (!own || !like || own.clusters.length >= 8) return undefined;
	const { nominal, size, kind } = like.places[0]! as Place;
	const places = [newId(), newId()].map((id) => ({ ...newPlace(id, nominal, size), kind }));
	const cluster: Cluster = { id: newId(), places, side, tier, pattern: like.pattern as Cluster['pattern'] };
	own.clusters.push(structuredClone(cluster) as Mutable<Cluster>);
	return places[0]!.id;
}

/** Moves the cluster of a place to a side and tier. */
export function moveCluster(
	recipe: RecipeDraft,
	layer: Id,
	place: Id,
	to: { readonly side?: Side; readonly tier?: number }
) {
	const cluster = layerWith(recipe, layer)?.clusters.find((c) => c.places.some((p) => p.id === place));
	if (cluster) Object.assign(cluster, to);
}
