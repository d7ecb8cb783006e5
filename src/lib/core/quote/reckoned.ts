import { jobCost, type JobCost } from '../cost/job-cost.ts';
import type { Rates } from '../cost/rates.ts';
import { AS_USUAL, jobOf } from '../labour/job.ts';
import { add, money, rounded, zero, type Money } from '../money/money.ts';
import { feeShare, fixedFees } from '../pricing/price.ts';
import { tallyOrder, type TalliedOrder } from '../tally/order.ts';
import type { TallyContext } from '../tally/tally.ts';
import { contextOn, costOfTyped, quoteTerms, type QuoteItem, type QuoteTerms } from './quote.ts';

/** A job as it was reckoned, at today's prices and wages. */
export interface ReckonedJob {
	readonly made: TalliedOrder;
	readonly around: JobCost;
	/** Lines that are no design: what is known of their cost. */
	readonly besides: Money;
	readonly rates: Rates;
	/** What payments take of the price. */
	readonly fees: Money;
}

/**
 * What a job costs for what was chosen of its quote, by the people its terms name.
 * @param items the designs on it @param typed its lines that are no design @param net what is charged, before tax
 */
export function reckonedJob(
	items: readonly QuoteItem[],
	typed: NonNullable<QuoteTerms['typed']>,
	{ terms, net }: { readonly terms: QuoteTerms; readonly net: Money },
	context: TallyContext
): ReckonedJob {
	const own = contextOn(terms, context);
	const { rates } = own;
	const around = jobCost(jobOf(terms.job ?? AS_USUAL, rates.jobs), rates);
	const price = quoteTerms(rates.price, terms);
	const fees = feeShare(price.fee, price.tax).mul(net.minor).add(fixedFees(price));
	// What the road was said to cost takes the place of what it is reckoned at.
	const said = terms.deliveryCostMinor;
	const road = said === null ? zero(rates.currency) : money(said - around.road.minor, rates.currency);
	return {
		made: tallyOrder(items, own, around.job.template.leftAs),
		around,
		besides: typed.reduce((a, line) => add(a, costOfTyped(line, own).known), road),
		rates,
		fees: rounded(fees, rates.currency)
	};
}
