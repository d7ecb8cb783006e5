import { type RefMap, mapPlace, maybe } from '../../document/refs.ts';
import type { OwnBalloon } from '../../document/cluster.ts';
import type { Id } from '../../document/id.ts';
import type { Hosts, Part } from '../facets/refs.ts';

/** What pieces and items are: a balloon, a material, a wording in a slot. */
type Thing =
	| { readonly kind: 'balloon'; readonly balloon: OwnBalloon }
	| { readonly kind: 'material'; readonly material: Id | null }
	| { readonly kind: 'letters'; readonly slot: Id };

/** A thing that names others in the same places. */
export function mapThing<T extends Thing>(what: T, map: RefMap): T {
	switch (what.kind) {
		case 'balloon':
			return { ...what, balloon: mapPlace(what.balloon, map) };
		case 'material':
			return { ...what, material: maybe(what.material, map.material) };
		case 'letters':
			return { ...what, slot: map.slot(what.slot) };
	}
	return what;
}

/** Parts the plan meets, told by their number. */
export const rowParts = (rows: readonly { readonly id: Id }[]): Part[] =>
	rows.map(({ id }) => ({ id, name: null, served: true }));

/** Parts the plan meets, told by their name. */
export const namedParts = (parts: readonly { readonly id: Id; readonly name: string }[]): Part[] =>
	parts.map(({ id, name }) => ({ id, name, served: true }));

/** What most kinds answer: nothing sits on a part of it, no design is inside. */
export const NO_HOSTS: Hosts = { rows: null, named: [], along: false };
export const CARRIES_NOTHING = { hosts: () => NO_HOSTS } as const;
export const NO_DESIGN = { nested: () => null } as const;
