import { createRepos } from '../repos/index.ts';
import type { Database } from '../db/client.ts';
import { work } from './jobs.ts';
import type { Threads } from './pool.ts';

/** The same port without threads, and keeping nothing: for development, where sources change under it. */
export const inProcess = (db: Database): Threads => ({
	workFor: (actor) => (job, asked) => work(createRepos(db, actor), job, asked),
	close: () => Promise.resolve()
});
