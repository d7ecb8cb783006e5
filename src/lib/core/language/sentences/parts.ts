import type { Id } from '../../document/id.ts';
import { got, refuse, type Parsed } from '../../errors.ts';
import type { Section } from '../../recipe/recipe.ts';
import { partOf } from '../../structures/registry/language.ts';
import type { Said } from '../../structures/registry/said.ts';
import { rowInHand } from '../../structures/stack/edit.ts';
import { shorten } from '../../units/number.ts';
import type { Entry } from '../entry.ts';
import type { EntryContext } from '../context.ts';
import { nameColour } from '../names/name-colour.ts';
import { printLines } from '../print.ts';
import type { Reader } from '../reader.ts';
import { isWord } from '../tokens.ts';

/** A part of the section in hand as it is typed. */
export interface PartInHand {
	readonly id: Id;
	readonly text: string;
	readonly about: string;
	/** How it is called: `row 2`, counted from the floor or from what was said first. */
	readonly called: string;
}

/** A section is printed once, however often its parts are asked for while a line is typed. */
const printed = new WeakMap<
	Section,
	Pick<EntryContext, 'slots' | 'materials'> & { readonly parts: PartInHand[] }
>();

/** The parts of the section in hand, first to last. */
export function partsInHand({ recipe, section, materials }: EntryContext): PartInHand[] {
	const own = recipe && sectionInHand(recipe.sections, section);
	if (!own) return [];
	const before = printed.get(own);
	if (before?.slots === recipe.slots && before.materials === materials) return before.parts;
	const nameOf = (id: string) => materials.find((m) => m.id === id);
	const parts = printLines(own, recipe, nameOf)
		.filter((l) => l.id !== null && l.about !== 'path')
		.map(({ id, text, about }, i) => ({ id: id!, text, about, called: `row ${i + 1}` }));
	printed.set(own, { slots: recipe.slots, materials, parts });
	return parts;
}

/** The section in hand; a stack where what is in hand has no parts of its own. */
function sectionInHand(sections: readonly Section[], section: Id | undefined): Section | undefined {
	const own = sections.find((s) => s.id === section);
	if (own) return own;
	const row = rowInHand(sections, section);
	return row && sections.find((s) => JSON.stringify(s.structure).includes(row.id));
}

/** A part that is to become something else, or to go. */
export type PartSaid = {
	readonly part: PartInHand;
	readonly out: boolean;
	/** So many layers of it stay below, the others become a row of their own. */
	readonly split?: number | undefined;
};

/** Whether a line can stand in the place of a part: a row in that of a row, a size of a mix in that of one. */
export const canBecome = ({ about }: PartInHand, entry: Said): boolean => partOf(entry) === about;

/** `row 2 becomes …`, `top row taken out`, `last becomes …`; undefined where no part is said. */
export function partSaid(r: Reader): Parsed<PartSaid> | undefined {
	const from = r.at;
	const first = r.word('row', 'top', 'last', 'bottom');
	if (!first) return undefined;
	const number = first === 'row' ? r.number()?.valueOf() : undefined;
	if (first !== 'row') r.word('row');
	const becomes = r.word('becomes') !== undefined;
	const split = !becomes && r.phrase('split after') ? (r.number()?.valueOf() ?? 0) : undefined;
	if (!becomes && split === undefined && !r.phrase('taken out')) {
		r.at = from;
		return undefined;
	}
	const parts = partsInHand(r.context);
	const at = first === 'row' ? (number ?? 0) : first === 'bottom' ? 1 : parts.length;
	const found = parts[at - 1];
	if (found && split !== undefined) return got({ part: found, out: false, split });
	if (found) return got({ part: found, out: !becomes });
	return parts.length === 0
		? refuse('unknown-word', 'There is no row here yet. Say one first.')
		: refuse('too-big', `There ${parts.length === 1 ? 'is 1 row' : `are ${parts.length} rows`} here: there is no row ${at}.`); // prettier-ignore
}

/** `grey becomes black`: all that is of a colour in another; undefined where nothing becomes anything. */
export function recolour(r: Reader): Parsed<Entry> | undefined {
	const at = r.all.findIndex((t) => isWord(t, 'becomes'));
	if (at <= r.at || r.all.slice(r.at, at).some((t) => t.kind !== 'word')) return undefined;
	const { slots, colourway } = r.context;
	const said = r.all.slice(r.at, at).map((t) => t.text);
	const words = r.all.slice(at + 1).map((t) => t.text);
	const which = nameColour(said, r.context);
	if (!which.ok) return which;
	if (!('slot' in which.value))
		return refuse('unknown-word', `Nothing here is ${shorten(said.join(' '))}. There is ${slots.map((s) => s.name).join(', ')}.`); // prettier-ignore
	const to = nameColour(words, r.context);
	if (!to.ok) return to;
	r.at = r.all.length;
	const { slot } = which.value;
	if ('any' in to.value)
		return refuse('refused', 'Any colour is chosen with the colours of the design: “nobody sees it”.');
	if ('colour' in to.value) return got({ kind: 'recolour', slot, to: to.value.colour, name: to.value.name });
	const held = colourway?.fills[to.value.slot];
	return held == null
		? refuse('refused', `${shorten(words.join(' '))} has no colour chosen yet.`)
		: got({ kind: 'recolour', slot, to: held, name: null });
}
