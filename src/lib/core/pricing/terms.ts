import type { CardClass, CardRate } from './basis.ts';
import type { OrderFacts, PriceRule } from './rules.ts';
import type { LineMethod, MethodTerms, PriceMethod } from './methods.ts';
import type { RationalText } from '../units/rational.ts';

/** A tidy price: the next multiple up, or the nearest. Minor units. */
export interface PricePoint {
	readonly step: number;
	readonly mode: 'up' | 'nearest';
}

/** What the payment company takes: a rate of the gross (with tax where it is charged on that), and so much a payment. */
export interface PaymentFee {
	readonly percent: RationalText;
	readonly onTax: boolean;
	readonly fixedMinor: number;
	/** Payments of an order without a deposit; one with a deposit takes two at least. */
	readonly payments: number;
}

/** How a piece is priced: the method, and its one figure. */
export interface Way {
	readonly method: LineMethod;
	/** The figure of its method: per cent, so many times, or minor units where it is money. */
	readonly percent: RationalText;
}

export type Discount =
	| { readonly kind: 'percent'; readonly percent: RationalText }
	| { readonly kind: 'amount'; readonly minor: number };

/** How a price comes from a cost. Percentages are per cent as rationals; margin and markup are never mixed up. */
export interface PriceTerms {
	readonly method: PriceMethod;
	/** Target margin, (price − cost) / price, under 100. */
	readonly margin: RationalText;
	/** Markup, (price − cost) / cost. */
	readonly markup: RationalText;
	/** Times materials. */
	readonly factor: RationalText;
	/** Per cent of the rate card. */
	readonly card: RationalText;
	/** What an hour of the owner's own shall earn, minor units. */
	readonly wage: RationalText;
	/** What an hour is charged at by factor, minor units. */
	readonly chargePerHour: number;
	readonly cardRates: readonly CardRate[];
	/** Ways of certain classes of pieces, at the studio’s own figures; the others by its usual one. */
	readonly byClass?: Readonly<Partial<Record<CardClass, PriceMethod>>> | undefined;
	readonly fee: PaymentFee;
	/** Whether a price by markup has the payment fees added on top; by margin they are always in it. */
	readonly feeOnTop: boolean;
	readonly rush: RationalText;
	readonly weekend: RationalText;
	/** Volume and client rules together, per cent off. */
	readonly volume: RationalText;
	/** Rules of an order, and what they are told by. */
	readonly rules: readonly PriceRule[];
	readonly facts?: OrderFacts | undefined;
	readonly discount: Discount | null;
	readonly pricePoint: PricePoint | null;
	readonly minimumMinor: number;
	readonly tax: { readonly percent: RationalText; readonly inclusive: boolean };
	readonly deposit: RationalText;
}

/** The way the terms themselves price. */
export const wayOf = (terms: PriceTerms): Way => ({ method: terms.method, percent: terms[terms.method] });

/** Terms of a piece by itself: what belongs to an order (rush, weekend, volume, discount, minimum) is not in its price. */
export const pieceTerms = (terms: PriceTerms): PriceTerms => ({
	...terms,
	rush: '0',
	weekend: '0',
	volume: '0',
	rules: [],
	discount: null,
	minimumMinor: 0
});

/** What the methods read of the terms. */
export const methodTerms = ({ feeOnTop, chargePerHour, cardRates }: PriceTerms): MethodTerms => ({
	feeOnTop,
	chargePerHour,
	card: cardRates
});

/** What a studio begins with besides margin and markup: three times materials and 45.00 an hour, the card as it stands, 30.00 an hour of her own. From memory. */
export const STARTING_FIGURES = {
	factor: '3',
	card: '100',
	wage: '3000',
	chargePerHour: 4500,
	rules: [] as readonly PriceRule[],
	cardRates: [
		{ kind: 'column', by: 'foot', minor: 2500 },
		{ kind: 'garland', by: 'foot', minor: 1800 },
		{ kind: 'panel', by: 'foot', minor: 3000 },
		{ kind: 'bunch', by: 'balloon', minor: 500 },
		{ kind: 'other', by: 'piece', minor: 4000 }
	] as readonly CardRate[]
} as const;

/** The way of a class of pieces, where it has one of its own. */
export function wayOfClass(
	terms: PriceTerms,
	of: CardClass
): (Way & { readonly method: PriceMethod }) | undefined {
	const method = terms.byClass?.[of];
	return method && { method, percent: terms[method] };
}
