import type { Id } from '../../document/id.ts';
import type { Micrometres } from '../../units/length.ts';

/** What a frame is in outline; lengths run along the middle of the tube, from joint to joint. */
export type FrameShape =
	/** One upright: on a plate, in a cup, in a box. */
	| { readonly of: 'post'; readonly height: Micrometres }
	/** Two uprights and a bar over them; feet reach as far to the front and back, 0 is none. */
	| {
			readonly of: 'door';
			readonly width: Micrometres;
			readonly height: Micrometres;
			readonly feet: Micrometres | 0;
	  }
	/** As a door, with a bar below and more between. */
	| {
			readonly of: 'back';
			readonly width: Micrometres;
			readonly height: Micrometres;
			readonly feet: Micrometres | 0;
			readonly bars: number;
	  }
	/** A mast with a tree across it. */
	| {
			readonly of: 'cross';
			readonly height: Micrometres;
			readonly arm: Micrometres;
			readonly at: Micrometres;
	  }
	/** A ring in front of the audience, on an upright or, at 0, on the floor. */
	| { readonly of: 'hoop'; readonly across: Micrometres; readonly foot: Micrometres | 0 }
	/** Half an ellipse from foot to foot. */
	| { readonly of: 'arc'; readonly span: Micrometres; readonly rise: Micrometres }
	/** One stick bent on the floor at each length, then up: what is left is the upright. */
	| { readonly of: 'bent'; readonly stick: Micrometres; readonly bends: readonly Micrometres[] };

export const JOININGS_OF_TUBE = ['dry', 'glued', 'screwed'] as const;
export type TubeJoining = (typeof JOININGS_OF_TUBE)[number];

/** What is not balloons: tube, the joints between its pieces, what it stands on. */
export interface Frame {
	readonly kind: 'frame';
	readonly shape: FrameShape;
	readonly tube: {
		/** Of the Stockroom; null is still open. */
		readonly material: Id | null;
		/** Outer width. */
		readonly across: Micrometres;
		/** How long the sticks come: a longer piece is coupled. */
		readonly stick: Micrometres;
	};
	/** What it stands on at each foot; null is nothing. */
	readonly base: { readonly material: Id | null; readonly across: Micrometres } | null;
	readonly joined: TubeJoining;
	/** Times it is used: what is cut and joined once is shared by them. */
	readonly uses: number;
}
