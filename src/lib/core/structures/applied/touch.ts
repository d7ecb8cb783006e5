import type { TouchFacet } from '../facets/touch.ts';
import { UNTOUCHED } from '../kit/touch.ts';
import type { Applied, AppliedPiece } from './document.ts';
import { countOfPiece, rangeOfPiece } from './count.ts';

/** A piece is dragged to another host with all there are of it. */
export const touch: TouchFacet<Applied> = {
	...UNTOUCHED,
	seat(part, host) {
		const piece = part as unknown as AppliedPiece;
		const range = rangeOfPiece(piece);
		Object.assign(part, { on: [{ host, count: countOfPiece(piece), ...(range && { range }) }] });
		return true;
	}
};
