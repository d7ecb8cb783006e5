import { earningsOf, type Earnings, type Effort } from './earnings.ts';
import { PRICE_METHODS, type PriceMethod, type PriceRefusal } from './methods.ts';
import { priceOrder, type Order, type Price, type Priced } from './price.ts';
import type { PriceTerms, Way } from './terms.ts';

/** One way of pricing an order whole, beside the others. */
export interface WayBeside {
	readonly method: PriceMethod;
	readonly way: Way;
	readonly price: Priced | null;
	readonly refused: PriceRefusal | null;
	readonly earnings: Earnings | null;
	/** What it says more than the price in hand, minor units; undefined where one of them has none. */
	readonly away: number | undefined;
}

/**
 * An order priced by each way, everything on it by the same; what is typed stays typed in the price in hand alone.
 * @param inHand the price the others are compared with
 */
export function waysBeside(order: Order, terms: PriceTerms, effort: Effort, inHand: Price): WayBeside[] {
	const all = [
		...order.lines,
		...(order.job ? [order.job] : []),
		...(order.delivery ? [order.delivery] : [])
	];
	const cost = all.reduce((a, l) => a + l.cost.known.minor, 0);
	return PRICE_METHODS.map((method): WayBeside => {
		const way = { method, percent: terms[method] };
		const by = <L extends { readonly way: Way }>(line: L): L => ({ ...line, way });
		const price = priceOrder(
			{
				lines: order.lines.map(by),
				delivery: order.delivery && by(order.delivery),
				job: order.job ? by(order.job) : null
			},
			terms
		);
		if (price.status === 'refused')
			return { method, way, price: null, refused: price.why, earnings: null, away: undefined };
		return {
			method,
			way,
			price,
			refused: null,
			earnings: earningsOf(price, effort, cost, terms),
			away: inHand.status === 'priced' ? price.said.minor - inHand.said.minor : undefined
		};
	});
}
