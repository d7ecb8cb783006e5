import { um, type Micrometres } from '../../units/length.ts';
import type { VariantFacet, Way } from '../facets/variant.ts';
import { NO_STROKES, ON_NO_HOST } from '../kit/variant.ts';
import { sizeOfFrame } from './amounts.ts';
import { letterLines, lineOverFloor } from '../kit/letter-lines.ts';
import type { Frame, FramePart, FramePoint, FrameShape } from './document.ts';
import { isNothing, toGrid } from './grid.ts';
import { chainsOf } from './print.ts';

export const variant: VariantFacet<Frame> = {
	...ON_NO_HOST,
	leads: () => 'where nothing else does',
	size: (s) => ({ mm: sizeOfFrame(s).height, known: true }),
	toHeight: (s, height) => ({ ...s, shape: asHigh(s.shape, um(Math.max(1, Math.round(height * 1000)))) }),
	...NO_STROKES,
	scaled(s, { name, note }) {
		note(`${name} stays as large as it is: say its measures anew.`);
		return s;
	},
	lengthened: (s, { factor }) => ({ ...s, shape: stretched(s.shape, factor) }),
	without: (s) => s,
	swappables: () => [],
	exchange: (s) => s,
	grounds: (s) => s.grounds.map((g) => g.ground),
	onGround(s, ground) {
		const own = s.grounds.find((g) => g.ground === ground);
		return own ? { ...s, base: own.base } : s;
	},
	way: ({ shape }) => wayAlong(shape),
	goesAlong: () => null,
	along: (s) => s
};

/** Every measure of it so many times as long, whole micrometres; none is none still. */
export function stretched(shape: FrameShape, factor: number): FrameShape {
	const long = <M extends Micrometres | 0>(v: M): M => (v === 0 ? v : (um(Math.max(1, Math.round(v * factor))) as M));
	switch (shape.of) {
		case 'post':
			return { ...shape, height: long(shape.height) };
		case 'telescope':
			return { ...shape, height: reached(shape, long(shape.height)), bar: long(shape.bar) };
		case 'door':
		case 'back':
			return { ...shape, width: long(shape.width), height: long(shape.height), feet: long(shape.feet) };
		case 'cross':
			return { ...shape, height: long(shape.height), arm: long(shape.arm), at: long(shape.at) };
		case 'hoop':
			return { ...shape, across: long(shape.across), foot: long(shape.foot) };
		case 'arc':
			return { ...shape, span: long(shape.span), rise: long(shape.rise) };
		case 'letter':
			return { ...shape, height: long(shape.height), feet: long(shape.feet) };
		case 'box':
			return { ...shape, height: long(shape.height), apart: long(shape.apart) };
		case 'parts':
			return { ...shape, parts: scaledParts(shape.parts, [factor, factor, factor]) };
		case 'bent':
			return { ...shape, stick: long(shape.stick), bends: shape.bends.map(long) };
	}
} // prettier-ignore

/** A pole comes no further out, and goes no further in. */
export const reached = (
	{ closed, open }: Extract<FrameShape, { readonly of: 'telescope' }>,
	height: Micrometres
): Micrometres => um(Math.min(open, Math.max(closed, height)));

/** As high as that, and as wide as it is; a mast's tree stays as high up in proportion, a hoop grows with its stand. */
function asHigh(shape: FrameShape, height: Micrometres): FrameShape {
	switch (shape.of) {
		case 'telescope':
			return { ...shape, height: reached(shape, height) };
		case 'post':
		case 'door':
		case 'back':
		case 'letter':
		case 'box':
			return { ...shape, height };
		case 'parts': {
			const top = Math.max(...shape.parts.flatMap(({ from, to }) => [from[1], to[1]]));
			return top === 0 ? shape : { ...shape, parts: scaledParts(shape.parts, [1, height / top, 1]) };
		}
		case 'cross':
			return { ...shape, height, at: um(Math.max(1, Math.round((shape.at * height) / shape.height))) };
		case 'hoop':
			return stretched(shape, height / (shape.across + shape.foot));
		case 'arc':
			return { ...shape, rise: height };
		case 'bent':
			return { ...shape, stick: um(shape.bends.reduce((a, b) => a + b, 0) + height) };
	}
}

/** Every point so many times as far: to the right, up, to the back. Tubes that would come to nothing stay as they are. */
function scaledParts(parts: readonly FramePart[], factors: readonly [number, number, number]): readonly FramePart[] {
	const at = (p: FramePoint): FramePoint => [p[0] * factors[0], p[1] * factors[1], p[2] * factors[2]].map(toGrid) as unknown as FramePoint;
	const scaled = parts.map(({ from, to }) => ({ from: at(from), to: at(to) }));
	return scaled.some(isNothing) ? parts : scaled;
} // prettier-ignore

const leg = (way: 'up' | 'right' | 'down' | 'left', length: Micrometres) => ({ way, length, pitch: null });
/** Points of a ring that a run follows. */
const ROUND = 24;

/** The way a run takes along a frame: over a door, round a hoop, up a mast with its tree. */
function wayAlong(shape: FrameShape): Way | null {
	switch (shape.of) {
		case 'post':
			return { path: { kind: 'corners', legs: [leg('up', shape.height)] }, height: 0, branches: [] };
		case 'telescope':
			return {
				path: {
					kind: 'corners',
					legs: [
						leg('up', shape.height),
						...(shape.bar === 0 ? [] : [leg('right', shape.bar), leg('down', shape.height)])
					]
				},
				height: 0,
				branches: []
			};
		case 'door':
		case 'back':
			return {
				path: {
					kind: 'corners',
					legs: [leg('up', shape.height), leg('right', shape.width), leg('down', shape.height)]
				},
				height: 0,
				branches: []
			};
		case 'cross':
			return {
				path: { kind: 'corners', legs: [leg('up', shape.height)] },
				height: 0,
				branches:
					shape.at >= shape.height
						? []
						: [
								{
									id: 'tree',
									kind: 'cross',
									at: shape.at,
									way: 'right',
									length: um(Math.round(shape.arm / 2)),
									pitch: null
								}
							]
			};
		case 'arc':
			return {
				path: { kind: 'arch', span: shape.span, rise: shape.rise, curve: 'ellipse' },
				height: 0,
				branches: []
			};
		case 'hoop': {
			const r = shape.across / 2;
			const points = Array.from({ length: ROUND + 1 }, (_, i) => {
				const angle = -Math.PI / 2 + (2 * Math.PI * i) / ROUND;
				return [Math.round(r * Math.cos(angle)), Math.round(r + r * Math.sin(angle))] as const;
			});
			return { path: { kind: 'curve', points }, height: shape.foot, branches: [] };
		}
		case 'letter': {
			const { legs, arms } = letterLines(shape.sign, shape.height);
			return {
				path: { kind: 'corners', legs },
				height: overFloor(lineOverFloor(shape.sign, shape.height)),
				branches: arms.map((arm, i) => ({ ...arm, id: `arm ${i}` }))
			};
		}
		case 'box':
			return shape.sticks === 1
				? { path: { kind: 'corners', legs: [leg('up', shape.height)] }, height: 0, branches: [] }
				: null;
		case 'parts':
			return alongParts(shape.parts);
		case 'bent':
			return null;
	}
}

const overFloor = (v: number): Way['height'] => (v === 0 ? 0 : um(v));

/** Along the first tubes that go on from each other, as they were said: with square corners, or by their points. */
function alongParts(parts: readonly FramePart[]): Way | null {
	const [chain] = chainsOf(parts);
	if (!chain || chain.some((p) => p[2] !== chain[0]![2])) return null;
	const low = Math.min(...chain.map((p) => p[1]));
	const height = overFloor(low);
	const steps = chain.slice(1).map((to, i) => [to[0] - chain[i]![0], to[1] - chain[i]![1]] as const);
	if (steps.every(([x, z]) => (x === 0) !== (z === 0))) {
		const way = ([x, z]: readonly [number, number]) => (x > 0 ? 'right' : x < 0 ? 'left' : z > 0 ? 'up' : 'down');
		return { path: { kind: 'corners', legs: steps.map((s) => leg(way(s), um(Math.abs(s[0] + s[1])))) }, height, branches: [] }; // prettier-ignore
	}
	const points = chain.map(([x, z]) => [x, z - low] as const);
	return { path: { kind: 'curve', points }, height, branches: [] };
} // prettier-ignore
