import type { NewId } from '../../document/id.ts';
import type { Slot } from '../../document/slot.ts';
import type { ColourRef } from '../../language/said.ts';

/** A colour that was said, for which a slot is to be made. */
type NewColour = Exclude<ColourRef, { readonly slot: string }>;

/** Whether nobody sees it: any colour will do. */
export const isAny = (ref: NewColour): boolean => 'any' in ref;

/** The slot that is made of a colour that was said. */
export const newSlot = (ref: NewColour, newId: NewId): Slot => ({
	id: newId(),
	name: ref.name,
	role: null,
	...(isAny(ref) && { any: true })
});
