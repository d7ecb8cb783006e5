import { countedMoves } from '../../core/job/counted-moves.ts';
import { countsOf, type CountOf, type JobCounted } from '../../core/job/counted.ts';
import type { Reckoning } from '../../core/job/real-cost.ts';
import { reckonedJob } from '../../core/quote/reckoned.ts';
import type { Repos } from '../repos/index.ts';
import type { JobWork } from './job.ts';
import { saysOf } from './jobs-ahead.ts';
import { orderOf } from './orders.ts';

/** What a job was reckoned with: what was chosen of it, and what it is paid. Undefined where its yes does not stand. */
export async function reckoningOf(repos: Repos, work: JobWork): Promise<Reckoning | undefined> {
	const [quote, order] = await Promise.all([repos.quotes.find(work.row.id), orderOf(repos, work.row.id)]);
	if (!quote || !order) return undefined;
	const { net } = order.chosen;
	const { made, around, besides, rates, fees } = reckonedJob(
		work.items,
		work.typed,
		{ terms: quote.terms, net },
		work.context
	);
	return { counts: countsOf(made.bill.lines), made: made.cost, around, besides, rates, net, fees };
}

/** What is counted of a job. */
export const countsOfJob = ({ order }: JobWork): CountOf[] => countsOf(order.bill.lines);

/**
 * Keeps the count of a job and writes what it used and lost into the ledger; a count put right writes the difference.
 * @param base the revision its page was read at
 */
export async function keepJobCount(
	repos: Repos,
	{ work, base }: { readonly work: JobWork; readonly base: number },
	counted: JobCounted,
	now: Date
): Promise<number | 'stale'> {
	const { row } = work;
	const before = await repos.jobCounts.find(row.id);
	if ((before?.revision ?? 0) !== base) return 'stale';
	const backs = new Set(countsOfJob(work).flatMap((c) => (c.isBack ? [c.material.id] : [])));
	const about = { job: row.id, revision: base + 1, day: counted.day, note: saysOf(row), backs };
	const moves = countedMoves(before?.counted.materials ?? [], counted.materials, about);
	return repos.jobCounts.keep(row.id, base, counted, moves, now);
}
