import type { Id } from '../document/id.ts';

/** So many pieces of a material are to be there by a day: what the shelf and what is on its way do not cover. */
export interface Want {
	readonly material: Id;
	/** Whole pieces, above 0. */
	readonly pieces: number;
	/** `YYYY-MM-DD` */
	readonly by: string;
}

/** A pack that can be bought. */
export interface Offer {
	readonly pack: Id;
	readonly material: Id;
	readonly supplier: Id;
	/** Pieces in a pack. */
	readonly count: number;
	/** Minor units a pack, for so many packs and more; the first is from 1. Empty is not known. */
	readonly prices: readonly { readonly from: number; readonly minor: number }[];
}

/** What sending costs at a supplier. Minor units. */
export interface Seller {
	readonly id: Id;
	readonly shipping: number;
	/** Sent for nothing from here on; null is never. */
	readonly freeFrom: number | null;
	/** Days from the order to the door. */
	readonly lead: number;
}

/** What is to be bought, and of whom it can be. */
export interface BuyingProblem {
	readonly today: string;
	readonly wants: readonly Want[];
	readonly offers: readonly Offer[];
	readonly sellers: readonly Seller[];
	/** Share of what a piece costs at least that one left over is worth: it is used another day. From 0 to under 1. */
	readonly leftover: number;
}

/** So many of a pack. */
export interface Purchase {
	readonly pack: Id;
	readonly packs: number;
}

/** What a plan comes to. Minor units. */
export interface BuyingCost {
	readonly goods: number;
	readonly shipping: number;
	/** What is left over, at what it is worth. */
	readonly left: number;
	/** What is paid less what is left: what is made least. */
	readonly net: number;
}

export interface BuyingPlan {
	readonly purchases: readonly Purchase[];
	readonly cost: BuyingCost;
	/** No plan comes to less than this; null where nobody proved anything. */
	readonly bound: number | null;
	/** What nobody sends in time: it comes late, with what comes soonest. */
	readonly late: readonly (Want & { readonly arrives: string })[];
	/** What nobody sells. */
	readonly unsold: readonly Want[];
}

/** What is left over is worth this share of the cheapest piece. House rule. */
export const LEFTOVER = 0.5;
/** Days where a supplier does not say. House rule. */
export const USUAL_LEAD = 7;
