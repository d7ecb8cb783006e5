import { countedMoves } from '../../core/job/counted-moves.ts';
import type { JobFigure } from '../../core/job/figures.ts';
import { countsOf, type CountOf, type JobCounted } from '../../core/job/counted.ts';
import type { Repos } from '../repos/index.ts';
import { figuresOfJob } from './job-figures.ts';
import type { JobWork } from './job.ts';
import { saysOf } from './jobs-ahead.ts';

/** What is counted of a job. */
export const countsOfJob = ({ order }: JobWork): CountOf[] => countsOf(order.bill.lines);

/**
 * Keeps the count of a job and writes what it used and lost into the ledger; a count put right writes the difference.
 * @param base the revision its page was read at @param figures what it tells, where that was worked out already
 */
export async function keepJobCount(
	repos: Repos,
	{ work, base }: { readonly work: JobWork; readonly base: number },
	counted: JobCounted,
	now: Date,
	figures?: readonly JobFigure[]
): Promise<number | 'stale'> {
	const { row } = work;
	const before = await repos.jobCounts.find(row.id);
	if ((before?.revision ?? 0) !== base) return 'stale';
	const backs = new Set(countsOfJob(work).flatMap((c) => (c.isBack ? [c.material.id] : [])));
	const about = { job: row.id, revision: base + 1, day: counted.day, note: saysOf(row), backs };
	const moves = countedMoves(before?.counted.materials ?? [], counted.materials, about);
	const told = {
		day: row.day ?? counted.day,
		figures: figures ?? (await figuresOfJob(repos, work, counted))
	};
	return repos.jobCounts.keep(row.id, base, counted, moves, now, told);
}
