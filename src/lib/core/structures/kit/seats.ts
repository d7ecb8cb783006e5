import type { Id } from '../../document/id.ts';
import type { Ball } from '../../geometry/ring.ts';
import type { PaintPart } from '../../document/cluster.ts';
import type { MaterialKind } from '../../materials/material.ts';
import type { InnerBall } from './filled.ts';
import { type Stretch, pointOf } from '../../geometry/path.ts';
import type { Host, Way } from '../../document/host.ts';
import type { Side } from '../../document/side.ts';
import { alongWay, type Point } from './strand.ts';
import type { HostSpot } from './host-spots.ts';
import type { AppliedPiece } from '../applied/document.ts';

/** A piece where it sits on its host, mm in the coordinates of the host. */
export interface AppliedBall {
	/** Empty is the section itself. */
	readonly piece: Id;
	readonly ball: Ball;
	readonly slot: Id | null;
	readonly material: Id | null;
	readonly kind: MaterialKind | null;
	/** Which way its face looks in plan, a direction of length 1: to the audience, or outwards where it goes round. */
	readonly looks: readonly [number, number];
	/** A balloon inside it, seen where the outer one is see-through. */
	readonly inside?: InnerBall | undefined;
	/** A part of it is painted. */
	readonly painted?: PaintPart | undefined;
	/** Balloons of the host that it covers, seen from where it looks to. */
	readonly hides: number;
}

/** A limb from where it is fixed to its end, mm. */
export interface LimbShape {
	readonly path: readonly Point[];
	readonly d: number;
}

/** What a host can answer: its rows and places, by their ids, and all its balls. */
export interface HostShape {
	/** Rings of a row, floor first. */
	readonly rows: ReadonlyMap<Id, readonly (readonly Ball[])[]>;
	readonly places: ReadonlyMap<Id, Ball>;
	readonly balls: readonly Ball[];
	/** Items of a bunch, by their ids too: what is fixed to one of them hangs. */
	readonly items: ReadonlySet<Id>;
	/** Pieces that sit on it and limbs, every one of them, by their ids. */
	readonly pieces?: ReadonlyMap<Id, readonly Ball[]> | undefined;
	readonly limbs?: ReadonlyMap<Id, readonly LimbShape[]> | undefined;
	/** Where a run goes: pieces sit on a point of it. */
	readonly path?: readonly Stretch[] | undefined;
	/** Where the axis of a row, a balloon or a piece is, that is of another section. */
	readonly axes?: ReadonlyMap<Id, Point> | undefined;
	/** Parts of a frame or a weave. */
	readonly spots?: readonly HostSpot[] | undefined;
}

/** Inflated radius of a two-disc foil over its flat radius. Source: Paulsen, Amer. Math. Monthly 101 (1994). */
export const FOIL_RADIUS = 0.7627;

/** Directions of the four sides in plan; the audience stands at negative y. */
export const ANGLE: Readonly<Record<Exclude<Side, 'all'>, number>> = {
	front: -Math.PI / 2,
	back: Math.PI / 2,
	left: Math.PI,
	right: 0
};

/** Everything that sits on one host, so many each in order, and which of them is asked for. */
export interface Sharing {
	readonly counts: readonly number[];
	readonly nth: number;
}

/** Where so many pieces of a width sit on a host; undefined where it is not there. */
export function seatsOn(
	host: Host,
	count: number,
	d: number,
	shape: HostShape,
	seated: ReadonlyMap<Id, readonly Ball[]>,
	sharing: Sharing = { counts: [count], nth: 0 }
): Ball[] | undefined {
	const id =
		host.on === 'layer'
			? host.layer
			: host.on === 'place'
				? host.place
				: host.on === 'piece'
					? host.piece
					: '';
	const axis = shape.axes?.get(id);
	if (!axis) return seatsAbout(host, count, d, shape, seated, sharing);
	// What is of another section has its sides about an axis of its own.
	const own = (balls: readonly Ball[]) => balls.map((b) => ({ ...b, x: b.x - axis.x, y: b.y - axis.y }));
	const place = shape.places.get(id);
	const pieces = shape.pieces?.get(id);
	const about: HostShape = {
		...shape,
		rows: new Map([[id, (shape.rows.get(id) ?? []).map(own)]]),
		places: new Map(place ? [[id, own([place])[0]!]] : []),
		pieces: new Map(pieces ? [[id, own(pieces)]] : [])
	};
	const seats = seatsAbout(host, count, d, about, seated, sharing);
	return seats?.map((b) => ({ ...b, x: b.x + axis.x, y: b.y + axis.y }));
}

function seatsAbout(
	host: Host,
	count: number,
	d: number,
	shape: HostShape,
	seated: ReadonlyMap<Id, readonly Ball[]>,
	{ counts, nth }: Sharing
): Ball[] | undefined {
	/** Those of all that share a ball stand side by side: this one's of them. */
	const mine = (under: Ball, share: (count: number) => number, front?: Way) => {
		const all = counts.map(share);
		const before = all.slice(0, nth).reduce((a, n) => a + n, 0);
		const way = 'way' in host ? host.way : front;
		const total = all.reduce((a, n) => a + n, 0);
		return onBall(under, way, total, d).slice(before, before + all[nth]!);
	};
	switch (host.on) {
		case 'wall':
			return row(count, d).map((x) => ({ x: host.across / 1000 + x, y: 0, z: host.height / 1000, d }));
		case 'path':
			return onPath(host.at / 1000, count, d, shape);
		case 'spot': {
			const spot = shape.spots?.find((s) => s.name === host.spot);
			if (!spot) return undefined;
			if (!spot.open) return mine(spot.ball, (n) => n, 'front');
			return row(count, d).map((along) => ({
				...spot.ball,
				x: spot.ball.x + along,
				z: Math.max(d / 2, spot.ball.z),
				d
			}));
		}
		case 'place': {
			const under = shape.places.get(host.place);
			return under && mine(under, (n) => n);
		}
		case 'piece': {
			// Two pupils on two eyes: one on each, in turn.
			const under = seated.get(host.piece) ?? shape.pieces?.get(host.piece) ?? onLimbs(host, shape);
			return under?.flatMap((ball, i) =>
				mine(ball, (n) => Math.floor(n / under.length) + (i < n % under.length ? 1 : 0))
			);
		}
		case 'layer': {
			const own = shape.rows.get(host.layer);
			if (!own || own.length === 0) return undefined;
			const rings = host.in === 'between' ? [[...own.at(-1)!, ...(ringAbove(shape, host.layer) ?? [])]] : own;
			// Over a row of several rings the pieces are spread from the lowest to the highest.
			return Array.from({ length: count }, (_, i) => {
				const ring = rings[Math.min(rings.length - 1, Math.floor((i * rings.length) / count))]!;
				return host.in === 'middle' ? inMiddle(ring, i, count, d) : againstRing(ring, host.side, i, count, d);
			});
		}
	}
}

/** The lowest ring of the row above another. */
function ringAbove({ rows }: HostShape, layer: Id): readonly Ball[] | undefined {
	const ids = [...rows.keys()];
	return rows.get(ids[ids.indexOf(layer) + 1] ?? '')?.[0];
}

/** In the middle of a ring, several round each other. */
function inMiddle(ring: readonly Ball[], index: number, count: number, d: number): Ball {
	const at = (of: (ball: Ball) => number) => ring.reduce((a, b) => a + of(b), 0) / ring.length;
	const out = count === 1 ? 0 : d / 2 / Math.sin(Math.PI / count);
	const turn = ANGLE.front + (2 * Math.PI * index) / count;
	return {
		x: at((b) => b.x) + out * Math.cos(turn),
		y: at((b) => b.y) + out * Math.sin(turn),
		z: at((b) => b.z),
		d
	};
}

/** A point of each limb as a ball: so far along it, or just before its end, so that what sits on it goes on from there. */
function onLimbs(
	{ piece, along }: Extract<AppliedPiece['on'][number]['host'], { on: 'piece' }>,
	{ limbs }: HostShape
): Ball[] | undefined {
	return limbs
		?.get(piece)
		?.map(({ path, d }) => ({ ...alongWay(path, along === undefined ? Infinity : along / 1000).at, d }));
}

/** Before the audience on what is thickest about a point of a run, several side by side along it. */
export function onPath(
	at: number,
	count: number,
	d: number,
	{ path = [], balls }: HostShape
): Ball[] | undefined {
	let left = at;
	const stretch = path.find((s) => {
		if (left <= s.length + 1e-6) return true;
		left -= s.length;
		return false;
	});
	if (!stretch) return undefined;
	return row(count, d).map((along) => {
		const { point } = pointOf(stretch, left + along);
		const front = balls.reduce((a, b) => {
			const near = Math.hypot(b.x - point.x, b.z - point.z) < (b.d + d) / 2;
			return near ? Math.min(a, b.y - b.d / 2) : a;
		}, point.y);
		// Pressed a little into what carries it.
		return { x: point.x, y: front - d * 0.35, z: point.z, d };
	});
}

/** Places of a row side by side about the middle, mm. */
export const row = (count: number, d: number): number[] =>
	Array.from({ length: count }, (_, i) => (i - (count - 1) / 2) * d);

/** Ways on a ball as directions of length 1, and across them: along that several stand side by side. */
const [Q, ALONG] = [1 / Math.sqrt(3), [1, 0, 0]] as const;
const TOWARD: Readonly<Record<Way, readonly [to: Vector, across: Vector]>> = {
	up: [[0, 0, 1], ALONG],
	down: [[0, 0, -1], ALONG],
	front: [[0, -1, 0], ALONG],
	back: [[0, 1, 0], ALONG],
	left: [[-1, 0, 0], [0, 0, 1]],
	right: [[1, 0, 0], [0, 0, 1]],
	'up left': [[-Q, -Q, Q], [Math.SQRT1_2, -Math.SQRT1_2, 0]],
	'up right': [[Q, -Q, Q], [Math.SQRT1_2, Math.SQRT1_2, 0]],
	'down left': [[-Q, -Q, -Q], [Math.SQRT1_2, -Math.SQRT1_2, 0]],
	'down right': [[Q, -Q, -Q], [Math.SQRT1_2, Math.SQRT1_2, 0]]
}; // prettier-ignore
type Vector = readonly [x: number, y: number, z: number];

/** On a ball where it is said, side by side over it; away from the axis where nothing is said. */
export function onBall(under: Ball, way: Way | undefined, count: number, d: number): Ball[] {
	if (way === undefined) return outward(under, count, d);
	const [to, across] = TOWARD[way];
	const reach = (under.d + d) / 2;
	const step = 2 * Math.asin(Math.min(1, d / (2 * reach)));
	return Array.from({ length: count }, (_, i) => {
		const turn = (i - (count - 1) / 2) * step;
		const at = (k: 0 | 1 | 2) => reach * (to[k] * Math.cos(turn) + across[k] * Math.sin(turn));
		return { x: under.x + at(0), y: under.y + at(1), z: under.z + at(2), d };
	});
}

/** Against a ball, away from the axis; a ball on the axis is met from the front. Several stand side by side. */
export function outward(under: Ball, count: number, d: number): Ball[] {
	const radius = Math.hypot(under.x, under.y);
	const [ux, uy] = radius < 1e-6 ? [0, -1] : [under.x / radius, under.y / radius];
	const reach = (under.d + d) / 2;
	return row(count, d).map((along) => {
		const out = Math.sqrt(Math.max(0, reach * reach - along * along));
		return { x: under.x + ux * out - uy * along, y: under.y + uy * out + ux * along, z: under.z, d };
	});
}

/** How far out a ball of a width comes to rest against others, along a direction from the axis at a height; 0 meets none. mm */
function restsAt(balls: readonly Ball[], angle: number, z: number, d: number): number {
	const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
	return balls.reduce((far, b) => {
		const reach = (b.d + d) / 2;
		const off = (b.y * cos - b.x * sin) ** 2 + (b.z - z) ** 2;
		return off < reach * reach ? Math.max(far, b.x * cos + b.y * sin + Math.sqrt(reach * reach - off)) : far;
	}, 0);
}

/** Against the outside of a ring where it is, in a dent as well as on a ball; of several side by side one. */
export function againstRing(
	ring: readonly Ball[],
	side: Side,
	index: number,
	count: number,
	d: number
): Ball {
	const z = ring.reduce((a, b) => a + b.z, 0) / ring.length;
	const reach = Math.max(...ring.map((b) => Math.hypot(b.x, b.y) + b.d / 2)) + d / 2;
	const at = (angle: number) => {
		const out = restsAt(ring, angle, z, d) || reach;
		return { x: out * Math.cos(angle), y: out * Math.sin(angle), z, d };
	};
	if (side === 'all') return at(ANGLE.front + (2 * Math.PI * index) / count);
	const along = row(count, d)[index]!;
	const turn = Math.asin(Math.max(-1, Math.min(1, along / reach)));
	return at(ANGLE[side] + turn);
}
