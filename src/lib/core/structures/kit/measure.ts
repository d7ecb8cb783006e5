import type { Id } from '../../document/id.ts';
import type { Ball } from '../../geometry/ring.ts';
import type { Placed } from '../facets/picture.ts';
import type { HostShape } from './seats.ts';
import { pointAt, type Room, type Spot } from './spot.ts';
import { apart, type Point } from './strand.ts';

/** What carries nothing. */
export const NO_HOST: HostShape = { rows: new Map(), places: new Map(), balls: [], items: new Set() };

/** The room of what is placed, and what pieces can sit on in it, mm in its own coordinates. */
export function measure({ stacks, loose, path, spots }: Placed): Room {
	const balls: Ball[] = [];
	const rows = new Map<Id, (readonly Ball[])[]>();
	const places = new Map<Id, Ball>();
	const items = new Set<Id>();
	let [halfX, halfY, top] = [0, 0, 0];
	const seen = (ball: Ball, spot: Spot): Ball => {
		const at = { ...pointAt(spot, ball), d: ball.d };
		balls.push(at);
		halfX = Math.max(halfX, Math.abs(at.x) + at.d / 2);
		halfY = Math.max(halfY, Math.abs(at.y) + at.d / 2);
		top = Math.max(top, at.z + at.d / 2);
		return at;
	};
	for (const { placed, spots } of stacks) {
		for (const spot of spots) {
			placed.layers.forEach(({ rings }, index) => {
				const { layer } = placed.rings[index]!;
				const ring: Ball[] = [];
				rings.forEach((own, c) => {
					own.forEach((ball, p) => {
						const at = seen(ball, spot);
						ring.push(at);
						const { id } = layer.clusters[c]!.places[p]!;
						if (!places.has(id)) places.set(id, at);
					});
				});
				// Pieces sit on the first copy of a row: the others have theirs by their own spots.
				if (spot === spots[0]) rows.set(layer.id, [...(rows.get(layer.id) ?? []), ring]);
			});
		}
	}
	for (const { balls: own, strands, spots } of loose)
		for (const spot of spots) {
			for (const { ball, piece } of own) {
				const at = seen(ball, spot);
				// What hangs on a bunch is fixed to an item of it.
				if (!places.has(piece)) places.set(piece, at);
				items.add(piece);
			}
			for (const { path: along, d } of strands) for (const p of along) seen({ ...p, d }, spot);
		}
	return {
		balls,
		host: { rows, places, balls, items, path, spots, ...partsOf(loose) },
		half: [halfX, halfY],
		top
	};
}

/** Pieces and limbs of one copy, by their ids: what others sit on in turn. */
function partsOf(loose: Placed['loose']): Required<Pick<HostShape, 'pieces' | 'limbs'>> {
	const pieces = new Map<Id, Ball[]>();
	const limbs = new Map<Id, Limb[]>();
	for (const { balls, strands, spots } of loose) {
		const [spot] = spots;
		if (!spot) continue;
		for (const { ball, piece } of balls) {
			const at = { ...pointAt(spot, ball), d: ball.d };
			pieces.set(piece, [...(pieces.get(piece) ?? []), at]);
		}
		for (const { piece, path, d } of strands) {
			const at = path.map((p) => pointAt(spot, p));
			const own = limbs.get(piece) ?? [];
			const last = own.at(-1);
			// Bubble after bubble is one limb.
			if (last && at[0] && apart(last.path.at(-1)!, at[0]) < 1e-6) last.path.push(...at.slice(1));
			else if (at.length > 1) own.push({ path: at, d });
			limbs.set(piece, own);
		}
	}
	return { pieces, limbs };
}

interface Limb {
	readonly path: Point[];
	readonly d: number;
}

/** What another section carries, in the coordinates of one: where its first copy stands, seen from where that stands. */
export function hostSeenFrom(host: HostShape, at: Spot, from: Spot): HostShape {
	const seen = <P extends Point>(p: P): P => ({ ...p, ...seenFrom(from, pointAt(at, p)) });
	const each = <V, W>(map: ReadonlyMap<Id, V> | undefined, to: (value: V) => W) =>
		new Map([...(map ?? [])].map(([id, value]) => [id, to(value)] as const));
	const axis = seenFrom(from, pointAt(at, { x: 0, y: 0, z: 0 }));
	const ids = [host.rows, host.places, host.pieces ?? new Map<Id, never>()].flatMap((m) => [...m.keys()]);
	return {
		...NO_HOST,
		axes: new Map(ids.map((id) => [id, axis] as const)),
		rows: each(host.rows, (rings) => rings.map((ring) => ring.map(seen))),
		places: each(host.places, seen),
		pieces: each(host.pieces, (balls) => balls.map(seen)),
		limbs: each(host.limbs, (limbs) => limbs.map((l) => ({ ...l, path: l.path.map(seen) })))
	};
}

/** A point of the design in the coordinates of a copy: {@link pointAt} the other way. */
function seenFrom({ x, y, z, mirrored, turn }: Spot, p: Point): Point {
	const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
	const [dx, dy] = [p.x - x, p.y - y];
	const own = cos * dx + sin * dy;
	return { x: mirrored ? -own : own, y: cos * dy - sin * dx, z: p.z - z };
}

/** A host with rows and balloons of other sections that a limb goes over to. */
export function reachingTo(host: HostShape, others: readonly HostShape[]): HostShape {
	if (others.length === 0) return host;
	const rows = new Map([host, ...others].flatMap((s) => [...s.rows]));
	const places = new Map([host, ...others].flatMap((s) => [...s.places]));
	const axes = new Map([host, ...others].flatMap((s) => [...(s.axes ?? [])]));
	return { ...carryingToo(host, others), rows, places, axes };
}

/** A host with what sits on it by other sections as well: a feeler is fixed to a head that is fixed to the column. */
export function carryingToo(host: HostShape, others: readonly HostShape[]): HostShape {
	if (others.length === 0) return host;
	const joined = <V>(of: (shape: HostShape) => ReadonlyMap<Id, V> | undefined) =>
		new Map([host, ...others].flatMap((shape) => [...(of(shape) ?? [])]));
	return { ...host, pieces: joined((s) => s.pieces), limbs: joined((s) => s.limbs) };
}
