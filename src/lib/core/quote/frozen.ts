import type { DrawList } from '../scene/draw-list.ts';
import type { Money } from '../money/money.ts';
import type { ClientChoice } from './choices.ts';
import type { QuoteState } from './states.ts';
import type { Formats } from '../workspace/formats.ts';
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
	/** What can be chosen, level by level; quotes without a choice say nothing. */
	readonly offers?: readonly FrozenOffer[] | undefined;
	/** Per cent of the total; said where there is a choice. */
	readonly depositPercent?: string | undefined;
	/** Which time it was written: 2 stands in the place of 1. Quotes from before there were others say nothing. */
	readonly revision?: number | undefined;
	/** Why it has no tax, where a client is exempt. */
	readonly exempt?: string | undefined;
	/** How its figures and days are written; nothing is the usual way. */
	readonly formats?: Formats | undefined;
	/** The client's place with the pieces in it; most have none. */
	readonly place?: FrozenPlace | undefined;
}

/** A level as it was priced when sent, and what each choice adds to it. Lines are told by their places in the quote. */
export interface FrozenOffer {
	readonly level: string | null;
	/** Lines that are on it where nothing else is chosen. */
	readonly amounts: readonly (readonly [at: number, amount: Money])[];
	/** The line that is on it of each group. */
	readonly firsts: readonly { readonly group: string; readonly at: number }[];
	readonly others: readonly { readonly at: number; readonly group: string | null; readonly adds: Money }[];
	readonly delivery: Money;
	readonly discount: Money;
	readonly total: Money;
}

/** A photo of the client's place, and where each piece stands in it. Shares of the photo's width and height. */
export interface FrozenPlace {
	readonly photo: string;
	readonly width: number;
	readonly height: number;
	readonly pieces: readonly {
		readonly line: number;
		/** Where its foot stands, and how wide a millimetre is there, as a share of the photo's width. */
		readonly x: number;
		readonly y: number;
		readonly mm: number;
		readonly turned: boolean;
	}[];
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
	/** The heading it stands under, and a note under it. */
	readonly heading?: string | undefined;
	readonly note?: string | undefined;
	/** How tall it stands, mm; nothing where it is no piece. */
	readonly tall?: number | undefined;
	/** Its own rate of tax, per cent; nothing is the quote's. */
	readonly tax?: string | undefined;
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
	/** Each level, and each choice, as it looked to the owner. */
	readonly glance?: readonly Glance[] | undefined;
}

/** A level, or a choice on top of one, at a glance: minor units, per cent, hours. */
export interface Glance {
	readonly name: string;
	readonly total: number;
	readonly margin: number | null;
	readonly hours: number;
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

/** What was said with something that happened to a quote. */
export interface EventSaid {
	/** A question, an answer, a reason. */
	readonly text?: string | undefined;
	/** Who said yes. */
	readonly name?: string | undefined;
	/** What the client said yes to, and what that comes to, minor units. */
	readonly total?: number | undefined;
	readonly choice?: ClientChoice | undefined;
	/** What it was before it began to be written anew. */
	readonly was?: QuoteState | undefined;
}
