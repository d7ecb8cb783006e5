import type { Answers } from '../by-hand/asked.ts';
import type { Id, NewId } from '../document/id.ts';
import type { Material } from '../materials/material.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { HandForm } from '../structures/facets/by-hand.ts';
import type { HandKit } from '../structures/kit/by-hand.ts';
import type { Structure } from '../structures/kinds.ts';
import { applyEntry } from './apply.ts';
import type { ColourRef } from './said.ts';

/** Where what is said by hand goes, and what its colours and things mean. */
export interface PutPlace {
	readonly section: Id | undefined;
	/** The part it takes the place of. */
	readonly editing: Id | null;
	readonly colourway: Id;
	/** Names of colours of the Stockroom, for slots that are made. */
	readonly nameOf: (colour: Id) => string;
	readonly material: (id: Id) => Material | undefined;
}

/** Colours picked of the Stockroom as slots of a recipe: those that hold them already, else new ones. */
function colourRefs(
	recipe: Pick<Recipe, 'slots' | 'colourways'>,
	colours: readonly Id[],
	{ colourway, nameOf }: PutPlace
): ColourRef[] {
	const way = recipe.colourways.find((c) => c.id === colourway) ?? recipe.colourways[0];
	return colours.map((colour) => {
		const there = recipe.slots.find((s) => way?.fills[s.id] === colour);
		if (there) return { slot: there.id };
		const name = nameOf(colour);
		return { name: recipe.slots.some((s) => s.name === name) ? `${name} again` : name, colour };
	});
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
	const named = Object.entries(form.fields).find(([, f]) => f.kind === 'colours')?.[0];
	const colours = named === undefined ? [] : (values[named] as readonly Id[]);
	const refs = colourRefs(draft as Recipe, colours, place);
	const kit: HandKit = {
		colour: (index) => refs[index % Math.max(1, refs.length)]!,
		name: (index) => place.nameOf(colours[index % Math.max(1, colours.length)] ?? ''),
		colours: refs.length,
		material: place.material
	};
	const all = form.said(values, kit);
	for (const said of all) applyEntry(draft, said, place, newId);
	const structure = draft.sections.find((s) => s.id === place.section)?.structure;
	if (structure && all.length > 0) form.after?.(structure, place.editing);
	return all.length > 0;
}
