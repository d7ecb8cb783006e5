import { beside } from './beside.ts';
import { databaseUrl } from './config.ts';
import { prepareDatabase } from './db/prepare.ts';
import type { Database } from './db/client.ts';
import { OWNER } from './actor.ts';
import { createRepos } from './repos/index.ts';
import { renameSilenced } from './services/silenced.ts';
import { openThreads } from './threads/pool.ts';

/** Opens what the whole server shares, or stops it with a sentence. @param threaded whether heavy work has threads of its own */
export async function open(env: Record<string, string | undefined>, { threaded }: { threaded: boolean }) {
	const { db, created, copy } = await prepareDatabase(databaseUrl(env), beside('drizzle'), new Date());
	if (created) console.log('  a new, empty studio was begun');
	if (copy) console.log(`  the data was brought to the newest shape; as it was it lies in ${copy}`);
	shared.db = db;
	await renameSilenced(createRepos(db, OWNER));
	const threads = threaded
		? openThreads({ file: beside('build/threads/thread.js'), url: databaseUrl(env) })
		: (await import('./threads/in-process.ts')).inProcess(db);
	// Whoever ends the server waits for this: afterwards the one file holds everything.
	(globalThis as Record<symbol, unknown>)[Symbol.for('bright-tally.stop')] = async () => {
		await threads.close();
		await db.fold();
		db.close();
	};
	return { db, threads };
}

/** For the health check. */
const shared: { db?: Database } = {};

/** Whether pages can be served: the database answers, and has a studio in it. */
export async function healthy(): Promise<boolean> {
	try {
		const { rows } = await shared.db!.client.execute('SELECT count(*) AS n FROM workspace');
		return Number(rows[0]?.n) > 0;
	} catch {
		return false;
	}
}
