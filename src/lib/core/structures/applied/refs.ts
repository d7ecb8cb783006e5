import type { Movable, RefsFacet } from '../facets/refs.ts';
import { mapThing, namedParts, NO_DESIGN, NO_HOSTS } from '../kit/refs.ts';
import type { Applied } from './document.ts';

export const refs: RefsFacet<Applied> = {
	part: 'A piece',
	accompanies: true,
	...NO_DESIGN,
	mapRefs: (s, map) => ({ ...s, pieces: s.pieces.map((p) => ({ ...p, what: mapThing(p.what, map) })) }),
	alone: (s) => s.pieces.map((piece) => ({ ...s, pieces: [piece] })),
	parts: ({ pieces }) => namedParts(pieces),
	lists: ({ pieces }) => [pieces as Movable[]],
	hosts: ({ pieces }) => ({
		...NO_HOSTS,
		named: pieces.map(({ id, name }) => ({ name, host: { on: 'piece', piece: id } }))
	}),
	sitsOn: ({ pieces }) => pieces.flatMap(({ on }) => on.map(({ host }) => host))
};
