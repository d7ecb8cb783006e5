import type { Id } from './id.ts';
import type { Side } from './side.ts';
import type { Micrometres } from '../units/length.ts';

/** What a piece is fixed to. Sides are the audience's. */
export type Host =
	| { readonly on: 'layer'; readonly layer: Id; readonly side: Side }
	| { readonly on: 'place'; readonly place: Id }
	| { readonly on: 'piece'; readonly piece: Id }
	| { readonly on: 'wall'; readonly height: Micrometres; readonly across: number }
	/** So far along the path of the run it stands by. */
	| { readonly on: 'path'; readonly at: Micrometres };
