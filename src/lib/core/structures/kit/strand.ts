import type { Id } from '../../document/id.ts';

/** A point of a copy, mm: x to the right, y away from the audience, z up. */
export interface Point {
	readonly x: number;
	readonly y: number;
	readonly z: number;
}

/** How far two points are from each other, mm. */
export const apart = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y, b.z - a.z);

/** The point that far on the way from one to another. @param share 0 is the first, 1 the second */
export const between = (from: Point, to: Point, share: number): Point => ({
	x: from.x + (to.x - from.x) * share,
	y: from.y + (to.y - from.y) * share,
	z: from.z + (to.z - from.z) * share
});

/** How long a way is, mm. */
export const wayLength = (path: readonly Point[]): number =>
	path.slice(1).reduce((a, p, i) => a + apart(path[i]!, p), 0);

/** The point of a way that far along it, at its ends at the most, and which way it goes there, a direction of length 1. */
export function alongWay(path: readonly Point[], far: number): { readonly at: Point; readonly axis: Point } {
	let left = Math.max(0, far);
	let found = { at: path[0] ?? { x: 0, y: 0, z: 0 }, axis: { x: 0, y: 0, z: 1 } };
	for (const [i, to] of path.entries()) {
		const from = path[i - 1];
		const long = from ? apart(from, to) : 0;
		if (!from || long === 0) continue;
		const axis = { x: (to.x - from.x) / long, y: (to.y - from.y) / long, z: (to.z - from.z) / long };
		found = { at: between(from, to, Math.min(1, left / long)), axis };
		if (left <= long) break;
		left -= long;
	}
	return found;
}

/** Something long: a bubble of a modelling balloon, a ribbon, a stroke of a foil letter. */
export interface Strand {
	/** Piece, item or row it is of; empty is the section itself. */
	readonly piece: Id;
	readonly path: readonly Point[];
	/** Thickness, mm. */
	readonly d: number;
	readonly slot: Id | null;
	readonly material: Id | null;
	/** Tube and plates: shown as what they are where the Stockroom gives them no colour. */
	readonly bare?: true | undefined;
}
