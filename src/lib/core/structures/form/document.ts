import type { Id } from '../../document/id.ts';
import type { Micrometres } from '../../units/length.ts';
import type { Size } from '../../sizing/size.ts';
import type { Host } from '../../document/host.ts';

/** Modelling balloons as the bag says them: the width, then the length, both when full. */
export const MODELS = ['160', '260', '350', '360'] as const;

export type Model = (typeof MODELS)[number];

/** Limbs, bands, curls, bows: pieces of modelling balloons, by themselves or on a host. */
export interface Form {
	readonly kind: 'form';
	readonly pieces: readonly FormPiece[];
}

/**
 * How a piece gets its shape. `wound` curls are filled twice; `trained` ones are bent by hand; `folded` ones go out and
 * back; a `belt` lies round its row or the side it is on; `twined` ones wind round what carries them; a `sleeve` covers it.
 */
export const SHAPINGS = ['plain', 'wound', 'trained', 'bent', 'folded', 'belt', 'twined', 'sleeve'] as const;

export type Shaping = (typeof SHAPINGS)[number];

/** What is as long as its way where no length is said. */
export const GOES_ROUND: ReadonlySet<Shaping> = new Set<Shaping>(['belt', 'twined', 'sleeve']);

/** What a belt can go round: a row, a balloon, a piece. */
export const carriesBelt = (at: Host | null): boolean => at !== null && at.on !== 'wall' && at.on !== 'path';
/** What may be tied at both ends: it goes over straight, or in a bow that it was bent to. */
export const GOES_OVER: ReadonlySet<Shaping> = new Set<Shaping>(['plain', 'trained']);

/** What one piece takes of a balloon: all, a part with the rest left over or thrown away, a share of one cut up, or a left-over. */
export type Take =
	| { readonly kind: 'whole' | 'part' | 'trimmed' | 'scrap' }
	| { readonly kind: 'cut'; readonly pieces: number };

export interface FormPiece {
	readonly id: Id;
	readonly name: string;
	readonly model: Model;
	readonly slot: Id;
	/** Further colours: balloon after balloon takes the next of them, the first one included. */
	readonly more?: readonly Id[] | undefined;
	readonly count: number;
	readonly take: Take;
	/** Inflated lengths from the knot on, twist to twist; none is left uninflated, to tie with. */
	readonly bubbles: readonly Micrometres[];
	/** As long as what it goes round, or as the way to its other end: worked out, no length is said. */
	readonly fits?: true | undefined;
	/** Lengths of a series, one after the other; the first is the one bubble it has. */
	readonly each?: readonly Micrometres[] | undefined;
	/** How wide it is inflated; unknown is as wide as the bag says. */
	readonly size: Size;
	readonly shaping: Shaping;
	/** What it is bent over or how far it twines, degrees; of other shapings 0. */
	readonly angle: number;
	/** Each of the count is longer than the one before by this. */
	readonly grows: Micrometres | 0;
	/** So many balloons spiralled together make one piece. */
	readonly strands: number;
	readonly softened: boolean;
	readonly neckOff: boolean;
	/** What it is fixed to; null stands by itself. */
	readonly at: Host | null;
	/** What its other end is tied to. */
	readonly to?: Host | undefined;
}
