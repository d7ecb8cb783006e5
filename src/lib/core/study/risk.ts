import { randomBeta, randomBinomial, randomLogNormal, randomUniform } from 'd3-random';
import { paidOf, type Rates } from '../cost/rates.ts';
import { lossCost } from '../cost/cost.ts';
import { seeded } from '../geometry/random.ts';
import { learned, PRIOR_SPREAD } from '../labour/standards.ts';
import type { TaskGroup } from '../labour/task.ts';
import { unitCost } from '../materials/unit-cost.ts';
import type { PricedQuote } from '../quote/quote.ts';
import { rational } from '../units/rational.ts';

/** Something that may come out otherwise, as plain data: it goes to a worker. Money in minor units. */
export type Unsure =
	/** So many used, each lost by a chance; one lost costs so much. */
	| {
			readonly kind: 'loss';
			readonly of: string;
			readonly used: number;
			readonly loss: number;
			readonly each: number;
	  }
	/** A count between two ends, likeliest at its usual; one more or less of it costs so much. */
	| {
			readonly kind: 'count';
			readonly of: string;
			readonly less: number;
			readonly more: number;
			readonly each: number;
	  }
	/** Work of so much money that may take longer or shorter: log-normal, its mean as reckoned. */
	| { readonly kind: 'time'; readonly of: string; readonly cost: number; readonly spread: number };

export interface RiskModel {
	/** Profit if all comes out as reckoned, and the net price, minor units. */
	readonly profit: number;
	readonly net: number;
	/** Margin wanted, per cent. */
	readonly target: number;
	readonly unsure: readonly Unsure[];
	readonly seed: number;
	readonly trials: number;
}

/** How it may come out. */
export interface Risk {
	readonly trials: number;
	/** Chance of ending under the margin wanted, and under nothing, 0 to 1. */
	readonly under: number;
	readonly loses: number;
	/** Profit that one in ten, one in two, nine in ten end under, minor units. */
	readonly p10: number;
	readonly p50: number;
	readonly p90: number;
	readonly mean: number;
	/** What most of it hangs on: share of the variance, largest first. */
	readonly because: readonly { readonly of: string; readonly share: number }[];
}

/** Losses come in bad bags and bad days: the intra-class correlation of one job. House rule, from memory. */
const TOGETHER = 0.02;
/** Work around a job is known less well than work on pieces. House rule. */
const AROUND_SPREAD = 0.35;

const IN_WORDS: Readonly<Record<TaskGroup, string>> = {
	'inflate and size': 'minutes of inflating and sizing',
	build: 'minutes of building',
	'at the place': 'minutes at the place',
	'around the job': 'minutes around the job'
};

/** What may come out otherwise on a quote: losses, counts of estimated garlands, minutes. @param target margin wanted, per cent */
export function riskOf(
	priced: PricedQuote,
	rates: Rates,
	target: number,
	seed = 1,
	trials = 10_000
): RiskModel | null {
	const { price, made, job, crew } = priced;
	if (price.status === 'refused') return null;
	const { overhead } = rates;
	const byHour = overhead.kind === 'hour' ? overhead.minor : 0;
	const over = overhead.kind === 'percent' ? 1 + rational(overhead.percent).valueOf() / 100 : 1;
	const perSecond = ((crew.perHour.valueOf() + byHour) / 3600) * over;
	const unsure: Unsure[] = [];
	for (const line of made.bill.lines) {
		const used = Math.round(line.used.valueOf());
		const cost = lossCost(line, rates)?.valueOf() ?? 0;
		if (line.material?.kind !== 'gas' && cost > 0 && used > 0 && line.loss > 0)
			unsure.push({
				kind: 'loss',
				of: 'balloons lost',
				used,
				loss: line.loss,
				each: (cost * over) / (used * line.loss)
			});
		const piece = line.material && unitCost(line.material);
		if (line.estimate && piece) {
			const each = piece.mul(paidOf(rates)).valueOf() * over;
			const less = line.used.sub(line.estimate.low).valueOf();
			const more = line.estimate.high.sub(line.used).valueOf();
			if (less + more > 0)
				unsure.push({ kind: 'count', of: 'how many balloons a garland takes', less, more, each });
		}
	}
	for (const { group, tasks } of made.cost.labour)
		for (const task of tasks) {
			const { spread } = learned(rates.standards[task.task]);
			unsure.push({ kind: 'time', of: IN_WORDS[group], cost: task.seconds.valueOf() * perSecond, spread });
			const ends = task.less.add(task.more).valueOf();
			if (ends > 0)
				unsure.push({
					kind: 'count',
					of: 'how many balloons a garland takes',
					less: task.less.valueOf(),
					more: task.more.valueOf(),
					each: perSecond
				});
		}
	for (const { task, seconds } of job.parts.flatMap((p) => p.work))
		if (seconds > 0)
			unsure.push({
				kind: 'time',
				of: task === 'drive' ? 'time on the road' : IN_WORDS['around the job'],
				cost: seconds * perSecond,
				spread: task === 'drive' ? PRIOR_SPREAD : AROUND_SPREAD
			});
	return { profit: price.profit.minor, net: price.net.minor, target, unsure, seed, trials };
}

/** Draws what something costs more than reckoned, minor units. */
function drawing(one: Unsure, chance: () => number): () => number {
	switch (one.kind) {
		case 'time': {
			// A log-normal of mean 1: σ² = ln(1 + cv²), μ = −σ² / 2.
			const variance = Math.log(1 + one.spread ** 2);
			const draw = randomLogNormal.source(chance)(-variance / 2, Math.sqrt(variance));
			return () => one.cost * (draw() - 1);
		}
		case 'loss': {
			// A beta-binomial of mean n·p whose pieces are lost together.
			const strength = 1 / TOGETHER - 1;
			const share = randomBeta.source(chance)(one.loss * strength, (1 - one.loss) * strength);
			const lost = randomBinomial.source(chance);
			return () => one.each * (lost(one.used, share())() - one.used * one.loss);
		}
		case 'count': {
			// A triangle with its top at the usual count: by the inverse of its distribution.
			const { less, more, each } = one;
			const uniform = randomUniform.source(chance)(0, 1);
			const whole = less + more;
			return () => {
				const u = uniform();
				const at =
					u * whole < less ? Math.sqrt(u * whole * less) - less : more - Math.sqrt((1 - u) * whole * more);
				return each * at;
			};
		}
	}
}

/** How many are drawn between two words of how far it is. */
const STEP = 500;

/** The study, told as it goes: how far it is, 0 to 1, then how it may come out. Seeded: the same model gives the same answer. */
export function* studyRisk(model: RiskModel): Generator<number, Risk> {
	const { trials, unsure, net, target } = model;
	const chance = seeded(model.seed);
	const names = [...new Set(unsure.map((u) => u.of))];
	const draws = unsure.map((u) => ({ at: names.indexOf(u.of), draw: drawing(u, chance) }));
	const profits = new Float64Array(trials);
	const sums = names.map(() => ({ sum: 0, squares: 0 }));
	const own = new Float64Array(names.length);
	for (let trial = 0; trial < trials; trial++) {
		own.fill(0);
		for (const { at, draw } of draws) own[at]! += draw();
		let profit = model.profit;
		for (let i = 0; i < own.length; i++) {
			const more = own[i]!;
			profit -= more;
			sums[i]!.sum += more;
			sums[i]!.squares += more * more;
		}
		profits[trial] = profit;
		if (trial % STEP === STEP - 1) yield (trial + 1) / trials;
	}
	profits.sort();
	const quantile = (q: number) => profits[Math.min(trials - 1, Math.floor(q * trials))] ?? model.profit;
	const below = (limit: number) => profits.findIndex((p) => p >= limit);
	const shareBelow = (limit: number) => (below(limit) < 0 ? trials : below(limit)) / Math.max(1, trials);
	const variances = sums.map(({ sum, squares }) => Math.max(0, squares / trials - (sum / trials) ** 2));
	const all = variances.reduce((a, b) => a + b, 0);
	return {
		trials,
		under: shareBelow((target / 100) * net - 0.5),
		loses: shareBelow(-0.5),
		p10: quantile(0.1),
		p50: quantile(0.5),
		p90: quantile(0.9),
		mean: profits.reduce((a, b) => a + b, 0) / Math.max(1, trials),
		because: names
			.map((of, i) => ({ of, share: all > 0 ? variances[i]! / all : 0 }))
			.filter((b) => b.share > 0)
			.sort((a, b) => b.share - a.share)
	};
}
