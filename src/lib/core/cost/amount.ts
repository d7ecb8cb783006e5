import { add, zero, type Currency, type Money } from '../money/money.ts';

/** A sum of costs some of which may be unknown: what is known, and the names of what is not. */
export interface Amount {
	readonly known: Money;
	readonly unknown: readonly string[];
}

export const nothing = (currency: Currency): Amount => ({ known: zero(currency), unknown: [] });

/** @param cost undefined is an unknown cost, carried by its name, never 0 */
export const plus = (sum: Amount, cost: Money | undefined, name: string): Amount =>
	cost === undefined ? { ...sum, unknown: [...sum.unknown, name] } : { ...sum, known: add(sum.known, cost) };

export const join = (a: Amount, b: Amount): Amount => ({
	known: add(a.known, b.known),
	unknown: [...new Set([...a.unknown, ...b.unknown])]
});
