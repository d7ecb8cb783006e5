import type { Mutable } from '../document/mutable.ts';
import { isAny, newSlot, unseenRef } from '../structures/kit/new-slot.ts';
import type { BuiltLayer } from '../structures/kit/build-layer.ts';
import { slotsIn } from './links.ts';
import { ANY_COLOUR } from '../document/slot.ts';
import type { Recipe, Section } from './recipe.ts';
import type { NewId, Id } from '../document/id.ts';
import type { ColourRef } from '../language/said.ts';

export type RecipeDraft = Mutable<Recipe>;

/** Makes the slots something new needs, and fills them in every colourway. */
export function addSlots(recipe: RecipeDraft, { newSlots }: Pick<BuiltLayer, 'newSlots'>) {
	for (const { slot, colour } of newSlots) {
		recipe.slots.push({ ...slot });
		for (const colourway of recipe.colourways) colourway.fills[slot.id] = colour;
	}
}

/** Slots nobody names any more go with the last layer that named them. */
export function dropUnusedSlots(recipe: RecipeDraft) {
	const used = new Set<string>();
	for (const section of recipe.sections) for (const slot of slotsIn(section as Section)) used.add(slot);
	recipe.slots = recipe.slots.filter((s) => used.has(s.id));
	for (const colourway of recipe.colourways) {
		for (const id of Object.keys(colourway.fills)) if (!used.has(id)) delete colourway.fills[id];
		colourway.without = colourway.without.filter((id) => used.has(id));
	}
}

/** Finds the slot a colour word means in a recipe, and makes it where there is none. */
export const slotFor =
	(recipe: RecipeDraft, newId: NewId) =>
	(ref: ColourRef): Id => {
		if ('slot' in ref) return ref.slot;
		// Said twice in one line it is one slot.
		const same = recipe.slots.find(
			(s) =>
				s.name === ref.name &&
				(s.any ?? false) === isAny(ref) &&
				recipe.colourways.every((c) => c.fills[s.id] === ref.colour)
		);
		if (same) return same.id;
		const slot = newSlot(ref, newId);
		addSlots(recipe, { newSlots: [{ slot, colour: ref.colour }] });
		return slot.id;
	};

/**
 * A colour picked of the Stockroom as one of a recipe: the slot that holds it already, else one to make of its name.
 * @param fills of the colourway in hand @param name of the colour
 */
export function colourRef(
	slots: Recipe['slots'],
	fills: Readonly<Record<Id, string | null>>,
	{ colour, name }: { readonly colour: string; readonly name: string }
): ColourRef {
	if (colour === ANY_COLOUR) return unseenRef(slots, fills);
	const there = slots.find((s) => fills[s.id] === colour);
	if (there) return { slot: there.id };
	return { name: slots.some((s) => s.name === name) ? `${name} again` : name, colour };
}
