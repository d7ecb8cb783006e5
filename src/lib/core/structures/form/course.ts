import { convexHull, type PlanePoint } from '../../geometry/hull.ts';
import type { Side } from '../../document/side.ts';
import type { Ball } from '../../geometry/ring.ts';
import { alongWay, apart, between, type Point, wayLength } from '../kit/strand.ts';
import { ANGLE, type LimbShape } from '../kit/seats.ts';

/** Points a circle is followed by where a belt lies on it. */
const ROUND = 64;
/** Points a turn of what twines is drawn with. */
const TURN = 18;

const ringHeight = (ring: readonly Ball[]): number => ring.reduce((a, b) => a + b.z, 0) / ring.length;

/** The outline of a ring of balls seen from above, counterclockwise, each ball so much larger all round. */
function outlineOf(ring: readonly Ball[], out: number): PlanePoint[] {
	const radius = (ring[0]?.d ?? 0) / 2 + out;
	// Of balls alike it is the outline of their middles, moved out, with an arc at each corner.
	if (ring.every((b) => b.d === ring[0]!.d)) return movedOut(convexHull(ring.map((b) => [b.x, b.y])), radius);
	return convexHull(ring.flatMap((b) => arc([b.x, b.y], b.d / 2 + out, 0, 2 * Math.PI).slice(1)));
}

/** Points along an arc, its ends included. */
function arc([x, y]: PlanePoint, radius: number, from: number, sweep: number): PlanePoint[] {
	const steps = Math.max(1, Math.ceil((sweep / (2 * Math.PI)) * ROUND));
	return Array.from({ length: steps + 1 }, (_, i): PlanePoint => {
		const angle = from + (sweep * i) / steps;
		return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
	});
}

/** A convex outline moved out by so much, mm: its sides stay, its corners become arcs. */
function movedOut(corners: readonly PlanePoint[], by: number): PlanePoint[] {
	if (corners.length < 2) return corners.flatMap((c) => arc(c, by, 0, 2 * Math.PI).slice(1));
	const n = corners.length;
	/** Which way the side behind a corner looks, radians. */
	const looks = corners.map(([x, y], i) => {
		const [nx, ny] = corners[(i + 1) % n]!;
		return Math.atan2(x - nx, ny - y);
	});
	return corners.flatMap((corner, i) => {
		const [from, to] = [looks[(i + n - 1) % n]!, looks[i]!];
		return arc(corner, by, from, (to - from + 4 * Math.PI) % (2 * Math.PI));
	});
}

/** All round, or from where one side begins to where it ends: what lies on that side of the axis. */
function onSide(outline: readonly PlanePoint[], side: Side): PlanePoint[] {
	const back = outline.reduce((best, p, i) => (p[1] > outline[best]![1] ? i : best), 0);
	const round = [...outline.slice(back), ...outline.slice(0, back), ...outline.slice(back, back + 1)];
	if (side === 'all') return round;
	const [cos, sin] = [Math.cos(ANGLE[side]), Math.sin(ANGLE[side])];
	const depth = ([x, y]: PlanePoint) => x * cos + y * sin;
	const enters = outline.findIndex((p, i) => depth(p) < 0 && depth(outline[(i + 1) % outline.length]!) >= 0);
	if (enters < 0) return round;
	const found: PlanePoint[] = [];
	for (let k = 0; k < outline.length; k++) {
		const a = outline[(enters + k) % outline.length]!;
		const b = outline[(enters + k + 1) % outline.length]!;
		const share = depth(a) / (depth(a) - depth(b));
		if (depth(a) < 0 !== depth(b) < 0)
			found.push([a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share]);
		if (k > 0 && depth(a) >= 0 && depth(b) < 0) break;
		if (depth(b) >= 0) found.push(b);
	}
	return found;
}

const longOf = (points: readonly PlanePoint[]): number =>
	points.slice(1).reduce((a, [x, y], i) => a + Math.hypot(x - points[i]![0], y - points[i]![1]), 0);

/**
 * How long a belt is that lies on a ring of balls, mm: the convex outline of it, all round or from side to side.
 * Of n equal balls all round that is 2 n R sin(π/n) + π d, to a tenth of a percent: circles are followed by points.
 */
export const beltLength = (ring: readonly Ball[], side: Side): number =>
	longOf(onSide(outlineOf(ring, 0), side));

/** Where a belt of a width lies: outside its ring, at the height of it. Shorter than its way it covers the middle of that. */
export function beltPath(ring: readonly Ball[], side: Side, d: number, length: number): Point[] {
	const way = onSide(outlineOf(ring, d / 2), side);
	const z = ringHeight(ring);
	const share = Math.min(1, length / Math.max(1, beltLength(ring, side)));
	const points = way.map(([x, y]): Point => ({ x, y, z }));
	return share > 0.995 ? points : stretchOf(points, (1 - share) / 2, (1 + share) / 2);
}

/** The stretch of a way between two shares of it. */
function stretchOf(points: readonly Point[], from: number, to: number): Point[] {
	const all = wayLength(points);
	const steps = Math.max(2, Math.round(points.length * (to - from)));
	return Array.from(
		{ length: steps + 1 },
		(_, i) => alongWay(points, all * (from + ((to - from) * i) / steps)).at
	);
}

/** From one host to another: straight where it is as long as that, in a bow where it is longer; what was bent by hand holds it up. */
export function bridge(from: Point, to: Point, length: number, up = false): Point[] {
	const straight = apart(from, to);
	// A shallow bow is as much longer as 8/3 of the square of its depth over its width. Common practice of line work.
	const deep =
		straight > 0 && length > straight ? straight * Math.sqrt((3 / 8) * (length / straight - 1)) : 0;
	const steps = deep > 1 ? 16 : 1;
	return Array.from({ length: steps + 1 }, (_, i) => {
		const t = i / steps;
		const at = between(from, to, t);
		return { ...at, z: at.z + (up ? 4 : -4) * deep * t * (1 - t) };
	});
}

/** Out so far as half of it is long, round, and back beside itself. */
export function folded(from: Point, along: Point, { length, d }: { length: number; d: number }): Point[] {
	const half = Math.max(d, (length - (Math.PI * d) / 2) / 2);
	const side: Point = Math.abs(along.z) > 0.9 ? { x: 1, y: 0, z: 0 } : { x: -along.y, y: along.x, z: 0 };
	const move = (p: Point, by: Point, far: number): Point => ({ x: p.x + by.x * far, y: p.y + by.y * far, z: p.z + by.z * far });
	const end = move(from, along, half);
	const bow = Array.from({ length: 7 }, (_, i) => {
		const angle = (Math.PI * i) / 6;
		return move(move(end, side, (d / 2) * (1 - Math.cos(angle))), along, (d / 2) * Math.sin(angle));
	});
	return [from, ...bow, move(from, side, d)];
} // prettier-ignore

/** What something twines round: its middle from foot to head, and how thick it is along that. mm */
export interface Core {
	readonly path: readonly Point[];
	radiusAt(far: number): number;
	/** How far it goes, mm. */
	readonly end: number;
}

/**
 * Wound round a core from a point of it on, so many turns over its length, climbing alike all the way; where the turns alone
 * are longer than it is, band by band beside itself, and fewer turns are made.
 */
export function twine(core: Core, start: number, { length, d, turns, phase }: { length: number; d: number; turns: number; phase: number }): Point[] {
	const steps = Math.max(1, Math.round(TURN * turns));
	const rise = climb(core, start, { length, d, steps });
	const found: Point[] = [];
	let used = 0;
	for (let i = 0; i <= steps; i++) {
		const along = start + rise * i;
		const radius = core.radiusAt(along) + d / 2;
		found.push(onCore(core, along, phase + (2 * Math.PI * i) / TURN, radius));
		used += Math.hypot(rise, (2 * Math.PI * radius) / TURN);
		if (used >= length - 1e-6) break;
	}
	return found;
} // prettier-ignore

/** How far it climbs at every step so that all of it is used, mm; no less than bands beside each other do. */
function climb(core: Core, start: number, { length, d, steps }: { length: number; d: number; steps: number }): number {
	// It goes no higher than what it winds round.
	let [low, high] = [d / TURN, Math.max(d / TURN, (core.end - start) / steps)];
	if (helix(core, start, { rise: high, d, steps }) <= length * 1.001) return high;
	for (let i = 0; i < 24; i++) {
		const rise = (low + high) / 2;
		if (helix(core, start, { rise, d, steps }) < length) low = rise;
		else high = rise;
	}
	return low;
} // prettier-ignore

/** How long it is that climbs so far at every step, mm. */
function helix(core: Core, start: number, { rise, d, steps }: { rise: number; d: number; steps: number }): number {
	let long = 0;
	for (let i = 0; i < steps; i++)
		long += Math.hypot(rise, (2 * Math.PI * (core.radiusAt(start + rise * i) + d / 2)) / TURN);
	return long;
} // prettier-ignore

/** How long something is that winds so often round a core between two points along it, mm. */
export function twineLength(core: Core, { from, to, d, turns }: { from: number; to: number; d: number; turns: number }): number {
	const steps = Math.max(1, Math.round(TURN * turns));
	return helix(core, from, { rise: Math.max(d / TURN, (to - from) / steps), d, steps });
} // prettier-ignore

/** Heights at which a host is measured for what winds round it. */
const MEASURED = 96;
/** As thick as what stands bare in the middle: a stick. House rule. */
const STICK = 10;
const profiles = new WeakMap<readonly Ball[], Core>();

/** The middle of a host from its foot up, and how far it reaches from there at each height. */
export function axisOf(balls: readonly Ball[]): Core {
	const before = profiles.get(balls);
	if (before) return before;
	const top = balls.reduce((a, b) => Math.max(a, b.z + b.d / 2), 1);
	const reach = Array.from({ length: MEASURED + 1 }, (_, i) => {
		const z = (top * i) / MEASURED;
		return balls.reduce((a, b) => {
			const [half, off] = [b.d / 2, Math.abs(b.z - z)];
			return off < half ? Math.max(a, Math.hypot(b.x, b.y) + Math.sqrt(half * half - off * off)) : a;
		}, STICK);
	});
	const core: Core = {
		// A limb that is longer goes on over the top.
		path: [{ x: 0, y: 0, z: 0 }, { x: 0, y: 0, z: top }, { x: 0, y: 0, z: top + 3000 }],
		radiusAt: (far) => reach[Math.round((far / top) * MEASURED)] ?? STICK,
		end: top
	};
	profiles.set(balls, core);
	return core;
} // prettier-ignore

/** A limb as what others wind round. */
export const coreOfLimb = ({ path, d }: LimbShape): Core => ({
	path,
	radiusAt: () => d / 2,
	end: wayLength(path)
});

/** A point beside a core, that far along it. */
function onCore({ path }: Core, far: number, angle: number, radius: number): Point {
	const { at, axis } = alongWay(path, far);
	const flat = Math.hypot(axis.x, axis.y);
	const side = flat < 0.1 ? { x: 1, y: 0, z: 0 } : { x: -axis.y / flat, y: axis.x / flat, z: 0 };
	const other = { x: axis.y * side.z - axis.z * side.y, y: axis.z * side.x - axis.x * side.z, z: axis.x * side.y - axis.y * side.x };
	const [c, s] = [radius * Math.cos(angle), radius * Math.sin(angle)];
	return { x: at.x + side.x * c + other.x * s, y: at.y + side.y * c + other.y * s, z: at.z + side.z * c + other.z * s };
} // prettier-ignore
