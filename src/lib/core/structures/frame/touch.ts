import { um, type Micrometres } from '../../units/length.ts';
import type { DraggedBy, Grip, TouchFacet } from '../facets/touch.ts';
import { SIZED_ELSEWHERE } from '../kit/touch.ts';
import type { Frame, FramePart, FramePoint, FrameShape } from './document.ts';
import { isNothing } from './grid.ts';
import { sizeOfFrame } from './amounts.ts';
import { reached } from './variant.ts';

/** Dragged measures stop at half inches, and never come to nothing. */
const HALF = 12_700;
const by = (length: Micrometres, mm: number): Micrometres =>
	um(Math.max(6 * HALF, Math.round((length + mm * 1000) / HALF) * HALF));

function gripsOf(frame: Frame): readonly Grip[] {
	const { width, height } = sizeOfFrame(frame);
	const { of } = frame.shape;
	if (of === 'bent') return [];
	if (of === 'parts')
		return pointsOf(frame.shape.parts).map(([x, z], i) => ({
			id: `point ${i}`,
			x: x / 1000,
			z: z / 1000,
			says: `joint ${i + 1}`,
			ways: 'both'
		}));
	if (of === 'letter' || of === 'box') return [{ id: 'top', x: 0, z: height, says: 'top', ways: 'up' }];
	if (of === 'post' || of === 'telescope') return [{ id: 'top', x: 0, z: height, says: 'top', ways: 'up' }];
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

/** Points of parts as they are seen from the front, each once: what lies behind another is one with it. */
export function pointsOf(parts: readonly FramePart[]): FramePoint[] {
	const points: FramePoint[] = [];
	for (const point of parts.flatMap(({ from, to }) => [from, to]))
		if (!points.some((p) => isSeenAt(p, point))) points.push(point);
	return points;
}
const isSeenAt = (a: FramePoint, b: FramePoint) => a[0] === b[0] && a[1] === b[1];

/** All tubes that end there go with a joint; none of them comes to nothing, none goes below the floor. */
function movedJoint(parts: readonly FramePart[], grip: string, { x, z }: DraggedBy): readonly FramePart[] {
	const point = pointsOf(parts)[Number(grip.slice('point '.length))];
	if (!point) return parts;
	const stepped = (v: number, by: number) => (by === 0 ? v : Math.round((v + by * 1000) / HALF) * HALF);
	const [toX, toZ] = [stepped(point[0], x), Math.max(0, stepped(point[1], z))];
	const next = (p: FramePoint): FramePoint => (isSeenAt(p, point) ? [toX, toZ, p[2]] : p);
	const moved = parts.map(({ from, to }) => ({ from: next(from), to: next(to) }));
	return moved.some(isNothing) ? parts : moved;
}

function pulled(shape: FrameShape, grip: string, { x, z }: DraggedBy): FrameShape {
	switch (shape.of) {
		case 'parts':
			return { ...shape, parts: movedJoint(shape.parts, grip, { x, z }) };
		case 'letter':
		case 'box':
			return { ...shape, height: by(shape.height, z) };
		case 'post':
			return { ...shape, height: by(shape.height, z) };
		case 'telescope':
			return { ...shape, height: reached(shape, by(shape.height, z)) };
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
	dragged: (frame, grip, moved) => ({ ...frame, shape: pulled(frame.shape, grip, moved) })
};
