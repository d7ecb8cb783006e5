import { parseNumber, type NumberStyle } from '../units/number.ts';
import type { Rational } from '../units/rational.ts';

/** A piece of what was typed on the entry line. */
export type Token =
	| { readonly kind: 'number'; readonly value: Rational; readonly text: string }
	| { readonly kind: 'word'; readonly text: string }
	| { readonly kind: 'mark'; readonly text: string };

const COUNTING = [
	'zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve', 'thirteen',
	'fourteen', 'fifteen', 'sixteen', 'seventeen', 'eighteen', 'nineteen', 'twenty'
]; // prettier-ignore

/** Numbers said as words; a plural is a bag size (“elevens”), and reads as the same number. */
export const SPOKEN: ReadonlyMap<string, number> = new Map([
	...COUNTING.map((word, n): [string, number] => [word, n]),
	...COUNTING.map((word, n): [string, number] => [word.endsWith('x') ? `${word}es` : `${word}s`, n]),
	['thirty-six', 36],
	['thirty-sixes', 36],
	['twenty-four', 24],
	['twenty-fours', 24],
	['twelves', 12],
	['single', 1],
	['singles', 1],
	['pair', 2],
	['pairs', 2],
	['duplet', 2],
	['duplets', 2],
	['quad', 4],
	['quads', 4]
]);

/** Words that say a cluster by its count: after a number they say how many layers of it. */
export const CLUSTER_WORDS: ReadonlySet<string> = new Set([
	'single', 'singles', 'pair', 'pairs', 'duplet', 'duplets', 'quad', 'quads'
]); // prettier-ignore

const PART: Readonly<Record<string, string>> = { half: '1/2', quarter: '1/4' };
const PATTERN = /(\d+\s*\/\s*\d+|\d+(?:[.,]\d+)*\s*[½¼¾⅛⅜⅝⅞]?|[½¼¾⅛⅜⅝⅞])|(\p{L}[\p{L}'’-]*)|(\S)/gu;

/** One case, `×` as the word `x`, and `11s` or `11’s` as the bag it names. */
const readable = (text: string): string =>
	text
		.toLowerCase()
		.replace(/×/g, ' x ')
		.replace(/(\d)['’]?s(?!\p{L})/gu, '$1');

/** Cuts typed text into numbers, words and marks. Words come lower case; `×` is the word `x`. */
export function tokens(text: string, style: NumberStyle): Token[] {
	const found: Token[] = [];
	for (const [, number, word, mark] of readable(text).matchAll(PATTERN)) {
		if (number !== undefined) {
			const parsed = parseNumber(number, style);
			found.push(
				parsed.ok ? { kind: 'number', value: parsed.value, text: number } : { kind: 'mark', text: number }
			);
		} else if (word !== undefined) pushWord(found, word, style);
		else found.push({ kind: 'mark', text: mark! });
	}
	return joinFractions(found);
}

function pushWord(found: Token[], word: string, style: NumberStyle) {
	// “4x11” and “x2”: the letter stands between figures.
	const spoken = SPOKEN.get(word) ?? (PART[word] === undefined ? undefined : PART[word]);
	if (spoken === undefined) {
		found.push({ kind: 'word', text: word });
		return;
	}
	const parsed = parseNumber(String(spoken), style);
	if (parsed.ok) found.push({ kind: 'number', value: parsed.value, text: word });
}

/** `8 1/2` and “ten and a half” are one number each. */
function joinFractions(parts: readonly Token[]): Token[] {
	const joined: Token[] = [];
	for (let i = 0; i < parts.length; i++) {
		const part = parts[i]!;
		const before = joined.at(-1);
		if (part.kind === 'number' && before?.kind === 'number' && isPart(part) && before.value.d === 1n) {
			joined[joined.length - 1] = {
				kind: 'number',
				value: before.value.add(part.value),
				text: `${before.text} ${part.text}`
			};
			continue;
		}
		if (isWord(part, 'and') && before?.kind === 'number') {
			const skip = isWord(parts[i + 1], 'a') ? 2 : 1;
			const next = parts[i + skip];
			if (next?.kind === 'number' && isPart(next)) {
				joined[joined.length - 1] = {
					kind: 'number',
					value: before.value.add(next.value),
					text: `${before.text} and ${next.text}`
				};
				i += skip;
				continue;
			}
		}
		joined.push(part);
	}
	return joined;
}

const isPart = (t: Token) => t.kind === 'number' && t.value.compare(1) < 0 && t.value.compare(0) > 0;
export const isWord = (t: Token | undefined, ...words: string[]): boolean =>
	t?.kind === 'word' && words.includes(t.text);
export const isMark = (t: Token | undefined, mark: string): boolean => t?.kind === 'mark' && t.text === mark;
