import type { Micrometres } from '../units/length.ts';
import type { Branch, Infill, MixPart, Organic, RunPath, RunRow, Spine } from '../structures/run/document.ts';
import type { Hung } from '../document/hung.ts';
import type { Joining } from '../document/cluster.ts';
import type { Connector, Joint, Weave, WeaveShape } from '../structures/weave/document.ts';
import type { ColourRef, OwnSaid, SaidBalloon, SaidCluster } from './said.ts';

/** One thing said of a run: what is not said stays. */
export type SaidRun =
	| { readonly set: 'path'; readonly path: RunPath; readonly height: Micrometres | 0 | null }
	| { readonly set: 'branch'; readonly branch: Omit<Branch, 'id'> }
	| {
			readonly set: 'row';
			readonly cluster: SaidCluster;
			readonly row: Pick<RunRow, 'repeat' | 'pitch' | 'joining'>;
	  }
	| { readonly set: 'corner'; readonly balloon: OwnSaid | null }
	| {
			readonly set: 'mix';
			readonly balloon: SaidBalloon;
			readonly share: MixPart['share'];
			readonly colours: readonly { readonly ref: ColourRef; readonly parts: number }[];
	  }
	| { readonly set: 'organic'; readonly organic: Partial<Organic> }
	| {
			readonly set: 'infill';
			readonly balloon: SaidBalloon;
			readonly colour: ColourRef | null;
			readonly a: Pick<Infill, 'low' | 'high'>;
	  }
	| { readonly set: 'spine'; readonly spine: Spine | null }
	| { readonly set: 'hung'; readonly hung: Hung | null }
	| { readonly set: 'joining'; readonly joining: Joining }
	/** A leg that was built: what its clusters take is fitted to it. */
	| { readonly set: 'fitted'; readonly pitch: Micrometres }
	| { readonly set: 'spare'; readonly spare: number };

/** One thing said of a weave. */
export type SaidWeave =
	| {
			readonly set: 'shape';
			readonly shape: WeaveShape;
			readonly woven: Weave['woven'];
			readonly base: Weave['base'];
	  }
	| {
			readonly set: 'row';
			readonly repeat: number;
			/** Null is hidden. */
			readonly blocks: readonly { readonly ref: ColourRef | null; readonly count: number }[];
	  }
	| { readonly set: 'joiner'; readonly balloon: OwnSaid | null }
	| { readonly set: 'joint'; readonly joint: Joint; readonly connector: Connector }
	| { readonly set: 'held'; readonly take: number; readonly of: number; readonly stagger: number }
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
