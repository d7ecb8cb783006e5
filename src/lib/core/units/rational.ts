import Fraction from 'fraction.js';

/** An exact quantity or unit cost: a half strip, a pack price over its count. Never stored rounded. */
export type Rational = Fraction;

/** A rational as documents keep it: `7`, `7/2`, `-1/3`. Made only by {@link rationalText}. */
export type RationalText = string;

export const ZERO: Rational = new Fraction(0);
export const ONE: Rational = new Fraction(1);

/**
 * @param value an integer, a decimal or `n/d` text, or a whole numerator with a denominator
 * @throws {Error} of fraction.js for text that is no number, and for a zero denominator
 */
export function rational(value: number | string | bigint, denominator?: number | bigint): Rational {
	if (denominator !== undefined) return new Fraction(value as number, denominator as number);
	if (typeof value !== 'string') return new Fraction(value);
	const cached = read.get(value);
	if (cached) return cached;
	if (read.size >= MOST_READ) read.clear();
	const made = new Fraction(value);
	read.set(value, made);
	return made;
}

/** Texts read before: recipes say the same few numbers over and over, and a rational never changes. */
const read = new Map<string, Rational>();
const MOST_READ = 4096;

/** The stored form, exact: `n` or `n/d`. */
export const rationalText = (value: Rational): RationalText => value.toFraction(false);

/** The smallest whole number not below `value`. */
export const ceiling = (value: Rational): number =>
	value.d === 1n ? Number(value.s * value.n) : Number(value.ceil(0).valueOf());

/** As it is printed for people: `7`, `3 1/2`. */
export const mixed = (value: Rational): string =>
	value.d === 1n ? String(value.s * value.n) : value.toFraction(true);

export const sum = (values: readonly Rational[]): Rational => values.reduce((a, b) => a.add(b), ZERO);
