import { got, refuse, type Parsed } from '../../errors.ts';
import { unseenRef } from '../../structures/kit/new-slot.ts';
import { HIDDEN } from '../../document/slot.ts';
import type { Colour } from '../../materials/material.ts';
import { shorten } from '../../units/number.ts';
import type { ColourRef } from '../said.ts';
import { type EntryContext, KEYWORDS } from '../context.ts';

/** Every typed word begins a word of the name, in order: `gold` and `hi go` both find “hive gold”, `lamp-out` “lamp-out navy”. */
export const wordsMatch = (typed: readonly string[], name: string): boolean =>
	wordsBegin(piecesOf(typed), wordsOf(name));

/** Words of a name as they are compared. */
export const wordsOf = (name: string): readonly string[] => name.toLowerCase().split(/[\s-]+/);

/** Typed words as they are compared: a hyphen is a gap. */
export const piecesOf = (typed: readonly string[]): readonly string[] => typed.flatMap((t) => t.split('-'));

/** The same for words that are cut apart already: of thousands of names they are cut apart once. */
export function wordsBegin(pieces: readonly string[], words: readonly string[]): boolean {
	let from = 0;
	for (const piece of pieces) {
		while (from < words.length && !words[from]!.startsWith(piece)) from++;
		if (from === words.length) return false;
		from++;
	}
	return pieces.length > 0;
}

/**
 * What a colour word means: a slot of the design by name, then a colour already in the colourway, then any
 * colour of the Stockroom (matte where only the finish differs), for which a slot is to be made.
 */
export function nameColour(typed: readonly string[], context: EntryContext): Parsed<ColourRef> {
	const said = typed.join(' ');
	const exact = context.slots.find((s) => s.name.toLowerCase() === said);
	if (said === HIDDEN && !exact && !inFull(said, context.colours))
		return got(unseenRef(context.slots, context.colourway?.fills));
	// A colour said in full is that colour, whatever a slot of its name holds now.
	const full = inFull(said, context.colours);
	const held = exact && context.colourway?.fills[exact.id];
	if (full && (!exact || (held != null && held !== full.id))) {
		const filled = Object.entries(context.colourway?.fills ?? {}).find(([, c]) => c === full.id);
		return got(filled ? { slot: filled[0] } : { name: slotName(full, context), colour: full.id });
	}
	if (exact) return got({ slot: exact.id });
	const begun = context.slots.filter((s) => s.name.toLowerCase().startsWith(said));
	if (begun.length === 1) return got({ slot: begun[0]!.id });
	const inRole = context.slots.filter((s) => s.role === said);
	if (inRole.length === 1) return got({ slot: inRole[0]!.id });
	const found = findColours(typed, context.colours);
	const filled = Object.entries(context.colourway?.fills ?? {}).find(([, c]) =>
		found.some((f) => f.id === c)
	);
	if (filled) return got({ slot: filled[0] });
	if (found.length === 0) return refuse('unknown-word', unknown(said, context));
	const [only, second] = found;
	if (second && !found.every((f) => f.name === only!.name)) {
		const names = [...new Set(found.map((f) => f.name))].slice(0, 4).join(', ');
		return refuse('ambiguous', `“${shorten(said)}” could be ${names}. Type a little more of it.`);
	}
	const colour = found.find((f) => f.finish === 'matte') ?? only!;
	return got({ name: slotName(colour, context), colour: colour.id });
}

/** The colour that a text names whole, its finish said where that is not matte. */
function inFull(said: string, colours: readonly Colour[]): Colour | undefined {
	const named = colours.filter((c) => c.name.toLowerCase() === said);
	const withFinish = colours.find((c) => `${c.name} ${c.finish}`.toLowerCase() === said);
	return withFinish ?? named.find((c) => c.finish === 'matte') ?? (named.length === 1 ? named[0] : undefined);
}

function findColours(typed: readonly string[], colours: readonly Colour[]): Colour[] {
	const said = typed.join(' ');
	const index = indexOf(colours);
	const exact = index.filter((c) => c.name === said || c.whole === said);
	const pieces = piecesOf(typed);
	return (exact.length > 0 ? exact : index.filter((c) => wordsBegin(pieces, c.words))).map((c) => c.colour);
}

interface Named {
	readonly colour: Colour;
	/** Lower case, and with its finish. */
	readonly name: string;
	readonly whole: string;
	readonly words: readonly string[];
}
/** Colours are looked through at every keystroke, and stay the same for hours. */
const indexes = new WeakMap<readonly Colour[], readonly Named[]>();
function indexOf(colours: readonly Colour[]): readonly Named[] {
	const before = indexes.get(colours);
	if (before) return before;
	const index = colours.map((colour): Named => {
		const whole = `${colour.name} ${colour.finish}`.toLowerCase();
		return { colour, name: colour.name.toLowerCase(), whole, words: wordsOf(whole) };
	});
	indexes.set(colours, index);
	return index;
}

/** A new slot is called by the last word of its colour where that is free: “gold” for hive gold. */
function slotName(colour: Colour, { slots, colours }: EntryContext): string {
	const free = (name: string) => !KEYWORDS.has(name) && !slots.some((s) => s.name.toLowerCase() === name);
	const name = colour.name.toLowerCase();
	const last = name.split(/\s+/).at(-1)!;
	const whole = `${name} ${colour.finish}`;
	const alone = colours.filter((c) => c.name.toLowerCase() === name).length < 2;
	const candidates = [last, ...(alone ? [name] : []), whole];
	return candidates.find(free) ?? `${last} ${'again '.repeat(slots.length).trim()}`.slice(0, 60);
}

function unknown(said: string, { slots, colours }: EntryContext): string {
	const all = [...slots.map((s) => s.name), ...colours.map((c) => c.name)];
	const words = said.toLowerCase().split(/\s+/);
	const near = [
		// “buoy red” is another red, or another buoy, before it is anything that begins alike.
		...all.filter((n) =>
			n
				.toLowerCase()
				.split(/\s+/)
				.some((w) => words.includes(w))
		),
		...all.filter((n) => n[0]?.toLowerCase() === said[0])
	];
	const some = [...new Set(near)].slice(0, 3);
	const hint = some.length > 0 ? ` Did you mean ${some.join(', ')}?` : '';
	return `“${shorten(said)}” is neither a slot of this design nor a colour in the Stockroom.${hint}`;
}
