import Fraction from 'fraction.js';
import { DomainError, got, refuse, type Parsed } from '../errors.ts';
import { MOST_TYPED, parseNumber, POINT, shorten, type NumberStyle } from '../units/number.ts';
import type { Rational } from '../units/rational.ts';
import { halfAwayFromZero } from './half-away-from-zero.ts';

/** ISO 4217 codes a workspace may keep its books in; all have two decimals. */
export const CURRENCIES = ['USD', 'EUR', 'GBP', 'CAD', 'AUD', 'NZD'] as const;
export type Currency = (typeof CURRENCIES)[number];

/** An exact amount. Immutable; serialises as itself. */
export interface Money {
	/** Whole minor units (cents), a safe integer; may be negative. */
	readonly minor: number;
	readonly currency: Currency;
}

/** @throws {DomainError} `not-integer` unless `minor` is a safe integer */
export function money(minor: number, currency: Currency): Money {
	if (!Number.isSafeInteger(minor)) throw new DomainError('not-integer', `${minor} is not whole minor units`);
	return { minor: minor === 0 ? 0 : minor, currency };
}

export const zero = (currency: Currency): Money => money(0, currency);

/** @throws {DomainError} `currency-mismatch` */
export function add(a: Money, b: Money): Money {
	if (a.currency !== b.currency)
		throw new DomainError('currency-mismatch', `${a.currency} and ${b.currency}`);
	return money(a.minor + b.minor, a.currency);
}

/** @throws {DomainError} `currency-mismatch` */
export const subtract = (a: Money, b: Money): Money => add(a, money(-b.minor, b.currency));

/** @throws {DomainError} `currency-mismatch` */
export const total = (currency: Currency, amounts: readonly Money[]): Money =>
	amounts.reduce(add, zero(currency));

/**
 * An exact amount of minor units met with money: the one rounding of a line, half away from zero.
 * @param minor exact minor units
 */
export const rounded = (minor: Rational, currency: Currency): Money =>
	money(halfAwayFromZero(minor), currency);

/**
 * Splits `whole` by `weights` so that the parts always sum to `whole` exactly:
 * the largest remainder method, ties to the earlier weight.
 * @param weights whole numbers, none negative, at least one above zero
 * @throws {DomainError} `not-positive` if the weights are not that; `not-integer` if one is not whole
 */
export function allocate(whole: Money, weights: readonly number[]): Money[] {
	if (weights.some((w) => !Number.isSafeInteger(w)))
		throw new DomainError('not-integer', 'weights must be whole');
	const sum = weights.reduce((a, w) => a + BigInt(w), 0n);
	if (sum <= 0n || weights.some((w) => w < 0))
		throw new DomainError('not-positive', 'weights must have a sum above 0');
	const sign = whole.minor < 0 ? -1 : 1;
	const amount = BigInt(Math.abs(whole.minor));
	const shares = weights.map((w, index) => {
		const product = amount * BigInt(w);
		return { index, floor: Number(product / sum), rest: product % sum };
	});
	let left = Number(amount - shares.reduce((a, s) => a + BigInt(s.floor), 0n));
	const byRest = [...shares].sort((a, b) =>
		a.rest === b.rest ? a.index - b.index : a.rest > b.rest ? -1 : 1
	);
	const parts = shares.map((s) => s.floor);
	for (const share of byRest) {
		if (left-- <= 0) break;
		parts[share.index]! += 1;
	}
	return parts.map((part) => money(sign * part, whole.currency));
}

/** `130.00`, `−2.14`, `1,204.50`: figures only, as a tape prints them. @param style which mark is the decimal one; the other groups */
export function formatAmount({ minor }: Money, { decimal }: NumberStyle = POINT): string {
	const whole = Math.floor(Math.abs(minor) / 100);
	const digits = String(whole).replace(/\B(?=(\d{3})+$)/g, decimal === ',' ? '.' : ',');
	return `${minor < 0 ? '−' : ''}${digits}${decimal}${String(Math.abs(minor) % 100).padStart(2, '0')}`;
}

const SIGNS: Readonly<Record<Currency, string>> = {
	USD: '$',
	EUR: '€',
	GBP: '£',
	CAD: 'CA$',
	AUD: 'A$',
	NZD: 'NZ$'
};

/** `$130.00`, where the comma is the decimal mark `130,00 €`: for sentences and client papers. */
export function formatMoney(amount: Money, style: NumberStyle = POINT): string {
	const sign = amount.minor < 0 ? '−' : '';
	const figures = formatAmount(money(Math.abs(amount.minor), amount.currency), style);
	const mark = SIGNS[amount.currency];
	return style.decimal === ',' ? `${sign}${figures} ${mark}` : `${sign}${mark}${figures}`;
}

/** The most a single typed amount may be: ten million. */
const MOST = 1_000_000_000;

/** Reads `130`, `130.50`, `$1,204.5`. A blank is `missing`; a third decimal is refused, never rounded away. */
export function parseMoney(text: string, currency: Currency, style: NumberStyle = POINT): Parsed<Money> {
	if (text.length > MOST_TYPED)
		return refuse('too-big', 'That is too long for an amount. Write it like 12.50.');
	const bare = text.trim().replace(/^(CA\$|NZ\$|A\$|[$€£])\s*/u, '');
	const parsed = parseNumber(bare, style);
	if (!parsed.ok) {
		return parsed.code === 'missing'
			? refuse('missing', 'Type an amount.')
			: refuse('not-a-number', `“${shorten(text)}” is not an amount. Write it like 12.50.`);
	}
	const minor = parsed.value.mul(new Fraction(100));
	if (minor.compare(0) < 0) return refuse('negative', 'An amount cannot be negative.');
	if (minor.compare(MOST) > 0) return refuse('too-big', 'That amount is over ten million. Check the number.');
	if (minor.d !== 1n) return refuse('not-whole', 'An amount has at most two decimals, like 12.50.');
	return got(money(minor.valueOf(), currency));
}
