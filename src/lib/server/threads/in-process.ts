import { createRepos } from '../repos/index.ts';
import type { Database } from '../db/client.ts';
import { seenBy } from '../seen-by.ts';
import { work, type Answer, type JobInput, type Job } from './jobs.ts';
import type { Threads } from './pool.ts';

/** The same port without threads, and keeping nothing: for development, where sources change under it. */
export const inProcess = (db: Database): Threads => ({
	workFor:
		(actor) =>
		async <J extends Job>(job: J, input: JobInput<J>) =>
			seenBy(actor, (await work(createRepos(db, actor), job, input)) as Answer<J>),
	close: () => Promise.resolve()
});
