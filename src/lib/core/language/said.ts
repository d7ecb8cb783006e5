import type { Side } from '../document/side.ts';
import type { Size } from '../sizing/size.ts';
import type { Micrometres } from '../units/length.ts';
import type { PlaceKind } from '../document/cluster.ts';
import type { Weighing } from '../document/inside.ts';
import type { PaintPart } from '../document/cluster.ts';

/** A slot that is there, or one to make for a colour of the Stockroom. */
export type ColourRef =
	| { readonly slot: string }
	| { readonly name: string; readonly colour: string }
	/** Any colour: nobody sees it. */
	| { readonly name: string; readonly colour: null; readonly any: true };

/** A colour pattern as said, its slots not yet made. */
export interface SaidPattern {
	readonly kind: 'same' | 'rings' | 'list' | 'spiral' | 'checker' | 'blocks' | 'gradient';
	readonly colours: readonly { readonly ref: ColourRef; readonly rings: number }[];
	readonly hand: 'left' | 'right';
}

/** One balloon as said, without its colour. */
export interface SaidBalloon {
	readonly kind: PlaceKind;
	readonly nominal: Micrometres;
	readonly size: Size;
	readonly method: 'eye' | null;
	/** Another bag it may be of. */
	readonly or?: Micrometres;
}

export interface SaidCluster extends SaidBalloon, SaidFill {
	readonly count: number;
	readonly pattern: SaidPattern;
	/** Places unlike the first ones; without a colour of their own they go on in the pattern. */
	readonly others: readonly (SaidBalloon & { readonly count: number; readonly colour: ColourRef | null })[];
	readonly side: Side;
	readonly tier: number;
}

/** What is said of the inside of a balloon, and of paint on it. */
export interface SaidFill {
	readonly inside?:
		| { readonly balloon: SaidBalloon; readonly colour: ColourRef; readonly holds?: Weighing | undefined }
		| Weighing;
	readonly painted?: true | PaintPart;
	readonly neckOff?: true;
	/** Each balloon in two bubbles: the places are bubbles. */
	readonly twin?: true;
}

export type OwnSaid = {
	readonly kind: 'balloon';
	readonly balloon: SaidBalloon;
	readonly colour: ColourRef;
} & SaidFill;
