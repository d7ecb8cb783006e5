import type { RefsFacet } from '../facets/refs.ts';
import { CARRIES_NOTHING } from '../kit/refs.ts';
import type { DesignUse } from './document.ts';

export const refs: RefsFacet<DesignUse> = {
	part: 'A design',
	accompanies: false,
	...CARRIES_NOTHING,
	mapRefs: (s, map) => ({ ...s, design: map.design(s.design) }),
	alone: () => [],
	parts: () => [],
	lists: () => [],
	nested: (s) => s
};
