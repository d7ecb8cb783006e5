import { POINT, type NumberStyle } from './number.ts';
import type { Rational } from './rational.ts';

/** Longest decimals a field shows before it says the fraction instead. */
const MOST_DECIMALS = 12;

/**
 * A number as a field is filled with it: `parseNumber` reads exactly the same number back, so that a form saved
 * untouched changes nothing. Decimals where they end (`8.875`), else a mixed fraction (`3 1/3`).
 * @param style which mark is the decimal one
 */
export function printNumber(value: Rational, { decimal }: NumberStyle = POINT): string {
	const ends = endsAfter(value.d);
	if (ends === undefined) return value.toFraction(true);
	const digits = (value.n * 10n ** BigInt(ends)) / value.d;
	const text = String(digits).padStart(ends + 1, '0');
	const whole = text.slice(0, text.length - ends);
	const sign = value.s < 0n && value.n !== 0n ? '-' : '';
	return ends === 0 ? `${sign}${whole}` : `${sign}${whole}${decimal}${text.slice(-ends)}`;
}

/** Decimals after which 1 over a denominator ends; undefined where it never does, or too late. */
function endsAfter(denominator: bigint): number | undefined {
	for (let places = 0; places <= MOST_DECIMALS; places++)
		if (10n ** BigInt(places) % denominator === 0n) return places;
	return undefined;
}

/** An amount as a field is filled with it: `12.50`, `12,50`; blank for what is not known. */
export function printMoney(minor: number | null, { decimal }: NumberStyle = POINT): string {
	return minor === null ? '' : (minor / 100).toFixed(2).replace('.', decimal);
}
