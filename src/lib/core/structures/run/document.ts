import type { Hung } from '../../document/hung.ts';
import type { Size } from '../../sizing/size.ts';
import type { Micrometres } from '../../units/length.ts';
import type { RationalText } from '../../units/rational.ts';
import type { Cluster, Joining, OwnBalloon, PlaceKind } from '../../document/cluster.ts';
import type { Id } from '../../document/id.ts';

/** Ways a leg or an arm goes, seen by the audience. */
export const WAYS = ['right', 'left', 'up', 'down'] as const;
export type Way = (typeof WAYS)[number];

export interface PathLeg {
	readonly way: Way;
	readonly length: Micrometres;
	/** From cluster to cluster on this leg; null is what its clusters take. */
	readonly pitch: Micrometres | null;
	/** So many clusters on it, however far apart. */
	readonly clusters?: number;
}

/** Where a run goes. Its feet, its lowest points or its line stand at the run's height over the floor. */
export type RunPath =
	| { readonly kind: 'line'; readonly length: Micrometres }
	/** `hanging` is a catenary turned upwards: what a light frame or a helium line makes; else half an ellipse. */
	| {
			readonly kind: 'arch';
			readonly span: Micrometres;
			readonly rise: Micrometres;
			readonly curve: 'ellipse' | 'catenary';
	  }
	| { readonly kind: 'corners'; readonly legs: readonly PathLeg[] }
	/** Round a pole: as wide as its middle line is, `turns` times round up to a height. */
	| {
			readonly kind: 'helix';
			readonly across: Micrometres;
			readonly height: Micrometres;
			readonly turns: number;
	  }
	/** A smooth curve through points: to the right of the first, above the run's height. Whole micrometres. */
	| { readonly kind: 'curve'; readonly points: readonly (readonly [number, number])[] }
	/** The path of another run of the design: a garland along the pipe it hangs on. */
	| { readonly kind: 'lent'; readonly by: Id };

/** An arm that leaves the path: a tee has one, a cross one to each side. */
export interface Branch {
	readonly id: Id;
	readonly kind: 'tee' | 'cross';
	/** Along the path, from its beginning. */
	readonly at: Micrometres;
	readonly way: Way;
	readonly length: Micrometres;
	readonly pitch: Micrometres | null;
	readonly clusters?: number;
	/** The cluster where it leaves is turned half a place, so that the arm sits between two balloons. */
	readonly turned?: true;
}

/** A piece of the path that stays bare: where a sign hangs, a hand holds, a door opens. */
export interface FreeStretch {
	readonly id: Id;
	/** Along the path, from its beginning. */
	readonly at: Micrometres | 0;
	readonly length: Micrometres;
}

/** From so far along a run is joined, or tied to something else. */
export type Change = {
	readonly id: Id;
	readonly at: Micrometres;
} & (
	| { readonly to: 'joining'; readonly joining: Joining }
	/** What it is tied to from there on. */
	| { readonly to: 'spine'; readonly material: Id }
);

export const TAPERED = ['both', 'start', 'end'] as const;

/** Clusters get smaller towards an end, or both: the outermost is so large, the last of so many nearly whole. */
export interface Taper {
	readonly at: (typeof TAPERED)[number];
	readonly clusters: number;
	/** The largest balloon of the outermost cluster. */
	readonly size: Micrometres;
}

/** How much of the round is seen: hung free, in front of a wall, along a table. */
export const SEEN = ['all round', 'wall', 'table'] as const;
export type Seen = (typeof SEEN)[number];

export const THICKER = ['even', 'middle', 'start', 'end'] as const;
export type Thicker = (typeof THICKER)[number];

/** Schools that say how many an organic run takes. */
export const ESTIMATES = ['clusters', 'by the foot', 'packed'] as const;
export type EstimateBy = (typeof ESTIMATES)[number];

/** One size of an organic run. */
export interface MixPart {
	readonly id: Id;
	/** Per cent of the count. */
	readonly share: RationalText;
	/** About so many of each colour, in place of a share. */
	readonly each?: number;
	readonly kind: PlaceKind;
	readonly nominal: Micrometres;
	readonly size: Size;
	readonly method: 'hole' | 'eye' | null;
	/** So many parts of each colour. */
	readonly colours: readonly { readonly slot: Id; readonly parts: number }[];
}

/** How an organic run is filled and counted. */
export interface Organic {
	readonly seen: Seen;
	/** 1 is usual. */
	readonly fullness: RationalText;
	readonly thicker: Thicker;
	readonly by: EstimateBy;
	/** Clusters of the estimator by clusters: a foot, null is what their size takes. */
	readonly clusters: RationalText | null;
	/** What a finished piece took: by nominal size. */
	readonly taught: {
		readonly length: Micrometres;
		readonly counts: readonly { readonly nominal: Micrometres; readonly count: number }[];
	} | null;
	/** What packing came to, part by part, and of which shape: taken over when she counts by it. */
	readonly packed: {
		readonly key: string;
		readonly length: Micrometres;
		readonly counts: readonly number[];
	} | null;
	/** Another number, another picture. */
	readonly seed: number;
	/** Colours at will: two neighbours may be of one. */
	readonly scattered?: true;
}

/** Small ones set after hanging: an estimate until the job. */
export interface Infill {
	readonly id: Id;
	/** Balloons tied into each of them: single ones where nothing is said. */
	readonly each?: number;
	/** A foot. */
	readonly low: RationalText;
	readonly high: RationalText;
	readonly kind: PlaceKind;
	readonly nominal: Micrometres;
	readonly size: Size;
	readonly method: 'hole' | 'eye' | null;
	/** Null stays open until the job. */
	readonly slot: Id | null;
}

/** What clusters are tied to. */
export interface Spine {
	readonly material: Id | null;
	/** Left over at each end, to tie with. */
	readonly tails: Micrometres | 0;
	/** Knotted loops, at none, one or both ends. */
	readonly loops: 0 | 1 | 2;
	/** Ties to the spine a metre. */
	readonly ties: RationalText;
	/** Wound round every balloon: so much of it for each. */
	readonly round?: Micrometres;
}

/** Clusters that follow each other along the path: the rows of a run come one after the other, over and over. */
export interface RunRow {
	readonly id: Id;
	readonly cluster: Cluster;
	/** So many before the next row begins. */
	readonly repeat: number;
	/** From cluster to cluster; null is what their size takes. */
	readonly pitch: Micrometres | null;
	/** How each is joined to the one before it. */
	readonly joining: Joining | null;
}

/** Garland, arch, table runner, framed pipe: clusters or a mix of sizes along a path. */
export interface Run {
	readonly kind: 'run';
	readonly path: RunPath;
	/** Of the path's lowest point over the floor. */
	readonly height: Micrometres | 0;
	readonly branches: readonly Branch[];
	readonly rows: readonly RunRow[];
	readonly joining: Joining;
	/** Share of the rigid rise kept from cluster to cluster, 0.5 to 1.2. */
	readonly squash: number;
	/** A pair on the inside of each elbow. */
	readonly corner: OwnBalloon | null;
	readonly mix: readonly MixPart[];
	readonly organic: Organic;
	readonly infill: readonly Infill[];
	readonly spine: Spine | null;
	readonly hung: Hung | null;
	/** Clusters inflated besides and kept aside, of the rows in turn. */
	readonly spare: number;
	/** So many clusters on the path, however far apart; arms take what they say. */
	readonly clusters?: number;
	readonly free?: readonly FreeStretch[];
	readonly taper?: Taper;
	/** In their order along the path. */
	readonly changes?: readonly Change[];
	/** How long it becomes is not known before it is built: between these. */
	readonly open?: { readonly low: Micrometres; readonly high: Micrometres };
}
