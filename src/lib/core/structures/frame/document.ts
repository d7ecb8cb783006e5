import type { Ground } from '../../document/ground.ts';
import type { Id } from '../../document/id.ts';
import type { Micrometres } from '../../units/length.ts';

/** What a frame is in outline; lengths run along the middle of the tube, from joint to joint. */
export type FrameShape =
	/** One upright: on a plate, in a cup, in a box. */
	| { readonly of: 'post'; readonly height: Micrometres }
	/** A pole that is pulled out and clamped, bought as it is; with a bar two of them and one across, 0 is none. */
	| {
			readonly of: 'telescope';
			readonly closed: Micrometres;
			readonly open: Micrometres;
			readonly height: Micrometres;
			readonly bar: Micrometres | 0;
	  }
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
	/** A letter or figure in square lines, as the audience reads it; feet reach as far to the front and back. */
	| {
			readonly of: 'letter';
			readonly sign: string;
			readonly height: Micrometres;
			readonly feet: Micrometres | 0;
	  }
	/** Sticks beside each other, each in a cup that holds it on the floor of one box. */
	| {
			readonly of: 'box';
			readonly sticks: number;
			readonly height: Micrometres;
			readonly apart: Micrometres;
	  }
	/** Tube from point to point, wherever she puts it. */
	| { readonly of: 'parts'; readonly parts: readonly FramePart[] }
	/** One stick bent on the floor at each length, then up: what is left is the upright. */
	| { readonly of: 'bent'; readonly stick: Micrometres; readonly bends: readonly Micrometres[] };

/** A point of a frame, µm: to the right of its middle, over the floor, to the back. */
export type FramePoint = readonly [x: number, z: number, y: number];
/** A straight piece of tube. */
export interface FramePart {
	readonly from: FramePoint;
	readonly to: FramePoint;
}

/** What hides the tube. */
export const COVERS = ['tissue', 'fabric', 'paint', 'balloon'] as const;
export type Cover = (typeof COVERS)[number];

/** A plate, a cup, a box: what it stands on at each foot. */
export interface FrameBase {
	readonly material: Id | null;
	readonly across: Micrometres;
}

/** Lines from so high to stakes in the ground, all round. */
export interface Guys {
	readonly count: number;
	readonly at: Micrometres;
	/** From under the middle to a stake. */
	readonly reach: Micrometres;
}

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
	readonly base: FrameBase | null;
	/** Another base on some grounds; on the others it is the usual one. */
	readonly grounds: readonly { readonly ground: Ground; readonly base: FrameBase | null }[];
	/** Null is none. */
	readonly guys: Guys | null;
	/** Mesh over its outline, for what is tied to it; null is none. */
	readonly mesh: { readonly material: Id | null } | null;
	readonly cover: Cover | null;
	readonly joined: TubeJoining;
	/** Times it is used: what is cut and joined once is shared by them. */
	readonly uses: number;
}
