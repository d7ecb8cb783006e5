import type { DrawList } from '../scene/draw-list.ts';
import type { Money } from '../money/money.ts';
import type { Business } from '../workspace/settings.ts';

/** Version of the core that worked a quote out: changes where figures could. */
export const ENGINE_VERSION = '2';
export const FROZEN_VERSION = 1;

/** All that the client's page and PDF show, as it was when sent. No cost, no margin, nothing looked up later. */
export interface FrozenQuote {
	readonly version: typeof FROZEN_VERSION;
	readonly engine: string;
	readonly number: number;
	/** ISO instant. */
	readonly sentAt: string;
	/** Last calendar day the offer stands. */
	readonly validUntil: string;
	readonly business: Business;
	readonly client: { readonly name: string };
	readonly occasion: string;
	/** Calendar day, in `zone`. */
	readonly eventDate: string | null;
	readonly zone: string;
	readonly venue: string;
	readonly setting: 'indoor' | 'outdoor';
	readonly lines: readonly FrozenLine[];
	readonly delivery: Money;
	readonly discount: Money;
	readonly subtotal: Money;
	readonly net: Money;
	readonly tax: Money;
	readonly taxPercent: string;
	readonly taxInclusive: boolean;
	readonly total: Money;
	readonly deposit: Money;
	/** How lines were rounded, in words. */
	readonly rounding: string;
	readonly note: string;
	readonly cautions: readonly string[];
}

export interface FrozenLine {
	readonly name: string;
	readonly colourway: string;
	readonly quantity: number;
	readonly amount: Money;
	/** `7′ 2″ tall · 57 balloons` */
	readonly about: string;
	readonly picture: DrawList | null;
	/** The photo that stood for the design then; quotes from before photos say nothing. */
	readonly photo?: string | null | undefined;
}

/** Cost and margin when sent, for the owner only; never part of what the client gets. */
export interface FrozenOwner {
	readonly cost: Money;
	readonly unknown: readonly string[];
	/** Per cent. */
	readonly margin: number | null;
	readonly profit: Money;
	readonly versions: readonly string[];
	/** The work behind it, and what it is told by; quotes from before it was counted say nothing. */
	readonly worked?: Worked | undefined;
}

/** The work behind a quote when it was sent. Hours of everybody, feet and balloons of its pieces, money in minor units. */
export interface Worked {
	readonly net: number;
	readonly hours: number;
	readonly ownHour: number | null;
	readonly ownHours: number;
	readonly feet: number;
	readonly balloons: number;
}
