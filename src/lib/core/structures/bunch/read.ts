import { rangedCount } from '../../language/ranged-count.ts';
import { got, refuse, type Parsed } from '../../errors.ts';
import { type Material, type MaterialKind } from '../../materials/material.ts';
import { isLetter } from './letters.ts';
import { lettersOf } from './count.ts';
import { inches, MICROMETRES, um, typedLength, type Micrometres } from '../../units/length.ts';
import { shorten } from '../../units/number.ts';
import { MOST_LETTERS } from '../../document/limits.ts';
import type { FoilLook } from '../../document/foil-look.ts';
import type { Ribbon } from './document.ts';
import { newThing } from './empty.ts';
import type { BunchSaid } from './said.ts';
import { KEYWORDS, MEANT } from '../../language/context.ts';
import { type SaidItem } from './said.ts';
import { findMaterial } from '../../language/names/find-material.ts';
import { nameColour, wordsMatch } from '../../language/names/name-colour.ts';
import { saidBalloon } from '../../language/fill.ts';
import { wholeCount } from '../../language/host.ts';
import type { Reader } from '../../language/reader.ts';
import { isWord } from '../../language/tokens.ts';

/** Words that end a name in an item. */
const AFTER = ['in', 'firm', 'creased', 'tall'];
const LINKS =
	'A link balloon is too small and heavy to float, and leaks at its second neck. Take rounds, or fill it with air in a piece of links.';
/** Height of a foil letter where none is said: the commonest. Common practice. */
const LETTER_HEIGHT = inches(34);

/**
 * A line of a bunch in hand: `3 11 at full white in helium on 4 ft ribbon blue`, `1 moon foil in helium`,
 * `weight sandbag`, `weight 5 at 3 gold filled with sand`; and of any section `letters TIDEWICK gold`.
 * Undefined where no bunch is in hand and no wording begins.
 */
export function item(r: Reader): Parsed<BunchSaid> | undefined {
	if (isWord(r.now, 'letters') || (r.now?.kind === 'number' && isWord(r.next, 'letters'))) return letters(r);
	const own = r.context.sections?.find((s) => s.id === r.context.section);
	if (own?.structure.kind !== 'bunch') return undefined;
	if (isWord(r.now, 'no') && isWord(r.next, 'weight')) {
		r.at += 2;
		return got({ kind: 'weight', weight: null });
	}
	if (r.word('weight')) return weight(r);
	if (r.now?.kind !== 'number' || isExtra(r)) return undefined;
	const from = r.at;
	const many = rangedCount(r);
	if (many === undefined) return refuse('not-whole', 'How many? A whole number from 1 to 200.');
	if (many.range && many.range.low >= many.range.high)
		return refuse('refused', 'The fewest come first: type it like “2 to 4 11 at 10 white”.');
	const { count } = many;
	r.word('x', 'of');
	if (r.now?.kind === 'number') {
		// “12 link white” names a kind of balloon that is no round.
		if (isWord(r.next, 'link', 'links')) return refuse('refused', LINKS);
		const balloon = saidBalloon(r, AFTER);
		return balloon.ok ? withTails(r, many, balloon.value.what, balloon.value.name) : balloon;
	}
	const found = findMaterial(
		nameOf(r),
		r.context.materials,
		'After the count comes a balloon, like “3 11 at 10 white”, or a foil. '
	);
	if (!found.ok) return found;
	if (found.value.kind === 'weight' && !r.now) {
		if (count > 50) return refuse('too-big', 'Weights are between 1 and 50.');
		return got({ kind: 'weight', weight: { kind: 'material', material: found.value.id, count } });
	}
	// “2 to 4 moss mat” is a line of extras, “2 to 4 moon foil” an item.
	if (STANDS_BY.has(found.value.kind) || (many.range && !found.value.kind.startsWith('foil'))) {
		r.at = from;
		return undefined;
	}
	return withTails(r, many, newThing(found.value), found.value.name, found.value);
}

/** Materials that neither float nor hang on what floats: in a bunch too they are lines of their own. */
const STANDS_BY: ReadonlySet<MaterialKind> = new Set<MaterialKind>([
	'pipe', 'fitting', 'base', 'weight', 'adhesive', 'tie', 'paint', 'gas', 'packaging', 'tool'
]); // prettier-ignore

/** Lines of extras are said the same whatever is in hand: how they are meant stands in them. */
const isExtra = ({ all, at }: Reader): boolean =>
	all.some(
		(t, i) =>
			(isWord(t, 'or') && i !== at + 1) || isWord(t, 'optional', 'taken', 'reused', 'over', 'measured')
	);

/** Words and figures of a material's name, as long as some material goes on like that: “foil moon 18 in”. */
function nameOf(r: Reader): string[] {
	const words = r.words(...AFTER);
	while (r.now && !(isWord(r.now, 'in') && isWord(r.next, 'helium', 'air'))) {
		const more = [...words, r.now.text.trim()];
		if (KEYWORDS.has(r.now.text) || !r.context.materials.some((m) => wordsMatch(more, m.name))) break;
		words.push(r.all[r.at++]!.text.trim());
	}
	return words;
}

/** What is said of any item at its end, in any order. */
function withTails(
	r: Reader,
	many: Pick<SaidItem, 'count' | 'range'>,
	said: SaidItem['what'],
	named: string,
	material?: Material
): Parsed<BunchSaid> {
	let gas: SaidItem['gas'] = 'air';
	let ribbon: Ribbon | null = null;
	let name = named;
	let swappable = false;
	let look: FoilLook = 'creased';
	for (;;) {
		if (r.word('firm')) look = 'firm';
		else if (r.word('creased')) look = 'creased';
		else if (r.word('swappable')) swappable = true;
		else if (isWord(r.now, 'in') && isWord(r.next, 'helium', 'air')) {
			r.at++;
			gas = r.word('helium', 'air') as SaidItem['gas'];
		} else if (r.word('on')) {
			const tied = ribbonOf(r);
			if (!tied.ok) return tied;
			ribbon = tied.value;
		} else if (r.word('as')) {
			name = r.name(...AFTER, ...MEANT).join(' ');
			if (name === '') return refuse('missing', 'Name it after “as”, like “as moon”.');
		} else break;
	}
	if (material?.kind === 'latex-link' && gas === 'helium') return refuse('refused', LINKS);
	if (material && !material.kind.startsWith('foil') && gas === 'helium')
		return refuse(
			'refused',
			`${material.name} is not inflated: it hangs on what floats. Leave “in helium” out.`
		);
	const what = said.kind === 'balloon' ? said : { ...said, look };
	return got({ kind: 'item', item: { name: name.slice(0, 80), ...many, what, gas, ribbon, swappable } });
}

/** `on 4 ft ribbon blue`; `on ribbon` is measured on the spot; a length alone has no ribbon chosen yet. */
function ribbonOf(r: Reader): Parsed<Ribbon> {
	const value = r.number();
	let length: Micrometres | null = null;
	if (value) {
		const long = Math.round(value.mul(MICROMETRES[r.unit() ?? r.long(value)]).valueOf());
		if (long < MICROMETRES.in || long > MICROMETRES.ft * 100)
			return refuse('too-big', 'A ribbon is between 1 in and 100 ft long, like “on 4 ft ribbon”.');
		length = um(long);
	}
	r.word('of');
	const words = r.words(...AFTER);
	if (words.length === 0)
		return value
			? got({ material: null, length })
			: refuse('missing', 'On what? Type it like “on 4 ft ribbon” or “on ribbon”.');
	const ribbons = r.context.materials.filter((m) => m.kind === 'ribbon' || m.kind === 'tie');
	const bare = words.length === 1 && words[0] === 'ribbon';
	if (bare)
		return got({
			material:
				ribbons.filter((m) => m.kind === 'ribbon').length === 1
					? ribbons.find((m) => m.kind === 'ribbon')!.id
					: null,
			length
		});
	const found = findMaterial(words, ribbons);
	return found.ok ? got({ material: found.value.id, length }) : found;
}

function weight(r: Reader): Parsed<BunchSaid> {
	if (r.now?.kind === 'number' && isWord(r.next, 'at')) {
		const balloon = saidBalloon(r, AFTER);
		if (!balloon.ok) return balloon;
		if (!balloon.value.what.inside)
			return refuse('missing', 'What makes it heavy? End with “filled with sand”, “water” or “marbles”.');
		return got({ kind: 'weight', weight: balloon.value.what });
	}
	const count = r.now?.kind === 'number' ? (wholeCount(r) ?? 0) : 1;
	if (count < 1 || count > 50) return refuse('too-big', 'Weights are between 1 and 50.');
	const found = findMaterial(r.words(), r.context.materials);
	return found.ok
		? got({ kind: 'weight', weight: { kind: 'material', material: found.value.id, count } })
		: found;
}

/** `letters TIDEWICK at 34 gold in air`: every letter a foil of its own. */
function letters(r: Reader): Parsed<BunchSaid> {
	const count = r.now?.kind === 'number' ? (wholeCount(r) ?? 0) : 1;
	r.word('letters');
	const written: string[] = [];
	// What is written is taken as it is typed, up to the height or the colour.
	while (r.now && !isWord(r.now, 'at', 'of')) written.push(r.all[r.at++]!.text);
	const text = written.join(' ').toUpperCase();
	if (count < 1 || lettersOf(text).length === 0)
		return refuse('missing', 'Which letters? Type them like “letters TIDEWICK at 34 of gold”.');
	const many = lettersOf(text);
	if (many.length > MOST_LETTERS)
		return refuse(
			'too-big',
			`That is ${many.length} letters. A wording has at most ${MOST_LETTERS}: make two of it.`
		);
	const unknown = many.find((l) => !isLetter(l));
	if (unknown)
		return refuse('unknown-word', `There is no foil “${unknown}”. Take it out of “${shorten(text)}”.`);
	let height = LETTER_HEIGHT;
	if (r.word('at')) {
		const value = r.number();
		height = value ? typedLength(value, r.unit() ?? 'in') : um(0);
		if (height < inches(5) || height > inches(80))
			return refuse('too-big', 'Foil letters are between 5 and 80 in tall, like “at 34”.');
		r.word('tall');
	}
	r.word('of');
	const words = r.words(...AFTER);
	if (words.length === 0)
		return refuse('missing', 'In which colour? Type it like “letters TIDEWICK at 34 of gold”.');
	const colour = nameColour(words, r.context);
	if (!colour.ok) return colour;
	return withTails(
		r,
		{ count },
		{ kind: 'letters', text, height, look: 'creased', colour: colour.value },
		text.toLowerCase()
	);
}
