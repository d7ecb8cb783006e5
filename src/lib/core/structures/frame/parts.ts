import type { Point } from '../kit/strand.ts';
import type { Frame, FramePart, FramePoint } from './document.ts';
import { isNothing, toGrid } from './grid.ts';
import { frameworkOf } from './joints.ts';
import { MOST_PARTS } from './limits.ts';

const pointAt = ({ x, y, z }: Point): FramePoint => [x, Math.max(0, z), y].map((v) => toGrid(v * 1000)) as unknown as FramePoint; // prettier-ignore
/** A bend is so many straight tubes when it is taken apart. */
const ROUND = 12;

/** A frame as tubes from point to point: as it is said, or every stretch of its outline; what is bent in short pieces. */
export function takenApart(frame: Frame): readonly FramePart[] {
	if (frame.shape.of === 'parts') return frame.shape.parts;
	// Of a copy: what is worked out of a frame is kept, and this one may be about to change.
	return frameworkOf({ ...frame })
		.members.flatMap(({ path }) => {
			const step = Math.max(1, Math.floor((path.length - 1) / ROUND));
			const points = path.filter((_, i) => i % step === 0 || i === path.length - 1).map(pointAt);
			return points.slice(1).map((to, i) => ({ from: points[i]!, to }));
		})
		.filter((p) => !isNothing(p))
		.slice(0, MOST_PARTS);
}
