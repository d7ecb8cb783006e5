import { JOB_PHASES, JOB_TASK_DEFINITIONS, type Job, type JobPhase, type JobWork } from '../labour/job.ts';
import { add, money, rounded, total, zero, type Money } from '../money/money.ts';
import { rational, type Rational } from '../units/rational.ts';
import type { JobLine } from '../labour/job.ts';
import { crewFor, type Rates } from './rates.ts';

/** A part of a job: its work by task, and what that costs. */
export interface JobCostPart {
	readonly phase: JobPhase;
	readonly work: readonly JobWork[];
	readonly seconds: number;
	readonly labour: Money;
}

/** What a job costs around its pieces. The road is what a delivery costs; the rest is shared by all that is on the job. */
export interface JobCost {
	readonly job: Job;
	readonly parts: readonly JobCostPart[];
	/** The van, for all its miles. */
	readonly van: Money;
	/** What it costs besides, whatever it is. */
	readonly lines: readonly (JobLine & { readonly amount: Money })[];
	readonly labour: Money;
	readonly seconds: number;
	readonly overhead: Money;
	/** Work on the road with its overhead, and the van. */
	readonly road: Money;
	/** All else. */
	readonly rest: Money;
	readonly total: Money;
}

/** Work at loaded rates, its overhead, the van by the mile, and what is paid besides. Each part is rounded once. */
export function jobCost(job: Job, rates: Rates): JobCost {
	const { currency, overhead, jobs } = rates;
	const { perHour } = crewFor(rates);
	const atRate = (seconds: number, minorPerHour: number | Rational): Money =>
		rounded(rational(seconds).mul(minorPerHour).div(3600), currency);
	/** Overhead of a part: by its hours, or in per cent of what is paid for them. */
	const over = (seconds: number, labour: Money): Money =>
		overhead.kind === 'hour'
			? atRate(seconds, overhead.minor)
			: rounded(rational(overhead.percent).div(100).mul(labour.minor), currency);
	const parts = JOB_PHASES.map((phase): JobCostPart => {
		const work = job.work.filter((w) => JOB_TASK_DEFINITIONS[w.task].phase === phase);
		const seconds = work.reduce((a, w) => a + w.seconds, 0);
		const isUnpaid = phase === 'on the road' && jobs.travelUnpaid === true;
		return { phase, work, seconds, labour: isUnpaid ? zero(currency) : atRate(seconds, perHour) };
	});
	const van = rounded(rational(2 * job.miles * job.trips).mul(jobs.vanPerMile), currency);
	const lines = job.lines.map((line) => ({ ...line, amount: money(line.minor, currency) }));
	const sum = (amounts: readonly Money[]) => total(currency, amounts);
	const cost = (own: readonly JobCostPart[]) =>
		sum(own.flatMap((p) => [p.labour, over(p.seconds, p.labour)]));
	const onRoad = parts.filter((p) => p.phase === 'on the road');
	const besides = parts.filter((p) => p.phase !== 'on the road');
	const road = add(cost(onRoad), van);
	const rest = add(cost(besides), sum(lines.map((l) => l.amount)));
	return {
		job,
		parts,
		van,
		lines,
		labour: sum(parts.map((p) => p.labour)),
		seconds: parts.reduce((a, p) => a + p.seconds, 0),
		overhead: parts.reduce((a, p) => add(a, over(p.seconds, p.labour)), zero(currency)),
		road,
		rest,
		total: add(road, rest)
	};
}
