import type { NewId } from '../../document/id.ts';
import { HIDDEN, isUnseen, type Colourway, type Slot } from '../../document/slot.ts';
import type { ColourRef } from '../../language/said.ts';

/** A colour that was said, for which a slot is to be made. */
type NewColour = Exclude<ColourRef, { readonly slot: string }>;

/** Whether nobody sees it: any colour will do. */
export const isAny = (ref: NewColour): boolean => 'any' in ref;

/** Any colour, as one of a recipe: the slot that stands for it already, else one to make. */
export function unseenRef(slots: readonly Slot[], fills: Colourway['fills'] | undefined): ColourRef {
	const there = slots.find((s) => isUnseen(s, fills));
	return there ? { slot: there.id } : { name: HIDDEN, colour: null, any: true };
}

/** The slot that is made of a colour that was said. */
export const newSlot = (ref: NewColour, newId: NewId): Slot => ({
	id: newId(),
	name: ref.name,
	role: null,
	...(isAny(ref) && { any: true })
});
