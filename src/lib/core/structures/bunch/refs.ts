import { mapPlace, maybe } from '../../document/refs.ts';
import type { Movable, RefsFacet } from '../facets/refs.ts';
import { mapThing, namedParts, NO_DESIGN, NO_HOSTS } from '../kit/refs.ts';
import type { Bunch } from './document.ts';

export const refs: RefsFacet<Bunch> = {
	part: 'An item',
	accompanies: false,
	...NO_DESIGN,
	mapRefs: (s, map) => ({
		...s,
		items: s.items.map((i) => ({
			...i,
			what: mapThing(i.what, map),
			ribbon: i.ribbon && { ...i.ribbon, material: maybe(i.ribbon.material, map.material) }
		})),
		weight:
			s.weight?.kind === 'balloon'
				? { ...s.weight, balloon: mapPlace(s.weight.balloon, map) }
				: s.weight && { ...s.weight, material: maybe(s.weight.material, map.material) }
	}),
	alone: (s) => [
		...s.items.map((item) => ({ ...s, items: [item], weight: null })),
		...(s.weight ? [{ ...s, items: [] }] : [])
	],
	parts: ({ items }) => namedParts(items),
	lists: ({ items }) => [items as Movable[]],
	hosts: ({ items }) => ({
		...NO_HOSTS,
		named: items.map(({ id, name }) => ({ name, host: { on: 'place', place: id } }))
	})
};
