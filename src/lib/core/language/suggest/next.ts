import type { Material } from '../../materials/material.ts';
import { KIND_WORDS } from '../../materials/material.ts';
import type { EntryContext } from '../context.ts';
import { thingsByWords } from '../names/find-material.ts';
import { wordsBegin, wordsOf } from '../names/name-colour.ts';
import { parseEntry } from '../read.ts';
import { bagsUsed, nameHeld } from './used.ts';

/** What can come next: the line with it, and what it is. */
export interface Suggestion {
	/** The whole line with it. */
	readonly line: string;
	/** What is shown: the words that are added. */
	readonly shows: string;
	/** What kind of thing it is, in a word or two. */
	readonly what: string;
	/** `#rrggbb` of a colour. */
	readonly swatch: string | null;
	/** Whether the line is whole with it. */
	readonly whole: boolean;
}

export const MOST_SUGGESTED = 6;
const LONGEST = 200;

/** Colours in the order they are offered: of this design, then those the studio has most things of. */
const ranks = new WeakMap<readonly Material[], ReadonlyMap<string, number>>();
function rankOf(materials: readonly Material[]): ReadonlyMap<string, number> {
	const before = ranks.get(materials);
	if (before) return before;
	const counts = new Map<string, number>();
	for (const { colour } of materials) if (colour) counts.set(colour, (counts.get(colour) ?? 0) + 1);
	ranks.set(materials, counts);
	return counts;
}

interface Candidate {
	readonly name: string;
	readonly what: string;
	readonly swatch: string | null;
}

function coloursBegun(
	begun: readonly string[],
	{ slots, colours, colourway, materials }: EntryContext
): Candidate[] {
	const own = slots.flatMap((slot): Candidate[] => {
		const held = colours.find((c) => c.id === colourway?.fills[slot.id]);
		const name = nameHeld(held) ?? slot.name;
		const isBegun = [name, slot.name].some((n) => wordsBegin(begun, wordsOf(n)));
		return isBegun ? [{ name, what: 'in this design', swatch: held?.hex ?? null }] : [];
	});
	const rank = rankOf(materials);
	const names = new Set(own.map((o) => o.name.toLowerCase()));
	const stock = colours
		.filter((c) => wordsBegin(begun, wordsOf(`${c.name} ${c.finish}`)))
		.sort((a, b) => (rank.get(b.id) ?? 0) - (rank.get(a.id) ?? 0) || a.name.localeCompare(b.name))
		.map((c): Candidate => ({ name: nameHeld(c)!, what: 'colour', swatch: c.hex }))
		.filter((c) => !names.has(c.name.toLowerCase()));
	return [...own, ...stock];
}

function thingsBegun(begun: readonly string[], { materials, colours }: EntryContext): Candidate[] {
	const found: Candidate[] = [];
	for (const { material, words } of thingsByWords(materials)) {
		if (!wordsBegin(begun, words)) continue;
		const { kind, name, colour } = material;
		found.push({ name, what: KIND_WORDS[kind], swatch: colours.find((c) => c.id === colour)?.hex ?? null });
		if (found.length === MOST_SUGGESTED) break;
	}
	return found;
}

const plain = (name: string, what: string): Candidate => ({ name, what, swatch: null });

/** After a whole row: how often, how high, where it looks. */
const TAILS = [
	plain('x2', 'layers alike'),
	plain('to 5 ft', 'as many as reach it'),
	plain('front', 'looks to the front'),
	plain('straight', 'not turned over the one below')
];

/** Words that a line can begin with, besides a count. */
const STARTS: readonly Candidate[] = [
	plain('pole 7 ft', 'what it stands on'), plain('stands on a table', 'under it'), plain('section arm', 'another part'), plain('bunch topper', 'foils and helium'),
	plain('run garland', 'along a path'), plain('weave wall', 'of links'), plain('form legs', 'modelling balloons'), plain('same again', 'the row in hand once more'),
	plain('half an inch smaller', 'the row in hand'), plain('put 2 5 at 4 white on row 1 front', 'on a row'), plain('priced by margin 45 %', 'this design'), plain('step cover it', 'on the plan')
]; // prettier-ignore

/** Words of a text that begin what is typed now: up to three of them. */
function* endings(text: string): Generator<{ before: string; begun: string[] }> {
	const words = [...text.matchAll(/\S+/g)];
	for (let n = Math.min(3, words.length); n > 0; n--) {
		const from = words[words.length - n]!.index;
		const some = words.slice(words.length - n).map(([w]) => w.toLowerCase());
		if (some.every((w) => /^\p{L}/u.test(w))) yield { before: text.slice(0, from), begun: some };
	}
}

/** Whether a text is a whole line and ends with a colour of the design or of the Stockroom by its own name. */
function endsInFull(text: string, context: EntryContext): boolean {
	const said = [...endings(text)].map(({ begun }) => begun.join(' '));
	const names = [...context.slots, ...context.colours].map((c) => c.name.toLowerCase());
	return said.some((name) => names.includes(name)) && parseEntry(text, context).ok;
}

/**
 * What can come next on a line, the commonest of this studio first: the end of a colour, a thing or a word that is
 * begun, and behind what is whole the words that go on from there.
 */
export function suggest(text: string, context: EntryContext): readonly Suggestion[] {
	if (text.trim() === '' || text.length > LONGEST) return [];
	const found = new Map<string, Suggestion>();
	const wholes = new Map<string, boolean>();
	const add = (before: string, { name, what, swatch }: Candidate) => {
		const line = `${before}${name}`;
		if (found.size >= MOST_SUGGESTED || line.toLowerCase() === text.toLowerCase().trim() || found.has(line))
			return;
		// Of colours in one place all are whole, or none.
		const key = what === 'colour' || what === 'in this design' ? `${before}#` : line;
		const whole = wholes.get(key) ?? parseEntry(line, context).ok;
		wholes.set(key, whole);
		found.set(line, { line, shows: name, what, swatch, whole });
	};
	const gap = /\s$/.test(text) ? text : `${text} `;
	if (/\s$/.test(text)) return [...after(gap, context, add, found)];
	// A line that is whole and ends with a name said in full wants nothing: a gap behind it asks what goes on.
	if (endsInFull(text, context)) return [];
	for (const { before, begun } of endings(text)) {
		const counted =
			/^\s*(?:put\s+)?\d[\d½¼¾./]*\s+$/.test(before) || /\b(?:with|spine|weight|takes \d+)\s+$/.test(before);
		if (counted) for (const one of thingsBegun(begun, context)) add(before, one);
		if (/\d|\/|swap|out|back|becomes|in /.test(before))
			for (const one of coloursBegun(begun, context))
				if (!counted || /^\s*\d+\s+$/.test(before)) add(before, one);
		if (before.trim() === '')
			for (const one of STARTS) if (one.name.startsWith(begun.join(' '))) add(before, one);
	}
	if (found.size === 0 && !parseEntry(text, context).ok) after(gap, context, add, found);
	return [...found.values()].sort((a, b) => Number(b.whole) - Number(a.whole));
}

/** What goes on behind a gap: a bag behind a count, a size behind a bag, a colour behind a size. */
function after(
	gap: string,
	context: EntryContext,
	add: (before: string, one: Candidate) => void,
	found: ReadonlyMap<string, Suggestion>
): Iterable<Suggestion> {
	const bags = bagsUsed(context);
	if (/^\s*\d+\s+$/.test(gap)) for (const bag of bags) add(gap, plain(String(bag), 'bag, in'));
	const bag = /^\s*\d+\s+(\d+)\s+(?:at\s+)?$/.exec(gap)?.[1];
	if (bag && bags.concat(9, 10, 12, 18, 24, 36).includes(Number(bag)))
		for (const less of [0.5, 1, 2])
			add(gap, plain(`${/at\s+$/.test(gap) ? '' : 'at '}${Number(bag) - less}`, 'sized to'));
	const sized = /(?:\bat\s+[\d½¼¾./]+|\/)\s+$/.test(gap);
	if (sized) for (const one of coloursBegun([''], context)) add(gap, one);
	if (parseEntry(gap, context).ok)
		for (const one of TAILS) if (parseEntry(`${gap}${one.name}`, context).ok) add(gap, one);
	return found.values();
}
