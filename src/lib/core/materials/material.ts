import { inches, type Micrometres } from '../units/length.ts';
import type { PartColour } from './assorted.ts';
import type { MaterialFacts } from './facts.ts';
import type { RationalText } from '../units/rational.ts';

/** Anything bought. Shared with the database and the interface. */
export const MATERIAL_KINDS = [
	'latex-round', 'latex-heart', 'latex-link', 'modelling', 'foil-round', 'foil-heart', 'foil-star', 'foil-shape',
	'foil-letter', 'foil-number', 'pipe', 'fitting', 'base', 'weight', 'tie', 'adhesive', 'ribbon', 'accent', 'paint',
	'gas', 'packaging', 'tool'
] as const; // prettier-ignore
export type MaterialKind = (typeof MATERIAL_KINDS)[number];

export const KIND_WORDS: Readonly<Record<MaterialKind, string>> = {
	'latex-round': 'round', 'latex-heart': 'heart', 'latex-link': 'link', modelling: 'modelling balloon',
	'foil-round': 'foil round', 'foil-heart': 'foil heart', 'foil-star': 'foil star', 'foil-shape': 'foil shape',
	'foil-letter': 'foil letter', 'foil-number': 'foil number', pipe: 'pipe', fitting: 'fitting', base: 'base',
	weight: 'weight', tie: 'tie and line', adhesive: 'adhesive', ribbon: 'ribbon and fabric', accent: 'floral and accent',
	paint: 'paint', gas: 'gas', packaging: 'packaging', tool: 'tool'
}; // prettier-ignore

export const FINISHES = ['matte', 'pearl', 'mirror', 'see-through', 'neon', 'confetti', 'printed'] as const;
export type Finish = (typeof FINISHES)[number];

/** What stands where no colour is chosen, or one is gone: a grey nobody sells. */
export const OPEN_HEX = '#c9ccd2';

/** A colour the studio knows, with the finish it comes in. */
export interface Colour {
	readonly id: string;
	readonly name: string;
	readonly finish: Finish;
	/** `#rrggbb`, for the picture. */
	readonly hex: string;
	/** An assorted bag: the colours that are in it, two or more, with their shares. */
	readonly of?: readonly PartColour[] | undefined;
}

/** From so many packs on a pack costs this, minor units. */
export interface PriceBreak {
	readonly from: number;
	readonly priceMinor: number;
}

/** How a supplier sells it. A blank price is unknown, never 0. */
export interface Pack {
	readonly id: string;
	readonly supplier: string;
	/** Pieces (or units) in the pack, 1 or more. */
	readonly count: number;
	readonly priceMinor: number | null;
	/** Left with the supplier until it comes back, as of a cylinder; nothing is none. No cost. */
	readonly depositMinor?: number | null | undefined;
	readonly supplierId?: string | undefined;
	/** What the supplier calls it, and the code it is ordered by. */
	readonly suppliersName?: string | undefined;
	readonly code?: string | undefined;
	/** `YYYY-MM-DD`: since when it costs that. */
	readonly since?: string | undefined;
	/** The last day of a sale. */
	readonly until?: string | undefined;
	/** Fewest packs first. */
	readonly breaks?: readonly PriceBreak[] | undefined;
	/** The one that is usually bought. */
	readonly usual?: true | undefined;
	/** Not sold any more: it counts for nothing. */
	readonly ended?: true | undefined;
}

/** A thing that comes back: it costs a share a use, (price − resale) / uses + upkeep; some of them never come back. */
export interface Reuse {
	/** Times it can be used, where it always comes back. */
	readonly uses: number;
	readonly resaleMinor: number;
	readonly upkeepMinor: number;
	/** Share of times it is lost or broken, 0 to under 1; nothing is never. */
	readonly loss?: RationalText | undefined;
}

export interface Material {
	readonly id: string;
	readonly kind: MaterialKind;
	readonly name: string;
	/** The size printed on the bag. */
	readonly nominal: Micrometres | null;
	readonly colour: string | null;
	/** Largest safe inflated diameter; the nominal size where unknown. */
	readonly safe: Micrometres | null;
	/** Share lost per piece, 0 to under 1; null takes the workspace's default. */
	readonly loss: RationalText | null;
	readonly reuse: Reuse | null;
	/** What one piece is: piece, ft, dab. */
	readonly unit: string;
	/** What tells it from others of its kind, size and colour: the letter of a foil, the model of a modelling balloon. */
	readonly mark: string | null;
	/** Litres one holds by its maker, all chambers together; null is worked out from its size. */
	readonly litres: number | null;
	/** Grams one weighs, empty; of what is bought by length, a unit of it. Null is not known. */
	readonly grams: number | null;
	/** Its edge as she drew it, of a foil of a shape of its own; see `readOutline`. */
	readonly outline?: string | null | undefined;
	/** Chambers of a foil that are filled one by one. */
	readonly chambers: number;
	/** What its kind alone has. */
	readonly facts?: MaterialFacts | undefined;
	/** Not offered any more; what uses it keeps it. */
	readonly retired?: true | undefined;
	/** The material that stands for it. */
	readonly into?: string | undefined;
	/** The pack whose price counts, where that is not the cheapest. */
	readonly counts?: string | undefined;
	/** What a piece on the shelf cost on average, minor units, where that is what counts. */
	readonly average?: RationalText | undefined;
	readonly packs: readonly Pack[];
}

/** A material of which only what it is is known yet. */
export const PLAIN_MATERIAL = {
	nominal: null,
	colour: null,
	safe: null,
	loss: null,
	reuse: null,
	unit: 'piece',
	mark: null,
	litres: null,
	grams: null,
	chambers: 1
} as const satisfies Partial<Material>;

/** The sizes round latex is sold in here; other bags may stand in the Stockroom. */
export const ROUND_NOMINALS = [5, 9, 10, 11, 12, 16, 18, 24, 36] as const;

/** Flat width of a foil whose size nobody said: the commonest. Common practice. */
export const USUAL_FLAT: Micrometres = inches(18);

/** Flat width of a foil as it is inflated; null for what is no foil. */
export const flatOf = ({ kind, nominal }: Pick<Material, 'kind' | 'nominal'>): Micrometres | null =>
	kind.startsWith('foil') ? (nominal ?? USUAL_FLAT) : null;
