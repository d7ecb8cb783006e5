import { mapCluster, maybe } from '../../document/refs.ts';
import type { Movable, RefsFacet } from '../facets/refs.ts';
import { NO_DESIGN, rowParts, NO_HOSTS } from '../kit/refs.ts';
import type { Stack } from './document.ts';

export const refs: RefsFacet<Stack> = {
	part: 'A layer',
	accompanies: false,
	...NO_DESIGN,
	mapRefs: (s, map) => ({
		...s,
		upright: { ...s.upright, material: maybe(s.upright.material, map.material) },
		layers: s.layers.map((l) => ({ ...l, clusters: l.clusters.map((c) => mapCluster(c, map)) }))
	}),
	alone: (s) => s.layers.map((layer) => ({ ...s, layers: [layer] })),
	parts: ({ layers }) => rowParts(layers),
	lists: ({ layers }) => [layers as Movable[]],
	hosts: ({ layers }) => ({
		...NO_HOSTS,
		rows: layers.map(({ id, clusters }) => ({
			id,
			places: () => clusters.flatMap((c) => c.places.map((p) => p.id))
		}))
	})
};
