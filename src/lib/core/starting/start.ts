import type { Id, NewId } from '../document/id.ts';
import type { SlotRole } from '../document/slot.ts';
import { answerErrors, bagsIn, firstAnswers, type Stock } from '../by-hand/answers.ts';
import { coloursField, type Answers } from '../by-hand/asked.ts';
import { applyEntry } from '../language/apply.ts';
import type { ColourRef } from '../language/said.ts';
import { emptyRecipe } from '../recipe/build.ts';
import { dropUnusedSlots, type RecipeDraft } from '../recipe/draft.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { StartErrors, StartingShape } from './shape.ts';

/** What the slots of a started design are called; the first three say what they do as well. */
const SLOTS = ['main', 'second', 'pop', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'] as const;
const ROLES: readonly SlotRole[] = ['main', 'second', 'pop'];
const slotName = (index: number): string => SLOTS[index] ?? `${SLOTS[index % SLOTS.length]!} again`;

/** What a shape starts with in this Stockroom: bags and colours that are there. */
export const startValues = ({ fields, starts }: StartingShape, stock: Stock): Answers => ({
	...firstAnswers(fields, stock),
	...starts
});

/** What is wrong with each field, in words that say what will do; empty where all is well. */
export function startErrors(shape: StartingShape, values: Answers, stock: Stock): StartErrors {
	const each = answerErrors(shape.fields, values);
	if (Object.keys(each).length > 0) return each;
	return shape.conflicts?.(values, (kind) => bagsIn(stock, [kind])) ?? {};
}

/**
 * A design from a shape: what its fields say is said to an empty recipe, one entry after the other, as on the entry line.
 * @param values such that {@link startErrors} has nothing to say
 */
export function startRecipe(shape: StartingShape, values: Answers, stock: Stock, newId: NewId): Recipe {
	if (shape.make) return shape.make(values, newId);
	const draft = emptyRecipe(shape.title, newId) as RecipeDraft;
	draft.sections = [];
	const named = coloursField(shape.fields);
	const chosen = named === undefined ? [] : (values[named] as readonly Id[]);
	const slots = chosen.length > 0 ? chosen : [null];
	const refs = new Map<number, Id>();
	const colour = (index: number): ColourRef => {
		const nth = index % slots.length;
		const there = refs.get(nth);
		if (there !== undefined) return { slot: there };
		const id = newId();
		refs.set(nth, id);
		draft.slots.push({ id, name: slotName(nth), role: ROLES[nth] ?? null });
		for (const way of draft.colourways) way.fills[id] = slots[nth] ?? null;
		return { slot: id };
	};
	const kit = {
		colour,
		name: slotName,
		colours: slots.length,
		material: (id: Id) => stock.materials.find((m) => m.id === id)
	};
	// Slots stand in the order of the colours, whatever is said first.
	slots.forEach((_, i) => colour(i));
	const ids = { slots: [...draft.slots], fills: { ...draft.colourways[0]!.fills } };
	let section: Id | undefined;
	for (const said of shape.entries(values, kit)) {
		const entry = typeof said === 'function' ? said(draft as Recipe) : said;
		section = applyEntry(draft, entry, { section }, newId) ?? section;
		// A colour that is used further down is not dropped before.
		draft.slots = ids.slots.map((s) => ({ ...s }));
		draft.colourways[0]!.fills = { ...ids.fills };
	}
	dropUnusedSlots(draft);
	return draft as Recipe;
}
