import type { Colour, Material } from '../materials/material.ts';
import type { NumberStyle } from '../units/number.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import type { Colourway, Slot } from '../document/slot.ts';
import type { Id } from '../document/id.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';

/** A kept design that may be used inside this one. */
export interface UsableDesign {
	readonly id: string;
	readonly name: string;
}

/** Words that say how a thing is meant: no name goes on with them. */
export const MEANT = ['optional', 'reused', 'taken'] as const;

/** What names may mean while a line is read. */
export interface EntryContext {
	readonly slots: readonly Slot[];
	readonly colourway: Colourway | undefined;
	readonly colours: readonly Colour[];
	readonly materials: readonly Material[];
	/** Sections a new one may stand by, and designs it may be. */
	readonly sections?: readonly Section[];
	readonly designs?: readonly UsableDesign[];
	/** The section in hand, the recipe itself and the pumps, where pieces, swaps and strokes may be said. */
	readonly section?: Id;
	readonly recipe?: Recipe;
	readonly pumps?: readonly PumpProfile[];
	/** Names of things that were put aside while plain words are read, by the word that stands for each. */
	readonly masks?: ReadonlyMap<string, string>;
	/** What a length is in where nobody says a unit: inches, unless the studio measures in centimetres. */
	readonly lengths?: 'in' | 'cm';
	readonly style: NumberStyle;
}

/** Words of the grammar: a slot cannot be called one of these. */
export const KEYWORDS: ReadonlySet<string> = new Set([
	'at',
	'to',
	'x',
	'of',
	'times',
	'rings',
	'spiral',
	'checker',
	'blocks',
	'gradient',
	'left',
	'right',
	'front',
	'back',
	'tier',
	'straight',
	'like',
	'joined',
	'section',
	'use',
	'mirrored',
	'gap',
	'strokes',
	'stroke',
	'and',
	'tall',
	'with',
	'put',
	'as',
	'on',
	'row',
	'or',
	'by',
	'swap',
	'size',
	'each',
	'takes',
	'step',
	'swappable',
	'filled',
	'painted',
	'apart',
	'tied'
]);
