import type { Id } from './id.ts';
import type { Micrometres } from '../units/length.ts';
import type { Host } from './host.ts';

/** Sides a section may stand on by another, on top of it, evenly round it (arms, petals), and threaded over it: a column on its post. */
export const STANDINGS = ['on top', 'left', 'right', 'front', 'back', 'round', 'over'] as const;

export type Standing = (typeof STANDINGS)[number];

/** Where a section stands: on the floor at the middle, or by another section. */
export interface Stand {
	/** The section it stands by; null is the floor. It stands by every copy of that one. */
	readonly by: Id | null;
	readonly how: Standing;
	/** Height of its foot over the floor, beside another; null is the foot of that one. */
	readonly height: Micrometres | null;
	/** A row of that section whose height it is fixed at, beside it; `height` then says nothing. */
	readonly layer: Id | null;
	/** Air between the two, beside another. */
	readonly gap: Micrometres | 0;
	/** What ties it on, a material of the Stockroom; null is nothing. */
	readonly tie: string | null;
	/** A row of that section the tie goes down to, so that more than the top holds it; null or nothing is where it sits. */
	readonly down?: Id | undefined;
	/** What of that section it sits on: a balloon, a piece, a point of a limb or of a run. How and how high then say nothing. */
	readonly at?: Host | undefined;
}

export const ON_THE_FLOOR: Stand = { by: null, how: 'on top', height: null, layer: null, gap: 0, tie: null };
