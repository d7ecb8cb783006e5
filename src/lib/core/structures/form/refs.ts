import type { Movable, RefsFacet } from '../facets/refs.ts';
import { CARRIES_NOTHING, namedParts, NO_DESIGN } from '../kit/refs.ts';
import type { Form } from './document.ts';

export const refs: RefsFacet<Form> = {
	part: 'A piece',
	accompanies: false,
	...CARRIES_NOTHING,
	...NO_DESIGN,
	mapRefs: (s, map) => ({ ...s, pieces: s.pieces.map((p) => ({ ...p, slot: map.slot(p.slot) })) }),
	alone: (s) => s.pieces.map((piece) => ({ ...s, pieces: [piece] })),
	parts: ({ pieces }) => namedParts(pieces),
	lists: ({ pieces }) => [pieces as Movable[]]
};
