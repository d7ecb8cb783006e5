import type { Id } from './id.ts';

/** What a colour does for a design: a new colourway can be thought of in these. */
export const SLOT_ROLES = ['main', 'second', 'pop', 'base', 'topper', 'accent'] as const;

export type SlotRole = (typeof SLOT_ROLES)[number];

/** Stands where a colour would. */
export interface Slot {
	readonly id: Id;
	readonly name: string;
	readonly role: SlotRole | null;
}

/** Fills the slots with colours of the workspace; null is still open. */
export interface Colourway {
	readonly id: Id;
	readonly name: string;
	readonly fills: Readonly<Record<Id, string | null>>;
	/** Slots left out: what they colour is not there, and what follows closes up. */
	readonly without: readonly Id[];
}
