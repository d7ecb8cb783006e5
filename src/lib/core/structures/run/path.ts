import {
	archStretch,
	curveStretch,
	extentOf,
	helixStretch,
	stretchOf,
	type PathPoint,
	type Stretch
} from '../../geometry/path.ts';
import type { Branch, Run, RunPath, Way } from './document.ts';
import { splitCount } from './split-count.ts';

/** A stretch that takes balloons. */
export interface FilledStretch extends Stretch {
	/** So many clusters; null is as many as fit. */
	readonly clusters: number | null;
	/** From the beginning of the path, mm; an arm's from where it leaves. */
	readonly from: number;
}

const STEP: Readonly<Record<Way, readonly [number, number]>> = {
	right: [1, 0],
	left: [-1, 0],
	up: [0, 1],
	down: [0, -1]
};
const OPPOSITE: Readonly<Record<Way, Way>> = { right: 'left', left: 'right', up: 'down', down: 'up' };

const kept = new WeakMap<RunPath, Map<string, readonly Stretch[]>>();

/**
 * The stretches of a run: legs between corners first, then the arms. Middle of the design's floor at the origin, the
 * lowest point at the run's height. A path that is lent by what is not there has none.
 */
export function stretchesOf({
	path,
	height,
	branches
}: Pick<Run, 'path' | 'height' | 'branches'>): readonly Stretch[] {
	const byHeight = kept.get(path) ?? new Map<string, readonly Stretch[]>();
	kept.set(path, byHeight);
	const key = `${height}/${branches.map((b) => `${b.kind} ${b.at} ${b.way} ${b.length} ${b.pitch}`).join('/')}`;
	const cached = byHeight.get(key);
	if (cached) return cached;
	const legs = legsOf(path, height / 1000);
	const all = [...legs, ...branches.flatMap((b) => armsOf(legs, b))];
	byHeight.set(key, all);
	return all;
}

function legsOf(path: RunPath, foot: number): Stretch[] {
	switch (path.kind) {
		case 'line': {
			const half = path.length / 2000;
			return [stretchOf(straight({ x: -half, y: 0, z: foot }, { x: half, y: 0, z: foot }))];
		}
		case 'arch':
			return [archStretch(path.span / 1000, path.rise / 1000, path.curve, foot)];
		case 'helix':
			return [helixStretch(path.across / 1000, path.height / 1000, path.turns, foot)];
		case 'curve': {
			const low = Math.min(...path.points.map((p) => p[1]));
			const xs = path.points.map((p) => p[0]);
			const middle = (Math.min(...xs) + Math.max(...xs)) / 2;
			return [
				curveStretch(
					path.points.map(([x, z]) => [(x - middle) / 1000, (z - low) / 1000] as const),
					foot
				)
			];
		}
		case 'corners': {
			const corners: [number, number][] = [[0, 0]];
			for (const { way, length } of path.legs) {
				const [x, z] = corners.at(-1)!;
				corners.push([x + (STEP[way][0] * length) / 1000, z + (STEP[way][1] * length) / 1000]);
			}
			const low = Math.min(...corners.map((c) => c[1]));
			const xs = corners.map((c) => c[0]);
			const middle = (Math.min(...xs) + Math.max(...xs)) / 2;
			const at = ([x, z]: [number, number]): PathPoint => ({ x: x - middle, y: 0, z: z - low + foot });
			return path.legs.map(({ pitch }, i) =>
				stretchOf(straight(at(corners[i]!), at(corners[i + 1]!)), {
					pitch: pitch === null ? null : pitch / 1000
				})
			);
		}
		case 'lent':
			return [];
	}
}

/** Straight legs are cut up too: packing and drawing go along them. */
const straight = (a: PathPoint, b: PathPoint, pieces = 24): PathPoint[] =>
	Array.from({ length: pieces + 1 }, (_, i) => ({
		x: a.x + ((b.x - a.x) * i) / pieces,
		y: a.y + ((b.y - a.y) * i) / pieces,
		z: a.z + ((b.z - a.z) * i) / pieces
	}));

function armsOf(legs: readonly Stretch[], { kind, at, way, length, pitch }: Branch): Stretch[] {
	let left = at / 1000;
	const leg = legs.find((l) => {
		if (left <= l.length) return true;
		left -= l.length;
		return false;
	});
	if (!leg) return [];
	const from = pointOn(leg, left);
	const arm = (to: Way) => {
		const [x, z] = STEP[to];
		const end = { x: from.x + (x * length) / 1000, y: from.y, z: from.z + (z * length) / 1000 };
		return stretchOf(straight(from, end), { pitch: pitch === null ? null : pitch / 1000, arm: true });
	};
	return kind === 'tee' ? [arm(way)] : [arm(way), arm(OPPOSITE[way])];
}

const filled = new WeakMap<Run, readonly FilledStretch[]>();

/** The stretches of a run that take balloons: those of the path without what stays bare, then the arms. */
export function filledStretches(run: Run): readonly FilledStretch[] {
	const cached = filled.get(run);
	if (cached) return cached;
	const all = stretchesOf(run);
	const path = all.filter((s) => !s.arm);
	const free = (run.free ?? []).map(({ at, length }) => [at / 1000, (at + length) / 1000] as const);
	const cut: { stretch: Stretch; from: number; leg: number }[] = [];
	let from = 0;
	path.forEach((stretch, leg) => {
		for (const [a, b] of gapsLeft(from, from + stretch.length, free))
			cut.push({
				stretch: b - a > stretch.length - 1e-6 ? stretch : between(stretch, a - from, b - from),
				from: a,
				leg
			});
		from += stretch.length;
	});
	const counts = clustersOn(run, cut);
	const arms = all.filter((s) => s.arm);
	// One that leaves past the end has no arms.
	const said = run.branches.flatMap((b) => armsOf(path, b).map(() => b.clusters));
	const made = [
		...cut.map(({ stretch, from }, i): FilledStretch => ({ ...stretch, from, clusters: counts[i]! })),
		...arms.map((arm, i): FilledStretch => ({ ...arm, from: 0, clusters: said[i] ?? null }))
	];
	filled.set(run, made);
	return made;
}

/** What is left of a length from `a` to `b` where the free ones are taken out. */
function gapsLeft(a: number, b: number, free: readonly (readonly [number, number])[]): [number, number][] {
	let left: [number, number][] = [[a, b]];
	for (const [from, to] of free)
		left = left.flatMap(([x, y]): [number, number][] =>
			to <= x || from >= y ? [[x, y]] : [[x, from], [to, y]]
		).filter(([x, y]) => y - x > 1e-3);
	return left;
} // prettier-ignore

/** How many clusters each piece takes: those of its leg, or of the whole path, by length. Null is as many as fit. */
function clustersOn(
	{ path, clusters }: Run,
	cut: readonly { readonly stretch: Stretch; readonly leg: number }[]
): (number | null)[] {
	const counts: (number | null)[] = cut.map(() => null);
	const share = (of: readonly number[], all: number) =>
		splitCount(all, of.map((i) => cut[i]!.stretch.length)).forEach((n, i) => (counts[of[i]!] = n)); // prettier-ignore
	const legs = path.kind === 'corners' ? path.legs : [];
	legs.forEach((leg, n) => {
		if (leg.clusters !== undefined) share(cut.flatMap((c, i) => (c.leg === n ? [i] : [])), leg.clusters); // prettier-ignore
	});
	if (clusters !== undefined) {
		const rest = cut.flatMap((_, i) => (counts[i] === null ? [i] : []));
		const said = counts.reduce<number>((a, c) => a + (c ?? 0), 0);
		if (rest.length > 0) share(rest, Math.max(0, clusters - said));
	}
	return counts;
}

/** A piece of a stretch, from so far along it to so far. mm */
function between(stretch: Stretch, a: number, b: number): Stretch {
	const inner = stretch.points.filter((_, i) => stretch.along[i]! > a + 1e-6 && stretch.along[i]! < b - 1e-6);
	return stretchOf([pointOn(stretch, a), ...inner, pointOn(stretch, b)], {
		pitch: stretch.pitch,
		arm: stretch.arm
	});
}

function pointOn(leg: Stretch, at: number): PathPoint {
	const next = leg.along.findIndex((s) => s >= at);
	if (next <= 0) return leg.points[0]!;
	const [a, b] = [leg.points[next - 1]!, leg.points[next]!];
	const t = (at - leg.along[next - 1]!) / (leg.along[next]! - leg.along[next - 1]! || 1);
	return { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t, z: a.z + (b.z - a.z) * t };
}

/** Length of the whole run, arms and all, mm. */
export const lengthOfRun = (run: Pick<Run, 'path' | 'height' | 'branches'>): number =>
	stretchesOf(run).reduce((a, s) => a + s.length, 0);

/** Length of a run that takes balloons, mm: without what stays bare. */
export const filledLength = (run: Run): number => filledStretches(run).reduce((a, s) => a + s.length, 0);

/** How high a path reaches over its lowest point, mm; one that goes level is as long as it is. */
export function reachOf(run: Pick<Run, 'path' | 'height' | 'branches'>): number {
	const { height } = extentOf(stretchesOf(run));
	return height > 1 ? height : lengthOfRun(run);
}

/** Where the path turns a corner: an elbow of a framed pipe. */
export const elbowsOf = ({ path }: Pick<Run, 'path'>): number =>
	path.kind === 'corners' ? path.legs.filter((l, i) => i > 0 && l.way !== path.legs[i - 1]!.way).length : 0;
