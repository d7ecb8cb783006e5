import type { Money } from '../money/money.ts';
import type { PaymentKind, PaymentState } from '../quote/kinds.ts';

/** A payment as its sum and where it has come. Minor units. */
export interface Paid {
	readonly kind: PaymentKind;
	readonly minor: number;
	readonly state: PaymentState;
}

/** Where the money of an order stands, minor units. */
export interface Dues {
	readonly total: number;
	readonly paid: number;
	/** On its way: asked of the bank, and not answered yet. */
	readonly late: number;
	/** What is to be paid next; null where all is paid, or something is on its way. */
	readonly next: { readonly kind: PaymentKind; readonly minor: number } | null;
	/** What is left of the total. */
	readonly left: number;
}

/** What was paid of an order and what is next: first what holds the date, then the rest. */
export function duesOf(
	{ total, deposit }: { readonly total: Money; readonly deposit: Money },
	payments: readonly Paid[]
): Dues {
	const sum = (state: PaymentState) =>
		payments.filter((p) => p.state === state).reduce((a, p) => a + p.minor, 0);
	const [paid, late] = [sum('paid'), sum('late')];
	const left = Math.max(0, total.minor - paid);
	const held = Math.min(left, Math.max(0, deposit.minor - paid));
	const next =
		left === 0 || late > 0
			? null
			: held > 0
				? { kind: 'deposit' as const, minor: held }
				: { kind: 'balance' as const, minor: left };
	return { total: total.minor, paid, late, next, left };
}
