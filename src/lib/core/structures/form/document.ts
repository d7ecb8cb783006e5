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

/** How a piece gets its shape. `wound` curls are filled twice; `trained` ones are bent by hand. */
export const SHAPINGS = ['plain', 'wound', 'trained', 'bent'] as const;

export type Shaping = (typeof SHAPINGS)[number];

/** What one piece takes of a balloon: all, a part with the rest left over, a share of one cut up, or a left-over. */
export type Take =
	{ readonly kind: 'whole' | 'part' | 'scrap' } | { readonly kind: 'cut'; readonly pieces: number };

export interface FormPiece {
	readonly id: Id;
	readonly name: string;
	readonly model: Model;
	readonly slot: Id;
	readonly count: number;
	readonly take: Take;
	/** Inflated lengths from the knot on, twist to twist; none is left uninflated, to tie with. */
	readonly bubbles: readonly Micrometres[];
	/** How wide it is inflated; unknown is as wide as the bag says. */
	readonly size: Size;
	readonly shaping: Shaping;
	/** What it is bent over, degrees; of other shapings 0. */
	readonly angle: number;
	/** Each of the count is longer than the one before by this. */
	readonly grows: Micrometres | 0;
	/** So many balloons spiralled together make one piece. */
	readonly strands: number;
	readonly softened: boolean;
	readonly neckOff: boolean;
	/** What it is fixed to; null stands by itself. */
	readonly at: Host | null;
}
