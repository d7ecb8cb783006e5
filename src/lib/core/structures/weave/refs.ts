import { mapHung, mapPlace, maybe } from '../../document/refs.ts';
import type { Movable, RefsFacet } from '../facets/refs.ts';
import { NO_DESIGN, NO_HOSTS, rowParts } from '../kit/refs.ts';
import { spotsOf } from './spots.ts';
import type { Weave } from './document.ts';

export const refs: RefsFacet<Weave> = {
	part: 'A piece',
	accompanies: false,
	hosts: (s) => ({ ...NO_HOSTS, spots: spotsOf(s) }),
	...NO_DESIGN,
	mapRefs: (s, map) => ({
		...s,
		rows: s.rows.map((r) => ({
			...r,
			blocks: r.blocks.map((b) => ({ ...b, slot: maybe(b.slot, map.slot) }))
		})),
		joiner: s.joiner && mapPlace(s.joiner, map),
		...(s.filler ? { filler: mapPlace(s.filler, map) } : {}),
		handle: s.handle && { ...s.handle, slot: map.slot(s.handle.slot) },
		hung: mapHung(s.hung, map)
	}),
	alone: (s) => [
		...s.rows.map((row) => ({ ...s, rows: [row], joiner: null, handle: null, filler: undefined })),
		{ ...s, rows: [] }
	],
	parts: ({ rows }) => rowParts(rows),
	lists: ({ rows }) => [rows as Movable[]]
};
