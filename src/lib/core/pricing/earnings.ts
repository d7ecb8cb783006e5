import { rounded, money, type Money } from '../money/money.ts';
import { ONE, rational, sum } from '../units/rational.ts';
import type { Basis } from './basis.ts';
import { feeShare, fixedFees, type Priced } from './price.ts';
import type { PriceTerms } from './terms.ts';

/** All the work behind a price, and what a piece is told by. */
export interface Effort {
	/** Hours of everybody, and of the owner's own. */
	readonly hours: number;
	readonly ownHours: number;
	/** What is paid for them in the cost, minor units. */
	readonly labour: number;
	readonly ownCost: number;
	readonly overhead: number;
	readonly feet: number;
	readonly balloons: number;
}

/** @param bases of the lines, the road and the rest of a job @param labour minor units @param overhead minor units */
export const effortOf = (bases: readonly Basis[], labour: number, overhead: number): Effort => {
	const of = (read: (b: Basis) => Basis['hours']) => sum(bases.map(read)).valueOf();
	return {
		hours: of((b) => b.hours),
		ownHours: of((b) => b.ownHours),
		labour,
		ownCost: of((b) => b.ownCost),
		overhead,
		feet: bases.reduce((a, b) => a + b.feet, 0),
		balloons: bases.reduce((a, b) => a + b.balloons, 0)
	};
};

/** What a price comes to for who does the work. Money in minor units; undefined where there is nothing to divide by. */
export interface Earnings {
	/** What is left for an hour of the owner's own: profit and what her hours are reckoned at, over those hours. */
	readonly ownHour: number | undefined;
	/** Net price at which nothing is left and nothing is lost: (C + fixed fees) / (1 − f). */
	readonly breakEven: Money;
	/** What the order brings towards wages and overhead: net − fees − all that is not paid for hours. Job costing. */
	readonly contribution: Money;
	readonly contributionPerHour: number | undefined;
	readonly perFoot: number | undefined;
	readonly perBalloon: number | undefined;
}

/** @param cost all that is known, minor units */
export function earningsOf(price: Priced, effort: Effort, cost: number, terms: PriceTerms): Earnings {
	const { currency } = price.net;
	const over = (value: number, by: number) => (by > 0 ? value / by : undefined);
	const left = ONE.sub(feeShare(terms.fee, terms.tax));
	const contribution = price.profit.minor + effort.labour + effort.overhead;
	return {
		ownHour: over(price.profit.minor + effort.ownCost, effort.ownHours),
		breakEven:
			left.compare(0) > 0 && cost > 0
				? rounded(rational(cost).add(fixedFees(terms)).div(left), currency)
				: money(0, currency),
		contribution: money(Math.round(contribution), currency),
		contributionPerHour: over(contribution, effort.hours),
		perFoot: over(price.net.minor, effort.feet),
		perBalloon: over(price.net.minor, effort.balloons)
	};
}
