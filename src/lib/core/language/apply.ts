import { eitherOr, putIn, settleOpen } from '../recipe/open-sections.ts';
import type { Id, NewId } from '../document/id.ts';
import type { Mutable } from '../document/mutable.ts';
import { newSection } from '../recipe/build.ts';
import { addSlots, dropUnusedSlots, slotFor, type RecipeDraft } from '../recipe/draft.ts';
import { removePart } from '../recipe/edit-parts.ts';
import { addSection, settle, swapSlots } from '../recipe/edit.ts';
import type { Recipe, SizeOption } from '../recipe/recipe.ts';
import { exchange } from '../recipe/swap.ts';
import { followRows } from '../recipe/follow-rows.ts';
import type { EditKit, EntryPlace } from '../structures/facets/language.ts';
import { ownBalloon } from '../structures/kit/own-balloon.ts';
import { holdsLines, homeOf, isSaid, take } from '../structures/registry/language.ts';
import { accompanies, nestedIn } from '../structures/registry/refs.ts';
import type { Said } from '../structures/registry/said.ts';
import { splitLayer } from '../structures/stack/edit.ts';
import { emptyStack } from '../structures/stack/empty.ts';
import type { DesignSaid, Entry } from './entry.ts';

export type { EntryPlace } from '../structures/facets/language.ts';

/** The kept design that must be at hand before it is done; undefined where none is. */
export function designNeeded(entry: Entry): Id | undefined {
	if (entry.kind === 'exchange') return entry.design ? entry.to : undefined;
	if (entry.kind !== 'section' || !entry.section.structure) return undefined;
	return nestedIn(entry.section.structure)?.design;
}

/** Why it cannot be done here, as a sentence; undefined where it can. */
export const whyNot = (recipe: Recipe, entry: Entry, place: EntryPlace): string | undefined =>
	isSaid(entry) && homeOf(recipe.sections, entry, place) === undefined
		? 'No section here holds layers. Say one first, like “section column”.'
		: undefined;

/**
 * Does what a line of the entry line says to a recipe, as one edit: the one way in.
 * @returns the section that takes the next lines, where it is another than the one in hand
 */
export function applyEntry(
	recipe: RecipeDraft,
	entry: Entry,
	place: EntryPlace,
	newId: NewId
): Id | undefined {
	const before = rowsIfLinked(recipe);
	const section = isSaid(entry)
		? applySaid(recipe, entry, place, newId)
		: DO[entry.kind](recipe, entry as never, place, newId);
	followRows(recipe, before);
	return section;
}

/** The rows as they are, where one is another once more: what is said of one is then said of both. */
function rowsIfLinked({ sections }: RecipeDraft): Pick<Recipe, 'sections'> | undefined {
	const stacks = sections.filter(({ structure }) => 'layers' in structure);
	const linked = stacks.some(
		({ structure }) => 'layers' in structure && structure.layers.some((l) => l.like)
	);
	return linked ? { sections: JSON.parse(JSON.stringify(stacks)) as Recipe['sections'] } : undefined;
}

/** Does what is said of a structure to the section that takes it. */
function applySaid(recipe: RecipeDraft, said: Said, place: EntryPlace, newId: NewId): Id | undefined {
	const section = settle(recipe, homeOf(recipe.sections as Recipe['sections'], said, place), newId);
	if (!section) return undefined;
	const slot = slotFor(recipe, newId);
	const kit: EditKit = {
		newId,
		slot,
		addSlots: (built) => addSlots(recipe, built),
		own: (own) => ownBalloon(own, newId, slot)
	};
	const elsewhere = section.id !== place.section;
	// A place among the layers is one of the section in hand.
	const at = elsewhere && place.section !== undefined ? { ...place, index: undefined } : place;
	take(section, said, at, kit);
	// What was replaced, and what a run or a weave gives up for it, may have been the last of its colour; a row put
	// to the others takes nothing away.
	if (said.kind !== 'layer' || place.editing) dropUnusedSlots(recipe);
	return elsewhere && !accompanies(section.structure) ? section.id : undefined;
}

type Do<E> = (recipe: RecipeDraft, entry: E, place: EntryPlace, newId: NewId) => Id | undefined;

/** What is said of the design as a whole. */
const DO: { readonly [K in DesignSaid['kind']]: Do<Extract<DesignSaid, { kind: K }>> } = {
	section(recipe, { section: { name, structure, ...where } }, _place, newId) {
		const section = { ...newSection(newId(), name, structure ?? emptyStack()), ...where };
		addSection(recipe, section);
		return holdsLines(section.structure) ? section.id : undefined;
	},
	'go on': (_recipe, { section }) => section,
	stand(recipe, { section, to }) {
		Object.assign(recipe.sections.find((s) => s.id === section) ?? {}, to);
		return undefined;
	},
	becomes(recipe, { part, entry }, place, newId) {
		return applySaid(recipe, entry, { ...place, index: undefined, editing: part }, newId);
	},
	'taken out'(recipe, { part }) {
		removePart(recipe, part);
		return undefined;
	},
	recolour(recipe, { slot, to, name }, place) {
		const way = recipe.colourways.find((c) => c.id === place.colourway) ?? recipe.colourways[0]!;
		way.fills[slot] = to;
		const own = recipe.slots.find((s) => s.id === slot);
		// A slot that was called by its colour is called by the new one, where no other colourway says otherwise.
		if (own && name !== null && own.role === null && recipe.colourways.length === 1) own.name = name;
		return undefined;
	},
	size(recipe, { size: said }, _place, newId) {
		const size: SizeOption = { id: newId(), swaps: {}, parts: {}, ...said };
		recipe.sizes.push(size as Mutable<SizeOption>);
		return undefined;
	},
	leave(recipe, { slot, out }, place) {
		const way = recipe.colourways.find((c) => c.id === place.colourway) ?? recipe.colourways[0]!;
		way.without = way.without.filter((s) => s !== slot);
		if (out) way.without.push(slot);
		return undefined;
	},
	'leave section'(recipe, { section, out }) {
		putIn(recipe, section, !out);
		return undefined;
	},
	'open section'(recipe, { section, to }) {
		const own = recipe.sections.find((s) => s.id === section);
		if (!own) return undefined;
		if (to.how === 'optional') own.open = { out: false, ...own.open, when: to.when };
		else if (to.how === 'always') settleOpen(recipe, section);
		else if (to.how === 'instead') eitherOr(recipe, to.of, section);
		else if (to.days === null) delete own.ahead;
		else own.ahead = to.days;
		return undefined;
	},
	split(recipe, { part, after }, _place, newId) {
		splitLayer(recipe, part, after, newId);
		return undefined;
	},
	'swap slots'(recipe, { slots }, place) {
		swapSlots(recipe, place.colourway ?? recipe.colourways[0]!.id, slots);
		return undefined;
	},
	exchange(recipe, { element, to }) {
		recipe.sections = exchange(recipe as Recipe, element, to).sections as Mutable<Recipe['sections']>;
		return undefined;
	},
	step(recipe, { text, place: where, wait, takes, tool, check }, place, newId) {
		const uses = place.section === undefined ? [] : [place.section];
		const says = {
			text,
			place: where,
			...(wait > 0 ? { wait } : {}),
			...(takes > 0 ? { takes } : {}),
			...(tool ? { tool } : {}),
			...(check ? { check } : {})
		};
		recipe.steps.push({ id: newId(), own: true, says, uses, out: false });
		return undefined;
	},
	pricing(recipe, { pricing }) {
		recipe.pricing = { ...pricing };
		return undefined;
	},
	rule(recipe, { rule }) {
		recipe.rules = [...recipe.rules.filter((r) => r.of !== rule.of), { ...rule }];
		return undefined;
	}
};
