import type { Id, NewId } from '../document/id.ts';
import type { SlotRole } from '../document/slot.ts';
import { checked } from '../language/balloon.ts';
import { applyEntry } from '../language/apply.ts';
import type { ColourRef } from '../language/said.ts';
import { colourDistance } from '../materials/colour-distance.ts';
import type { Colour, Material, MaterialKind } from '../materials/material.ts';
import { emptyRecipe } from '../recipe/build.ts';
import { dropUnusedSlots, type RecipeDraft } from '../recipe/draft.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { formatFeet, inches, toMillimetres, um, type Micrometres } from '../units/length.ts';
import type { Balloon, StartField, StartValues } from './field.ts';
import type { StartErrors, StartingShape } from './shape.ts';

/** The Stockroom, as shapes read it. */
export interface Stock {
	readonly materials: readonly Material[];
	readonly colours: readonly Colour[];
}

/** What the slots of a started design are called; the first three say what they do as well. */
const SLOTS = ['main', 'second', 'pop', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'] as const;
const ROLES: readonly SlotRole[] = ['main', 'second', 'pop'];
const slotName = (index: number): string => SLOTS[index] ?? `${SLOTS[index % SLOTS.length]!} again`;

/** Colours nearer than this are not put side by side unasked, CIEDE2000. House rule. */
const TELL_APART = 25;

const ROUNDS: readonly MaterialKind[] = ['latex-round'];
/** Bags of the Stockroom, smallest first; rounds where nothing else is asked. */
export function bagsIn({ materials }: Stock, kinds = ROUNDS): Micrometres[] {
	const bags = materials.flatMap((m) => (kinds.includes(m.kind) && m.nominal !== null ? [m.nominal] : []));
	return [...new Set(bags)].sort((a, b) => a - b);
}

/** The balloon asked for, of the nearest bag there is, filled as much; to a half inch. */
function stocked({ nominal, size }: Balloon, bags: readonly Micrometres[]): Balloon {
	if (bags.length === 0 || bags.includes(nominal)) return { nominal, size };
	const nearest = bags.reduce((a, b) => (Math.abs(b - nominal) < Math.abs(a - nominal) ? b : a));
	const half = inches(0.5);
	return { nominal: nearest, size: um(Math.max(half, Math.round((size * nearest) / nominal / half) * half)) };
}

/** Colours of the Stockroom that can be told apart, those with balloons first. */
function someColours({ materials, colours }: Stock, count: number): Id[] {
	const bought = new Map<Id, number>();
	for (const { kind, colour } of materials)
		if (kind === 'latex-round' && colour !== null) bought.set(colour, (bought.get(colour) ?? 0) + 1);
	const order = [...colours].sort((a, b) => (bought.get(b.id) ?? 0) - (bought.get(a.id) ?? 0));
	const taken: Colour[] = [];
	for (const far of [TELL_APART, 0])
		for (const colour of order)
			if (
				taken.length < count &&
				!taken.includes(colour) &&
				taken.every((t) => colourDistance(t.hex, colour.hex) >= far)
			)
				// prettier-ignore
				taken.push(colour);
	return taken.map((c) => c.id);
}

function startOf(field: StartField, stock: Stock): StartValues[string] {
	switch (field.kind) {
		case 'balloon':
			return stocked(field.start, bagsIn(stock, field.of));
		case 'balloon or none':
			return field.start && stocked(field.start, bagsIn(stock));
		case 'colours':
			return someColours(stock, field.start);
		case 'thing': {
			// The only one there is; where there are several she says which.
			const [only, ...others] = stock.materials.filter((m) => m.kind === field.takes);
			return only && others.length === 0 ? only.id : null;
		}
		default:
			return field.start;
	}
}

/** What a shape starts with in this Stockroom: bags and colours that are there. */
export const startValues = ({ fields }: StartingShape, stock: Stock): StartValues =>
	Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, startOf(field, stock)]));

function wrong(field: StartField, value: StartValues[string]): string | undefined {
	switch (field.kind) {
		case 'length': {
			const said = value as Micrometres;
			if (said >= field.min && said <= field.max) return undefined;
			const [low, high] = [field.min, field.max].map((v) => formatFeet(toMillimetres(v)));
			return `That is between ${low} and ${high}.`;
		}
		case 'count': {
			const said = value as number;
			const fits = Number.isInteger(said) && said >= field.min && said <= field.max;
			return fits ? undefined : `A whole number from ${field.min} to ${field.max}.`;
		}
		case 'balloon':
		case 'balloon or none': {
			if (value === null) return undefined;
			const { nominal, size } = value as Balloon;
			const verdict = checked({ kind: 'value', um: size, unit: 'in', origin: 'typed' }, size, nominal);
			return verdict.ok ? undefined : verdict.say;
		}
		case 'colours':
			return (value as readonly Id[]).length <= field.most ? undefined : `Up to ${field.most} colours.`;
		case 'text':
			return (value as string).length <= field.most ? undefined : `Up to ${field.most} letters.`;
		default:
			return undefined;
	}
}

/** What is wrong with each field, in words that say what will do; empty where all is well. */
export function startErrors(shape: StartingShape, values: StartValues, stock: Stock): StartErrors {
	const each = Object.entries(shape.fields).flatMap(([name, field]) => {
		const say = wrong(field, values[name]!);
		return say === undefined ? [] : [[name, say] as const];
	});
	return each.length > 0
		? Object.fromEntries(each)
		: (shape.conflicts?.(values, (kind) => bagsIn(stock, [kind])) ?? {});
}

/**
 * A design from a shape: what its fields say is said to an empty recipe, one entry after the other, as on the entry line.
 * @param values such that {@link startErrors} has nothing to say
 */
export function startRecipe(shape: StartingShape, values: StartValues, stock: Stock, newId: NewId): Recipe {
	const draft = emptyRecipe(shape.title, newId) as RecipeDraft;
	draft.sections = [];
	const named = Object.entries(shape.fields).find(([, f]) => f.kind === 'colours')?.[0];
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
