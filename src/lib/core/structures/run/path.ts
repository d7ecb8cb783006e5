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

/** How high a path reaches over its lowest point, mm; one that goes level is as long as it is. */
export function reachOf(run: Pick<Run, 'path' | 'height' | 'branches'>): number {
	const { height } = extentOf(stretchesOf(run));
	return height > 1 ? height : lengthOfRun(run);
}

/** Where the path turns a corner: an elbow of a framed pipe. */
export const elbowsOf = ({ path }: Pick<Run, 'path'>): number =>
	path.kind === 'corners' ? path.legs.filter((l, i) => i > 0 && l.way !== path.legs[i - 1]!.way).length : 0;
