import type { CountFacet } from '../facets/count.ts';
import { ONE_THING } from '../kit/one-thing.ts';
import type { DesignUse } from './document.ts';

/** Another design as a part: what it takes is counted on it, and the bill nests it. */
export const count: CountFacet<DesignUse> = {
	sold: 'other',
	soldBy: () => 0,
	...ONE_THING,
	balloons: () => 0,
	needs: () => [],
	tasks: () => [],
	site: () => null
};
