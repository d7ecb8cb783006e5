import type { PictureFacet } from '../facets/picture.ts';
import type { DesignUse } from './document.ts';

export const picture: PictureFacet<DesignUse> = {
	stands: () => 'by itself',
	alone: false,
	place: (use, { nested }) => nested(use)
};
