import type { Colour, Material } from '../../materials/material.ts';
import type { NumberStyle } from '../../units/number.ts';
import { KEYWORDS, type EntryContext } from '../context.ts';
import { SPOKEN, tokens, type Token } from '../tokens.ts';

/** Words besides the grammar's that end a name where a material is said. */
const ENDING = new Set(['optional', 'taken', 'reused', 'measured', 'tails', 'tail', 'in', 'takes', 'round', 'firm', 'creased', 'every', 'tie', 'cut', 'part', 'whole']); // prettier-ignore

interface WholeName {
	/** As its tokens are typed. */
	readonly texts: readonly string[];
	readonly name: string;
	/** Where it stands in a sentence, made when it is first looked for. */
	pattern?: RegExp;
}
/** Names by the first of their tokens, the longest first. */
type Index = ReadonlyMap<string, readonly WholeName[]>;
const indexes = new WeakMap<object, Map<string, Index>>();

/** Lower case, without commas: how names are compared. */
export const asName = (name: string): string => name.toLowerCase().replace(/,/g, '');

const cut = (name: string, style: NumberStyle): string[] => tokens(name, style).map((t) => t.text.trim());

/** Names that cannot be read word by word: figures, commas, words of the grammar are in them. */
function indexNames(names: readonly string[], style: NumberStyle): Index {
	const index = new Map<string, WholeName[]>();
	for (const name of names) {
		const all = cut(name, style);
		const bare = all.filter((t) => t !== ',');
		const hard = bare.some((t) => !/^\p{L}/u.test(t) || KEYWORDS.has(t) || ENDING.has(t) || SPOKEN.has(t));
		if (bare.length < 2) continue;
		for (const texts of new Set([...(all.length > bare.length ? [all] : []), ...(hard ? [bare] : [])])) {
			const own = index.get(texts[0]!) ?? [];
			own.push({ texts, name: asName(name) });
			index.set(texts[0]!, own);
		}
	}
	for (const own of index.values()) own.sort((a, b) => b.texts.length - a.texts.length);
	return index;
}
/** The index of a list, made once for as long as the list stays the same. */
function kept<T extends object>(list: T, style: NumberStyle, names: () => readonly string[]): Index {
	const byStyle = indexes.get(list) ?? new Map<string, Index>();
	indexes.set(list, byStyle);
	const before = byStyle.get(style.decimal);
	if (before) return before;
	const index = indexNames(names(), style);
	byStyle.set(style.decimal, index);
	return index;
}
const ofThings = (materials: readonly Material[], style: NumberStyle): Index =>
	kept(materials, style, () =>
		materials.flatMap(({ kind, name }) =>
			// Rounds are said by count, bag, size and colour; a modelling balloon called by model and colour is said so too.
			kind === 'latex-round' || (kind === 'modelling' && !name.includes(',')) ? [] : [name]
		)
	);
const ofColours = (colours: readonly Colour[], style: NumberStyle): Index =>
	kept(colours, style, () => colours.flatMap(({ name, finish }) => [name, `${name} ${finish}`]));

/** Tokens with each name of the Stockroom that stands among them whole as one word. */
export function withWholeNames(
	all: readonly Token[],
	{ materials, colours, style }: Pick<EntryContext, 'materials' | 'colours' | 'style'>
): readonly Token[] {
	const both = [ofThings(materials, style), ofColours(colours, style)];
	if (both.every((index) => index.size === 0)) return all;
	const found: Token[] = [];
	for (let i = 0; i < all.length;) {
		const stands = ({ texts }: WholeName) => texts.every((t, k) => all[i + k]?.text.trim() === t);
		const named = both
			.map((index) => index.get(all[i]!.text.trim())?.find(stands))
			.sort((a, b) => (b?.texts.length ?? 0) - (a?.texts.length ?? 0))[0];
		if (!named) {
			found.push(all[i++]!);
			continue;
		}
		found.push({ kind: 'word', text: named.name });
		i += named.texts.length;
	}
	return found;
}

/** A text as a part of a pattern, whatever signs are in it. */
export const escaped = (text: string): string => text.replace(/[\\^$.*+?()[\]{}|/]/g, '\\$&');

const patternOf = (texts: readonly string[]): RegExp => {
	const words = texts.map(escaped).join('\\s*');
	return new RegExp(`(?<![\\p{L}\\p{N}])${words}(?![\\p{L}\\p{N}])`, 'u');
};

/**
 * The same with a word of the language that is a colour of the studio too read as that colour, where it is said last of
 * its kind: “front” in `4 11 at 9 front`. @returns nothing where there is none
 */
export function withColourWords(
	all: readonly Token[],
	colours: readonly Colour[]
): readonly Token[] | undefined {
	const called = new Map(colours.map((c) => [c.name.toLowerCase(), `${c.name} ${c.finish}`.toLowerCase()]));
	const at = all.findLastIndex(({ text }) => (KEYWORDS.has(text) || SPOKEN.has(text) || ENDING.has(text)) && called.has(text)); // prettier-ignore
	return at < 0 ? undefined : all.with(at, { kind: 'word', text: called.get(all[at]!.text)! });
}

/** Names of things in a sentence, each put aside under a word of its own. */
export interface Masked {
	readonly text: string;
	/** The name each word stands for. */
	readonly names: ReadonlyMap<string, string>;
}

/** A sentence with names that figures or words of the language are in put aside, so that nothing is read into them. */
export function maskNames(text: string, materials: readonly Material[], style: NumberStyle): Masked {
	const index = ofThings(materials, style);
	const names = new Map<string, string>();
	let masked = text.toLowerCase();
	const starts = new Set(cut(text, style));
	for (const [first, own] of index) {
		if (!starts.has(first)) continue;
		for (const one of own) {
			const { texts, name } = one;
			const pattern = (one.pattern ??= patternOf(texts));
			if (!pattern.test(masked)) continue;
			const word = `zz${String.fromCharCode(97 + names.size)}thing`;
			masked = masked.replace(pattern, word);
			names.set(word, name);
		}
	}
	return { text: masked, names };
}

/** A line with the names put back. */
export const unmask = (line: string, { names }: Masked): string =>
	[...names].reduce((said, [word, name]) => said.replaceAll(word, name), line);
