import type { PictureFacet } from '../facets/picture.ts';
import { loosely } from '../kit/placed.ts';
import type { Ball } from '../../geometry/ring.ts';
import type { Form, FormPiece } from './document.ts';
import type { Id } from '../../document/id.ts';
import { seatsOn, type HostShape } from '../kit/seats.ts';
import { lengthOf, nestingOf, widthOf } from './count.ts';
import type { Point, Strand } from '../kit/strand.ts';

export interface PlacedForm {
	readonly strands: readonly Strand[];
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
 * Where every bubble of a form lies. Pieces on a host leave it outwards; those by themselves stand up side by side, and
 * bands stand over the floor, flat where they nest, fanned out where they cannot. House rules: the picture shows them.
 */
export function placeForm({ pieces }: Form, host: HostShape): PlacedForm {
	const strands: Strand[] = [];
	const lost: Id[] = [];
	let across = 0;
	for (const piece of pieces) {
		if (piece.bubbles.length === 0) continue;
		const d = widthOf(piece);
		const hangs = piece.at?.on === 'place' && piece.at.way === undefined && host.items.has(piece.at.place);
		const seats = hangs
			? under(piece, host, d)
			: piece.at === null
				? standing(piece, d, across)
				: seatsOn(piece.at, piece.count, d, host, new Map());
		if (!seats) {
			lost.push(piece.id);
			continue;
		}
		if (piece.at === null && piece.shaping !== 'bent') across += piece.count * d * 2;
		const said = piece.at && 'way' in piece.at ? piece.at.way : undefined;
		const way = said === 'up' || said === 'down' ? said : hangs ? 'down' : piece.at === null ? 'up' : 'out';
		seats.forEach((seat, i) => {
			for (const path of pathsOf(piece, seat, { index: i, d, way }))
				strands.push({ piece: piece.id, path, d, slot: piece.slot, material: null });
		});
	}
	return { strands, lost };
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
	const strands = Array.from({ length: piece.strands }, (_, k) => k);
	switch (piece.shaping) {
		case 'wound':
			return strands.map((k) =>
				coil(from, axisOf(way, out), {
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
						coil(from, axisOf(way, out), {
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
const axisOf = (way: Which['way'], [x, y]: readonly [number, number]): Point =>
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

export const picture: PictureFacet<Form> = {
	stands: ({ pieces }) => (pieces.some((p) => p.at !== null) ? 'on its host' : 'by itself'),
	alone: false,
	place(form, context) {
		const { strands, lost } = placeForm(form, context.host);
		return { ...loosely({ balls: [], strands }, context), lost };
	}
};
