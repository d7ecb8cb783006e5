import { dayNumber, dayOfNumber } from '../units/calendar-day.ts';

/** The answer that tells of it, as it is called. */
export const CASH_AHEAD = 'cash-ahead';
export const CASH_KINDS = ['deposits', 'balances', 'on order', 'to be bought'] as const;
export type CashKind = (typeof CASH_KINDS)[number];

/** Money that is to come, or to go where it is below 0. Minor units. */
export interface CashMove {
	/** `YYYY-MM-DD`; what was due before today is due now. */
	readonly day: string;
	readonly kind: CashKind;
	readonly minor: number;
	readonly says: string;
}

/** A week, from its first day. */
export interface CashWeek {
	readonly from: string;
	readonly comes: number;
	readonly goes: number;
	/** All of it from today to the end of this week. */
	readonly sum: number;
	readonly moves: readonly CashMove[];
}

/** Weeks ahead from today, each with what comes and goes in it; what lies beyond the last is left out. */
export function cashAhead(moves: readonly CashMove[], today: string, weeks: number): CashWeek[] {
	const first = dayNumber(today);
	let sum = 0;
	return Array.from({ length: weeks }, (_, i) => {
		const own = moves
			.filter((m) => Math.floor(Math.max(0, dayNumber(m.day) - first) / 7) === i)
			.toSorted((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
		const of = (is: (minor: number) => boolean) => own.reduce((a, m) => a + (is(m.minor) ? m.minor : 0), 0);
		const [comes, goes] = [of((n) => n > 0), of((n) => n < 0)];
		sum += comes + goes;
		return { from: dayOfNumber(first + 7 * i), comes, goes, sum, moves: own };
	});
}
