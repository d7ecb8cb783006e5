import type { SlotRole } from '../../src/lib/core/document/slot.ts';

/** The demo's designs, keyed as an owner would key them: one line of the entry line a layer, floor first. */
export interface DemoDesign {
	readonly id: string;
	readonly name: string;
	readonly tags: readonly string[];
	readonly colourway: string;
	/** Names for the slots in place of the colours they were made from. */
	readonly slots: Readonly<Record<string, string>>;
	readonly lines: readonly string[];
	readonly stand?: string;
	/** More colourways: slot name to colour id. */
	readonly also?: Readonly<Record<string, Readonly<Record<string, string>>>>;
	/** Slots left out of a colourway: its name to slot names. */
	readonly without?: Readonly<Record<string, readonly string[]>>;
	/** Roles of slots, by their names. */
	readonly roles?: Readonly<Record<string, SlotRole>>;
	/** Size options of the designs inside: the size’s name to the part’s section name to the part’s size. */
	readonly parts?: Readonly<Record<string, Readonly<Record<string, string>>>>;
	readonly credit?: string;
	/** A change made after the last keep, for “since last kept”. */
	readonly later?: string;
}
