import type { TouchFacet } from '../facets/touch.ts';
import { resizeAll } from '../kit/resize.ts';
import { UNTOUCHED } from '../kit/touch.ts';
import type { Weave } from './document.ts';

/** What is woven has one size in all its rows. */
export const touch: TouchFacet<Weave> = {
	...UNTOUCHED,
	resized: ({ woven }, _, halves) => resizeAll([woven], halves)
};
