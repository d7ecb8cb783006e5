import type { Micrometres } from '../../units/length.ts';
import type { Hung } from '../../document/hung.ts';
import type { Cage, Connector, Joint, Weave, WeaveShape } from './document.ts';
import type { ColourRef, OwnSaid } from '../../language/said.ts';

/** One thing said of a weave. */
export type SaidWeave =
	| {
			readonly set: 'shape';
			readonly shape: WeaveShape;
			readonly woven: Weave['woven'];
			readonly base: Weave['base'];
			readonly cage?: Cage | undefined;
	  }
	| {
			readonly set: 'row';
			readonly repeat: number;
			/** Null is hidden. */
			readonly blocks: readonly { readonly ref: ColourRef | null; readonly count: number }[];
	  }
	| { readonly set: 'filler'; readonly balloon: OwnSaid | null }
	| { readonly set: 'joiner'; readonly balloon: OwnSaid | null }
	| { readonly set: 'joint'; readonly joint: Joint; readonly connector: Connector }
	| { readonly set: 'held'; readonly take: number; readonly of: number; readonly stagger: number }
	/** Null is row on row. */
	| { readonly set: 'ribbons'; readonly ribbons: number | null }
	| { readonly set: 'chord'; readonly chord: Micrometres | null }
	| {
			readonly set: 'handle';
			readonly handle: {
				readonly links: number;
				readonly colour: ColourRef;
				readonly chord: Micrometres;
				readonly rise: Micrometres | null;
			} | null;
	  }
	| { readonly set: 'hung'; readonly hung: Hung | null };

export interface WeaveSaid {
	readonly kind: 'weave';
	readonly said: SaidWeave;
}
