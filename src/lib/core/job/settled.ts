import type { Ground } from '../document/ground.ts';
import type { Id } from '../document/id.ts';
import { isUnseen } from '../document/slot.ts';
import type { Offered } from '../quote/choices.ts';
import { LEFT_OUT, type OwnSlots } from '../quote/own-slots.ts';
import type { QuoteItem } from '../quote/quote.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { OpenPart, SettledParts } from '../structures/facets/settle.ts';
import { openParts, withParts } from '../structures/registry/settle.ts';

/** What was settled of a line of the quote once it was a job; what is not said is as on the quote. */
export interface SettledLine {
	/** On the job though it was not chosen, or off it though it was. */
	readonly isOn?: boolean | undefined;
	readonly ground?: Ground | undefined;
	/** Colours of slots, and slots left out. */
	readonly slots?: OwnSlots | undefined;
	/** Counts that were estimates, and colours that waited. */
	readonly parts?: SettledParts | undefined;
}
/** By the ids of lines. */
export type Settled = Readonly<Record<Id, SettledLine>>;

/** What is said of the lines of a quote, with what was settled over it. */
export function withSettled<T extends Offered>(terms: T, settled: Settled): T {
	if (Object.keys(settled).length === 0) return terms;
	const about = { ...terms.about };
	for (const [id, { ground, slots }] of Object.entries(settled)) {
		if (ground === undefined && slots === undefined) continue;
		const own = about[id] ?? {};
		about[id] = {
			...own,
			...(ground !== undefined && { ground }),
			...(slots !== undefined && { slots: { ...own.slots, ...slots } })
		};
	}
	return { ...terms, about };
}

/** Lines that are on the job. @param chosen those that were chosen of the quote @param all every line of it */
export const onJob = (chosen: ReadonlySet<Id>, all: readonly Id[], settled: Settled): ReadonlySet<Id> =>
	new Set(all.filter((id) => settled[id]?.isOn ?? chosen.has(id)));

/** The same for the same, so that what was worked out for it is found again. */
const made = new WeakMap<Recipe, Map<string, Recipe>>();
/** Ways one recipe was settled that are remembered. */
const MOST_KEPT = 16;

/** A recipe with its estimates settled. */
export function settledRecipe(recipe: Recipe, parts: SettledParts = {}): Recipe {
	if (Object.keys(parts).length === 0) return recipe;
	const key = JSON.stringify(parts);
	const before = made.get(recipe) ?? new Map<string, Recipe>();
	made.set(recipe, before);
	const known = before.get(key);
	if (known) return known;
	const sections = recipe.sections.map((s) => ({ ...s, structure: withParts(s.structure, parts) }));
	const next = { ...recipe, sections } as Recipe;
	if (before.size >= MOST_KEPT) before.clear();
	before.set(key, next);
	return next;
}

/** How a slot is coloured: by a colour's id, left out, or blank where it is open. */
export interface SlotNow {
	readonly id: Id;
	readonly was: string;
}

/** How each slot of a line is coloured. Slots any colour will do for are passed over. */
export function slotsOf({ recipe, colourway }: Pick<QuoteItem, 'recipe' | 'colourway'>): SlotNow[] {
	const way = recipe.colourways.find((c) => c.id === colourway) ?? recipe.colourways[0];
	return recipe.slots
		.filter((s) => !isUnseen(s, way?.fills))
		.map(({ id }) => ({ id, was: way?.without.includes(id) ? LEFT_OUT : (way?.fills[id] ?? '') }));
}

/** Colours and counts of lines that wait to be settled. */
export const openOn = (items: readonly Pick<QuoteItem, 'recipe' | 'colourway'>[]): number =>
	items.reduce((a, i) => a + slotsOf(i).filter((s) => s.was === '').length + openIn(i.recipe).length, 0);

/** What of a recipe waits for the job: estimates, and the colours of what has none yet. */
export const openIn = ({ sections }: Pick<Recipe, 'sections'>): OpenPart[] =>
	sections.flatMap((s) => openParts(s.structure));
