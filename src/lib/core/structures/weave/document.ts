import type { Size } from '../../sizing/size.ts';
import type { Micrometres } from '../../units/length.ts';
import type { OwnBalloon } from '../../document/cluster.ts';
import type { Id } from '../../document/id.ts';
import type { Hung } from '../../document/hung.ts';

/** What is woven. A ring is a panel whose rows are closed; a base is a rectangle of links with cross pieces. */
export const WEAVES = ['panel', 'ring', 'honeycomb', 'base'] as const;
export type WeaveShape = (typeof WEAVES)[number];

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

/** A bow of balloons over the weave, its feet on two places of the top edge. */
export interface WeaveHandle {
	readonly links: number;
	readonly slot: Id;
	/** From foot to foot. */
	readonly chord: Micrometres;
	/** Wanted over its feet; null is what its links reach. */
	readonly rise: Micrometres | null;
}

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
	/** Of a base: links along, across, and cross pieces between the long sides. */
	readonly base: { readonly along: number; readonly across: number; readonly cross: number } | null;
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
	readonly hung: Hung | null;
}
