import type { FITTINGS } from '../../document/rule.ts';
import { apart, type Point } from '../kit/strand.ts';
import type { Frame, FrameShape } from './document.ts';
import { edgesOf, type TubeSays } from './edges.ts';

/** A stretch of tube between two joints, mm. */
export interface Member {
	readonly says: TubeSays;
	readonly path: readonly Point[];
	/** Along its middle, from joint to joint. */
	readonly length: number;
	/** What is cut for it: the fittings at its ends take the rest. */
	readonly cut: number;
	/** Sticks coupled for it, where it is longer than one. */
	readonly pieces: number;
	/** How wide it is beside the tube. */
	readonly thin: number;
}

/** What holds the tubes that meet in a point, by how they meet. */
export type JointKind = (typeof FITTINGS)[number];
export interface Joint {
	readonly kind: JointKind | 'five or more';
	readonly at: Point;
}

/** From the middle of a fitting to where the tube stops in it, over the tube's outer width. House rule, from memory. */
const FITTING_ADDS = 0.75;
/** Fittings that take of the tubes pushed into them. */
const TAKES: ReadonlySet<Joint['kind']> = new Set(['elbow', 'tee', 'cross fitting', 'corner fitting', 'four-way fitting', 'five or more']); // prettier-ignore

const keyOf = ({ x, y, z }: Point): string => [x, y, z].map((v) => Math.round(v * 100)).join('/');
/** A direction of length 1. */
export type Way = readonly [number, number, number];
/** Where an edge leaves a point, as a unit. */
export const wayOf = (from: Point, to: Point): Way => {
	const long = apart(from, to);
	return [(to.x - from.x) / long, (to.y - from.y) / long, (to.z - from.z) / long];
};
export const dot = (a: Way, b: Way): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** What joins tubes that leave a point in these ways; an upright on its base stands in a flange. */
export function jointOf(ways: readonly Way[], onBase: boolean): Joint['kind'] {
	const pairs = ways.flatMap((a, i) => ways.slice(i + 1).filter((b) => dot(a, b) < -0.999)).length;
	switch (ways.length) {
		case 1:
			return onBase && ways[0]![2] > 0.5 ? 'flange' : 'tube cap';
		case 2:
			return pairs === 1 ? 'coupling' : 'elbow';
		case 3:
			return pairs === 1 ? 'tee' : 'corner fitting';
		case 4:
			return pairs === 2 ? 'cross fitting' : 'four-way fitting';
		default:
			return 'five or more';
	}
}

export interface Framework {
	readonly members: readonly Member[];
	readonly joints: readonly Joint[];
}

const kept = new WeakMap<Frame, Framework>();
/** Every piece of tube of a frame with its cut length, and every joint between them. */
export function frameworkOf(frame: Frame): Framework {
	const before = kept.get(frame);
	if (before) return before;
	const edges = edgesOf(frame.shape);
	const points = new Map<string, { at: Point; ways: Way[] }>();
	const meet = (from: Point, to: Point) => {
		const own = points.get(keyOf(from)) ?? { at: from, ways: [] };
		own.ways.push(wayOf(from, to));
		points.set(keyOf(from), own);
	};
	for (const { path } of edges) {
		meet(path[0]!, path[1]!);
		meet(path.at(-1)!, path.at(-2)!);
	}
	const whole = comesWhole(frame.shape);
	const kinds = new Map<string, Joint['kind']>();
	for (const [key, { at: point, ways }] of points) {
		const onBase = frame.base !== null && point.z < 1e-6;
		const inCup = frame.shape.of === 'box' && point.z < 1e-6;
		kinds.set(key, inCup ? 'cup' : (hoopEnds(frame.shape, ways) ?? jointOf(ways, onBase)));
	}
	const across = frame.tube.across / 1000;
	const takes = (end: Point) => (TAKES.has(kinds.get(keyOf(end))!) ? FITTING_ADDS * across : 0);
	const members = edges.map(({ says, path, length, thin = 1 }): Member => {
		const cut = whole ? length : Math.max(0, length - takes(path[0]!) - takes(path.at(-1)!));
		return {
			says,
			path,
			length,
			cut,
			pieces: whole ? 1 : Math.max(1, Math.ceil((cut * 1000) / frame.tube.stick - 1e-9)),
			thin
		};
	});
	const inside = members.flatMap(({ path, pieces }) =>
		Array.from({ length: pieces - 1 }, (): Joint => ({ kind: 'coupling', at: path[Math.floor(path.length / 2)]! }))
	); // prettier-ignore
	const joints = whole
		? []
		: [...points].map(([key, { at: point }]): Joint => ({ kind: kinds.get(key)!, at: point }));
	const made = { members, joints: [...joints, ...inside] };
	kept.set(frame, made);
	return made;
}

/** A stick bent in one, and a pole that is pulled out: neither has a joint that is bought. */
export const comesWhole = ({ of }: FrameShape): boolean => of === 'bent' || of === 'telescope';

/** The ends of a hoop meet in one fitting: with an upright in a tee, else in a coupling. */
const hoopEnds = ({ of }: FrameShape, ways: readonly Way[]): Joint['kind'] | undefined =>
	of !== 'hoop' || ways.length < 2 ? undefined : ways.length === 3 ? 'tee' : 'coupling';

/** A base as it lies on the floor, mm: one under each flange, one box under all cups. */
export interface LaidBase {
	readonly at: Point;
	readonly wide: number;
	readonly deep: number;
}
/** Where the poles stand, to the right of the middle, mm. */
const polesAt = ({ bar }: Extract<FrameShape, { readonly of: 'telescope' }>): number[] =>
	bar === 0 ? [0] : [-bar / 2000, bar / 2000];

export function basesOf(frame: Frame): readonly LaidBase[] {
	const { base, shape } = frame;
	if (!base) return [];
	const across = base.across / 1000;
	if (shape.of === 'box')
		return [
			{ at: { x: 0, y: 0, z: 0 }, wide: ((shape.sticks - 1) * shape.apart) / 1000 + across, deep: across }
		];
	const feet =
		shape.of === 'telescope'
			? polesAt(shape).map((x) => ({ x, y: 0, z: 0 }))
			: frameworkOf(frame).joints.filter((j) => j.kind === 'flange').map(({ at }) => at); // prettier-ignore
	return feet.map((at) => ({ at, wide: across, deep: across }));
}

/** Points of a frame that touch the floor, mm: corners of its bases, ends of its feet. */
export function footprintOf(frame: Frame): readonly (readonly [x: number, y: number])[] {
	const corners = basesOf(frame).flatMap(({ at: p, wide, deep }) =>
		[[-1, -1], [1, -1], [1, 1], [-1, 1]].map(([x, y]) => [p.x + (x! * wide) / 2, p.y + (y! * deep) / 2] as const)
	); // prettier-ignore
	const floor = frameworkOf(frame).members.flatMap(({ path }) =>
		path.filter((p) => p.z < 1e-6).map((p) => [p.x, p.y] as const)
	);
	return [...corners, ...floor];
}
