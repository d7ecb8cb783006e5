import { join, nothing, plus, type Amount } from '../cost/amount.ts';
import type { Sun } from '../gas/heat.ts';
import { add, allocate, money, subtract, zero, type Money } from '../money/money.ts';
import { price, type Price } from '../pricing/price.ts';
import type { Discount, PriceTerms } from '../pricing/terms.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { tally, type Tally, type TallyContext } from '../tally/tally.ts';
import type { RationalText } from '../units/rational.ts';

export const QUOTE_STATES = ['draft', 'sent', 'accepted', 'declined', 'lapsed'] as const;
export type QuoteState = (typeof QUOTE_STATES)[number];

/** What a quote says beside its lines. */
export interface QuoteTerms {
	readonly occasion: string;
	readonly venue: string;
	readonly setting: 'indoor' | 'outdoor';
	readonly deliveryMinor: number;
	/** What the delivery costs the studio; null is unknown. */
	readonly deliveryCostMinor: number | null;
	readonly method: 'margin' | 'markup';
	readonly margin: RationalText;
	readonly markup: RationalText;
	readonly rush: RationalText;
	readonly discount: Discount | null;
	readonly tax: RationalText;
	readonly deposit: RationalText;
	readonly validDays: number;
	readonly note: string;
	/** The day at the venue; quotes from before it was asked say nothing. */
	readonly climate?: QuoteClimate | null | undefined;
}

/** The weather a quote reckons with: what balloons sized at the studio become there. */
export interface QuoteClimate {
	/** Air at the studio and at the venue, K. */
	readonly here: number;
	readonly there: number;
	readonly sun: Sun;
	/** Venue over the sea, m. */
	readonly height: number;
}

/** A line with the recipe it reads. */
export interface QuoteItem {
	readonly id: string;
	readonly recipe: Recipe;
	readonly colourway: string | null;
	/** A size option; none is as it stands. */
	readonly size?: string | null;
	readonly quantity: number;
}

export interface QuotedLine {
	readonly item: QuoteItem;
	readonly tally: Tally;
	/** All of them together. */
	readonly cost: Amount;
	/** What the client sees beside the line: the parts sum to the stated total. */
	readonly shown: Money;
}

export interface PricedQuote {
	readonly lines: readonly QuotedLine[];
	readonly delivery: Money;
	readonly cost: Amount;
	readonly price: Price;
	/** Taken off, as a positive amount. */
	readonly discount: Money;
	/** Lines and delivery before the discount; what the client's lines sum to. */
	readonly subtotal: Money;
}

/** The workspace's terms with the quote's over them. */
export function quoteTerms(base: PriceTerms, terms: QuoteTerms): PriceTerms {
	const { method, margin, markup, rush, discount, deposit } = terms;
	return {
		...base,
		method,
		margin,
		markup,
		rush,
		discount,
		deposit,
		tax: { ...base.tax, percent: terms.tax }
	};
}

/**
 * Prices a whole quote: every line's cost, one price for all by the quote's method, then the steps of a price.
 * Rush, price point and minimum are shared among the lines by largest remainder, so that what the client
 * reads sums to the cent; delivery stands as charged and the discount on a line of its own.
 */
export function priceQuote(
	items: readonly QuoteItem[],
	terms: QuoteTerms,
	context: TallyContext
): PricedQuote {
	const { currency, price: base } = context.rates;
	const lines = items.map((item) => {
		const counted = tally(item.recipe, item.colourway, item.quantity, context, item.size ?? null);
		return { item, tally: counted, cost: counted.cost.total };
	});
	const goods = lines.reduce((a, l) => join(a, l.cost), nothing(currency));
	const charge = money(terms.deliveryMinor, currency);
	const deliveryCost =
		terms.deliveryCostMinor === null ? undefined : money(terms.deliveryCostMinor, currency);
	const cost = plus(goods, deliveryCost, 'delivery');
	const priced = price(goods.known, quoteTerms(base, terms), {
		charge,
		cost: deliveryCost ?? zero(currency)
	});
	if (priced.status === 'refused') {
		const none = zero(currency);
		return {
			lines: lines.map((l) => ({ ...l, shown: none })),
			delivery: charge,
			cost,
			price: priced,
			discount: none,
			subtotal: none
		};
	}
	const discounted = priced.steps.find((s) => s.id === 'discount')?.change ?? zero(currency);
	const discount = money(-discounted.minor, currency);
	const net = terms.tax !== '0' && base.tax.inclusive ? priced.total : priced.net;
	const subtotal = add(net, discount);
	// Delivery stands as charged; the lines take what rush, price point and minimum change.
	const delivery = subtotal.minor >= charge.minor ? charge : subtotal;
	const weights = lines.map((l) => l.cost.known.minor);
	const rest = subtract(subtotal, delivery);
	const parts = weights.some((w) => w > 0) ? allocate(rest, weights) : lines.map(() => zero(currency));
	return {
		lines: lines.map((l, i) => ({ ...l, shown: parts[i]! })),
		delivery,
		cost,
		price: priced,
		discount,
		subtotal
	};
}
