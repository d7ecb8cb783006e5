import type { FITTINGS } from '../../document/rule.ts';
import { halfEllipseLength } from '../../geometry/path.ts';
import { apart, type Point } from '../kit/strand.ts';
import type { Frame, FrameShape } from './document.ts';

/** A stretch of tube between two joints, mm. */
export interface Member {
	readonly says: 'upright' | 'bar' | 'foot' | 'arm' | 'hoop' | 'arc' | 'bent stick';
	readonly path: readonly Point[];
	/** Along its middle, from joint to joint. */
	readonly length: number;
	/** What is cut for it: the fittings at its ends take the rest. */
	readonly cut: number;
	/** Sticks coupled for it, where it is longer than one. */
	readonly pieces: number;
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

interface Edge {
	readonly says: Member['says'];
	readonly path: readonly Point[];
	readonly length: number;
}
const at = (x: number, y: number, z: number): Point => ({ x, y, z });
const straight = (says: Member['says'], from: Point, to: Point): Edge[] =>
	apart(from, to) < 1e-6 ? [] : [{ says, path: [from, to], length: apart(from, to) }];

/** Points of half an ellipse or a circle that are told apart in a picture. */
const FINE = 32;

/** Two feet to the front and back of an upright. */
const feetOf = (x: number, feet: number): Edge[] => [
	...straight('foot', at(x, -feet / 2, 0), at(x, 0, 0)),
	...straight('foot', at(x, 0, 0), at(x, feet / 2, 0))
];

type Shaped<K extends FrameShape['of']> = (shape: Extract<FrameShape, { readonly of: K }>) => Edge[];
const EDGES: { readonly [K in FrameShape['of']]: Shaped<K> } = {
	post: ({ height }) => straight('upright', at(0, 0, 0), at(0, 0, height / 1000)),
	door: ({ width, height, feet }) => {
		const [w, h] = [width / 2000, height / 1000];
		return [
			...[-w, w].flatMap((x) => [
				...feetOf(x, feet / 1000),
				...straight('upright', at(x, 0, 0), at(x, 0, h))
			]),
			...straight('bar', at(-w, 0, h), at(w, 0, h))
		];
	},
	back: ({ width, height, feet, bars }) => {
		const [w, h] = [width / 2000, height / 1000];
		const levels = Array.from({ length: bars + 2 }, (_, i) => (h * i) / (bars + 1));
		return [
			...[-w, w].flatMap((x) => [
				...feetOf(x, feet / 1000),
				...levels.slice(1).flatMap((z, i) => straight('upright', at(x, 0, levels[i]!), at(x, 0, z)))
			]),
			...levels.flatMap((z) => straight('bar', at(-w, 0, z), at(w, 0, z)))
		];
	},
	cross: ({ height, arm, at: level }) => {
		const [h, a, z] = [height / 1000, arm / 2000, level / 1000];
		return [
			...straight('upright', at(0, 0, 0), at(0, 0, z)),
			...straight('upright', at(0, 0, z), at(0, 0, h)),
			...straight('arm', at(-a, 0, z), at(0, 0, z)),
			...straight('arm', at(0, 0, z), at(a, 0, z))
		];
	},
	hoop: ({ across, foot }) => {
		const [r, z] = [across / 2000, foot / 1000];
		const path = Array.from({ length: 2 * FINE + 1 }, (_, i) => {
			const angle = -Math.PI / 2 + (Math.PI * i) / FINE;
			return at(r * Math.cos(angle), 0, z + r + r * Math.sin(angle));
		});
		return [
			...straight('upright', at(0, 0, 0), at(0, 0, z)),
			{ says: 'hoop', path, length: 2 * Math.PI * r }
		];
	},
	arc: ({ span, rise }) => {
		const [a, b] = [span / 2000, rise / 1000];
		const path = Array.from({ length: FINE + 1 }, (_, i) => {
			const angle = Math.PI - (Math.PI * i) / FINE;
			return at(a * Math.cos(angle), 0, b * Math.sin(angle));
		});
		return [{ says: 'arc', path, length: halfEllipseLength(2 * a, b) }];
	},
	bent: ({ stick, bends }) => {
		const path = bentPath(stick / 1000, bends.map((b) => b / 1000)); // prettier-ignore
		return [{ says: 'bent stick', path, length: stick / 1000 }];
	}
};

/** Ways a stick goes on the floor, each a quarter turn to the left of the one before. */
const QUARTERS = [[1, 0], [0, 1], [-1, 0], [0, -1]] as const; // prettier-ignore

/**
 * A stick bent by quarter turns on the floor and up at the last mark, standing over the middle of its foot.
 * @param stick mm @param bends from mark to mark, mm
 */
function bentPath(stick: number, bends: readonly number[]): Point[] {
	const floor = [at(0, 0, 0)];
	bends.forEach((long, i) => {
		const [x, y] = QUARTERS[i % 4]!;
		const last = floor.at(-1)!;
		floor.push(at(last.x + x * long, last.y + y * long, 0));
	});
	const foot = floor.at(-1)!;
	const up = stick - bends.reduce((a, b) => a + b, 0);
	return [...floor, at(foot.x, foot.y, up)].map((p) => at(p.x - foot.x, p.y - foot.y, p.z));
}

const edgesOf = <K extends FrameShape['of']>(shape: Extract<FrameShape, { readonly of: K }>): Edge[] =>
	(EDGES[shape.of as K] as Shaped<K>)(shape);

const keyOf = ({ x, y, z }: Point): string => [x, y, z].map((v) => Math.round(v * 100)).join('/');
type Way = readonly [number, number, number];
/** Where an edge leaves a point, as a unit. */
const wayOf = (from: Point, to: Point): Way => {
	const long = apart(from, to);
	return [(to.x - from.x) / long, (to.y - from.y) / long, (to.z - from.z) / long];
};
const dot = (a: Way, b: Way): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

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
	const bent = frame.shape.of === 'bent';
	const kinds = new Map<string, Joint['kind']>();
	for (const [key, { at: point, ways }] of points) {
		const onBase = frame.base !== null && point.z < 1e-6;
		kinds.set(key, hoopEnds(frame.shape, ways) ?? jointOf(ways, onBase));
	}
	const across = frame.tube.across / 1000;
	const takes = (end: Point) => (TAKES.has(kinds.get(keyOf(end))!) ? FITTING_ADDS * across : 0);
	const members = edges.map(({ says, path, length }): Member => {
		const cut = Math.max(0, length - takes(path[0]!) - takes(path.at(-1)!));
		return {
			says,
			path,
			length,
			cut,
			pieces: Math.max(1, Math.ceil((cut * 1000) / frame.tube.stick - 1e-9))
		};
	});
	const inside = members.flatMap(({ path, pieces }) =>
		Array.from({ length: pieces - 1 }, (): Joint => ({ kind: 'coupling', at: path[Math.floor(path.length / 2)]! }))
	); // prettier-ignore
	// A stick bent in one has no joint at all.
	const joints = bent
		? []
		: [...points].map(([key, { at: point }]): Joint => ({ kind: kinds.get(key)!, at: point }));
	const made = { members, joints: [...joints, ...inside] };
	kept.set(frame, made);
	return made;
}

/** The ends of a hoop meet in one fitting: with an upright in a tee, else in a coupling. */
const hoopEnds = ({ of }: FrameShape, ways: readonly Way[]): Joint['kind'] | undefined =>
	of !== 'hoop' || ways.length < 2 ? undefined : ways.length === 3 ? 'tee' : 'coupling';

/** Points of a frame that touch the floor, mm: corners of its base, ends of its feet. */
export function footprintOf(frame: Frame): readonly (readonly [x: number, y: number])[] {
	const { members, joints } = frameworkOf(frame);
	const half = frame.base ? frame.base.across / 2000 : 0;
	const low = joints.filter(({ at: p }) => p.z < 1e-6);
	const corners = low.flatMap(({ at: p, kind }) =>
		half > 0 && kind === 'flange'
			? [[-1, -1], [1, -1], [1, 1], [-1, 1]].map(([x, y]) => [p.x + x! * half, p.y + y! * half] as const)
			: [[p.x, p.y] as const]
	); // prettier-ignore
	const floor = members.flatMap(({ path }) => path.filter((p) => p.z < 1e-6).map((p) => [p.x, p.y] as const));
	return [...corners, ...floor];
}
