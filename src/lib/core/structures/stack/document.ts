import type { Joining, Cluster } from '../../document/cluster.ts';
import type { CountRange } from '../../document/count-range.ts';
import type { Id } from '../../document/id.ts';
import type { Micrometres } from '../../units/length.ts';

export interface Stack {
	readonly kind: 'stack';
	/** Floor first. */
	readonly layers: readonly Layer[];
	readonly upright: Upright;
	/** How a layer is joined to the one below, where the layer says nothing. */
	readonly joining: Joining;
	/** Share of the rigid rise kept, 0.5 to 1.2. */
	readonly squash: number;
	/** Whether the lowest balls touch a bare floor: each then takes a patch. */
	readonly onFloor: boolean;
	/** What it stands on where that is not the floor; where nothing is said, a table or a shelf. */
	readonly on?: StandsOn | undefined;
}

export const STANDS_ON = ['board', 'box'] as const;
export type StandsOn = (typeof STANDS_ON)[number];

export interface Layer {
	readonly id: Id;
	readonly clusters: readonly Cluster[];
	/** So many layers alike, one on the other. */
	readonly repeat: number;
	readonly turn: 'half' | 'none';
	readonly joining: Joining | null;
	/** Another row whose size it takes, so much more or less, whenever that changes. */
	readonly follows?: Follows | undefined;
	/** It may be fewer layers or more, until it is built: the count lies in the middle. */
	readonly range?: CountRange | undefined;
	/** The row it is once more, of whatever section: what is changed in one is changed in all of them. */
	readonly like?: Id | undefined;
}

export interface Follows {
	/** Null is the row below. */
	readonly row: Id | null;
	/** Micrometres more; below 0 is less. */
	readonly by: number;
}
/** Most that a row is larger or smaller than the one it follows. */
export const MOST_BY = 36 * 25_400;

export const UPRIGHTS = ['none', 'pole', 'stick', 'mast balloon', 'line'] as const;

export interface Upright {
	readonly kind: (typeof UPRIGHTS)[number];
	readonly length: Micrometres | null;
	/** The stand, pole or line in the Stockroom; null is not chosen yet. */
	readonly material: string | null;
	/** What the tie takes above the centre of the top ring. */
	readonly tie: Micrometres;
}

/** The layers a stack really has, each row's repeats written out, floor first. */
export const layerCount = (stack: Stack): number => stack.layers.reduce((a, layer) => a + layer.repeat, 0);

/** Balloons it takes: two bubbles are one. */
export const balloonCount = (stack: Stack): number =>
	Math.ceil(
		stack.layers.reduce(
			(a, l) =>
				a +
				l.repeat * l.clusters.reduce((b, c) => b + c.places.reduce((n, p) => n + (p.twin ? 0.5 : 1), 0), 0),
			0
		)
	);
