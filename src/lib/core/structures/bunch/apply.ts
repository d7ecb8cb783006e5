import { emptyBunch, filled, newSection, saidPlace, type NewId } from '../../recipe/build.ts';
import { addSection, addSlots, type RecipeDraft } from '../../recipe/edit.ts';
import type { Mutable } from '../../document/mutable.ts';
import type { ColourRef, Entry, OwnSaid, SaidItem } from '../../language/entry.ts';
import type { BunchItem, BunchThing, BunchWeight } from './document.ts';
import type { Id } from '../../document/id.ts';
import type { OwnBalloon } from '../../document/cluster.ts';
import type { Section } from '../../recipe/recipe.ts';

/** Finds the slot a colour word means in a recipe, and makes it where there is none. */
export const slotFor =
	(recipe: RecipeDraft, newId: NewId) =>
	(ref: ColourRef): Id => {
		if ('slot' in ref) return ref.slot;
		// Said twice in one line it is one slot.
		const had = recipe.slots.find(
			(s) => s.name === ref.name && recipe.colourways.every((c) => c.fills[s.id] === ref.colour)
		);
		if (had) return had.id;
		const slot = { id: newId(), name: ref.name, role: null };
		addSlots(recipe, { newSlots: [{ slot, colour: ref.colour }] });
		return slot.id;
	};

/** A balloon that was said with a colour of its own, with what is in it and on it. */
export function ownBalloon(
	recipe: RecipeDraft,
	{ balloon, colour, ...fill }: OwnSaid,
	newId: NewId
): { kind: 'balloon'; balloon: OwnBalloon } {
	const slotId = slotFor(recipe, newId);
	const slot = slotId(colour);
	return { kind: 'balloon', balloon: { ...saidPlace(newId(), balloon), slot, ...filled(fill, slotId) } };
}

/**
 * Puts an item or a weight into the bunch in hand. A wording said elsewhere makes a row of its own.
 * @returns the section it made, for the next lines to go there
 */
export function applyBunch(
	recipe: RecipeDraft,
	entry: Extract<Entry, { kind: 'item' | 'weight' }>,
	section: Id | undefined,
	newId: NewId
): Id | undefined {
	const found = recipe.sections.find((s) => s.id === section);
	if (entry.kind === 'weight') {
		if (found?.structure.kind !== 'bunch') return undefined;
		const { weight } = entry;
		const made: BunchWeight | null = weight?.kind === 'balloon' ? ownBalloon(recipe, weight, newId) : weight;
		found.structure.weight = made as Mutable<BunchWeight>;
		return undefined;
	}
	const { what, ...said } = entry.item;
	const item: BunchItem = { ...said, id: newId(), what: thingOf(recipe, what, newId) };
	if (found?.structure.kind === 'bunch') {
		found.structure.items.push(item as Mutable<BunchItem>);
		return undefined;
	}
	const row: Section = newSection(newId(), said.name, { ...emptyBunch(), arrangement: 'row', items: [item] });
	addSection(recipe, row);
	return row.id;
}

function thingOf(recipe: RecipeDraft, what: SaidItem['what'], newId: NewId): BunchThing {
	if (what.kind === 'material') return what;
	if (what.kind === 'balloon') return ownBalloon(recipe, what, newId);
	const { colour, ...rest } = what;
	return { ...rest, slot: slotFor(recipe, newId)(colour) };
}
