import type { CountRange } from '../../document/count-range.ts';
import type { Id } from '../../document/id.ts';
import type { Host } from '../../document/host.ts';
import type { RationalText } from '../../units/rational.ts';
import type { OwnBalloon } from '../../document/cluster.ts';
import type { Micrometres } from '../../units/length.ts';

/** Pieces on a host: a face, wings, spots. The section it stands by is the host. */
export interface Applied {
	readonly kind: 'applied';
	readonly pieces: readonly AppliedPiece[];
}

/**
 * An `attachment point` is the knotted scrap of a balloon given up for it, tied between the others; a foil hangs by its
 * `own tail`; a `neck rolled in` is wound up with a scrap and tucked behind.
 */
export const FIXINGS = [
	'strip',
	'dash',
	'glue',
	'patch and strip',
	'tie',
	'tucked',
	'trial loop',
	'attachment point',
	'own tail',
	'neck rolled in'
] as const;

// prettier-ignore
export type Fixing = (typeof FIXINGS)[number];

/** So many on one host. */
export interface Tier {
	readonly host: Host;
	readonly count: number;
	/** It may be fewer or more, until the piece is built: the count lies in the middle. */
	readonly range?: CountRange | undefined;
}

export interface AppliedPiece {
	readonly id: Id;
	/** “eye”, “spot”. */
	readonly name: string;
	readonly what: PieceThing;
	/** How many on which host: tier by tier. */
	readonly on: readonly Tier[];
	/** How one piece is fixed, and how many fixings it takes. */
	readonly fixing: Fixing;
	readonly each: RationalText;
	/** What holds it for good, where it is fixed on trial first and looked at. */
	readonly then?: Fixing | undefined;
	/** May be exchanged in one step: the same piece with another foil. */
	readonly swappable: boolean;
}

export type PieceThing =
	| { readonly kind: 'balloon'; readonly balloon: OwnBalloon }
	/** `flat` is the flat diameter of a foil, null for what is not inflated. */
	| { readonly kind: 'material'; readonly material: Id | null; readonly flat: Micrometres | null };
