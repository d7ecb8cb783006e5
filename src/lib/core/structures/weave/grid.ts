import type { Id } from '../../document/id.ts';
import type { Joint } from './document.ts';

/** A point of the grid: along it, and up or back; of a cage along, back and up. */
export type GridPoint = readonly [number, number, number?];

/** A balloon of a weave between two points of its grid; the unit is one balloon from knot to knot, and one row. */
export interface Woven {
	/** Row of the recipe it is said in; null is the handle. */
	readonly row: Id | null;
	/** Null is hidden: any colour will do. */
	readonly slot: Id | null;
	readonly from: GridPoint;
	readonly to: GridPoint;
}

/** A place where balloons meet and a connector may hold them. */
export interface Place {
	readonly joint: Joint;
	readonly at: GridPoint;
	/** Which ends meet there: the nozzle has a lip, the tail is plain. */
	readonly end: 'nozzle' | 'tail' | 'both';
}

export interface WeaveGraph {
	readonly woven: readonly Woven[];
	readonly places: readonly Place[];
	/** The open spaces between links, where a round can fill one. */
	readonly bays: readonly GridPoint[];
	/** Size of the grid, in balloons and rows. */
	readonly width: number;
	readonly height: number;
}
