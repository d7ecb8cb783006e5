import type { Mutable } from '../../document/mutable.ts';
import type { Movable } from '../facets/refs.ts';
import type { TouchFacet } from '../facets/touch.ts';
import { UNTOUCHED } from '../kit/touch.ts';
import type { Layer, Stack } from './document.ts';
import { placeStack } from './place.ts';
import { variant } from './variant.ts';

/** Its top goes up and down: by as many layers as come nearest. */
export const touch: TouchFacet<Stack> = {
	...UNTOUCHED,
	clusterOf: (part: Movable) => (part as unknown as Mutable<Layer>).clusters[0],
	grips: ({ layers }, placed) =>
		placed && layers.length > 0
			? [{ id: 'top', x: 0, z: placed.overall.usual, says: 'top', ways: 'up' }]
			: [],
	dragged: (stack, _, by, pumps) =>
		variant.toHeight(stack, Math.max(1, placeStack(stack, pumps).overall.usual + by.z), pumps, 'over all')
};
