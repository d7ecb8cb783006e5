import type { Repos } from '../../src/lib/server/repos/index.ts';
import { work } from '../../src/lib/server/threads/jobs.ts';
import type { Work } from '../../src/lib/server/threads/pool.ts';

/** The port to what takes long, without threads. */
export const here =
	(repos: Repos): Work =>
	(job, asked) =>
		work(repos, job, asked);
