import type { PictureFacet } from '../facets/picture.ts';
import { loosely } from '../kit/placed.ts';
import type { Ball } from '../../geometry/ring.ts';
import type { Form, FormPiece } from './document.ts';
import type { Id } from '../../document/id.ts';
import { carriersFirst } from '../kit/carriers-first.ts';
import { seatsOn, type HostShape } from '../kit/seats.ts';
import {
	axisOf,
	beltLength,
	beltPath,
	bridge,
	type Core,
	coreOfLimb,
	folded,
	twine,
	twineLength
} from './course.ts';
import { lengthOf, nestingOf, slotAt, widthOf } from './count.ts';
import { alongWay, apart, type Point, type Strand } from '../kit/strand.ts';
import { toEighth } from '../kit/scale.ts';
import type { Host } from '../../document/host.ts';

export interface PlacedForm {
	readonly strands: readonly Strand[];
	/** Each from where it is fixed to its end: what others are fixed to. */
	readonly limbs: NonNullable<HostShape['limbs']>;
	/** Pieces with a host that is not there. */
	readonly lost: readonly Id[];
}

/** How steeply the bubbles of a limb leave its host one after the other, radians over the horizontal. House rule. */
const LIMB = [-0.25, -1.15, -0.35, -1.2];
/** What a fan of bands opens by from one to the next, radians. House rule. */
const FAN = 0.35;
/** Points a turn of a curl is drawn with, and most turns drawn. */
const ROUND = 10;
const MOST_TURNS = 14;

/**
 * Where every bubble of a form lies. Pieces on a host leave it outwards, lie round it, wind round it or go over to another;
 * those by themselves stand up side by side, and bands stand over the floor, flat where they nest, fanned out where they
 * cannot. House rules: the picture shows them.
 */
export function placeForm({ pieces }: Form, host: HostShape): PlacedForm {
	const strands: Strand[] = [];
	const lost: Id[] = [];
	const limbs = new Map(host.limbs);
	const shape: HostShape = { ...host, limbs };
	let across = 0;
	// What a limb is fixed to comes before it.
	for (const piece of inOrder(pieces)) {
		if (piece.bubbles.length === 0) continue;
		const d = widthOf(piece);
		const paths = roundIts(piece, shape, d) ?? fromSeats(piece, shape, d, across);
		if (!paths) {
			lost.push(piece.id);
			continue;
		}
		if (piece.at === null && piece.shaping !== 'bent') across += piece.count * d * 2;
		paths.forEach((own, i) =>
			own.forEach((path, k) => strands.push({ piece: piece.id, path, d, slot: slotAt(piece, i, k), material: null }))
		);
		limbs.set(piece.id, paths.map((own) => ({ path: own[0] ? wayOf(own, piece) : [], d })));
	}
	return { strands, limbs, lost };
} // prettier-ignore

/** One strand of a piece from where it is fixed to its end. */
const wayOf = (own: readonly (readonly Point[])[], { strands }: FormPiece): readonly Point[] =>
	strands > 1 ? own[0]! : own.flat();

const inOrder = (pieces: readonly FormPiece[]): FormPiece[] =>
	carriersFirst(pieces, ({ at, to }) => [at, to].flatMap((host) => host ?? []));

/** What is round something lies where that is, copy by copy; undefined for all others. */
function roundIts(piece: FormPiece, host: HostShape, d: number): Point[][][] | null | undefined {
	const { shaping, at, count } = piece;
	const each = (path: (i: number) => Point[]) => Array.from({ length: count }, (_, i) => [path(i)]);
	if (shaping === 'belt') {
		const belts = beltsOf(piece, host);
		return belts && each((i) => beltPath(belts[i]!.ring, belts[i]!.side, d, lengthOf(piece, i)).map((p) => ({ ...p, z: p.z + belts[i]!.up * d })));
	}
	if (shaping !== 'twined' && shaping !== 'sleeve') return undefined;
	// With nothing to go round it stands by itself.
	if (at === null && host.balls.length === 0) return undefined;
	const cores = coresOf(at, host);
	if (!cores) return null;
	return each((i) => {
		const { core, from } = cores[i % cores.length]!;
		const length = lengthOf(piece, i);
		if (shaping === 'sleeve') return [alongWay(core.path, from).at, alongWay(core.path, from + length).at];
		// Several wind beside each other.
		const phase = -Math.PI / 2 + (2 * Math.PI * Math.floor(i / cores.length)) / Math.ceil(count / cores.length);
		return twine(core, from, { length, d, turns: piece.angle / 360, phase });
	});
} // prettier-ignore

/** What each copy of a belt lies on, from which side, and how many belts lie below it there. */
function beltsOf({ at, count }: FormPiece, host: HostShape) {
	const rings = at?.on === 'layer' ? host.rows.get(at.layer) : undefined;
	const ball = at?.on === 'place' ? host.places.get(at.place) : at?.on === 'piece' ? host.pieces?.get(at.piece)?.[0] : undefined;
	const on = rings?.filter((r) => r.length > 0) ?? (ball ? [[ball]] : []);
	if (on.length === 0) return null;
	return Array.from({ length: count }, (_, i) => {
		const nth = Math.floor((i * on.length) / count);
		const first = Math.ceil((nth * count) / on.length);
		const [here, side] = [Math.ceil(((nth + 1) * count) / on.length) - first, at?.on === 'layer' ? at.side : ('all' as const)];
		return { ring: on[nth]!, side, up: i - first - (here - 1) / 2 };
	});
} // prettier-ignore

/** What winds or is drawn over something begins so far along it: on each limb of that name, or about the middle of its host. */
function coresOf(at: Host | null, host: HostShape): { core: Core; from: number }[] | null {
	if (at?.on === 'piece' && host.limbs?.has(at.piece))
		return host.limbs.get(at.piece)!.map((limb) => ({ core: coreOfLimb(limb), from: (at.along ?? 0) / 1000 }));
	const from = at === null ? 0 : seatsOn(at, 1, 0, host, new Map())?.[0]?.z;
	return from === undefined ? null : [{ core: axisOf(host.balls), from: Math.max(0, from) }];
} // prettier-ignore

/** Leaves its seat, up by itself, outwards from a host, down from what floats, or straight over to its other end. */
function fromSeats(piece: FormPiece, host: HostShape, d: number, across: number): Point[][][] | undefined {
	const hangs = piece.at?.on === 'place' && piece.at.way === undefined && host.items.has(piece.at.place);
	const seats = hangs
		? under(piece, host, d)
		: piece.at === null
			? standing(piece, d, across)
			: seatsOn(piece.at, piece.count, d, host, new Map());
	if (!seats || seats.length === 0) return undefined;
	if (piece.to) {
		const ends = seatsOn(piece.to, piece.count, d, host, new Map());
		return ends?.map((end, i) => {
			const [from, length] = [seats[i % seats.length]!, lengthOf(piece, i)];
			const path = bridge(from, end, length, piece.shaping === 'trained');
			return Array.from({ length: piece.strands }, () => path);
		});
	}
	const said = piece.at && 'way' in piece.at ? piece.at.way : undefined;
	const way = said === 'up' || said === 'down' ? said : hangs ? 'down' : piece.at === null ? 'up' : 'out';
	return seats.map((seat, i) => pathsOf(piece, seat, { index: i, d, way }));
}

/** How long each piece has to be that is as long as what it goes round or over to, mm; undefined where that is not there. */
export function fitLength(piece: FormPiece, host: HostShape): number | undefined {
	const d = widthOf(piece);
	if (piece.to) {
		const from = piece.at === null ? undefined : seatsOn(piece.at, piece.count, d, host, new Map());
		const to = seatsOn(piece.to, piece.count, d, host, new Map());
		return from && to && Math.max(...to.map((end, i) => apart(from[i % from.length]!, end)));
	}
	if (piece.shaping === 'belt') {
		const belts = beltsOf(piece, host);
		return belts ? Math.max(...belts.map(({ ring, side }) => beltLength(ring, side))) : undefined;
	}
	const cores = coresOf(piece.at, host);
	if (!cores) return undefined;
	const lengths = cores.map(({ core, from }) => piece.shaping === 'sleeve'
		? core.end - from
		: twineLength(core, { from, to: core.end, d, turns: piece.angle / 360 }));
	return Math.max(...lengths);
} // prettier-ignore

/** A form whose pieces are as long as what they go round or over to; what is not there leaves them without a length. */
export function fitted(form: Form, host: HostShape): Form {
	const done = new Map<Id, FormPiece>();
	for (const piece of inOrder(form.pieces)) {
		// Only what goes round another limb of its own has to know where those lie.
		const onOwn = [piece.at, piece.to].some((h) => h?.on === 'piece' && done.has(h.piece));
		const { limbs } = piece.fits && onOwn ? placeForm({ ...form, pieces: [...done.values()] }, host) : host;
		const long = piece.fits && fitLength(piece, { ...host, limbs });
		done.set(piece.id, long ? { ...piece, bubbles: [toEighth(long * 1000)] } : piece);
	}
	return { ...form, pieces: form.pieces.map(({ id }) => done.get(id)!) };
}

/** Feet of pieces that stand by themselves: side by side; bands all about the same middle. */
const standing = (piece: FormPiece, d: number, from: number): Ball[] =>
	Array.from({ length: piece.count }, (_, i) => ({
		x: piece.shaping === 'bent' ? 0 : from + i * d * 2,
		y: 0,
		z: 0,
		d
	}));

/** Round the lower side of an item of a bunch: what is tied to it hangs. */
function under({ at, count }: FormPiece, { places }: HostShape, d: number): Ball[] | undefined {
	const ball = at?.on === 'place' ? places.get(at.place) : undefined;
	return (
		ball &&
		Array.from({ length: count }, (_, i) => {
			const angle = -Math.PI / 2 + (2 * Math.PI * (i + 0.5)) / count;
			const out = count === 1 ? 0 : ball.d * 0.3;
			return {
				x: ball.x + out * Math.cos(angle),
				y: ball.y + out * Math.sin(angle),
				z: ball.z - ball.d * 0.38,
				d
			};
		})
	);
}

interface Which {
	readonly index: number;
	/** mm */
	readonly d: number;
	/** By itself upwards, from a host outwards, from what floats down. */
	readonly way: 'up' | 'out' | 'down';
}

function pathsOf(piece: FormPiece, seat: Ball, which: Which): Point[][] {
	const { way } = which;
	const away = Math.hypot(seat.x, seat.y);
	const out: readonly [number, number] =
		way === 'up' || away < 1e-6 ? [0, -1] : [seat.x / away, seat.y / away];
	const length = lengthOf(piece, which.index);
	const from = { x: seat.x, y: seat.y, z: seat.z };
	if (piece.shaping === 'bent') return bent(piece, from, out, which);
	if (piece.shaping === 'folded') return [folded(from, axisFrom(way, out), { length, d: which.d })];
	const strands = Array.from({ length: piece.strands }, (_, k) => k);
	switch (piece.shaping) {
		case 'wound':
			return strands.map((k) =>
				coil(from, axisFrom(way, out), {
					length,
					d: which.d,
					radius: which.d,
					phase: (k * 2 * Math.PI) / piece.strands
				})
			);
		case 'trained':
			return strands.map((k) => arc(from, out, { length, d: which.d * k, way }));
		default:
			return piece.strands > 1
				? strands.map((k) =>
						coil(from, axisFrom(way, out), {
							length,
							d: which.d * 3.2,
							radius: which.d * 0.55,
							phase: (k * 2 * Math.PI) / piece.strands
						})
					)
				: limb(piece, from, out, which);
	}
}

const UP: Point = { x: 0, y: 0, z: 1 };
const DOWN: Point = { x: 0, y: 0, z: -1 };
const axisFrom = (way: Which['way'], [x, y]: readonly [number, number]): Point =>
	way === 'up' ? UP : way === 'down' ? DOWN : { x: x * 0.86, y: y * 0.86, z: -0.5 };
const plus = (a: Point, b: Point, by: number): Point => ({
	x: a.x + b.x * by,
	y: a.y + b.y * by,
	z: a.z + b.z * by
});

/** Bubble after bubble: upwards by itself, like a leg from a host. */
function limb(
	piece: FormPiece,
	from: Point,
	[ox, oy]: readonly [number, number],
	{ index, way }: Which
): Point[][] {
	let at = from;
	return piece.bubbles.map((bubble, i) => {
		const long = bubble / 1000 + (i === piece.bubbles.length - 1 ? (index * piece.grows) / 1000 : 0);
		const tilt = LIMB[i % LIMB.length]!;
		const up = way === 'up' ? 1 : -1;
		const along =
			way !== 'out'
				? { x: i % 2 ? 0.35 : 0, y: 0, z: up * (i % 2 ? 0.94 : 1) }
				: { x: ox * Math.cos(tilt), y: oy * Math.cos(tilt), z: Math.sin(tilt) };
		const end = plus(at, along, long);
		const path = [at, end];
		at = end;
		return path;
	});
}

/** A coil along an axis; as long in all as the balloon is. */
function coil(
	from: Point,
	axis: Point,
	{ length, d, radius, phase }: { length: number; d: number; radius: number; phase: number }
): Point[] {
	const turns = Math.min(MOST_TURNS, length / Math.hypot(2 * Math.PI * radius, d * 1.1));
	const steps = Math.max(2, Math.round(turns * ROUND));
	// Two directions across the axis.
	const side: Point = Math.abs(axis.z) > 0.9 ? { x: 1, y: 0, z: 0 } : normal({ x: -axis.y, y: axis.x, z: 0 });
	const other = cross(axis, side);
	return Array.from({ length: steps + 1 }, (_, i) => {
		const t = (i / steps) * turns;
		const angle = t * 2 * Math.PI + phase;
		const at = plus(plus(from, side, radius * Math.cos(angle)), other, radius * Math.sin(angle));
		return plus(at, axis, t * d * 1.1);
	});
}

const cross = (a: Point, b: Point): Point => ({
	x: a.y * b.z - a.z * b.y,
	y: a.z * b.x - a.x * b.z,
	z: a.x * b.y - a.y * b.x
});
function normal(p: Point): Point {
	const long = Math.hypot(p.x, p.y, p.z) || 1;
	return { x: p.x / long, y: p.y / long, z: p.z / long };
}

/** Bent by hand: out and curling up; what hangs sways to its end. */
function arc(
	from: Point,
	[ox, oy]: readonly [number, number],
	{ length, d, way }: { length: number; d: number; way: Which['way'] }
): Point[] {
	const steps = 16;
	if (way === 'down')
		return Array.from({ length: steps + 1 }, (_, i) => {
			const t = i / steps;
			const sway = 0.07 * length * Math.sin(3 * Math.PI * t) * t;
			return { x: from.x + ox * sway, y: from.y + oy * sway, z: from.z - d - length * t * 0.96 };
		});
	let at: Point = { ...from, z: from.z + d };
	let angle = way === 'up' ? Math.PI / 2 : -0.6;
	return Array.from({ length: steps + 1 }, (_, i) => {
		if (i === 0) return at;
		at = plus(at, { x: ox * Math.cos(angle), y: oy * Math.cos(angle), z: Math.sin(angle) }, length / steps);
		angle += (3.4 / steps) * (0.4 + (1.2 * i) / steps);
		return at;
	});
}

/** A band over its angle: about the middle on the floor by itself, outwards from a host. */
function bent(
	piece: FormPiece,
	from: Point,
	[ox, oy]: readonly [number, number],
	{ index, way }: Which
): Point[][] {
	const theta = Math.max(0.05, (piece.angle * Math.PI) / 180);
	const radius = lengthOf(piece, index) / theta;
	const nested = nestingOf(piece);
	const fan = nested && !nested.flat ? (index - (piece.count - 1) / 2) * FAN : 0;
	const steps = 24;
	return [
		Array.from({ length: steps + 1 }, (_, i) => {
			const angle = Math.PI / 2 + theta * (0.5 - i / steps);
			const [along, up] = [radius * Math.cos(angle), radius * Math.sin(angle)];
			if (way !== 'out')
				return {
					x: from.x + along,
					y: from.y - up * Math.sin(fan),
					z: from.z + up * Math.cos(fan) - Math.min(0, radius * Math.cos(theta / 2))
				};
			// From a host: both ends on it, the middle outwards.
			return { x: from.x + ox * up - oy * along, y: from.y + oy * up + ox * along, z: from.z + up * 0.2 };
		})
	];
}

/** Whether a limb is on another limb of its own form. */
const isOwn = (host: Host, { pieces }: Form): boolean =>
	host.on === 'piece' && pieces.some((p) => p.id === host.piece);

export const picture: PictureFacet<Form> = {
	stands: (form) =>
		form.pieces.some((p) => p.at !== null && !isOwn(p.at, form)) ? 'on its host' : 'by itself',
	alone: false,
	place(form, context) {
		const { strands, lost } = placeForm(form, context.host);
		return { ...loosely({ balls: [], strands }, context), lost };
	}
};
