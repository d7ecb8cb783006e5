import { got, refuse, type Parsed } from '../errors.ts';
import { parseMoney, type Currency } from '../money/money.ts';
import { parseLength, type LengthUnit, type Micrometres } from '../units/length.ts';
import { parseBounded, parseCount, type Bounds, type NumberStyle } from '../units/number.ts';
import { parseQuantity, type Wanted } from '../units/quantity.ts';
import type { Rational } from '../units/rational.ts';

/** How numbers and amounts are typed where the owner lives. */
export interface FormContext {
	readonly style: NumberStyle;
	readonly currency: Currency;
}

/** A field of a form as a value: what it takes, within which limits, and in which words it refuses. */
export interface Field<V> {
	/** @returns the value, or a sentence that says what to type instead */
	read(text: string, context: FormContext): Parsed<V>;
}

/** Words in a line. @param most letters @param missing the sentence where it is blank; without one a blank is taken */
export const words = ({
	what,
	most,
	missing
}: {
	what: string;
	most: number;
	missing?: string;
}): Field<string> => ({
	read(text) {
		const trimmed = text.trim();
		if (trimmed === '' && missing !== undefined) return refuse('missing', missing);
		return trimmed.length > most
			? refuse('too-big', `${what} has at most ${most} letters. Shorten it.`)
			: got(trimmed);
	}
});

/** A number within bounds, exact. */
export const number = (bounds: Bounds): Field<Rational> => ({
	read: (text, { style }) => parseBounded(text, bounds, style)
});

/** Per cent, from 0 on where nothing else is said; exact. */
export const percent = (what: string, max: number): Field<Rational> =>
	number({ what, min: 0, max, unit: ' %' });

/** A whole number within bounds. */
export const count = (bounds: Bounds): Field<number> => ({
	read: (text, { style }) => parseCount(text, bounds, style)
});

/** An amount in minor units; a blank is not 0. */
export const amount = (what: string): Field<number> => ({
	read(text, { currency, style }) {
		const parsed = parseMoney(text, currency, style);
		if (parsed.ok) return got(parsed.value.minor);
		return parsed.code === 'missing' ? refuse('missing', `${what} is blank. Type 0 for none.`) : parsed;
	}
});

/** A length above 0. @param unit what a bare number is in */
export const length = (what: string, unit: LengthUnit): Field<Micrometres> => ({
	read(text, { style }) {
		const parsed = parseLength(text, unit, style);
		if (!parsed.ok) return parsed;
		return parsed.value.um === 0 ? refuse('too-small', `${what} must be above 0.`) : got(parsed.value.um);
	}
});

/** A temperature, a weight, a volume or a height in whichever unit is typed, within bounds: K, g, L, m. */
export const quantity = (wanted: Wanted): Field<number> => ({
	read: (text, { style }) => parseQuantity(text, wanted, style)
});

/** One of several. @param otherwise what anything else is read as; a text is the sentence that refuses it */
export const choice = <const T extends string>(
	options: readonly T[],
	otherwise: { readonly as: T } | { readonly say: string }
): Field<T> => ({
	read(text) {
		const found = options.find((o) => o === text);
		if (found !== undefined) return got(found);
		return 'as' in otherwise ? got(otherwise.as) : refuse('missing', otherwise.say);
	}
});

/** A field that may be left blank. @param blank what it is then */
export const orBlank = <V, B>(field: Field<V>, blank: B): Field<V | B> => ({
	read: (text, context) => (text.trim() === '' ? got(blank) : field.read(text, context))
});

/** A field held to one more rule. @param trouble a sentence where it breaks it */
export const held = <V>(field: Field<V>, trouble: (value: V) => string | undefined): Field<V> => ({
	read(text, context) {
		const parsed = field.read(text, context);
		const say = parsed.ok ? trouble(parsed.value) : undefined;
		return say === undefined ? parsed : refuse('refused', say);
	}
});

/** A field whose value is kept in another form. */
export const as = <V, W>(field: Field<V>, make: (value: V) => W): Field<W> => ({
	read(text, context) {
		const parsed = field.read(text, context);
		return parsed.ok ? got(make(parsed.value)) : parsed;
	}
});
