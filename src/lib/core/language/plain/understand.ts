import type { EntryContext } from '../context.ts';
import { parseEntry } from '../read.ts';
import { maskNames, unmask, type Masked } from '../names/whole-names.ts';
import { again } from './again.ts';
import { rowLine } from './row.ts';
import { frames } from './frames.ts';
import { KINDS } from './kinds.ts';
import { namedChange, namedPart, swapped } from './named.ts';
import { copies, relative, whole } from './relative.ts';
import type { Reading } from './reading.ts';
import { READINGS } from './sentences.ts';
import { bare, plainly, withoutIdle } from './wording.ts';

/** Longest sentence that is read in plain words; what is longer is no sentence. */
const MOST = 400;

const row: Reading = (said, context) => {
	const line = rowLine(said, context);
	return line === undefined ? undefined : [line];
};
const ALL: readonly Reading[] = [
	frames,
	again,
	copies,
	...READINGS,
	...KINDS,
	whole,
	row,
	relative,
	swapped,
	namedChange
];

/** Most sentences that are looked for between commas alone. */
const MOST_AT_ONCE = 6;

/** Where one sentence of several ends, whatever follows. */
const STRONG = /\s*(?:;(?: ?above\b)?|\.(?=\s|$)| \+ |,? and then\b|,? then\b)\s*/;
/** Where one may end. */
const ENDS =
	/\s*(?:;|,? and (?:finally |then )?(?:on (?:the )?(?:very )?top|above)(?: (?:of )?(?:it|that|them))?,? |,? above,? (?=\d|an? )|\.(?=\s|$)| \+ |,? and then\b|,? then\b|,(?= ?(?:\d|an? |on an? |next |last(?:ly)? |finally |first |and (?:an? |\d|on ))))\s*/;

/**
 * What a maker says in plain words, as lines of the exact grammar, first to last: the first of them is read as it
 * stands, the others when those before are done.
 * @returns undefined where a word of it is not understood: then the exact grammar answers why
 */
export function understand(text: string, context: EntryContext): readonly string[] | undefined {
	if (text.length > MOST) return undefined;
	const masked = maskNames(text, context.materials, context.style);
	const said = plainly(masked.text);
	const desk = { context, masked, read: new Map() };
	return one(said, desk) ?? several(said, desk);
}

interface Desk {
	readonly context: EntryContext;
	readonly masked: Masked;
	/** What was read of parts of the sentence already. */
	readonly read: Map<string, readonly string[] | undefined>;
}

/** One sentence: the first reading of it that the exact grammar takes. */
function one(said: string, desk: Desk): readonly string[] | undefined {
	if (!desk.read.has(said)) desk.read.set(said, readAs(said, desk));
	return desk.read.get(said);
}
function readAs(said: string, { context, masked }: Desk): readonly string[] | undefined {
	// Last of all a row without words that say nothing: those may be anything.
	const last = withoutIdle(bare(said));
	const named = namedPart(said, context)?.said;
	for (const form of new Set([said, bare(said), ...(named === undefined ? [] : [named])]))
		for (const reading of ALL) {
			const lines = reading(form, { ...context, masks: masked.names })?.map((line) => unmask(line, masked));
			if (lines && parseEntry(lines[0]!, context).ok) return lines;
		}
	const line = last === undefined ? undefined : rowLine(last, { ...context, masks: masked.names });
	const own = line === undefined ? undefined : unmask(line, masked);
	if (own !== undefined && parseEntry(own, context).ok) return [own];
	// Said in the words of the exact grammar, once they are put as it has them.
	const put = unmask(bare(said).replace(/[§″]/g, ''), masked).trim();
	return parseEntry(put, context).ok ? [put] : undefined;
}

/** Sentences one after the other, each of which must be understood: apart where they say so, then at commas. */
function several(said: string, desk: Desk): readonly string[] | undefined {
	const apart = said.split(STRONG).filter((p) => p.trim() !== '');
	if (apart.length > 1) {
		const each = apart.map((part) => one(part.trim(), desk) ?? atCommas(part.trim(), desk));
		if (!each.includes(undefined)) return each.flatMap((l) => l!);
	}
	return atCommas(said, desk);
}

function atCommas(said: string, desk: Desk): readonly string[] | undefined {
	const parts = said.split(ENDS).filter((p) => p.trim() !== '');
	if (parts.length < 2) return together(said, desk);
	const lines = parts.map((part) => one(part.trim(), desk));
	if (!lines.includes(undefined)) return lines.flatMap((l) => l!);
	// Where a comma ends each of them, whatever begins the next.
	const all = said.split(/\s*[,;]\s*/).filter((p) => p !== '');
	const each =
		all.length > 1 && all.length <= MOST_AT_ONCE ? all.map((part) => one(part, desk)) : [undefined];
	return each.includes(undefined) ? together(said, desk) : each.flatMap((l) => l!);
}

/** “4 grey 16s at 13 and 4 white 11s at 9”, “… on an 8 ft pole”: two sentences without a mark between them. */
function together(said: string, desk: Desk): readonly string[] | undefined {
	for (const { index } of said.matchAll(/ and (?=\d|an? )| (?=on an? \d)/g)) {
		const [first, second] = [said.slice(0, index), said.slice(index).replace(/^ (?:and )?/, '')];
		const [a, b] = [one(first, desk), one(second, desk)];
		if (a && b) return [...a, ...b];
	}
	return undefined;
}
