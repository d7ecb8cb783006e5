import type { Place, Cluster } from '../../document/cluster.ts';
import type { Id } from '../../document/id.ts';
import { slotsOf, slotAt, type Pattern } from '../../document/pattern.ts';

/** A balloon in a balloon goes with its own slot; the outer one stays. */
export const hollow = <P extends Place>(place: P, out: ReadonlySet<Id>): P =>
	place.inside?.kind === 'balloon' && out.has(place.inside.slot) ? { ...place, inside: undefined } : place;

export function clusterWithout(cluster: Cluster, out: ReadonlySet<Id>): Cluster[] {
	const { pattern } = cluster;
	const strands = slotsOf(pattern).filter((s) => !out.has(s));
	// The places of a list keep their own colour: each that stays says it itself.
	const named =
		pattern.kind === 'list'
			? cluster.places.map((place, at) => ({
					...place,
					slot:
						place.slot ??
						slotAt(pattern, {
							place: at,
							ringOfRow: 0,
							ringOfStack: 0,
							rings: 1,
							places: cluster.places.length
						})
				}))
			: cluster.places;
	const places = named.filter((p) => (p.slot === null ? strands.length > 0 : !out.has(p.slot)));
	if (places.length === 0) return [];
	return [{ ...cluster, places, pattern: strands.length > 0 ? thinned(pattern, out, strands) : pattern }];
}

export function thinned(pattern: Pattern, out: ReadonlySet<Id>, strands: readonly Id[]): Pattern {
	switch (pattern.kind) {
		case 'same':
			return pattern;
		case 'blocks':
			return { kind: 'blocks', blocks: pattern.blocks.filter((b) => !out.has(b.slot)) };
		case 'list':
			return { kind: 'list', slots: strands };
		default:
			return { ...pattern, slots: pattern.slots.filter((s) => !out.has(s)) };
	}
}
