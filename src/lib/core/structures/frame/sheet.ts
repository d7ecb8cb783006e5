import type { ShopSheet } from '../facets/count.ts';
import { cutsOf, fittingsOf, guyLength, platesOf, sizeOfFrame, tubeLength } from './amounts.ts';
import type { Frame } from './document.ts';
import { bendMarks } from './marks.ts';
import { printShape } from './print.ts';

/** What the workshop reads of a frame. */
export function sheetOf(frame: Frame): ShopSheet {
	const plates = platesOf(frame);
	return {
		outline: printShape(frame.shape),
		...sizeOfFrame(frame),
		tube: frame.tube.material,
		stick: frame.tube.stick,
		joined: frame.joined,
		uses: frame.uses,
		base: frame.base && plates > 0 ? { material: frame.base.material } : null,
		plates,
		cuts: cutsOf(frame),
		marks: bendMarks(frame),
		fittings: [...fittingsOf(frame)],
		guys: frame.guys && {
			count: frame.guys.count,
			at: frame.guys.at / 1000,
			reach: frame.guys.reach / 1000,
			each: guyLength(frame.guys)
		},
		cover: frame.cover && { how: frame.cover, long: tubeLength(frame) },
		mesh: frame.mesh !== null
	};
}
