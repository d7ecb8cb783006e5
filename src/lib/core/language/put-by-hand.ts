import { coloursField, type Answers } from '../by-hand/asked.ts';
import type { Id, NewId } from '../document/id.ts';
import type { Material } from '../materials/material.ts';
import { colourRef, type RecipeDraft } from '../recipe/draft.ts';
import type { HandForm } from '../structures/facets/by-hand.ts';
import type { HandKit } from '../structures/kit/by-hand.ts';
import type { Structure } from '../structures/kinds.ts';
import { applyEntry } from './apply.ts';

/** Where what is said by hand goes, and what its colours and things mean. */
export interface PutPlace {
	readonly section: Id | undefined;
	/** The part it takes the place of. */
	readonly editing: Id | null;
	readonly colourway: Id;
	/** Names of colours of the Stockroom, for slots that are made. */
	readonly nameOf: (colour: Id) => string;
	readonly material: (id: Id) => Material | undefined;
	/** What was pressed for it. */
	readonly on?: HandKit['on'];
}

/**
 * Puts what the fields of a form say to a recipe, as its sentence would: the same entries through the same way in.
 * @returns whether anything was said
 */
export function putByHand(
	draft: RecipeDraft,
	form: HandForm<Structure>,
	values: Answers,
	place: PutPlace,
	newId: NewId
): boolean {
	const named = coloursField(form.fields);
	const colours = named === undefined ? [] : (values[named] as readonly Id[]);
	const way = draft.colourways.find((c) => c.id === place.colourway) ?? draft.colourways[0]!;
	const refs = colours.map((colour) =>
		colourRef(draft.slots, way.fills, { colour, name: place.nameOf(colour) })
	);
	const kit: HandKit = {
		colour: (index) => refs[index % Math.max(1, refs.length)]!,
		name: (index) => place.nameOf(colours[index % Math.max(1, colours.length)] ?? ''),
		colours: refs.length,
		material: place.material,
		on: place.on
	};
	const all = form.said(values, kit);
	for (const said of all) applyEntry(draft, said, place, newId);
	const structure = draft.sections.find((s) => s.id === place.section)?.structure;
	if (structure && all.length > 0) form.after?.(structure, place.editing);
	return all.length > 0;
}
