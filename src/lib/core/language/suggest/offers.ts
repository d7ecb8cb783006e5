import type { EntryContext } from '../context.ts';
import { escaped } from '../names/whole-names.ts';
import { parseEntry } from '../read.ts';
import { understand } from '../plain/understand.ts';
import { oddBag } from './odd-bag.ts';
import { known, unknownWords, without } from './unknown.ts';
import { bagsUsed, coloursUsed } from './used.ts';

/** A line that would work in place of one that was refused. */
export interface Offer {
	readonly line: string;
	/** Words of the refused line that were left out or read otherwise. */
	readonly missed: readonly string[];
}

/** Most that are offered at once. */
export const MOST_OFFERED = 3;
/** Longest line that anything is offered for. */
const LONGEST = 160;

/** How many letters differ between two words, up to a few; the usual edit distance with neighbours exchanged as one. */
export function lettersApart(a: string, b: string, most = 2): number {
	if (Math.abs(a.length - b.length) > most) return most + 1;
	let before: number[] = [];
	let row = Array.from({ length: b.length + 1 }, (_, i) => i);
	for (let i = 1; i <= a.length; i++) {
		const next = [i];
		for (let j = 1; j <= b.length; j++) {
			const same = a[i - 1] === b[j - 1] ? 0 : 1;
			next[j] = Math.min(row[j]! + 1, next[j - 1]! + 1, row[j - 1]! + same);
			if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
				next[j] = Math.min(next[j]!, before[j - 2]! + 1);
		}
		[before, row] = [row, next];
	}
	return row[b.length]!;
}

const isUnderstood = (line: string, context: EntryContext): boolean =>
	parseEntry(line, context).ok || understand(line, context) !== undefined;

/** Words that are nearly one that is known, each with what it may be. */
function corrections(text: string, context: EntryContext): { to: string; missed: string[] }[] {
	const lexicon = [...known(context)].filter((w) => w.length > 2);
	return unknownWords(text, context).flatMap((word) => {
		if (word.length < 3) return [];
		const near = lexicon
			.map((to) => ({ to, apart: lettersApart(word.toLowerCase(), to, word.length < 5 ? 1 : 2) }))
			.filter(({ apart }) => apart <= (word.length < 5 ? 1 : 2))
			.sort((a, b) => a.apart - b.apart)
			.slice(0, 3);
		return near.map(({ to }) => ({ to, missed: [word] }));
	});
}

/** What is missing of a row, from what is used here most. */
function completed(text: string, context: EntryContext): string[] {
	const bags = bagsUsed(context);
	const colours = coloursUsed(context);
	const said = text.trim().replace(/(?:[\s,.]|\b(?:and|with|of|in)\b)+$/, '');
	return [
		...colours.map((c) => `${said} ${c}`),
		...bags.map((bag) => said.replace(/^(\d+) (?!\d)/, `$1 ${bag} `)),
		...[4, 6, 1].map((n) => `${n} ${said}`),
		...bags.flatMap((bag) => colours.slice(0, 2).map((c) => `${said} ${bag} ${c}`)),
		...colours.slice(0, 2).flatMap((c) => [4, 6].map((n) => `${n} ${said} ${c}`))
	];
}

/**
 * Up to three lines that would work where one was refused: without what is not understood, with a word as it is
 * written here, with what is missing, and those the refusal itself names. Each of them is understood.
 * @param refusal the sentence it was refused with
 */
export function offersFor(text: string, refusal: string, context: EntryContext): readonly Offer[] {
	const line = text.trim();
	if (line === '' || line.length > LONGEST) return [];
	const missed = unknownWords(line, context);
	const found = new Map<string, Offer>();
	const offer = (one: string, words: readonly string[] = []) => {
		if (found.size >= MOST_OFFERED || one === line || found.has(one)) return;
		if (isUnderstood(one, context)) found.set(one, { line: one, missed: words });
	};
	// The colour the refusal means, in the place of the one it does not know.
	const meant = /“([^”]+)” is neither [^?]*Did you mean ([^?]+)\?/.exec(refusal);
	for (const name of meant?.[2]!.split(/, | or /) ?? [])
		offer(line.replace(new RegExp(escaped(meant![1]!), 'i'), name), [meant![1]!]);
	const nearly = corrections(line, context);
	// Every such word as it is nearest.
	const all = [...new Map(nearly.map((n) => [n.missed[0]!, n])).keys()];
	const hopeless = missed.filter((word) => !all.includes(word));
	if (missed.length > 1) offer(without(all.reduce((text, word) => text.replace(word, nearly.find((n) => n.missed[0] === word)!.to), line), hopeless), missed); // prettier-ignore
	for (const {
		to,
		missed: [word]
	} of nearly)
		offer(line.replace(word!, to), [word!]);
	if (missed.length > 0) offer(without(line, missed), missed);
	for (const word of missed) offer(without(line, [word]), [word]);
	// A word that means several: “gold” that could be hive gold or old gold.
	const several = /“([^”]+)” could be ([^.]+)\./.exec(refusal);
	if (several)
		for (const name of several[2]!.split(', ')) offer(line.replace(new RegExp(escaped(several[1]!), 'i'), name.toLowerCase())); // prettier-ignore
	for (const [, said] of refusal.matchAll(/“([^”…]+ [^”…]+)”/g)) offer(said!);
	const larger = /Take a (\d+)\./.exec(refusal);
	if (larger) offer(line.replace(/^(\d+) \d+/, `$1 ${larger[1]}`));
	const odd = oddBag(line, context);
	for (const near of odd?.near ?? [])
		offer(line.replace(odd!.words, odd!.words.replace(odd!.said, String(near))), [odd!.words]);
	const bag = /^A (\d+) cannot be sized/.exec(refusal);
	if (bag) offer(line.replace(/\bat [\d½¼¾.]+/, `at ${bag[1]}`));
	const rest = without(line, missed);
	if (/\d/.test(rest) && !isUnderstood(rest, context))
		for (const one of completed(rest, context)) offer(one, missed);
	// The longest beginning of it that is something.
	const words = line.split(/\s+/);
	// What is put on something sits somewhere still: a shorter sentence would be a row.
	const least = /^put$/i.test(words[0]!)
		? words.findIndex((w) => /^on$/i.test(w)) + 1 || words.length
		: words.length / 2;
	for (let n = words.length - 1; n > least && found.size < MOST_OFFERED; n--)
		offer(
			words
				.slice(0, n)
				.join(' ')
				.replace(/[,;]+$/, ''),
			words.slice(n)
		);
	return [...found.values()];
}
