import type { PriceMethod } from '../pricing/methods.ts';
import { join, nothing, plus, type Amount } from '../cost/amount.ts';
import type { Sun } from '../gas/heat.ts';
import { add, money, zero, type Money } from '../money/money.ts';
import { priceOrder, type Price } from '../pricing/price.ts';
import { wayOf, type Discount, type PriceTerms, type Way } from '../pricing/terms.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { tallyOrder } from '../tally/order.ts';
import { tally, type Tally, type TallyContext } from '../tally/tally.ts';
import type { RationalText } from '../units/rational.ts';

/** What a quote says beside its lines. */
export interface QuoteTerms {
	readonly occasion: string;
	readonly venue: string;
	readonly setting: 'indoor' | 'outdoor';
	/** Charged for delivery as it is said; null is priced by the quote's way from what it costs. */
	readonly deliveryMinor: number | null;
	/** What the delivery costs the studio; null is unknown. */
	readonly deliveryCostMinor: number | null;
	readonly method: PriceMethod;
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
	/** How this line is priced; none is as its design says. */
	readonly way?: LineWay | null;
}

/** Lines of a quote with the recipes they read; one whose recipe is not there is left out. */
export const quoteItems = (
	lines: readonly (Pick<QuoteItem, 'id' | 'quantity' | 'way'> & {
		readonly versionId: string;
		readonly colourwayId: string | null;
		readonly sizeId: string | null;
	})[],
	recipeOf: (versionId: string) => Recipe | undefined
): QuoteItem[] =>
	lines.flatMap(({ id, versionId, colourwayId: colourway, sizeId: size, quantity, way }) => {
		const recipe = recipeOf(versionId);
		return recipe ? [{ id, recipe, colourway, size, quantity, way }] : [];
	});

/** A way said for one line: that of the quote though its design has one of its own, or one for this line only. */
export type LineWay = 'quote' | Way;

/** Where the way of a line comes from, for the tape. */
export type WayFrom = 'quote' | 'design' | 'line';

export interface QuotedLine {
	readonly item: QuoteItem;
	readonly tally: Tally;
	/** What all of them take of the cost of the whole quote. */
	readonly cost: Amount;
	readonly way: Way;
	readonly from: WayFrom;
	/** Straight from its way of pricing, before the steps of the price. */
	readonly base: Money;
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

/** How a line is priced: as said for it, else as its design says, else as the quote. */
export function wayOfLine({ way, recipe }: QuoteItem, terms: PriceTerms): { way: Way; from: WayFrom } {
	if (way && way !== 'quote') return { way, from: 'line' };
	if (recipe.pricing && way !== 'quote') return { way: recipe.pricing, from: 'design' };
	return { way: wayOf(terms), from: 'quote' };
}

/**
 * Prices a whole quote: what all its lines cost together, a price for each by its own way, then the steps of a price.
 * Rush, price point and minimum are shared among the lines by largest remainder, so that what the client reads sums
 * to the cent; delivery stands for itself and the discount on a line of its own.
 */
export function priceQuote(
	items: readonly QuoteItem[],
	terms: QuoteTerms,
	context: TallyContext
): PricedQuote {
	const { currency, price: base } = context.rates;
	const none = zero(currency);
	const order = tallyOrder(items, context);
	const priceTerms = quoteTerms(base, terms);
	const lines = items.map((item, i) => ({
		item,
		tally: tally(item.recipe, item.colourway, item.quantity, context, item.size ?? null),
		cost: order.items[i]!,
		...wayOfLine(item, priceTerms)
	}));
	const deliveryCost =
		terms.deliveryCostMinor === null ? undefined : money(terms.deliveryCostMinor, currency);
	const delivery = {
		charge: terms.deliveryMinor === null ? null : money(terms.deliveryMinor, currency),
		cost: plus(nothing(currency), deliveryCost, 'delivery'),
		way: wayOf(priceTerms)
	};
	const cost = join(order.cost.total, delivery.cost);
	const price = priceOrder({ lines, delivery }, priceTerms);
	if (price.status === 'refused')
		return {
			lines: lines.map((l) => ({ ...l, base: none, shown: none })),
			delivery: delivery.charge ?? none,
			cost,
			price,
			discount: none,
			subtotal: none
		};
	return {
		lines: lines.map((l, i) => ({ ...l, base: price.lines[i]!.base, shown: price.lines[i]!.shown })),
		delivery: price.delivery,
		cost,
		price,
		discount: price.discount,
		subtotal: add(price.said, price.discount)
	};
}
