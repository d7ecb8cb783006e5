import type { Id } from './id.ts';
import type { Pattern } from './pattern.ts';
import type { Inside } from './inside.ts';
import type { Place, Cluster } from './cluster.ts';
import type { Hung } from './hung.ts';

/** Another name for each that a recipe names. */
export interface RefMap {
	slot(id: Id): Id;
	material(id: Id): Id;
	design(id: Id): Id;
	colour(id: Id): Id;
}

export const same = (id: Id): Id => id;

/** Every name stays as it is. */
export const KEEP: RefMap = { slot: same, material: same, design: same, colour: same };

export const maybe = <T extends Id | null>(id: T, by: (id: Id) => Id): T =>
	id === null ? id : (by(id) as T);

export function mapPattern(pattern: Pattern, { slot }: RefMap): Pattern {
	if (pattern.kind === 'same') return { ...pattern, slot: slot(pattern.slot) };
	if (pattern.kind === 'blocks')
		return { ...pattern, blocks: pattern.blocks.map((b) => ({ ...b, slot: slot(b.slot) })) };
	return { ...pattern, slots: pattern.slots.map(slot) };
}

export const mapInside = (inside: Inside, { slot }: RefMap): Inside =>
	inside.kind === 'balloon' ? { ...inside, slot: slot(inside.slot) } : inside;

export const mapPlace = <P extends Place>(place: P, map: RefMap): P => ({
	...place,
	slot: maybe(place.slot, map.slot),
	material: maybe(place.material, map.material),
	...(place.inside && { inside: mapInside(place.inside, map) })
});

export const mapCluster = (cluster: Cluster, map: RefMap): Cluster => ({
	...cluster,
	pattern: mapPattern(cluster.pattern, map),
	places: cluster.places.map((place) => mapPlace(place, map))
});

export const mapHung = (hung: Hung | null, map: RefMap): Hung | null =>
	hung && { ...hung, material: maybe(hung.material, map.material) };
