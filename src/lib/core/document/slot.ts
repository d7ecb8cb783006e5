import type { Id } from './id.ts';

/** What a colour does for a design: a new colourway can be thought of in these. */
export const SLOT_ROLES = ['main', 'second', 'pop', 'base', 'topper', 'accent'] as const;

export type SlotRole = (typeof SLOT_ROLES)[number];

/** What a slot is called that any colour will do for. */
export const HIDDEN = 'hidden';

/** Picked where a colour would be: any will do, nobody sees it. */
export const ANY_COLOUR = 'any colour';

/** Stands where a colour would. */
export interface Slot {
	readonly id: Id;
	readonly name: string;
	readonly role: SlotRole | null;
	/** Nobody sees it: where no colour is chosen any will do, of prints too, and the cheapest is taken. */
	readonly any?: true | undefined;
}

/** Whether any colour will do for a slot: nobody sees it, and none was chosen. */
export const isUnseen = (
	{ id, any }: Pick<Slot, 'id' | 'any'>,
	fills: Colourway['fills'] | undefined
): boolean => any === true && !fills?.[id];

/** Fills the slots with colours of the workspace; null is still open. */
export interface Colourway {
	readonly id: Id;
	readonly name: string;
	readonly fills: Readonly<Record<Id, string | null>>;
	/** Slots left out: what they colour is not there, and what follows closes up. */
	readonly without: readonly Id[];
}
