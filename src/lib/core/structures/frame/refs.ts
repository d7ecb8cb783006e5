import { maybe } from '../../document/refs.ts';
import type { RefsFacet } from '../facets/refs.ts';
import { NO_DESIGN, NO_HOSTS } from '../kit/refs.ts';
import { spotsOf } from './spots.ts';
import type { Frame } from './document.ts';

export const refs: RefsFacet<Frame> = {
	part: 'A part',
	accompanies: false,
	hosts: (s) => ({ ...NO_HOSTS, spots: spotsOf(s) }),
	...NO_DESIGN,
	mapRefs: (s, map) => ({
		...s,
		tube: { ...s.tube, material: maybe(s.tube.material, map.material) },
		base: s.base && { ...s.base, material: maybe(s.base.material, map.material) },
		grounds: s.grounds.map((g) => ({
			...g,
			base: g.base && { ...g.base, material: maybe(g.base.material, map.material) }
		})),
		mesh: s.mesh && { material: maybe(s.mesh.material, map.material) }
	}),
	alone: (s) => [s],
	parts: () => [],
	lists: () => []
};
