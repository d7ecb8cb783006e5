import type { TouchFacet } from '../facets/touch.ts';
import { UNTOUCHED } from '../kit/touch.ts';
import type { Applied, AppliedPiece } from './document.ts';
import { countOfPiece } from './count.ts';

/** A piece is dragged to another host with all there are of it. */
export const touch: TouchFacet<Applied> = {
	...UNTOUCHED,
	seat(part, host) {
		Object.assign(part, { on: [{ host, count: countOfPiece(part as unknown as AppliedPiece) }] });
		return true;
	}
};
