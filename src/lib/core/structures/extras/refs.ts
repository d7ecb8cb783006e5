import type { Movable, RefsFacet } from '../facets/refs.ts';
import { CARRIES_NOTHING, NO_DESIGN } from '../kit/refs.ts';
import type { Extras } from './document.ts';

export const refs: RefsFacet<Extras> = {
	part: 'A line',
	accompanies: true,
	...CARRIES_NOTHING,
	...NO_DESIGN,
	mapRefs: (s, map) => ({ ...s, lines: s.lines.map((l) => ({ ...l, material: map.material(l.material) })) }),
	alone: (s) => s.lines.map((line) => ({ ...s, lines: [line] })),
	parts: ({ lines }) => lines.map(({ id }) => ({ id, name: null, served: false })),
	lists: ({ lines }) => [lines as unknown as Movable[]]
};
