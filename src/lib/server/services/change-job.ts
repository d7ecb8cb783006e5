import type { JobSaid } from '../../core/job/job.ts';
import type { Repos } from '../repos/index.ts';
import { saidOf, workOfJob } from './job.ts';
import { loadStudio } from './studio.ts';

/**
 * Says something of a job on top of what is said of it, or of what is usual where nothing is.
 * @param base the revision its page was read at
 * @param edit the new saying, or a sentence why not
 * @returns the new revision, `stale`, `missing`, or that sentence
 */
export async function changeJob(
	repos: Repos,
	{ id, base }: { readonly id: string; readonly base: number },
	edit: (said: JobSaid) => JobSaid | string,
	now: Date
): Promise<number | string> {
	const row = await repos.jobs.find(id);
	if (!row) return 'missing';
	if (row.revision !== base) return 'stale';
	const said = row.said ?? (await usualSaid(repos, id));
	if (!said) return 'missing';
	const next = edit(said);
	return typeof next === 'string' ? next : repos.jobs.say(id, base, next, now);
}

/** What is usual of a job that nobody said anything of. */
async function usualSaid(repos: Repos, id: string): Promise<JobSaid | undefined> {
	const work = await workOfJob(repos, id, await loadStudio(repos));
	return work && saidOf(work);
}
