import type { TouchFacet } from '../facets/touch.ts';
import { OWN_SIZES, resizeBalloons } from './resize.ts';

/** What most kinds answer. */
export const UNTOUCHED = {
	resized: (draft, part, halves) => resizeBalloons(part ?? draft, halves),
	clusterOf: () => undefined,
	grips: () => [],
	dragged: <S>(s: S): S => s,
	seat: () => false
} satisfies TouchFacet<object>;

/** What has no size of its own to change. */
export const SIZED_ELSEWHERE = { ...UNTOUCHED, resized: () => OWN_SIZES };
