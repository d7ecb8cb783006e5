import type { CountRange } from '../../document/count-range.ts';
import type { Id } from '../../document/id.ts';
import type { OwnBalloon } from '../../document/cluster.ts';
import type { Micrometres } from '../../units/length.ts';
import type { FoilLook } from '../../document/foil-look.ts';

/** Foils and latex on ribbon over a weight, or side by side in a row: what stands lowest first. */
export interface Bunch {
	readonly kind: 'bunch';
	readonly arrangement: 'bunch' | 'row';
	readonly items: readonly BunchItem[];
	/** What holds it down; null is nothing yet. */
	readonly weight: BunchWeight | null;
}

export interface BunchItem {
	readonly id: Id;
	/** “moon”, “tentacle”. */
	readonly name: string;
	readonly count: number;
	/** It may be fewer or more, until it is built: the count lies in the middle. */
	readonly range?: CountRange | undefined;
	readonly what: BunchThing;
	readonly gas: 'air' | 'helium';
	readonly ribbon: Ribbon | null;
	/** May be exchanged in one step: another foil in its place. */
	readonly swappable: boolean;
}

export type BunchThing =
	| { readonly kind: 'balloon'; readonly balloon: OwnBalloon }
	/** `flat` is the flat width of a foil, null for what is not inflated and only hangs on it. */
	| {
			readonly kind: 'material';
			readonly material: Id | null;
			readonly flat: Micrometres | null;
			readonly look: FoilLook;
			/** Chambers that are filled one by one. */
			readonly chambers: number;
	  }
	/** A wording: each letter or figure a foil of its own, by its mark in the Stockroom. */
	| {
			readonly kind: 'letters';
			readonly text: string;
			readonly height: Micrometres;
			readonly slot: Id;
			readonly look: FoilLook;
	  };

export interface Ribbon {
	readonly material: Id | null;
	/** Null is measured on the spot. */
	readonly length: Micrometres | null;
}

export type BunchWeight =
	| { readonly kind: 'material'; readonly material: Id | null; readonly count: number }
	| { readonly kind: 'balloon'; readonly balloon: OwnBalloon };
