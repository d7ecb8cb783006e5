import { add, allocate, money, rounded, subtract, total, zero, type Money } from '../money/money.ts';
import { halfAwayFromZero } from '../money/half-away-from-zero.ts';
import type { Amount } from '../cost/amount.ts';
import { rational, sum, ZERO, type Rational, type RationalText } from '../units/rational.ts';
import { METHODS, type Fee, type PriceRefusal } from './methods.ts';
import { costAlone, type Basis } from './basis.ts';
import { NO_FACTS, RULES, rulesFor } from './rules.ts';
import { taxesOf, type TaxPart } from './taxes.ts';
import { methodTerms, wayOf, type PaymentFee, type PricePoint, type PriceTerms, type Way } from './terms.ts';

/** One step of a price, in the order of the tape. */
export interface PriceStep {
	/** As it stands on the tape: `rush`, `discount`, `short notice, 7 days or less`. */
	readonly id: string;
	readonly change: Money;
	/** Price of the pieces after the step, as it is said. */
	readonly price: Money;
	/** What the whole order leaves after cost and payment fees, would it end here. */
	readonly left: Money;
	/** That over the net price, per cent; undefined at a price of 0. */
	readonly margin: number | undefined;
}

/** A line of an order as it is priced. Amounts are as they are said: with tax where prices include it. */
export interface PricedLine {
	readonly way: Way;
	/** Straight from its way of pricing. */
	readonly base: Money;
	/** What the client reads: rush, weekend, volume, price point and minimum are in it, a discount never. */
	readonly shown: Money;
}

/**
 * The price of an order. What the client reads adds up: the lines' `shown` + `delivery` − `discount` = `said`,
 * and `said` (+ `tax` where it comes on top) = `total`.
 */
export interface Priced {
	readonly status: 'priced';
	readonly lines: readonly PricedLine[];
	/** What stands for the work around the job, straight from its way. */
	readonly job: Money;
	/** The lines and the job straight from their ways, before any step. */
	readonly base: Money;
	readonly steps: readonly PriceStep[];
	/** The pieces after all steps. */
	readonly pieces: Money;
	/** Charged for delivery; no step changes it. */
	readonly delivery: Money;
	/** What the client reads as taken off, 0 or more. */
	readonly discount: Money;
	/** The price as it is said: what the client pays where prices include tax, before tax where it comes on top. */
	readonly said: Money;
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
	/** The tax by its rates; one where every line stands under the usual one. */
	readonly taxes: readonly TaxPart[];
	/** What the client pays. */
	readonly total: Money;
	readonly deposit: Money;
	/** Names of the costs nobody knows: the price is at least this, the margin at most. */
	readonly missing: readonly string[];
}

export type Price = Priced | { readonly status: 'refused'; readonly why: PriceRefusal };

/** What is priced together: lines each by its own way, and a delivery. */
export interface Order {
	/** A line whose basis is not said is priced by its cost alone. */
	readonly lines: readonly {
		readonly cost: Amount;
		readonly way: Way;
		readonly basis?: Basis;
		/** Its own rate of tax, per cent; none is that of the terms. */
		readonly tax?: RationalText | undefined;
	}[];
	readonly delivery: {
		/** As it was said, in prices as they are said; null is priced by its way from what it costs. */
		readonly charge: Money | null;
		readonly cost: Amount;
		readonly way: Way;
		readonly basis?: Basis;
	} | null;
	/** What the job costs around its pieces, besides the road: priced with them, and read in their lines. */
	readonly job?: { readonly cost: Amount; readonly way: Way; readonly basis?: Basis } | null;
}

const HUNDRED = rational(100);
const share = (percent: string): Rational => rational(percent).div(HUNDRED);

/** The share of the net price that fees take: rate × (1 + tax) where they are charged on the gross. */
export function feeShare({ percent, onTax }: PaymentFee, tax: Pick<PriceTerms['tax'], 'percent'>): Rational {
	return onTax ? share(percent).mul(share(tax.percent).add(1)) : share(percent);
}

/** Payments an order makes: a deposit that is not all of it makes two. */
export function paymentsOf({ fee, deposit }: Pick<PriceTerms, 'fee' | 'deposit'>): number {
	const part = rational(deposit);
	return part.compare(0) > 0 && part.compare(100) < 0 ? Math.max(2, fee.payments) : fee.payments;
}

/** What the payment company takes besides its share, for all payments of an order. Minor units. */
export const fixedFees = (terms: Pick<PriceTerms, 'fee' | 'deposit'>): Rational =>
	rational(terms.fee.fixedMinor).mul(paymentsOf(terms));

/** A price moved to its price point, in minor units. */
export function toPricePoint(minor: number, point: PricePoint | null): number {
	if (!point || point.step <= 0) return minor;
	const steps = minor / point.step;
	return (point.mode === 'up' ? Math.ceil(steps) : Math.round(steps)) * point.step;
}

/**
 * The whole way from costs to what the client pays, in the trade's order:
 * lines → rush, weekend, rules that make it more → volume, rules that make it less → discount → price point → minimum order → tax → deposit.
 *
 * The steps are about the pieces. A delivery stands as charged, or is priced by its way from what it costs; rush,
 * discount and minimum leave it alone. What the job takes around its pieces is priced by its way and read in their lines. Fixed payment fees, and the fees on a delivery charged as said, are an order's:
 * the lines recover them by their cost. Of pieces priced by margin m and a delivery charged at D that costs E, the
 * order leaves m · pieces + (D − E). A discount changes no line: the client reads the lines as they are without it.
 */
export function priceOrder({ lines, delivery, job = null }: Order, terms: PriceTerms): Price {
	const currency = lines[0]?.cost.known.currency ?? delivery?.cost.known.currency ?? 'USD';
	const { inclusive, percent: usual } = terms.tax;
	const rate = share(usual);
	const say = (net: Rational, i: number): Money =>
		rounded(inclusive ? net.mul(share(lines[i]?.tax ?? usual).add(1)) : net, currency);
	const netOf = (said: Money): Money =>
		inclusive ? rounded(rational(said.minor).div(rate.add(1)), currency) : said;

	const charged = delivery?.charge ?? null;
	const f = feeShare(terms.fee, terms.tax);
	const fixed = fixedFees(terms);
	const onCharge = charged ? f.mul(netOf(charged).minor) : ZERO;
	const byWay = [...lines, ...(job ? [job] : []), ...(delivery && !charged ? [delivery] : [])];
	const bases = basePrices(byWay, terms, fixed.add(onCharge));
	// Where every price is typed, the work around them is in it.
	if (job && typeof bases !== 'string' && lines.every((l) => l.way.method === 'typed'))
		bases[lines.length] = ZERO;
	if (typeof bases === 'string') return { status: 'refused', why: bases };

	const said = bases.map(say);
	// A delivery that was worked out goes to a tidy price as well; one that was said stays as said.
	const carried =
		charged ??
		(delivery ? money(toPricePoint(said.pop()!.minor, terms.pricePoint), currency) : zero(currency));
	const base = total(currency, said);
	const all = [...lines, ...(job ? [job] : []), ...(delivery ? [delivery] : [])];
	const known = all.map((l) => l.cost.known);
	const cost = total(currency, known);
	/** Of what the pieces come to, the tax by its rates, fees and what is left. */
	const worth = ({ minor }: Money, parts: readonly Money[], off = 0) => {
		const taxed = taxesOf(
			{
				lines: parts.map((part, i) => ({ minor: part.minor, percent: lines[i]!.tax })),
				delivery: parts.reduce((a, part) => a - part.minor, carried.minor + minor + off),
				discount: off
			},
			terms.tax,
			currency
		);
		const { net } = taxed;
		const shares = taxed.parts.map((p) => feeShare(terms.fee, p).mul(p.net.minor));
		const fees = net.minor === 0 ? zero(currency) : rounded(sum(shares).add(fixed), currency);
		const left = subtract(subtract(net, cost), fees);
		return { ...taxed, fees, left, margin: net.minor === 0 ? undefined : (100 * left.minor) / net.minor };
	};

	// A typed price is what the client reads: no step but the minimum changes it.
	const typed = lines.map(({ way: own }) => own.method === 'typed');
	const held = said.reduce((a, m, i) => (typed[i] ? a + m.minor : a), 0);
	const stepsOf = (own: PriceTerms) =>
		pieceSteps(base.minor - held, {
			...own,
			minimumMinor: Math.max(0, own.minimumMinor - held)
		}).map((step) => ({ ...step, from: step.from + held, to: step.to + held }));
	const own = said.slice(0, lines.length);
	const taken = stepsOf(terms);
	const pieces = money(taken.at(-1)?.to ?? base.minor, currency);
	const undiscounted = money(stepsOf({ ...terms, discount: null }).at(-1)?.to ?? base.minor, currency);
	const parts = shareOut(undiscounted, own, typed);
	const discount = subtract(undiscounted, pieces);
	const done = worth(pieces, parts, discount.minor);
	const steps = taken.map(({ id, from, to }, i): PriceStep => {
		const price = money(to, currency);
		const { left, margin } = i === taken.length - 1 ? done : worth(price, shareOut(price, own, typed));
		return { id, change: money(to - from, currency), price, left, margin };
	});
	const whole = add(pieces, carried);
	const { net, total: gross } = done;
	return {
		status: 'priced',
		lines: lines.map(({ way }, i) => ({ way, base: said[i]!, shown: parts[i]! })),
		job: said[lines.length] ?? zero(currency),
		base,
		steps,
		pieces,
		delivery: carried,
		discount,
		said: whole,
		net,
		fees: done.fees,
		profit: done.left,
		margin: done.margin,
		markup: cost.minor === 0 ? undefined : (100 * (net.minor - cost.minor)) / cost.minor,
		tax: done.tax,
		taxes: done.parts,
		total: gross,
		deposit: rounded(share(terms.deposit).mul(gross.minor), currency),
		missing: [...new Set(all.flatMap((l) => l.cost.unknown))]
	};
}

/** What the lines read of a sum: a typed price as it is, the rest by their own prices; alike where none has one. */
function shareOut(sum: Money, said: readonly Money[], typed: readonly boolean[]): Money[] {
	if (said.length === 0) return [];
	const held = typed.every((t) => t) ? said.map(() => false) : typed;
	const weights = said.map((m, i) => (held[i] ? 0 : m.minor));
	const rest = said.reduce((a, m, i) => (held[i] ? subtract(a, m) : a), sum);
	const shares = allocate(rest, weights.some((w) => w > 0) ? weights : held.map((h) => (h ? 0 : 1)));
	return shares.map((own, i) => (held[i] ? said[i]! : own));
}

/** One piece or one design by itself, by the terms' own way. */
export const price = (cost: Amount, terms: PriceTerms, basis?: Basis): Price =>
	priceOrder({ lines: [{ cost, way: wayOf(terms), ...(basis && { basis }) }], delivery: null }, terms);

const times = (now: number, factor: Rational): number => halfAwayFromZero(factor.mul(now));

/** Steps of the rules that hold. */
const ruleSteps = ({ rules, facts = NO_FACTS }: PriceTerms, way: 'more' | 'less'): Step[] =>
	rulesFor(rules, facts, way).map(({ kind, when, percent }) => ({
		id: RULES[kind].say(when),
		to: (now) => times(now, way === 'more' ? share(percent).add(1) : rational(1).sub(share(percent)))
	}));

interface Step {
	readonly id: string;
	to(now: number, terms: PriceTerms): number;
}
/** What each step makes of the pieces, minor units, in their order: the order of the trade. */
const stepsIn = (terms: PriceTerms): readonly Step[] => [
	...SURCHARGES,
	...ruleSteps(terms, 'more'),
	...REDUCTIONS,
	...ruleSteps(terms, 'less'),
	...LAST
];
const SURCHARGES: readonly Step[] = [
	{ id: 'rush', to: (now, { rush }) => times(now, share(rush).add(1)) },
	{ id: 'weekend', to: (now, { weekend }) => times(now, share(weekend).add(1)) }
];
const REDUCTIONS: readonly Step[] = [
	{ id: 'volume', to: (now, { volume }) => times(now, rational(1).sub(share(volume))) }
];
const LAST: readonly Step[] = [
	{ id: 'discount', to: (now, terms) => Math.max(0, now - discountOf(now, terms)) },
	{ id: 'price point', to: (now, { pricePoint }) => toPricePoint(now, pricePoint) },
	{ id: 'minimum order', to: (now, { minimumMinor }) => Math.max(now, minimumMinor) }
];

/** Steps that change anything, each from what to what, minor units. */
function pieceSteps(base: number, terms: PriceTerms) {
	const steps: { readonly id: PriceStep['id']; readonly from: number; readonly to: number }[] = [];
	let now = base;
	let free = base === 0;
	for (const { id, to } of stepsIn(terms)) {
		// Nothing to pay for stays nothing; a price that its price point takes to 0 does not.
		if (id === 'price point') free = now === 0;
		const next = free ? now : to(now, terms);
		if (next !== now) steps.push({ id, from: now, to: next });
		now = next;
	}
	return steps;
}

function basePrices(lines: Order['lines'], terms: PriceTerms, fixed: Rational): Rational[] | PriceRefusal {
	const costs = lines.map((l) => rational(l.cost.known.minor));
	const all = sum(costs);
	const bases: Rational[] = [];
	const more = methodTerms(terms);
	for (const [i, { way, basis, tax }] of lines.entries()) {
		const cost = costs[i]!;
		const own: Fee = {
			share: feeShare(terms.fee, tax === undefined ? terms.tax : { percent: tax }),
			fixed: all.equals(0) ? ZERO : fixed.mul(cost).div(all)
		};
		const base = METHODS[way.method].price(basis ?? costAlone(cost), rational(way.percent), own, more);
		if (typeof base === 'string') return base;
		bases.push(base);
	}
	return bases;
}

function discountOf(now: number, { discount }: PriceTerms): number {
	if (!discount) return 0;
	return discount.kind === 'amount' ? discount.minor : halfAwayFromZero(share(discount.percent).mul(now));
}
