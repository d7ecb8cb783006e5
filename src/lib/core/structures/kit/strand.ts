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
