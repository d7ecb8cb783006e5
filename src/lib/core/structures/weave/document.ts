import type { Size } from '../../sizing/size.ts';
import type { Micrometres } from '../../units/length.ts';
import type { OwnBalloon } from '../../document/cluster.ts';
import type { Id } from '../../document/id.ts';
import type { Hung } from '../../document/hung.ts';

/** What is woven. A ring is a panel whose rows are closed; a base is a rectangle of links with cross pieces; a cage is such rectangles over each other with posts between them. */
export const WEAVES = ['panel', 'ring', 'honeycomb', 'base', 'cage'] as const;
export type WeaveShape = (typeof WEAVES)[number];

/** Shapes woven row by row: connectors stand along the boundaries between rows. Of the others every joint is held. */
export const inRows = (shape: WeaveShape): boolean => shape === 'panel' || shape === 'ring';

/** Where two or more balloons of a weave meet. */
export const JOINTS = ['edge', 'inner', 'base', 'handle', 'foot', 'ends'] as const;
export type Joint = (typeof JOINTS)[number];

/** What holds a joint: a duplet is two small balloons tied, a quad two duplets. */
export const CONNECTORS = ['none', 'single', 'duplet', 'quad'] as const;
export type Connector = (typeof CONNECTORS)[number];

export const WOVEN_KINDS = ['latex-link', 'latex-round'] as const;
export type WovenKind = (typeof WOVEN_KINDS)[number];

/** Strings of balloons one above the other; blocks of colour along each. A slot of null is hidden: any colour will do. */
export interface WeaveRow {
	readonly id: Id;
	readonly repeat: number;
	readonly blocks: readonly { readonly slot: Id | null; readonly count: number }[];
}

/** Most rows in a ribbon that is made first. */
export const MOST_IN_RIBBON = 60;

/** A bow of balloons over the weave, its feet on two places of the top edge. */
export interface WeaveHandle {
	readonly links: number;
	readonly slot: Id;
	/** From foot to foot. */
	readonly chord: Micrometres;
	/** Wanted over its feet; null is what its links reach. */
	readonly rise: Micrometres | null;
}

/** Rings of a rectangle over each other. */
export interface Cage {
	readonly rings: number;
	/** Balloons in each post, from ring to ring. */
	readonly post: number;
	/** Posts stand at the corners, and at every so many balloons round the ring; 0 is at the corners alone. */
	readonly every: number;
	/** Cross pieces over the topmost ring. */
	readonly over: number;
}
export const MOST_RINGS = 60;

/** Panel, basket, wall, ring: link or round balloons in a grid, held by small connectors where they meet. */
export interface Weave {
	readonly kind: 'weave';
	readonly shape: WeaveShape;
	/** What the rows are of. */
	readonly woven: {
		readonly kind: WovenKind;
		readonly nominal: Micrometres;
		readonly size: Size;
		readonly method: 'hole' | 'eye' | null;
	};
	/** Lowest first. */
	readonly rows: readonly WeaveRow[];
	/** Of a base and a cage: links along, across, and cross pieces between the long sides of the lowest ring. */
	readonly base: { readonly along: number; readonly across: number; readonly cross: number } | null;
	/** Of a cage: what stands on that. */
	readonly cage?: Cage | undefined;
	/** A round in every bay between links. */
	readonly filler?: OwnBalloon | undefined;
	/** The small balloons of the connectors; null is nothing chosen. */
	readonly joiner: OwnBalloon | null;
	readonly joints: Readonly<Record<Joint, Connector>>;
	/** So many of so many joints along a boundary are held, and by how many the next boundary is moved. */
	readonly take: number;
	readonly of: number;
	readonly stagger: number;
	/** Bent to a bow over this chord; null is flat. */
	readonly chord: Micrometres | null;
	readonly handle: WeaveHandle | null;
	/** So many rows are made up first as a ribbon, then joined; 1 makes strings. Without it, it is woven row on row. */
	readonly ribbons?: number | undefined;
	readonly hung: Hung | null;
}
