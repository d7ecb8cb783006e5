import type { PriceMethod } from '../pricing/methods.ts';
import type { Structure } from '../structures/kinds.ts';
import type { Stand } from '../document/stand.ts';
import type { SaidOf } from '../document/measure.ts';
import type { Slot, Colourway } from '../document/slot.ts';
import type { FollowOnRule } from '../document/rule.ts';
import type { Micrometres } from '../units/length.ts';
import type { RationalText } from '../units/rational.ts';
import type { Id } from '../document/id.ts';
import type { Step } from '../document/step.ts';

export const RECIPE_FORMAT = 'bright-tally/recipe';
export const RECIPE_VERSION = 6;

/** One design: the versioned document everything else reads. Guarded by `recipe.schema.ts`. */
export interface Recipe {
	readonly format: typeof RECIPE_FORMAT;
	readonly version: typeof RECIPE_VERSION;
	readonly name: string;
	readonly tags: readonly string[];
	readonly notes: string;
	readonly slots: readonly Slot[];
	/** At least one; the first is shown on the Shelf. */
	readonly colourways: readonly Colourway[];
	/** Floor first. */
	readonly sections: readonly Section[];
	/** Overrides the workspace's way of pricing. */
	readonly pricing: RecipePricing | null;
	/** Hints of the checker that were answered with a reason. */
	readonly silenced: readonly Silenced[];
	/** What its height is said of; nothing is over all. */
	readonly tall?: SaidOf | undefined;
	/** Named sets of parameters; none is the design as it stands. */
	readonly sizes: readonly SizeOption[];
	/** Follow-on rules of this design: they stand in for the workspace's of the same count. */
	readonly rules: readonly FollowOnRule[];
	/** Where the idea comes from: “after …, changed in …”. */
	readonly credit: string;
	/** What the owner changed of the plan, in the order of the plan. */
	readonly steps: readonly Step[];
	/** What one of it costs besides, whatever it is; most say nothing. */
	readonly paid?: readonly PaidLine[] | undefined;
}

/** Something paid for one of a design that is no material: a sign painted elsewhere, a licence. */
export interface PaidLine {
	readonly id: Id;
	readonly label: string;
	/** Minor units of the workspace's currency. */
	readonly minor: number;
}
/** More is a list of something else. */
export const MOST_PAID = 40;

/** A design in another size: what is wanted, and what gives way. */
export interface SizeOption {
	readonly id: Id;
	readonly name: string;
	/** Height wanted; null leaves it as it stands. */
	readonly height: Micrometres | null;
	/** What that height is said of; nothing is its rows. */
	readonly of?: SaidOf | undefined;
	/** Rows are repeated more or less and sizes stay, or layers stay and every balloon grows. */
	readonly by: 'layers' | 'scale';
	/** Swappable elements exchanged in this size: material or design by the id of the element. */
	readonly swaps: Readonly<Record<Id, string>>;
	/** Size options of the designs inside, by the id of their section. */
	readonly parts: Readonly<Record<Id, Id>>;
	/** Sections that are there or not in this size, by their ids; the others are as they stand. */
	readonly open?: Readonly<Record<Id, boolean>> | undefined;
}

/** A hint that shall be quiet, and why. */
export interface Silenced {
	/** What it is about: the key of the finding. */
	readonly finding: string;
	readonly reason: string;
}

export interface Section {
	readonly id: Id;
	readonly name: string;
	readonly structure: Structure;
	/** Multiplies the time standards; 1 is plain work. */
	readonly difficulty: RationalText;
	readonly notes: string;
	/** So many alike wherever it stands: two arms. */
	readonly times: number;
	/** Every second of them is the mirror image, on the other side. */
	readonly mirror: boolean;
	readonly stand: Stand;
	/** May be exchanged in one step: another design in its place. */
	readonly swappable: boolean;
	/** It may be there or not; most sections always are. */
	readonly open?: OpenSection | undefined;
	/** It may be made so many days before the day; nothing is as usual. */
	readonly ahead?: number | undefined;
}

/** What may be there or not. */
export interface OpenSection {
	/** Left out as it stands: neither counted nor drawn. */
	readonly out: boolean;
	/** When it is there, in her words: “outdoors”. */
	readonly when: string;
	/** Those of one group stand for each other: one of them is there. */
	readonly group?: Id | undefined;
}
/** Longer ahead nothing is kept: a quarter of a year. */
export const MOST_AHEAD = 90;

export interface RecipePricing {
	readonly method: PriceMethod;
	/** Per cent, as a rational. */
	readonly percent: RationalText;
}
