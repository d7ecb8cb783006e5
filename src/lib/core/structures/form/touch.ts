import { got } from '../../errors.ts';
import type { Mutable } from '../../document/mutable.ts';
import { inches, um } from '../../units/length.ts';
import type { TouchFacet } from '../facets/touch.ts';
import { OWN_SIZES } from '../kit/resize.ts';
import { UNTOUCHED } from '../kit/touch.ts';
import type { Form, FormPiece } from './document.ts';

/** A bubble is half an inch long at the least. */
const LEAST = inches(0.5);

/** A limb is longer or shorter: its last bubble is. */
export const touch: TouchFacet<Form> = {
	...UNTOUCHED,
	resized(_, part, halves) {
		const bubbles = (part as unknown as Mutable<FormPiece> | null)?.bubbles ?? [];
		const last = bubbles.at(-1);
		if (last === undefined) return OWN_SIZES;
		bubbles[bubbles.length - 1] = um(Math.max(LEAST, last + halves * inches(0.5)));
		return got(null);
	},
	seat(part, host) {
		Object.assign(part, { at: host });
		return true;
	}
};
