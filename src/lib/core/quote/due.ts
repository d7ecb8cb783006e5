import { DAY_MS } from '../units/calendar-day.ts';
import { isOpen, stateOn, type QuoteState } from './states.ts';

/** What is due with a quote, most pressing first. */
export interface DueIn {
	readonly state: QuoteState;
	readonly eventDate: string | null;
	readonly validUntil: string | null;
	/** Days since it was issued, and since something was last said to or by the client. */
	readonly sinceIssued: number;
	readonly sinceSaid: number;
	/** A question that has no answer. */
	readonly isAsked: boolean;
	readonly today: string;
}

/** A quote nobody has opened is worth a reminder after so many days, one that was opened after more. House rule. */
const [NOT_SEEN, NOT_ANSWERED] = [3, 5];

/** Whole days gone by since a moment. */
export const daysSince = (at: Date, now: Date): number => Math.floor((now.getTime() - at.getTime()) / DAY_MS);

const days = (n: number): string => (n === 1 ? '1 day' : `${n} days`);

/** What to do about a quote. */
export interface Due {
	readonly say: string;
	/** 1 is the most pressing. */
	readonly rank: number;
}

/** What to do about a quote; undefined where there is nothing. */
export function dueOf({ state, validUntil, sinceIssued, sinceSaid, isAsked, today }: DueIn): Due | undefined {
	if (isAsked) return { rank: 1, say: 'asked a question: answer it' };
	if (!isOpen(state)) return undefined;
	if (validUntil !== null && stateOn(state, today, validUntil) === 'lapsed')
		return { rank: 4, say: 'lapsed: revise it or let it go' };
	if (state === 'sent' && sinceSaid >= NOT_SEEN)
		return { rank: 3, say: `sent ${days(sinceIssued)} ago, not seen` };
	if (state === 'seen' && sinceSaid >= NOT_ANSWERED)
		return { rank: 2, say: `seen, no answer for ${days(sinceSaid)}` };
	return undefined;
}

/** How likely a yes is, 0 to 1: so many of so many before, with one yes and one no lent (Laplace's rule of succession). */
export const chanceOf = ({ won, all }: { readonly won: number; readonly all: number }): number =>
	(won + 1) / (all + 2);
