import { DomainError } from '../errors.ts';
import type { Rational } from '../units/rational.ts';

/**
 * The nearest whole number, halves away from zero: 2.5 is 3, −2.5 is −3 (commercial rounding).
 * @throws {DomainError} `not-integer` if the result leaves the safe range
 */
export function halfAwayFromZero(value: Rational): number {
	const { s, n, d } = value;
	const whole = Number((n * 2n + d) / (d * 2n)) * Number(s);
	if (!Number.isSafeInteger(whole)) throw new DomainError('not-integer', 'the amount is too large to count');
	return whole === 0 ? 0 : whole;
}
