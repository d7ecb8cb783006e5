import Fraction from 'fraction.js';
import { DomainError, got, refuse, type Parsed } from '../errors.ts';
import { parseNumber, POINT, shorten, type NumberStyle, MOST_TYPED } from './number.ts';
import type { Rational } from './rational.ts';

declare const unit: unique symbol;
/** A length as recipes and tables keep it: whole micrometres, so that equal sizes are equal. Made only by {@link um}, the parsers and {@link inches}. */
export type Micrometres = number & { readonly [unit]: 'um' };
/** A length inside geometry: millimetres, finite, may be fractional. */
export type Millimetres = number & { readonly [unit]: 'mm' };

/** Units a length may be typed in; kept beside the value for printing it back. */
export type LengthUnit = 'in' | 'ft' | 'cm' | 'mm' | 'm';

/** Micrometres in one unit, exactly. Source: NIST SP 811 (2008), appendix B.8 (inch 25.4 mm, foot 0.3048 m). */
export const MICROMETRES: Readonly<Record<LengthUnit, number>> = {
	in: 25_400,
	ft: 304_800,
	cm: 10_000,
	mm: 1_000,
	m: 1_000_000
};

/** @throws {DomainError} `not-integer` for anything but a safe integer */
export function um(value: number): Micrometres {
	if (!Number.isSafeInteger(value)) throw new DomainError('not-integer', `${value} is not whole micrometres`);
	return value as Micrometres;
}

/** A thousand kilometres: nothing typed is longer, and what would be is refused by every bound there is. */
const FARTHEST = 1_000_000_000_000;

/** A length as typed, `value` of a unit, rounded to whole micrometres; never over {@link FARTHEST}. */
export const typedLength = (value: Rational, unit: LengthUnit): Micrometres =>
	um(Math.round(Math.max(-FARTHEST, Math.min(FARTHEST, value.mul(MICROMETRES[unit]).valueOf()))));

/** @throws {DomainError} `out-of-range` for a value that is not finite */
export function mm(value: number): Millimetres {
	if (!Number.isFinite(value)) throw new DomainError('out-of-range', `${value} is not a length`);
	return value as Millimetres;
}

/** @param value international inches, rounded to the micrometre */
export const inches = (value: number): Micrometres => um(Math.round(value * MICROMETRES.in));
/** @param value international feet, rounded to the micrometre */
export const feet = (value: number): Micrometres => um(Math.round(value * MICROMETRES.ft));

export const toMillimetres = (value: Micrometres): Millimetres => mm(value / 1000);

/** A length with the unit it was typed in. */
export interface TypedLength {
	readonly um: Micrometres;
	readonly unit: LengthUnit;
}

const UNIT_WORDS: Readonly<Record<string, LengthUnit>> = {
	in: 'in', inch: 'in', inches: 'in', '"': 'in', '″': 'in', '”': 'in',
	ft: 'ft', foot: 'ft', feet: 'ft', "'": 'ft', '′': 'ft', '’': 'ft',
	cm: 'cm', mm: 'mm', m: 'm', metre: 'm', metres: 'm'
}; // prettier-ignore

/** The most any length may be: two hundred metres. Longer is a slip of the finger. */
export const LONGEST = um(200_000_000);

/**
 * Reads a length: `8½`, `8.5 in`, `7 ft 9 in`, `7′ 9″`, `21 cm`. Without a unit it takes `fallback`.
 * @returns `negative`, `too-big`, `missing` or `not-a-length` with a sentence, never 0 for a blank
 */
export function parseLength(
	text: string,
	fallback: LengthUnit = 'in',
	style: NumberStyle = POINT
): Parsed<TypedLength> {
	if (text.length > MOST_TYPED)
		return refuse('too-big', 'That is too long for a length. Type it like 7 ft 9 in.');
	if (text.trim() === '') return refuse('missing', 'Type a length.');
	const pieces = [
		...text
			.trim()
			.matchAll(
				/([−-]?[\d.,/⁄½¼¾⅛⅜⅝⅞⅓⅔\s]*[\d½¼¾⅛⅜⅝⅞⅓⅔])\s*(inches|inch|feet|foot|ft|in|cm|mm|metres|metre|m|["″”'′’])?\s*/gu
			)
	];
	const read = pieces.map((piece) => piece[0]).join('');
	const no = refuse(
		'not-a-length',
		`“${shorten(text)}” is not a length. Write it like 8½, 8.5 in or 7 ft 9 in.`
	);
	if (pieces.length === 0 || pieces.length > 2 || read.trim() !== text.trim()) return no;
	let total: Rational = new Fraction(0);
	let unitTyped: LengthUnit = fallback;
	for (const [index, piece] of pieces.entries()) {
		const number = parseNumber(piece[1]!, style);
		if (!number.ok) return no;
		const here = piece[2] ? UNIT_WORDS[piece[2]]! : index === 0 ? fallback : 'in';
		if (index === 1 && (unitTyped !== 'ft' || here !== 'in')) return no;
		if (index === 0) unitTyped = here;
		total = total.add(number.value.mul(MICROMETRES[here]));
	}
	if (total.compare(0) < 0) return refuse('negative', 'A length cannot be negative.');
	if (total.compare(LONGEST) > 0)
		return refuse('too-big', 'That is longer than 650 ft. Check the number and its unit.');
	return got({ um: um(Math.round(Math.min(FARTHEST, total.valueOf()))), unit: unitTyped });
}

const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

/** `10½`: whole inches and eighths where the length is one, else two decimals. No unit mark. */
export function formatInches(value: Micrometres): string {
	const eighths = value / 3175;
	if (Number.isInteger(eighths)) {
		const whole = Math.floor(eighths / 8);
		return `${whole || (eighths % 8 ? '' : '0')}${EIGHTHS[eighths % 8]}`;
	}
	return String(Math.round((value / MICROMETRES.in) * 100) / 100);
}

/** To the nearest quarter of an inch, as a tape is read: `2¾`. @param value mm */
export const formatQuarters = (value: number): string =>
	formatInches(um(Math.round((value / 25.4) * 4) * 6350));

/** To the nearest eighth of an inch, as tube is marked: `2⅜ in`. @param value mm */
export const markInches = (value: number): string =>
	`${formatInches(um(Math.round((value * 1000) / 3175) * 3175))} in`;

/** `7′ 9″`, to the nearest inch. */
export function formatFeet(value: Millimetres): string {
	const total = Math.round(value / 25.4);
	return `${Math.floor(total / 12)}′ ${total % 12}″`;
}

/** A length in the unit it was typed in: `8½`, `21 cm`. Inches go without a mark, as makers write them. */
export function formatLength({ um: value, unit: typed }: TypedLength): string {
	if (typed === 'in') return formatInches(value);
	return `${Math.round((value / MICROMETRES[typed]) * 1000) / 1000} ${typed}`;
}
