import type { Side } from '../../geometry/layers.ts';
import type { Colour, Material } from '../../materials/material.ts';
import type { Size } from '../../sizing/size.ts';
import type { Micrometres } from '../../units/length.ts';
import type { NumberStyle } from '../../units/number.ts';
import type { RationalText } from '../../units/rational.ts';
import type { Colourway, DesignUse, Joining, Section, Slot, Stand, Upright } from '../recipe.ts';

/** A slot that is there, or one to make for a colour of the Stockroom. */
export type ColourRef = { readonly slot: string } | { readonly name: string; readonly colour: string };

/** A colour pattern as said, its slots not yet made. */
export interface SaidPattern {
	readonly kind: 'same' | 'rings' | 'list' | 'spiral' | 'checker' | 'blocks';
	readonly colours: readonly { readonly ref: ColourRef; readonly rings: number }[];
	readonly hand: 'left' | 'right';
}

export interface SaidCluster {
	readonly count: number;
	readonly nominal: Micrometres;
	readonly size: Size;
	readonly pattern: SaidPattern;
	readonly side: Side;
	readonly tier: number;
}

export interface SaidLayer {
	readonly clusters: readonly SaidCluster[];
	/** So many, or as many as reach a body height. */
	readonly repeat: number;
	readonly toHeight: Micrometres | null;
	readonly turn: 'half' | 'none';
	readonly joining: Joining | null;
}

/** A section as said; without a structure it is an empty stack. */
export interface SaidSection {
	readonly name: string;
	readonly times: number;
	readonly mirror: boolean;
	readonly stand: Stand;
	readonly structure?: DesignUse;
}

/** A kept design that may be used inside this one. */
export interface UsableDesign {
	readonly id: string;
	readonly name: string;
}

/** What one line of typing means. */
export type Entry =
	| { readonly kind: 'layer'; readonly layer: SaidLayer }
	| { readonly kind: 'upright'; readonly upright: Pick<Upright, 'kind' | 'length'> }
	| { readonly kind: 'section'; readonly section: SaidSection }
	| {
			readonly kind: 'extra';
			readonly material: string;
			readonly name: string;
			readonly quantity: RationalText;
	  };

/** What names may mean while a line is read. */
export interface EntryContext {
	readonly slots: readonly Slot[];
	readonly colourway: Colourway | undefined;
	readonly colours: readonly Colour[];
	readonly materials: readonly Material[];
	/** Sections a new one may stand by, and designs it may be. */
	readonly sections?: readonly Section[];
	readonly designs?: readonly UsableDesign[];
	readonly style: NumberStyle;
}

/** Words of the grammar: a slot cannot be called one of these. */
export const KEYWORDS: ReadonlySet<string> = new Set([
	'at', 'to', 'x', 'of', 'times', 'rings', 'spiral', 'checker', 'blocks', 'left', 'right', 'front', 'back', 'tier',
	'straight', 'joined', 'section', 'use', 'mirrored', 'gap', 'strokes', 'stroke', 'and', 'tall'
]); // prettier-ignore
