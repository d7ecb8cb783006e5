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
	readonly payments: number;
}

export type Discount =
	| { readonly kind: 'percent'; readonly percent: RationalText }
	| { readonly kind: 'amount'; readonly minor: number };

/** How a price comes from a cost. Percentages are per cent as rationals; margin and markup are never mixed up. */
export interface PriceTerms {
	readonly method: 'margin' | 'markup';
	/** Target margin, (price − cost) / price, under 100. */
	readonly margin: RationalText;
	/** Markup, (price − cost) / cost. */
	readonly markup: RationalText;
	readonly fee: PaymentFee;
	readonly rush: RationalText;
	readonly weekend: RationalText;
	/** Volume and client rules together, per cent off. */
	readonly volume: RationalText;
	readonly discount: Discount | null;
	readonly pricePoint: PricePoint | null;
	readonly minimumMinor: number;
	readonly tax: { readonly percent: RationalText; readonly inclusive: boolean };
	readonly deposit: RationalText;
}
