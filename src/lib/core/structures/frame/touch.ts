import { um, type Micrometres } from '../../units/length.ts';
import type { DraggedBy, Grip, TouchFacet } from '../facets/touch.ts';
import { SIZED_ELSEWHERE } from '../kit/touch.ts';
import type { Frame, FramePart, FramePoint, FrameShape } from './document.ts';
import { sizeOfFrame } from './amounts.ts';

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

/** Points of parts that are told apart from the front, each once. */
export function pointsOf(parts: readonly FramePart[]): FramePoint[] {
	const points: FramePoint[] = [];
	for (const point of parts.flatMap(({ from, to }) => [from, to]))
		if (!points.some((p) => p.every((v, i) => v === point[i]))) points.push(point);
	return points;
}

/** All tubes that meet in a joint go with it; none of them comes to nothing, none goes below the floor. */
function movedJoint(parts: readonly FramePart[], grip: string, { x, z }: DraggedBy): readonly FramePart[] {
	const point = pointsOf(parts)[Number(grip.slice('point '.length))];
	if (!point) return parts;
	const stepped = (v: number, by: number) => (by === 0 ? v : Math.round((v + by * 1000) / HALF) * HALF);
	const next: FramePoint = [stepped(point[0], x), Math.max(0, stepped(point[1], z)), point[2]];
	const is = (a: FramePoint, b: FramePoint) => a.every((v, i) => v === b[i]);
	const moved = parts.map(({ from, to }) => ({
		from: is(from, point) ? next : from,
		to: is(to, point) ? next : to
	}));
	return moved.some(({ from, to }) => is(from, to)) ? parts : moved;
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
