import { add, money, rounded, subtract, zero, type Money } from '../money/money.ts';
import { halfAwayFromZero } from '../money/half-away-from-zero.ts';
import { rational, type Rational } from '../units/rational.ts';
import type { PaymentFee, PricePoint, PriceTerms } from './terms.ts';

/** Why no price can be worked out. */
export type PriceRefusal = 'margin-too-high' | 'margin-negative' | 'markup-too-low';

/** One step of a price, in the order of the tape. */
export interface PriceStep {
	readonly id: 'rush' | 'weekend' | 'volume' | 'discount' | 'price point' | 'minimum order';
	readonly change: Money;
	/** Price after the step, before tax. */
	readonly price: Money;
	/** Margin after the step, per cent; undefined at a price of 0. */
	readonly margin: number | undefined;
}

export interface Priced {
	readonly status: 'priced';
	/** Straight from the method, before any step. */
	readonly base: Money;
	readonly steps: readonly PriceStep[];
	/** Before tax (with an inclusive tax: the part that is not tax). */
	readonly net: Money;
	readonly fees: Money;
	/** Net − cost − fees. */
	readonly profit: Money;
	/** Profit over net, per cent, after discount and before tax; undefined at a price of 0. */
	readonly margin: number | undefined;
	/** (Net − cost) over cost, per cent; undefined at a cost of 0. */
	readonly markup: number | undefined;
	readonly tax: Money;
	/** What the client pays. */
	readonly total: Money;
	readonly deposit: Money;
}

export type Price = Priced | { readonly status: 'refused'; readonly why: PriceRefusal };

const HUNDRED = rational(100);
const share = (percent: string): Rational => rational(percent).div(HUNDRED);

/** The share of the net price that fees take: rate × (1 + tax) where they are charged on the gross. */
function feeShare({ percent, onTax }: PaymentFee, tax: PriceTerms['tax']): Rational {
	return onTax ? share(percent).mul(share(tax.percent).add(1)) : share(percent);
}

/**
 * Price by target margin: P = (C + fixed · payments) / (1 − m − f).
 * @returns undefined where 1 − m − f is not above 0: no price reaches that margin
 */
export function priceByMargin(
	cost: Rational,
	margin: Rational,
	fee: { share: Rational; fixed: Rational }
): Rational | undefined {
	const left = rational(1).sub(margin).sub(fee.share);
	return left.compare(0) > 0 ? cost.add(fee.fixed).div(left) : undefined;
}

/** Price by markup: P = C (1 + k). */
export const priceByMarkup = (cost: Rational, markup: Rational): Rational => cost.mul(markup.add(1));

/** A price moved to its price point, in minor units. */
export function toPricePoint(minor: number, point: PricePoint | null): number {
	if (!point || point.step <= 0) return minor;
	const steps = minor / point.step;
	return (point.mode === 'up' ? Math.ceil(steps) : Math.round(steps)) * point.step;
}

/**
 * The whole way from a cost to what the client pays, in the trade's order:
 * lines → rush, weekend → volume → discount → price point → minimum order → tax → deposit.
 *
 * @param cost of the goods and the delivery together; excludes fees
 * @param extra charged beside what the method prices (a delivery charge), not discounted away from cost
 */
export function price(cost: Money, terms: PriceTerms, extra: { charge: Money; cost: Money }): Price {
	const { currency } = cost;
	const f = feeShare(terms.fee, terms.tax);
	const fixed = rational(terms.fee.fixedMinor).mul(terms.fee.payments);
	const goods = basePrice(cost, terms, { share: f, fixed });
	if (typeof goods === 'string') return { status: 'refused', why: goods };
	const rate = share(terms.tax.percent);
	// With an inclusive tax every price from here on is what the client pays, and the net is taken out of it.
	const base = add(rounded(terms.tax.inclusive ? goods.mul(rate.add(1)) : goods, currency), extra.charge);
	const whole = add(cost, extra.cost);
	const netOf = (shown: Money) =>
		terms.tax.inclusive ? rounded(rational(shown.minor).div(rate.add(1)), currency) : shown;
	const feesOn = (net: Money) =>
		net.minor === 0 ? zero(currency) : rounded(f.mul(net.minor).add(fixed), currency);
	const marginOf = (shown: Money) => {
		const net = netOf(shown);
		return net.minor === 0 ? undefined : (100 * (net.minor - whole.minor - feesOn(net).minor)) / net.minor;
	};
	const steps: PriceStep[] = [];
	let now = base;
	const step = (id: PriceStep['id'], next: number) => {
		if (next === now.minor) return;
		const change = subtract(money(next, currency), now);
		now = money(next, currency);
		steps.push({ id, change, price: now, margin: marginOf(now) });
	};
	const raised = (percent: string) => halfAwayFromZero(share(percent).add(1).mul(now.minor));
	step('rush', raised(terms.rush));
	step('weekend', raised(terms.weekend));
	step('volume', halfAwayFromZero(rational(1).sub(share(terms.volume)).mul(now.minor)));
	step('discount', Math.max(0, now.minor - discountOf(now, terms)));
	step('price point', toPricePoint(now.minor, terms.pricePoint));
	step('minimum order', now.minor === 0 ? 0 : Math.max(now.minor, terms.minimumMinor));
	const net = netOf(now);
	const gross = terms.tax.inclusive ? now : rounded(rate.add(1).mul(now.minor), currency);
	const fees = feesOn(net);
	return {
		status: 'priced',
		base,
		steps,
		net,
		fees,
		profit: subtract(subtract(net, whole), fees),
		margin: marginOf(now),
		markup: whole.minor === 0 ? undefined : (100 * (net.minor - whole.minor)) / whole.minor,
		tax: subtract(gross, net),
		total: gross,
		deposit: rounded(share(terms.deposit).mul(gross.minor), currency)
	};
}

function basePrice(
	cost: Money,
	terms: PriceTerms,
	fee: { share: Rational; fixed: Rational }
): Rational | PriceRefusal {
	if (terms.method === 'markup') {
		const markup = share(terms.markup);
		return markup.compare(-1) < 0 ? 'markup-too-low' : priceByMarkup(rational(cost.minor), markup);
	}
	if (cost.minor === 0) return rational(0);
	return priceByMargin(rational(cost.minor), share(terms.margin), fee) ?? 'margin-too-high';
}

function discountOf(now: Money, { discount }: PriceTerms): number {
	if (!discount) return 0;
	return discount.kind === 'amount'
		? discount.minor
		: halfAwayFromZero(share(discount.percent).mul(now.minor));
}
