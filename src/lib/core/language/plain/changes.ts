import type { EntryContext } from '../context.ts';
import type { PartInHand } from '../sentences/parts.ts';
import { parseNumber, POINT } from '../../units/number.ts';
import { bagsOf } from './bags.ts';
import { coloursIn } from './colours.ts';
import { matched, N, re } from './reading.ts';
import { CLUSTERS } from './row.ts';
import { INCH } from './wording.ts';

/** A part as it is printed, taken apart: what a change is said of. */
export interface Printed {
	count: number;
	bag: string;
	size: string | null;
	/** All that stands behind the size, without how often. */
	rest: string;
	repeat: number;
	tail: string;
}
const PRINTED =
	/^(\d+) (?:× )?(\S+(?: hearts)?)(?: at (\d+(?:\.\d+)?[½¼¾⅛⅜⅝⅞]?|[½¼¾⅛⅜⅝⅞]))?(?= |$)(.*?)(?: ×(\d+))?((?: straight| joined .*)*)$/;
/** `9½` as a number: sizes are printed so that they are read back. */
function valueOf(text: string): number {
	const read = parseNumber(text, POINT);
	return read.ok ? read.value.valueOf() : 0;
}

export function takenApart({ text }: Pick<PartInHand, 'text'>): Printed | undefined {
	const found = PRINTED.exec(text);
	if (!found || / with | \+ /.test(text)) return undefined;
	const [, count, bag, size, rest, repeat, tail] = found;
	return {
		count: Number(count),
		bag: bag!,
		size: size ?? null,
		rest: rest!.trim(),
		repeat: Number(repeat ?? 1),
		tail: tail!
	};
}
export const together = ({ count, bag, size, rest, repeat, tail }: Printed): string =>
	[`${count} ${bag}`, size === null ? '' : `at ${size}`, rest, repeat > 1 ? `x${repeat}` : '', tail.trim()]
		.filter(Boolean)
		.join(' ');

const WORDS_BEFORE =
	/^(?:(?:go|come)(?: up| down)?(?= to)|(?:build|take|bring|grow|stack) (?:it|that|them|this)(?: up)?(?= to)|make (?:this|that|the) (?:row|layer|1|one)(?= )|(?:this|that)(?: row| layer| one| 1)?(?= (?:in|at|half|an?) )|(?:could|can|would|will) (?:you|we)(?: please)?|(?:bring|take|get) (?:it|them|that)(?: down| up)?(?= to)|let'?s (?:have|make|do) (?:it|them|that)|i(?:'d| would)? (?:rather|prefer|like)(?: have)?(?: it| them)?|not [a-z]+(?=,)|i meant?|(?:should|must|has to|needs? to|ought to) be|keep going|carry on|go on|continue|add|no|and|but|oh|actually|please|now|then|instead|better|only|just|it should be|it ought to be|they should be|let it be|make (?:it|that|them|those|these|this)|put (?:it|them)|set (?:it|them)|do (?:it|them)|have (?:it|them)|size (?:it|them)|i want (?:it|them)|turn (?:it|them)|change (?:it|them|that|the colou?r)(?: of (?:it|them|that))? (?:in)?to|(?:it|they|that) (?:is|are))\b[,:]?\s*/;
const WORDS_AFTER = /[,]?\s*\b(?:instead|please|of (?:it|that|them)|each|rather|better|this time|now|again)$/;

/** A change without the words around it. */
function plain(said: string): string {
	let text = said;
	for (let before = ''; before !== text;) {
		before = text;
		text = text.replace(WORDS_BEFORE, '').replace(WORDS_AFTER, '').trim();
	}
	return text;
}

const AMOUNTS: Readonly<Record<string, number>> = {
	'a bit': 0.5, 'a little': 0.5, 'a little bit': 0.5, 'a touch': 0.5, slightly: 0.5, 'a tad': 0.5, '0.5': 0.5, 'a quarter': 0.25
}; // prettier-ignore
/** `half an inch smaller`: inches, below 0 where smaller. */
function inchesBy(words: string): number | undefined {
	// “down half an inch”.
	const said = words.replace(
		/^(?:go |come |take (?:it|them) |bring (?:it|them) )?(down|up)(?: by)? (.+)$/,
		'$2 $1'
	);
	const found = matched(
		String.raw`(half|a half|quarter|a quarter|3 quarters(?: of)?|an?|${N}|a (?:little )?bit|a little|a touch|a tad|slightly)(?: (?:of )?an?)?(?:\s?${INCH}| inch| inches)? ?(smaller|less|down|tighter|thinner|bigger|larger|more|up|fuller|fatter|rounder)`,
		said.replace(/(\d) ?″/g, `$1${INCH}`)
	);
	if (!found) return undefined;
	const [, amount, number, way] = found;
	const inch = re(String.raw`inch|${INCH}`).test(said);
	// “one more”, “two less” are counts.
	if (!inch && !/bit|little|touch|tad|slightly/.test(amount!)) return undefined;
	const by = number
		? Number(number)
		: /half/.test(amount!)
			? 0.5
			: /3 quarters/.test(amount!)
				? 0.75
				: /quarter/.test(amount!)
					? 0.25
					: (AMOUNTS[amount!] ?? 1);
	return /smaller|less|down|tighter|thinner/.test(way!) ? -by : by;
}

const shown = (value: number): string => String(Math.round(value * 1000) / 1000);

type Change = (now: Printed, said: string, context: EntryContext) => Printed | undefined;

const resized: Change = (now, said, context) => {
	const by = inchesBy(said);
	if (by !== undefined)
		return now.size === null ? undefined : { ...now, size: shown(valueOf(now.size) + by) };
	const to = matched(
		String.raw`(?:(?:at|to|size|sized(?: to)?|inflated(?: to)?|blown(?: up)? to) ${N}(?:\s?${INCH})?(?: instead of .+)?|${N}\s?${INCH}(?: instead of .+)?)`,
		said
	);
	if (to) return { ...now, size: to[1] ?? to[2]! };
	// “make the top one 32”: far more than there are, and what its bag can be.
	const bare = matched(String.raw`(\d+)`, said);
	const bag = Number(now.bag);
	if (
		bare &&
		now.size !== null &&
		Number(bare[1]) > now.count + 4 &&
		Number(bare[1]) >= bag / 2 &&
		Number(bare[1]) <= bag
	)
		return { ...now, size: bare[1]! };
	// “nine and a half instead” is no count; “make those 8s” no bag.
	const half = matched(String.raw`(\d+\.\d+)|(\d+)§`, said);
	const value = half?.[1] ?? half?.[2];
	return value !== undefined && (half![1] !== undefined || !bagsOf(context).includes(Number(value)))
		? { ...now, size: value }
		: undefined;
};

/** A size of bag up or down keeps how full it is, to half an inch. */
const rebagged: Change = (now, said, context) => {
	const way = matched(
		'(?:1|a) (?:bag |balloon )?size (down|up|smaller|bigger|larger)|(?:1|a|the next) bag (?:size )?(down|up|smaller|bigger|larger)|(?:the )?next (?:size|bag) (down|up)',
		said
	);
	const bags = bagsOf(context);
	const at = bags.indexOf(Number(now.bag));
	if (way) {
		const next = bags[at + (/down|smaller/.test(said) ? -1 : 1)];
		if (at < 0 || next === undefined) return undefined;
		const half = (v: number) => Math.round((v * next * 2) / bags[at]!) / 2;
		return { ...now, bag: String(next), size: now.size === null ? null : shown(half(valueOf(now.size))) };
	}
	const to = matched(String.raw`(?:as|in|with|use)? ?(\d+)§`, said);
	return to && bags.includes(Number(to[1])) ? { ...now, bag: to[1]! } : undefined;
};

/** Slots of the design that stand in a printed text, longest name first. */
export const slotsIn = (text: string, { slots }: EntryContext): string[] =>
	slots
		.map((s) => s.name.toLowerCase())
		.sort((a, b) => b.length - a.length)
		.filter((name) => new RegExp(`(?<![a-z])${name.replace(/[^a-z0-9 ]/g, '.')}(?![a-z])`, 'i').test(text));

export const recoloured: Change = (now, said, context) => {
	const [, to, from] =
		matched('(?:all )?(?:in |of )?([a-z -]+?)(?: instead of (?:the )?([a-z -]+))?', said) ?? [];
	const colours = to === undefined ? undefined : coloursIn(to, context);
	if (colours?.length !== 1) return undefined;
	const there = slotsIn(now.rest, context);
	const old = from === undefined ? there : there.filter((name) => name.split(/\s+/).some((w) => w.startsWith(from))); // prettier-ignore
	if (old.length !== 1 || (from === undefined && there.length !== 1)) return undefined;
	return { ...now, rest: now.rest.replace(new RegExp(old[0]!, 'i'), colours[0]!) };
};

const counted: Change = (now, said) => {
	const to = matched(
		String.raw`(\d+)(?: balloons?)?(?: (?:in|per|for|to) (?:it|each|every|a|the)?(?: ?(?:cluster|ring|row|layer))?)?(?: instead of \d+)?`,
		said
	);
	if (to) return { ...now, count: Number(to[1]) };
	const cluster = matched('(single|pair|duplet|triplet|quad|quint)s?', said);
	if (cluster) return { ...now, count: CLUSTERS[cluster[1]!]! };
	const by = matched(
		String.raw`(\d+|an?(?:other)?) (?:balloons? )?(more|less|fewer)(?: (?:balloons?|ones?))?(?: in (?:it|each))?`,
		said
	);
	if (!by) return undefined;
	const n = /\d/.test(by[1]!) ? Number(by[1]) : 1;
	const count = now.count + (by[2] === 'more' ? n : -n);
	return count > 0 ? { ...now, count } : undefined;
};

const repeated: Change = (now, said) => {
	const those = matched(String.raw`(\d+) of (?:those|these)(?: rows| layers)?`, said);
	if (those) return { ...now, repeat: Number(those[1]) };
	const to = matched(
		String.raw`(?:repeat(?: (?:it|that|them))? |do (?:it|that) )?(?:x ?)?(\d+) ?(?:times|x|layers|rows|levels)(?: (?:of|high)(?: .*)?| instead of \d+)?|x ?(\d+)`,
		said
	);
	if (to) return { ...now, repeat: Number(to[1] ?? to[2]) };
	const just = matched(String.raw`(?:just |only |to )?(\d+) (?:rows|layers|levels)`, said);
	if (just) return { ...now, repeat: Number(just[1]) };
	if (matched('twice|double it|doubled', said)) return { ...now, repeat: 2 };
	if (matched('thrice', said)) return { ...now, repeat: 3 };
	if (matched('(?:only )?once', said)) return { ...now, repeat: 1 };
	const same = matched(
		String.raw`(\d+) more(?: of (?:the same|those|these|them|it)| like (?:it|that))`,
		said
	);
	if (same) return { ...now, repeat: now.repeat + Number(same[1]) };
	const another = matched(String.raw`another (\d+) (?:layer|row)s?`, said);
	if (another) return { ...now, repeat: now.repeat + Number(another[1]) };
	const more = matched(
		String.raw`(\d+|an?(?:other)?) (?:(more|less|fewer) (?:layer|row|level)s?|(?:layer|row|level)s? (more|less|fewer))`,
		said
	);
	if (!more) return undefined;
	const n = /\d/.test(more[1]!) ? Number(more[1]) : 1;
	const repeat = now.repeat + ((more[2] ?? more[3]) === 'more' ? n : -n);
	return repeat > 0 ? { ...now, repeat } : undefined;
};

const said: Change = (now, words) => {
	if (/^(?:straight|unturned|not turned)$/.test(words)) return { ...now, tail: `${now.tail} straight` };
	const fill = matched(
		String.raw`(?:(?:filled|weighted) )?(?:with )?(sand|water|marbles)(?: in (?:it|them))?`,
		words
	);
	if (fill) return { ...now, rest: `${now.rest} filled with ${fill[1]}` };
	if (/^painted$|^paint (?:it|them)$/.test(words)) return { ...now, rest: `${now.rest} painted` };
	const side = matched(String.raw`(?:at|on|to|in)? ?(?:the )?(front|back|left|right)(?: side)?`, words);
	if (side) return { ...now, rest: `${now.rest} ${side[1]}` };
	const high = matched(String.raw`(?:up )?to ${N} ft(?: tall| high)?`, words);
	return high ? { ...now, repeat: 1, tail: ` to ${high[1]} ft${now.tail}` } : undefined;
};

const CHANGES: readonly Change[] = [resized, rebagged, counted, repeated, said, recoloured];

/** Changes of one word or two that nothing else begins with. */
const UNMARKED = /^(?:twice|thrice|doubled|straight|painted|in [a-z]+|filled .*)$/;

/** What a part is after one change. */
function changedOnce(now: Printed, words: string, context: EntryContext, of: Of): Printed | undefined {
	const text = plain(words);
	// A bare “red” or “6” is the beginning of a row, no change of one.
	const bareWord =
		of === 'what is in hand' && text === words && /^(?:\d+§?(?: balloons?)?|[a-z]+(?: [a-z]+)?)$/.test(text);
	if (text === '' || (bareWord && !UNMARKED.test(text))) return undefined;
	for (const change of CHANGES) {
		const next = change(now, text, context);
		if (next) return next;
	}
	return undefined;
}
type Of = 'what is said' | 'what is in hand';
/** Most changes that are said of one row in a sentence, and words they may have. */
const [MOST_CHANGES, MOST_WORDS] = [3, 12];

/** Where one change can end and another begin. */
const BETWEEN =
	/(?:,| and| but) (?=\S)| (?=(?:in|at|to|twice|thrice|half|a|an|\d\S*|straight|painted|filled|sized|slightly)\b)/g;

/** What a part is after one change, or several with “and”, “but” or commas between them. */
export function changed(
	now: Printed,
	words: string,
	context: EntryContext,
	of: Of,
	left = MOST_CHANGES
): Printed | undefined {
	const once = changedOnce(now, words, context, of);
	if (once || left === 1 || words.split(' ').length > MOST_WORDS) return once;
	for (const { index, 0: mark } of words.matchAll(BETWEEN)) {
		const first = index === 0 ? undefined : changedOnce(now, words.slice(0, index), context, of);
		const both = first && changed(first, words.slice(index + mark.length), context, of, left - 1);
		if (both) return both;
	}
	return undefined;
}
