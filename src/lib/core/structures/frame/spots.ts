import { keptSpots, type HostSpot } from '../kit/host-spots.ts';
import { apart, between, type Point } from '../kit/strand.ts';
import { sizeOfFrame } from './amounts.ts';
import type { Frame } from './document.ts';
import { frameworkOf } from './joints.ts';

/** Where on the outline: how far to the right of the middle, and how far up, as shares of it. */
const WHERE: readonly (readonly [name: string, right: number, up: number])[] = [
	['top left', -0.5, 1],
	['top right', 0.5, 1],
	['top', 0, 1],
	['bottom left', -0.5, 0],
	['bottom right', 0.5, 0],
	['left', -0.5, 0.5],
	['right', 0.5, 0.5],
	['middle', 0, 0.5]
];

/** Parts of a frame that things are fixed to: the tube that is nearest to each point of its outline. */
export const spotsOf = (frame: Frame): readonly HostSpot[] => keptSpots(frame, make);

function make(frame: Frame): HostSpot[] {
	const { members } = frameworkOf(frame);
	const stretches = members.flatMap(({ path }) => path.slice(1).map((to, i) => [path[i]!, to] as const));
	if (stretches.length === 0) return [];
	const { width, height } = sizeOfFrame(frame);
	const xs = members.flatMap((m) => m.path.map((p) => p.x));
	const middle = (Math.min(...xs) + Math.max(...xs)) / 2;
	return WHERE.map(([name, right, up]) => {
		const wanted = { x: middle + right * width, y: 0, z: up * height };
		const near = stretches.map(([a, b]) => nearestOn(a, b, wanted));
		const at = near.reduce((best, p) => (apart(p, wanted) < apart(best, wanted) - 1e-6 ? p : best));
		return { name, ball: { ...at, d: frame.tube.across / 1000 }, open: false };
	});
}

/** The point of a stretch that is nearest to another. */
function nearestOn(a: Point, b: Point, to: Point): Point {
	const [x, y, z] = [b.x - a.x, b.y - a.y, b.z - a.z];
	const long = x * x + y * y + z * z;
	const t = long === 0 ? 0 : ((to.x - a.x) * x + (to.y - a.y) * y + (to.z - a.z) * z) / long;
	return between(a, b, Math.min(1, Math.max(0, t)));
}
