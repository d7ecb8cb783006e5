import { DomainError } from '../errors.ts';

/** A point of a path, mm: x to the right, y away from the audience, z up. */
export interface PathPoint {
	readonly x: number;
	readonly y: number;
	readonly z: number;
}

/** A stretch of a path without a corner, as a fine polyline. */
export interface Stretch {
	readonly points: readonly PathPoint[];
	/** Length from its beginning to each point, mm. */
	readonly along: readonly number[];
	/** True length, mm: exact where there is a formula, of the polyline else. */
	readonly length: number;
	/** From cluster to cluster, mm, where this stretch says so. */
	readonly pitch: number | null;
	/** Leaves another stretch: nothing stands at its beginning. */
	readonly arm: boolean;
}

const above = (value: number, what: string): number => {
	if (!(value > 0) || !Number.isFinite(value))
		throw new DomainError('not-positive', `${what} must be above 0`);
	return value;
};

/**
 * Length of half an ellipse over a span, mm.
 *
 * Source: Ramanujan, “Modular equations and approximations to π” (1914), second approximation of the perimeter,
 * π (a + b) (1 + 3h / (10 + √(4 − 3h))), h = ((a − b) / (a + b))²; halved.
 * @param span foot to foot, mm @param rise height of its top over its feet, mm
 */
export function halfEllipseLength(span: number, rise: number): number {
	const [a, b] = [above(span, 'the span') / 2, above(rise, 'the rise')];
	const h = ((a - b) / (a + b)) ** 2;
	return (Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)))) / 2;
}

/**
 * The parameter a of a catenary z = a cosh(x / a) with this span and rise, by bisection.
 * @param span and rise in mm, both above 0
 */
export function catenaryParameter(span: number, rise: number): number {
	above(rise, 'the rise');
	const half = above(span, 'the span') / 2;
	// rise(a) = a (cosh(half / a) − 1) falls as a grows.
	const riseOf = (a: number) => a * (Math.cosh(half / a) - 1);
	let [low, high] = [half / 500, half];
	while (riseOf(high) > rise) high *= 2;
	for (let i = 0; i < 80; i++) {
		const middle = (low + high) / 2;
		if (riseOf(middle) > rise) low = middle;
		else high = middle;
	}
	return (low + high) / 2;
}

/** Arc length of a catenary, 2 a sinh(span / 2a), mm. Source: Weisstein, "Catenary", MathWorld (from memory). */
export function catenaryLength(span: number, rise: number): number {
	const a = catenaryParameter(span, rise);
	return 2 * a * Math.sinh(span / (2 * a));
}

/** Length of a helix, √((π d turns)² + height²), mm. */
export const helixLength = (across: number, height: number, turns: number): number =>
	Math.hypot(Math.PI * above(across, 'the width') * above(turns, 'the turns'), above(height, 'the height'));

/** Points of a stretch, with its length as measured along them or as its formula says. */
export function stretchOf(
	points: readonly PathPoint[],
	more: { readonly length?: number; readonly pitch?: number | null; readonly arm?: boolean } = {}
): Stretch {
	const along = [0];
	for (let i = 1; i < points.length; i++) {
		const [a, b] = [points[i - 1]!, points[i]!];
		along.push(along[i - 1]! + Math.hypot(b.x - a.x, b.y - a.y, b.z - a.z));
	}
	const { length = along.at(-1)!, pitch = null, arm = false } = more;
	return { points, along, length, pitch, arm };
}

/** How finely curves are cut up; their length is then right to far less than a thousandth. */
const PIECES = 480;

const sampled = (at: (t: number) => PathPoint, pieces = PIECES): PathPoint[] =>
	Array.from({ length: pieces + 1 }, (_, i) => at(i / pieces));

/** Feet at the floor, its middle over the origin. */
export function archStretch(span: number, rise: number, curve: 'ellipse' | 'catenary', foot = 0): Stretch {
	if (curve === 'ellipse') {
		const length = halfEllipseLength(span, rise);
		const at = (t: number) => ({
			x: (-span / 2) * Math.cos(Math.PI * t),
			y: 0,
			z: foot + rise * Math.sin(Math.PI * t)
		});
		return stretchOf(sampled(at), { length });
	}
	const a = catenaryParameter(span, rise);
	const length = catenaryLength(span, rise);
	// Even steps along the arc: x = a asinh(s / a).
	const at = (t: number) => {
		const x = a * Math.asinh(((t - 0.5) * length) / a);
		return { x, y: 0, z: foot + rise - a * (Math.cosh(x / a) - 1) };
	};
	return stretchOf(sampled(at), { length });
}

/** Round the z axis from the front, to the right first. */
export function helixStretch(across: number, height: number, turns: number, foot = 0): Stretch {
	const at = (t: number) => {
		const angle = -Math.PI / 2 + 2 * Math.PI * turns * t;
		return { x: (across / 2) * Math.cos(angle), y: (across / 2) * Math.sin(angle), z: foot + height * t };
	};
	const pieces = Math.max(PIECES, Math.ceil(turns) * 96);
	return stretchOf(sampled(at, pieces), { length: helixLength(across, height, turns) });
}

/**
 * A smooth curve through points of the picture plane: a uniform Catmull–Rom spline, its ends doubled.
 * Source: Catmull & Rom, “A class of local interpolating splines” (1974), from memory.
 */
export function curveStretch(points: readonly (readonly [number, number])[], foot = 0): Stretch {
	const at = (i: number) => points[Math.max(0, Math.min(points.length - 1, i))]!;
	const found: PathPoint[] = [];
	for (let i = 0; i + 1 < points.length; i++) {
		const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
		const steps = Math.max(24, Math.ceil(PIECES / points.length));
		for (let k = found.length === 0 ? 0 : 1; k <= steps; k++) {
			const t = k / steps;
			const blend = (axis: 0 | 1) =>
				0.5 *
				(2 * p1[axis] +
					(p2[axis] - p0[axis]) * t +
					(2 * p0[axis] - 5 * p1[axis] + 4 * p2[axis] - p3[axis]) * t ** 2 +
					(3 * p1[axis] - p0[axis] - 3 * p2[axis] + p3[axis]) * t ** 3);
			found.push({ x: blend(0), y: 0, z: foot + blend(1) });
		}
	}
	return stretchOf(found);
}

/** Where a stretch is at a length from its beginning, and which way it goes there, a direction of length 1. */
export function pointOf(
	stretch: Stretch,
	at: number
): { readonly point: PathPoint; readonly way: PathPoint } {
	const { points, along } = stretch;
	// A formula's length and that of its polyline differ by a hair.
	const s = Math.max(0, Math.min(1, at / stretch.length)) * along.at(-1)!;
	let [low, high] = [0, along.length - 1];
	while (high - low > 1) {
		const middle = (low + high) >> 1;
		if (along[middle]! <= s) low = middle;
		else high = middle;
	}
	const [a, b] = [points[low]!, points[high]!];
	const long = along[high]! - along[low]!;
	const t = long > 0 ? (s - along[low]!) / long : 0;
	const mix = (key: 'x' | 'y' | 'z') => a[key] + (b[key] - a[key]) * t;
	const unit = (key: 'x' | 'y' | 'z') => (long > 0 ? (b[key] - a[key]) / long : key === 'x' ? 1 : 0);
	return {
		point: { x: mix('x'), y: mix('y'), z: mix('z') },
		way: { x: unit('x'), y: unit('y'), z: unit('z') }
	};
}

/** Two directions across a path: the first away from the audience where it can be, the second square to both. */
export function across(way: PathPoint): readonly [PathPoint, PathPoint] {
	// Along the audience's line of sight there is no “away”: up stands in for it.
	const toward = Math.abs(way.y) > 0.95 ? { x: 0, y: 0, z: 1 } : { x: 0, y: 1, z: 0 };
	const along = toward.x * way.x + toward.y * way.y + toward.z * way.z;
	const flat = { x: toward.x - along * way.x, y: toward.y - along * way.y, z: toward.z - along * way.z };
	const long = Math.hypot(flat.x, flat.y, flat.z);
	const first = { x: flat.x / long, y: flat.y / long, z: flat.z / long };
	const second = {
		x: way.y * first.z - way.z * first.y,
		y: way.z * first.x - way.x * first.z,
		z: way.x * first.y - way.y * first.x
	};
	return [first, second];
}

/** Width and height a path takes, mm. */
export function extentOf(stretches: readonly Stretch[]): { readonly span: number; readonly height: number } {
	const points = stretches.flatMap((s) => s.points);
	if (points.length === 0) return { span: 0, height: 0 };
	const reach = (key: 'x' | 'z') => {
		let [low, high] = [Infinity, -Infinity];
		for (const p of points) {
			low = Math.min(low, p[key]);
			high = Math.max(high, p[key]);
		}
		return high - low;
	};
	return { span: reach('x'), height: reach('z') };
}

/**
 * Where a flat path first crosses itself, as a length from the beginning of its first stretch, mm; null where it does
 * not. Neighbouring pieces touch and do not cross; arms touch what they leave.
 */
export function crossingOf(stretches: readonly Stretch[]): number | null {
	const pieces: { a: PathPoint; b: PathPoint; from: number }[] = [];
	let before = 0;
	for (const { points, along, length, arm } of stretches) {
		if (arm) continue;
		const step = Math.max(1, Math.floor(points.length / 160));
		for (let i = 0; i + 1 < points.length; i += step) {
			const j = Math.min(points.length - 1, i + step);
			pieces.push({ a: points[i]!, b: points[j]!, from: before + along[i]! });
		}
		before += length;
	}
	for (let i = 0; i < pieces.length; i++)
		for (let j = i + 2; j < pieces.length; j++) {
			const [p, q] = [pieces[i]!, pieces[j]!];
			// A ring closes where it began.
			const closes = i === 0 && j === pieces.length - 1 && Math.hypot(q.b.x - p.a.x, q.b.z - p.a.z) < 1e-3;
			if (!closes && crosses(p.a, p.b, q.a, q.b)) return p.from;
		}
	return null;
}

const side = (a: PathPoint, b: PathPoint, p: PathPoint): number =>
	(b.x - a.x) * (p.z - a.z) - (b.z - a.z) * (p.x - a.x);

/**
 * Whether two pieces meet in the picture plane: one goes through the other, ends on it, or lies along it. Lengths are in
 * mm, so what is less than a hair beside a line is on it.
 */
function crosses(a: PathPoint, b: PathPoint, c: PathPoint, d: PathPoint): boolean {
	const [p, q, r, s] = [side(a, b, c), side(a, b, d), side(c, d, a), side(c, d, b)];
	const flat = 1e-3 * Math.hypot(b.x - a.x, b.z - a.z);
	if (Math.abs(p) <= flat && Math.abs(q) <= flat) {
		const key = Math.abs(b.x - a.x) > Math.abs(b.z - a.z) ? 'x' : 'z';
		const [low, high] = [Math.min(a[key], b[key]), Math.max(a[key], b[key])];
		return Math.max(c[key], d[key]) > low + 1e-3 && Math.min(c[key], d[key]) < high - 1e-3;
	}
	return p * q <= 0 && r * s <= 0;
}
