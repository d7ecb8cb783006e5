import { got, refuse, type Parsed } from '../errors.ts';
import { ROUND_NOMINALS } from '../materials/material.ts';
import { REFUSED_OVER, safeVerdict } from '../sizing/fill.ts';
import { printSize, SIZE_WORDS, UNKNOWN_SIZE, type Size } from '../sizing/size.ts';
import {
	formatInches,
	inches,
	MICROMETRES,
	um,
	typedLength,
	type LengthUnit,
	type Micrometres
} from '../units/length.ts';
import { MOST_TYPED } from '../units/number.ts';
import type { Rational } from '../units/rational.ts';
import type { SaidBalloon } from './said.ts';
import type { EntryContext } from './context.ts';
import { wordsMatch } from './names/name-colour.ts';
import { Reader } from './reader.ts';
import { isMark, isWord, tokens } from './tokens.ts';

/** `11 at 9`, `11 at 9 by eye`, `6 hearts at 5`, `5 at 4 strokes of hand pump`: one balloon, without count and colour. */
export function balloonOf(r: Reader): Parsed<SaidBalloon> {
	const bag = r.number();
	if (!bag) return refuse('missing', `Which size on the bag? Type ${ROUND_NOMINALS.join(', ')}.`);
	const before = r.unit();
	const heart = r.word('heart', 'hearts') !== undefined;
	const unit = before ?? r.unit();
	// A number that is on no bag is centimetres where the studio or the line says so; what it is sized to is too, then.
	const metric = unit === 'cm' || (unit === undefined && saysCentimetres(r));
	const own = unit === 'cm' ? undefined : nominalOf(bag, heart, r.context);
	const nominal = own ?? (metric ? nearestBag(bag, heart, r.context) : undefined);
	if (nominal === undefined) {
		return refuse(
			'unknown-word',
			heart
				? `The Stockroom has no ${bag.valueOf()} in hearts.`
				: `There is no ${bag.valueOf()} in round. The bags say ${ROUND_NOMINALS.join(', ')}.`
		);
	}
	const other = otherBag(r, heart);
	if (other && !other.ok) return other;
	const size = sizeOf(r, other ? larger(nominal, other.value) : nominal, own === undefined ? 'cm' : 'in');
	if (!size.ok) return size;
	const method = r.phrase('by eye') ? 'eye' : null;
	const or = other && other.value !== nominal ? { or: other.value } : {};
	return got({ kind: heart ? 'latex-heart' : 'latex-round', nominal, size: size.value, method, ...or });
}

const larger = (a: Micrometres, b: Micrometres): Micrometres => (a > b ? a : b);

/** `… or 11`: the other bag it may be of, until that is known; undefined where none is said. */
function otherBag(r: Reader, heart: boolean): Parsed<Micrometres> | undefined {
	if (!isWord(r.now, 'or') || r.next?.kind !== 'number') return undefined;
	r.at++;
	const bag = r.number()!;
	r.unit();
	const nominal = nominalOf(bag, heart, r.context);
	return nominal === undefined
		? refuse('unknown-word', `There is no ${bag.valueOf()} in ${heart ? 'heart' : 'round'}. The bags say ${ROUND_NOMINALS.join(', ')}.`)
		: got(nominal);
} // prettier-ignore

/** Whether lengths are in centimetres here, or in this line. */
const saysCentimetres = ({ context, all }: Reader): boolean =>
	context.lengths === 'cm' || all.some((t) => isWord(t, 'cm'));

/** How far the centimetres of a bag may be from its inches, cm: a 30 is a 12-inch. Common practice. */
const ABOUT = 1.6;
function nearestBag(cm: Rational, heart: boolean, { materials }: EntryContext): Micrometres | undefined {
	const kind = heart ? 'latex-heart' : 'latex-round';
	const listed = materials.flatMap((m) => (m.kind === kind && m.nominal !== null ? [m.nominal] : []));
	const apart = (bag: number) => Math.abs(bag - cm.valueOf() * MICROMETRES.cm) / MICROMETRES.cm;
	const [nearest] = [...(heart ? [] : ROUND_NOMINALS.map(inches)), ...listed].sort(
		(a, b) => apart(a) - apart(b)
	);
	return nearest !== undefined && apart(nearest) <= ABOUT ? um(nearest) : undefined;
}

/** The bag sizes sold, and any the Stockroom lists. */
function nominalOf(bag: Rational, heart: boolean, { materials }: EntryContext): Micrometres | undefined {
	const nominal = Math.round(bag.mul(MICROMETRES.in).valueOf());
	const sold = !heart && (ROUND_NOMINALS as readonly number[]).includes(bag.valueOf());
	const kind = heart ? 'latex-heart' : 'latex-round';
	const listed = materials.some((m) => m.kind === kind && m.nominal === nominal);
	return sold || listed ? um(nominal) : undefined;
}

/** `at 9½`, `at 4 strokes`: what a balloon is brought to. @param unit where none is said */
export function sizeOf(r: Reader, nominal: Micrometres, unsaid: LengthUnit = 'in'): Parsed<Size> {
	const at = r.word('at') !== undefined;
	const word = at ? SIZE_WORDS.find((w) => r.rest().startsWith(w)) : undefined;
	if (word) {
		r.at += word.split(' ').length;
		return got({ kind: 'word', word, origin: 'typed' });
	}
	if (at && (r.mark('?') || r.mark('—'))) return got(UNKNOWN_SIZE);
	if (isMark(r.now, '-') || isMark(r.now, '−')) return refuse('negative', 'A size cannot be negative.');
	if (!at && isWord(r.next, 'times')) return got(UNKNOWN_SIZE);
	const value = r.number();
	if (!value)
		return at
			? refuse('missing', 'Sized to what? Type it like “at 9½”, “at 8 to 9”, “at 4 strokes” or “at soft”.')
			: got(UNKNOWN_SIZE);
	if (r.word('strokes', 'stroke')) {
		const strokes = value.valueOf();
		if (strokes <= 0 || strokes > 500) return refuse('too-big', 'Strokes are between ½ and 500.');
		const pump = pumpOf(r);
		return pump.ok ? got({ kind: 'strokes', strokes, pump: pump.value, origin: 'typed' }) : pump;
	}
	const from = r.at;
	const second = r.word('to') || r.mark('-') || r.mark('–') ? r.number() : undefined;
	const unit = r.unit() ?? unsaid;
	if (second && unit === 'ft') r.at = from;
	else if (second) return rangeOf(value, second, unit, nominal);
	else r.at = from;
	const own = isWord(r.now, 'to') ? unsaid : (r.unit() ?? unsaid);
	const size: Size = {
		kind: 'value',
		um: typedLength(value, own),
		unit: own,
		origin: 'typed'
	};
	return checked(size, size.um, nominal);
}

function rangeOf(a: Rational, b: Rational, unit: LengthUnit, nominal: Micrometres): Parsed<Size> {
	const [low, high] = [a, b].map((v) => typedLength(v, unit));
	if (low! < inches(0.5) || low! >= high!)
		return refuse('too-small', 'A range goes from the smaller size to the larger, like “at 8 to 9”.');
	return checked({ kind: 'range', low: low!, high: high!, unit, origin: 'typed' }, high!, nominal);
}

/** Refuses what no balloon of that size can be; the material's own safe diameter is judged by the checker. */
export function checked(size: Size, diameter: Micrometres, nominal: Micrometres): Parsed<Size> {
	const bag = formatInches(nominal);
	if (diameter < nominal * 0.2) {
		return refuse(
			'too-small',
			`${printSize(size)} is next to nothing for a ${bag}. Check the size, or take a smaller balloon.`
		);
	}
	if (safeVerdict(diameter, nominal) !== 'refused') return got(size);
	const larger = ROUND_NOMINALS.find((n) => inches(n) * REFUSED_OVER >= diameter && inches(n) >= diameter);
	const instead = larger ? ` Take a ${larger}.` : ' No round comes that large.';
	return refuse(
		'refused',
		`A ${bag} cannot be sized to ${printSize(size)} in: it is safe up to ${bag} in.${instead}`
	);
}

/** `of hand pump`; without it, and with several pumps, the strokes are of no certain one and no size follows from them. */
function pumpOf(r: Reader): Parsed<string | null> {
	const { pumps = [] } = r.context;
	// With one pump in the studio, strokes are its strokes.
	if (!r.word('of')) return got(pumps.length === 1 ? pumps[0]!.id : null);
	const words: string[] = [];
	const found = () => pumps.filter((p) => wordsMatch(words, p.name));
	while (r.now?.kind === 'word' && pumps.some((p) => wordsMatch([...words, r.now!.text], p.name)))
		words.push(r.all[r.at++]!.text);
	const [only] = found();
	if (words.length > 0 && only) return got(only.id);
	const names = pumps.map((p) => p.name).join(', ');
	return refuse(
		'unknown-word',
		names ? `Of which pump? There is ${names}.` : 'No pump is set up. Take “of …” out.'
	);
}

/** An inflated size by itself, as a field holds it: `9½`, `8 to 9`, `4 strokes of hand pump`, `soft`; blank is unknown. */
export function parseSizeText(text: string, nominal: Micrometres, context: EntryContext): Parsed<Size> {
	if (text.length > MOST_TYPED) return refuse('too-big', 'That is too long for a size. Type it like 9½.');
	if (text.trim() === '' || text.trim() === '—') return got(UNKNOWN_SIZE);
	const reader = new Reader(tokens(`at ${text}`, context.style), context);
	const size = sizeOf(reader, nominal);
	if (size.ok && reader.now) return refuse('unknown-word', `I read all but “${reader.rest()}”. Take it out.`);
	return size;
}
