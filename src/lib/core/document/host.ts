import type { Id } from './id.ts';
import type { Side } from './side.ts';
import type { Micrometres } from '../units/length.ts';

/** Where on a ball, as the audience sees it: its sides, and the quarters of its front. Away from the axis where nothing is said. */
export const WAYS = [
	'up left', 'up right', 'down left', 'down right', 'up', 'down', 'left', 'right', 'front', 'back'
] as const; // prettier-ignore
export type Way = (typeof WAYS)[number];

/** What a piece is fixed to. Sides are the audience's. */
export type Host =
	| {
			readonly on: 'layer';
			readonly layer: Id;
			readonly side: Side;
			/** In the dents between it and the row above, or in the middle of its clusters. */
			readonly in?: 'between' | 'middle' | undefined;
	  }
	| { readonly on: 'place'; readonly place: Id; readonly way?: Way | undefined }
	| {
			readonly on: 'piece';
			readonly piece: Id;
			readonly way?: Way | undefined;
			/** So far along a limb, from where it is fixed; its end where nothing is said. */
			readonly along?: Micrometres | undefined;
	  }
	| { readonly on: 'wall'; readonly height: Micrometres; readonly across: number }
	/** So far along the path of the run it stands by. */
	| { readonly on: 'path'; readonly at: Micrometres }
	/** A part of the frame or the weave it stands by, called by where it is: `top left`, `bay 2 row 1`. */
	| { readonly on: 'spot'; readonly spot: string };
