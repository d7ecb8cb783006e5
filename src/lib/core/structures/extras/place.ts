import { rational } from '../../units/rational.ts';
import { countedLines } from './count.ts';
import type { PictureFacet } from '../facets/picture.ts';
import { NOTHING_PLACED } from '../kit/placed.ts';
import type { Extras } from './document.ts';

/** More alike in one spot are not told apart. */
const MOST_SEEN = 6;

export const picture: PictureFacet<Extras> = {
	stands: () => 'nowhere',
	alone: true,
	place: () => NOTHING_PLACED,
	fixes: ({ lines }) =>
		countedLines(lines).flatMap(({ material, quantity, serves, role }) =>
			role === 'taken along' || role === 'by-product'
				? []
				: [
						{
							material,
							count: Math.min(MOST_SEEN, Math.max(1, rational(quantity).round().valueOf())),
							on: serves
						}
					]
		)
};
