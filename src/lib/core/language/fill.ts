import { PAINT_PARTS } from '../document/cluster.ts';
import { FILLINGS, type FillAmount, type Filling, type Weighing } from '../document/inside.ts';
import { isWord, tokens } from './tokens.ts';
import { got, refuse, type Parsed } from '../errors.ts';
import type { ColourRef, OwnSaid, SaidFill } from './said.ts';
import { nameColour } from './names/name-colour.ts';
import { balloonOf } from './balloon.ts';
import type { EntryContext } from './context.ts';
import { Reader } from './reader.ts';

/**
 * `filled with water`, `½ filled with sand`, `filled with 200 g sand`, `filled with 5 marbles`, `filled with 5 at 4 gold`;
 * `painted`, `painted dots`; `neck cut`; `twisted in two`. Nothing where none is said.
 */
export function fillOf(r: Reader): Parsed<SaidFill> {
	let said: SaidFill = {};
	for (;;) {
		if (r.word('painted')) said = { ...said, painted: PAINT_PARTS.find((p) => r.phrase(p)) ?? true };
		else if (r.phrase('neck cut')) said = { ...said, neckOff: true };
		else if (r.phrase('twisted in')) {
			if (r.number()?.valueOf() !== 2)
				return refuse('not-whole', 'A balloon is twisted in two: type “twisted in two”.');
			said = { ...said, twin: true };
		} else if (isWord(r.now, 'filled') || (r.now?.kind === 'number' && isWord(r.next, 'filled'))) {
			const inside = insideOf(r, said.inside);
			if (!inside.ok) return inside;
			said = { ...said, inside: inside.value };
		} else return got(said);
	}
}

const GRAMS: Readonly<Record<string, number>> = {
	g: 1,
	gram: 1,
	grams: 1,
	kg: 1000,
	oz: 28.3495,
	lb: 453.592,
	lbs: 453.592
};
const LITRES: Readonly<Record<string, number>> = {
	l: 1,
	litre: 1,
	litres: 1,
	ml: 0.001,
	cup: 0.236588,
	cups: 0.236588
};

const AMOUNT_UNITS = [...Object.keys(GRAMS), ...Object.keys(LITRES)];

/** @param before what is in it already: a balloon in it may be filled in turn */
function insideOf(r: Reader, before: SaidFill['inside']): Parsed<NonNullable<SaidFill['inside']>> {
	const share = r.now?.kind === 'number' ? r.number()!.valueOf() : 1;
	r.word('filled');
	r.word('with');
	if (!(share > 0 && share <= 1)) return refuse('too-big', 'How full? Say a share of it, like “½ filled with sand”.');
	const weighing = weighingOf(r, share);
	if (weighing && !weighing.ok) return weighing;
	if (weighing && before && !('of' in before) && !before.holds) return got({ ...before, holds: weighing.value });
	if (before)
		return refuse('refused', 'A balloon is filled with one thing: take one “filled with …” out. A balloon in it may be filled in turn, like “filled with 5 at 4 gold filled with sand”.');
	if (weighing) return weighing;
	if (r.now?.kind !== 'number')
		return refuse('missing', `Filled with what? Type ${FILLINGS.join(', ')}, how much of it like “200 g sand”, or a balloon like “filled with 5 at 4 gold”.`);
	const balloon = balloonOf(r);
	if (!balloon.ok) return balloon;
	const colour = nameColour(r.words('in', 'on', 'as'), r.context);
	return colour.ok ? got({ balloon: balloon.value, colour: colour.value }) : colour;
} // prettier-ignore

/** `sand`, `200 g sand`, `5 marbles`; undefined where a balloon is meant. */
function weighingOf(r: Reader, share: number): Parsed<Weighing> | undefined {
	const from = r.at;
	const n = r.now?.kind === 'number' ? r.number()!.valueOf() : undefined;
	const unit = n === undefined ? undefined : r.word(...AMOUNT_UNITS);
	if (unit) r.word('of');
	const of = r.word('marble') ? 'marbles' : FILLINGS.find((f) => r.word(f));
	if (!of || (n !== undefined && unit === undefined && of !== 'marbles')) {
		r.at = from;
		return of ? refuse('missing', `How much ${of}? Say it in grams or litres, like “200 g ${of}”.`) : undefined;
	}
	if (n === undefined) return share === 1 ? got({ of }) : amountOf(of, share, 'share');
	if (unit === undefined) return amountOf(of, n, 'pieces');
	return measured(of, n, unit);
} // prettier-ignore

/** What goes into a balloon at the most. */
const MOST: Readonly<Record<FillAmount['in'], number>> = { g: 20_000, l: 20, pieces: 2000, share: 1 };

/** So much in one of the units. */
const measured = (of: Filling, n: number, unit: string): Parsed<Weighing> =>
	unit in GRAMS ? amountOf(of, n * GRAMS[unit]!, 'g') : amountOf(of, n * LITRES[unit]!, 'l');

function amountOf(of: Filling, value: number, unit: FillAmount['in']): Parsed<Weighing> {
	const n = Math.round(value * 1000) / 1000;
	if (n > MOST[unit]) return refuse('too-big', 'That much does not go into a balloon.');
	return n > 0
		? got({ of, amount: { n, in: unit } })
		: refuse('too-big', `How much ${of}? That is less than can be weighed.`);
}

/** How much of it, as it is typed into a field: `200 g`, `½`, `5` marbles; blank or “full” is full. */
export function parseAmountText(text: string, of: Filling, context: EntryContext): Parsed<Weighing> {
	if (/^\s*(full)?\s*$/i.test(text)) return got({ of });
	const r = new Reader(tokens(text, context.style), context);
	const n = r.number()?.valueOf();
	const unit = r.word(...AMOUNT_UNITS);
	if (n === undefined || r.now !== undefined)
		return refuse('not-a-number', `How much ${of}? Type it like “200 g”, “½” or “full”.`);
	if (unit !== undefined) return measured(of, n, unit);
	if (of === 'marbles' && Number.isInteger(n)) return amountOf(of, n, 'pieces');
	return n <= 1 ? amountOf(of, n, 'share') : refuse('missing', `${text.trim()} of what? Type grams or litres, like “${text.trim()} g”.`);
} // prettier-ignore

/** The words of a colour up to one of these, and the slot or colour they mean. */
export function saidColour(
	r: Reader,
	until: readonly string[]
): Parsed<{ readonly words: readonly string[]; readonly colour: ColourRef }> {
	const words = r.words(...until);
	if (words.length === 0)
		return refuse('missing', 'In which colour? Name a colour of the design or of the Stockroom.');
	const colour = nameColour(words, r.context);
	return colour.ok ? got({ words, colour: colour.value }) : colour;
}

/** `11 at 9 white filled with water`: a balloon with a colour of its own, called by that colour. */
export function saidBalloon(r: Reader, until: readonly string[]): Parsed<{ name: string; what: OwnSaid }> {
	const balloon = balloonOf(r);
	if (!balloon.ok) return balloon;
	const colour = saidColour(r, until);
	if (!colour.ok) return colour;
	const fill = fillOf(r);
	if (!fill.ok) return fill;
	const what = {
		kind: 'balloon' as const,
		balloon: balloon.value,
		colour: colour.value.colour,
		...fill.value
	};
	return got({ name: colour.value.words.join(' '), what });
}
