import { dayNumber } from '../units/calendar-day.ts';
import type { RationalText } from '../units/rational.ts';

/** What rules of an order are told by. */
export interface OrderFacts {
	/** Days from today to the event; null where it has no day yet. */
	readonly notice: number | null;
	/** The day of the event, `YYYY-MM-DD`. */
	readonly day: string | null;
	/** Orders of this client that were won before. */
	readonly won: number;
	/** Pieces on it. */
	readonly pieces: number;
	/** Other orders won for the same day. */
	readonly sameDay: number;
}
export const NO_FACTS: OrderFacts = { notice: null, day: null, won: 0, pieces: 0, sameDay: 0 };

/** What a studio knows of its orders: what facts are found by. */
export interface OrderBook {
	/** Today, `YYYY-MM-DD`. */
	readonly today: string;
	/** Orders won by the name of the client; and by the day of the event. */
	readonly won: Readonly<Record<string, number>>;
	readonly taken: Readonly<Record<string, number>>;
}

export const factsOf = (
	order: { readonly client: string; readonly day: string | null; readonly pieces: number },
	{ today, won, taken }: OrderBook
): OrderFacts => ({
	notice: order.day === null ? null : dayNumber(order.day) - dayNumber(today),
	day: order.day,
	won: won[order.client] ?? 0,
	pieces: order.pieces,
	sameDay: order.day === null ? 0 : (taken[order.day] ?? 0)
});

export const RULE_KINDS = ['notice', 'weekend', 'season', 'busy day', 'volume', 'repeat'] as const;
export type RuleKind = (typeof RULE_KINDS)[number];

/** A rule of an order: when it holds, and by how many per cent. */
export interface PriceRule {
	readonly kind: RuleKind;
	/** What it is told by: a number of days, pieces or orders; days of the year for a season, `MM-DD to MM-DD`. */
	readonly when: string;
	readonly percent: RationalText;
}

interface RuleDefinition {
	/** On the settings: `short notice`. */
	readonly called: string;
	/** What is typed beside it. */
	readonly asks: string;
	/** Whether it makes a price more or less. */
	readonly way: 'more' | 'less';
	/** What is wrong with what is typed; undefined where nothing is. */
	wrong(when: string): string | undefined;
	holds(when: string, facts: OrderFacts): boolean;
	/** Of several that hold the one with the most of this is taken. */
	closeness(when: string): number;
	/** On the tape: `short notice, 7 days`. */
	say(when: string): string;
}

const whole = (what: string, most: number) => (when: string) =>
	/^\d{1,4}$/.test(when.trim()) && Number(when) <= most
		? undefined
		: `Type a number of ${what}, up to ${most}.`;
const monthDay = '(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])';
const SEASON = new RegExp(`^${monthDay} to ${monthDay}$`);
const isWeekend = (day: string) => [0, 6].includes(new Date(`${day}T00:00:00Z`).getUTCDay());

export const RULES: { readonly [K in RuleKind]: RuleDefinition } = {
	notice: {
		called: 'short notice',
		asks: 'days or less',
		way: 'more',
		wrong: whole('days', 365),
		holds: (when, { notice }) => notice !== null && notice >= 0 && notice <= Number(when),
		closeness: (when) => -Number(when),
		say: (when) => `short notice, ${when} days or less`
	},
	weekend: {
		called: 'on a weekend',
		asks: 'nothing',
		way: 'more',
		wrong: () => undefined,
		holds: (_, { day }) => day !== null && isWeekend(day),
		closeness: () => 0,
		say: () => 'on a weekend'
	},
	season: {
		called: 'in season',
		asks: '06-01 to 08-31',
		way: 'more',
		wrong: (when) =>
			SEASON.test(when.trim()) ? undefined : 'Type the days of the year like “06-01 to 08-31”.',
		holds(when, { day }) {
			if (day === null) return false;
			const [from, to] = when.trim().split(' to ') as [string, string];
			const own = day.slice(5);
			// A season may run over the new year.
			return from <= to ? from <= own && own <= to : own >= from || own <= to;
		},
		closeness: () => 0,
		say: (when) => `in season, ${when}`
	},
	'busy day': {
		called: 'a day that is taken',
		asks: 'orders there or more',
		way: 'more',
		wrong: whole('orders', 50),
		holds: (when, { sameDay }) => Number(when) > 0 && sameDay >= Number(when),
		closeness: Number,
		say: (when) => `a day with ${when} ${when === '1' ? 'order' : 'orders'} already`
	},
	volume: {
		called: 'many pieces',
		asks: 'pieces or more',
		way: 'less',
		wrong: whole('pieces', 999),
		holds: (when, { pieces }) => Number(when) > 0 && pieces >= Number(when),
		closeness: Number,
		say: (when) => `${when} pieces or more`
	},
	repeat: {
		called: 'a client who comes back',
		asks: 'orders before or more',
		way: 'less',
		wrong: whole('orders', 50),
		holds: (when, { won }) => Number(when) > 0 && won >= Number(when),
		closeness: Number,
		say: (when) => `comes back, ${when} or more`
	}
};

/** Rules that hold for an order, one of a kind: the one that fits closest, in the order of their kinds. */
export function rulesFor(rules: readonly PriceRule[], facts: OrderFacts, way: 'more' | 'less'): PriceRule[] {
	return RULE_KINDS.filter((kind) => RULES[kind].way === way).flatMap((kind) => {
		const { holds, closeness } = RULES[kind];
		const own = rules.filter((r) => r.kind === kind && holds(r.when, facts));
		const best = own.reduce<PriceRule | undefined>(
			(a, r) => (a === undefined || closeness(r.when) > closeness(a.when) ? r : a),
			undefined
		);
		return best ? [best] : [];
	});
}

/** Rules that say different things of the same order: their places; undefined where there are none. */
export function contradiction(rules: readonly PriceRule[]): readonly [number, number] | undefined {
	for (const [i, a] of rules.entries())
		for (const [j, b] of rules.entries()) {
			if (i >= j || a.kind !== b.kind) continue;
			if (a.kind === 'season') {
				const days = (when: string) => when.split(' to ').map((d) => ({ ...NO_FACTS, day: `2024-${d}` }));
				const meets = (x: string, y: string) => days(x).some((d) => RULES.season.holds(y, d));
				if (meets(a.when, b.when) || meets(b.when, a.when)) return [i, j];
			} else if (a.when === b.when) return [i, j];
		}
	return undefined;
}
