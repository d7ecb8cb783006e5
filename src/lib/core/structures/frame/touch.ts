import { um, type Micrometres } from '../../units/length.ts';
import type { DraggedBy, Grip, TouchFacet } from '../facets/touch.ts';
import { SIZED_ELSEWHERE } from '../kit/touch.ts';
import type { Frame, FrameShape } from './document.ts';
import { sizeOfFrame } from './amounts.ts';

/** Dragged measures stop at half inches, and never come to nothing. */
const HALF = 12_700;
const by = (length: Micrometres, mm: number): Micrometres =>
	um(Math.max(6 * HALF, Math.round((length + mm * 1000) / HALF) * HALF));

function gripsOf(frame: Frame): readonly Grip[] {
	const { width, height } = sizeOfFrame(frame);
	const { of } = frame.shape;
	if (of === 'bent') return [];
	if (of === 'post') return [{ id: 'top', x: 0, z: height, says: 'top', ways: 'up' }];
	if (of === 'cross')
		return [
			{ id: 'top', x: 0, z: height, says: 'top', ways: 'up' },
			{ id: 'side', x: width / 2, z: frame.shape.at / 1000, says: 'end of the tree', ways: 'across' }
		];
	if (of === 'hoop') return [{ id: 'top', x: 0, z: height, says: 'top of the hoop', ways: 'up' }];
	if (of === 'arc')
		return [
			{ id: 'top', x: 0, z: height, says: 'top', ways: 'up' },
			{ id: 'side', x: width / 2, z: 0, says: 'right foot', ways: 'across' }
		];
	return [{ id: 'corner', x: width / 2, z: height, says: 'top right corner', ways: 'both' }];
}

function pulled(shape: FrameShape, { x, z }: DraggedBy): FrameShape {
	switch (shape.of) {
		case 'post':
			return { ...shape, height: by(shape.height, z) };
		case 'cross': {
			const height = by(shape.height, z);
			return { ...shape, height, arm: by(shape.arm, 2 * x), at: um(Math.min(shape.at, height)) };
		}
		case 'hoop':
			return { ...shape, across: by(shape.across, z) };
		case 'arc':
			return { ...shape, span: by(shape.span, 2 * x), rise: by(shape.rise, z) };
		case 'door':
		case 'back':
			return { ...shape, width: by(shape.width, 2 * x), height: by(shape.height, z) };
		case 'bent':
			return shape;
	}
}

export const touch: TouchFacet<Frame> = {
	...SIZED_ELSEWHERE,
	grips: gripsOf,
	dragged: (frame, _grip, moved) => ({ ...frame, shape: pulled(frame.shape, moved) })
};
