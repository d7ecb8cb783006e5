import type { Id } from '../../document/id.ts';
import type { Micrometres } from '../../units/length.ts';
import type { Colourway } from '../../document/slot.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import type { CardClass } from '../../pricing/basis.ts';
import type { SitePiece } from '../../labour/site.ts';
import type { TaskCount } from '../../labour/task.ts';
import type { Rational } from '../../units/rational.ts';
import type { Need } from '../kit/need.ts';

/** Pieces of one tube, so many of each length, µm, and how long its sticks come. */
export interface Cuts {
	readonly material: Id | null;
	readonly stick: Micrometres;
	readonly pieces: readonly { readonly um: number; readonly count: number }[];
}

/** Rectangles of one size that are cut of sheets, or bought as they are. */
export interface Plates {
	readonly material: Id | null;
	readonly wide: Micrometres;
	readonly deep: Micrometres;
	readonly count: number;
}

/** What the workshop reads of something that is cut, bent and joined. Lengths mm where they are not said to be µm. */
export interface ShopSheet {
	/** As it is typed. */
	readonly outline: string;
	readonly width: number;
	readonly height: number;
	/** Of the Stockroom; null is not chosen yet. */
	readonly tube: Id | null;
	readonly stick: Micrometres;
	readonly joined: 'dry' | 'glued' | 'screwed';
	readonly uses: number;
	readonly base: { readonly material: Id | null } | null;
	readonly plates: number;
	readonly cuts: Cuts['pieces'];
	/** Of one that is bent: where, which way, what is left beyond. */
	readonly marks: readonly {
		readonly at: number;
		readonly goes: string;
		readonly angle: number;
		readonly left: number;
	}[];
	readonly fittings: readonly (readonly [kind: string, count: number])[];
	/** Lines to stakes: so many, tied so high, staked so far out; null is none. */
	readonly guys: {
		readonly count: number;
		readonly at: number;
		readonly reach: number;
		readonly each: number;
	} | null;
	/** What hides its tube, and how much of it there is; null is none. */
	readonly cover: { readonly how: string; readonly long: number } | null;
	readonly mesh: boolean;
}

/** What a kind takes and asks of hands. */
export interface CountFacet<S> {
	/** Balloons in one of it, before anything is worked out: guards against absurd sizes. */
	balloons(structure: S): number;
	/** What is counted besides balloons: applied pieces, lines. The same guard. */
	pieces(structure: S): Rational;
	/** Things the picture places one by one. */
	placed(structure: S): Rational;
	needs(structure: S, colourway: Colourway | undefined): Need[];
	tasks(structure: S): TaskCount[];
	/** Its class on a rate card. */
	readonly sold: CardClass;
	/** What it is sold by the foot of, mm: how high it stands, how far it goes, how wide it is; 0 where it is not. */
	soldBy(structure: S, pumps: readonly PumpProfile[]): number;
	/** Tube it is cut of; most kinds are of none. */
	cuts?(structure: S): Cuts;
	/** Plates it stands on, alike; most kinds have none. */
	plates?(structure: S): Plates | null;
	/** What the workshop makes of it; most kinds are made at the bench. */
	sheet?(structure: S): ShopSheet;
	/** How it comes to its place; null for what is part of another, or nothing yet. */
	site(structure: S): SitePiece | null;
}
