import type { Side } from './side.ts';
import type { Size } from '../sizing/size.ts';
import type { Micrometres } from '../units/length.ts';
import type { Id } from './id.ts';
import type { Inside } from './inside.ts';
import type { Pattern } from './pattern.ts';

export interface Cluster {
	readonly id: Id;
	readonly places: readonly Place[];
	readonly side: Side;
	readonly tier: number;
	/** Which slot each place takes, ring by ring; a place may say otherwise. */
	readonly pattern: Pattern;
}

/** Kinds of balloon a place may hold: what is tied into clusters. */
export const PLACE_KINDS = ['latex-round', 'latex-heart'] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

/** What of a balloon is painted, where not all of it is. */
export const PAINT_PARTS = ['dots', 'stripes', 'swoosh', 'the side', 'the top', 'the bottom'] as const;
export type PaintPart = (typeof PAINT_PARTS)[number];

/** One balloon of a cluster. */
export interface Place {
	readonly id: Id;
	readonly kind: PlaceKind;
	readonly nominal: Micrometres;
	readonly size: Size;
	/** How it is brought to size; null follows from the size: a sizer hole, strokes, the eye. */
	readonly method: 'hole' | 'eye' | null;
	/** Overrides the cluster's pattern. */
	readonly slot: Id | null;
	/** A certain material of the Stockroom, whatever the colourway: a printed eye. */
	readonly material: Id | null;
	/** The side this one shall look to: the first that has one turns its ring. */
	readonly side: Exclude<Side, 'all'> | null;
	/** What is put into it before it is tied. Most balloons have nothing, and say nothing of it: recipes are full of them. */
	readonly inside?: Inside | undefined;
	/** Painted after it is sized, all of it or a part; it dries before it is built in. */
	readonly painted?: true | PaintPart | undefined;
	/** Its neck is cut off once it is built in. */
	readonly neckOff?: true | undefined;
	/** One of the two bubbles that one balloon is twisted into. */
	readonly twin?: true | undefined;
	/** Of this bag as well, until it is known: it is reckoned with the first. */
	readonly or?: Micrometres | undefined;
}

export const JOININGS = ['twisted on', 'line', 'necks', 'modelling balloon', 'cluster to cluster'] as const;
export type Joining = (typeof JOININGS)[number];

/** A balloon of a structure that colours each by itself. */
export type OwnBalloon = Place & { readonly slot: Id };
