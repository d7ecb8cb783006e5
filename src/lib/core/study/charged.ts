import type { FrozenOwner, Worked } from '../quote/frozen.ts';
import { isOpen, type QuoteState } from '../quote/states.ts';

/** A quote that was sent, as it is compared with another. Money in minor units. */
export interface Charged {
	readonly id: string;
	readonly number: number;
	readonly client: string;
	/** Calendar day of the event; null was not settled. */
	readonly day: string | null;
	readonly outcome: Outcome;
	readonly net: number;
	/** Per cent. */
	readonly margin: number | null;
	/** Undefined where nothing of it is sold by the foot. */
	readonly perFoot: number | undefined;
	readonly perHour: number | undefined;
}

/** How it ended, as an owner counts it: what lapsed is lost. */
export const OUTCOMES = ['won', 'lost', 'waiting'] as const;
export type Outcome = (typeof OUTCOMES)[number];

export const outcomeOf = (state: QuoteState): Outcome =>
	state === 'accepted' ? 'won' : state === 'draft' || isOpen(state) ? 'waiting' : 'lost';

const over = (value: number, by: number) => (by > 0 ? value / by : undefined);

/** What a price comes to a foot of what is sold by it and an hour of everybody's, minor units. */
export const toldBy = ({ net, feet, hours }: Pick<Worked, 'net' | 'feet' | 'hours'>) => ({
	perFoot: over(net, feet),
	perHour: over(net, hours)
});

/** A sent quote beside others; undefined where it is from before its work was counted. */
export function chargedOf(
	sent: Pick<Charged, 'id' | 'number' | 'client' | 'day'> & {
		readonly state: QuoteState;
		readonly owner: FrozenOwner;
	}
): Charged | undefined {
	const { id, number, client, day, state, owner } = sent;
	if (!owner.worked) return undefined;
	const { net } = owner.worked;
	return {
		id,
		number,
		client,
		day,
		outcome: outcomeOf(state),
		net,
		margin: owner.margin,
		...toldBy(owner.worked)
	};
}

/** What a year of orders came to. Money in minor units. */
export interface Year {
	readonly won: number;
	/** Those that were answered, or lapsed. */
	readonly answered: number;
	readonly net: number;
	readonly hours: number;
	/** What an hour of the owner's own earned, over all of it; undefined where none of hers is known. */
	readonly ownHour: number | undefined;
}

/** The orders of a year. @param sent whose event was in it */
export function yearOf(sent: readonly { readonly state: QuoteState; readonly owner: FrozenOwner }[]): Year {
	const told = sent.flatMap(({ state, owner }) =>
		owner.worked ? [{ outcome: outcomeOf(state), ...owner.worked }] : []
	);
	const won = told.filter((t) => t.outcome === 'won');
	const sum = (read: (t: (typeof won)[number]) => number) => won.reduce((a, t) => a + read(t), 0);
	return {
		won: won.length,
		answered: told.filter((t) => t.outcome !== 'waiting').length,
		net: sum((t) => t.net),
		hours: sum((t) => t.hours),
		ownHour: over(
			sum((t) => (t.ownHour ?? 0) * t.ownHours),
			sum((t) => (t.ownHour === null ? 0 : t.ownHours))
		)
	};
}
