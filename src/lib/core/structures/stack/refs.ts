import { mapCluster, maybe } from '../../document/refs.ts';
import type { Movable, RefsFacet } from '../facets/refs.ts';
import { NO_DESIGN, rowParts } from '../kit/refs.ts';
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
	hostPart({ layers }, host) {
		if (host.on === 'layer') {
			const row = layers.findIndex((l) => l.id === host.layer) + 1;
			return row > 0 ? { kind: 'row', row } : undefined;
		}
		if (host.on !== 'place') return undefined;
		for (const [at, { clusters }] of layers.entries()) {
			const place = clusters.flatMap((c) => c.places).findIndex((p) => p.id === host.place) + 1;
			if (place > 0) return { kind: 'place', row: at + 1, place };
		}
		return undefined;
	}
};
