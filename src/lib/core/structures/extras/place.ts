import type { PictureFacet } from '../facets/picture.ts';
import { NOTHING_PLACED } from '../kit/placed.ts';
import type { Extras } from './document.ts';

export const picture: PictureFacet<Extras> = {
	stands: () => 'nowhere',
	alone: true,
	place: () => NOTHING_PLACED
};
