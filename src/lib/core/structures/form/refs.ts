import type { Movable, RefsFacet } from '../facets/refs.ts';
import { namedParts, NO_DESIGN, NO_HOSTS } from '../kit/refs.ts';
import type { Form } from './document.ts';

export const refs: RefsFacet<Form> = {
	part: 'A piece',
	accompanies: false,
	...NO_DESIGN,
	mapRefs: (s, map) => ({
		...s,
		pieces: s.pieces.map((p) => ({
			...p,
			slot: map.slot(p.slot),
			...(p.more && { more: p.more.map(map.slot) })
		}))
	}),
	alone: (s) => s.pieces.map((piece) => ({ ...s, pieces: [piece] })),
	parts: ({ pieces }) => namedParts(pieces),
	lists: ({ pieces }) => [pieces as Movable[]],
	hosts: ({ pieces }) => ({
		...NO_HOSTS,
		named: pieces.map(({ id, name }) => ({ name, host: { on: 'piece', piece: id } }))
	}),
	reaches: ({ pieces }) => pieces.flatMap((p) => p.to ?? []),
	sitsOn: ({ pieces }) => pieces.flatMap((p) => [...(p.at ? [p.at] : []), ...(p.to ? [p.to] : [])])
};
