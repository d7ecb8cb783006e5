import { randomBytes } from 'node:crypto';
import { openBackups, type Backups } from './backup/backups.ts';
import { beside } from './beside.ts';
import { databaseUrl } from './config.ts';
import { prepareDatabase } from './db/prepare.ts';
import type { Database } from './db/client.ts';
import { OWNER } from './actor.ts';
import { createRepos } from './repos/index.ts';
import { renameSilenced } from './services/silenced.ts';
import { authSecret } from './auth/secret.ts';
import { openAuth } from './auth/auth.ts';
import { openDoor } from './auth/door.ts';
import { resetLetter } from './auth/letters.ts';
import { openThrottle } from './auth/throttle.ts';
import { isUnclaimed } from './repos/doors.ts';
import { openThreads } from './threads/pool.ts';

/** Opens what the whole server shares, or stops it with a sentence. @param threaded whether heavy work has threads of its own */
export async function open(env: Record<string, string | undefined>, { threaded }: { threaded: boolean }) {
	const { db, created, copy } = await prepareDatabase(databaseUrl(env), beside('drizzle'), new Date());
	if (created) console.log('  a new, empty studio was begun');
	if (copy) console.log(`  the data was brought to the newest shape; as it was it lies in ${copy}`);
	shared.db = db;
	await renameSilenced(createRepos(db, OWNER));
	const origin = env.ORIGIN ?? 'http://localhost:5173';
	/** From which address of this server somebody asked for a letter, while it is written. */
	const letters = new Map<string, string>();
	const auth = openAuth({
		db,
		secret: authSecret(env, databaseUrl(env)),
		origin,
		letter: (letter) => resetLetter(db, letters.get(letter.person.email) ?? origin, letter)
	});
	const setupCode = setupCodeOf(env);
	if (await isUnclaimed(db))
		console.log(
			setupCode === undefined
				? '  nobody signs in here yet: the first to open it becomes the owner'
				: `  nobody signs in here yet. The owner begins at ${origin}/begin with the code ${setupCode}`
		);
	const door = openDoor({ db, auth, throttle: openThrottle(), setupCode, letters });
	const threads = threaded
		? openThreads({ file: beside('build/threads/thread.js'), url: databaseUrl(env) })
		: (await import('./threads/in-process.ts')).inProcess(db);
	const work = threads.workFor(OWNER);
	shared.backups = openBackups({
		url: databaseUrl(env),
		env,
		make: (file) => work('back up', { url: databaseUrl(env), file })
	});
	// Whoever ends the server waits for this: afterwards the one file holds everything.
	(globalThis as Record<symbol, unknown>)[Symbol.for('bright-tally.stop')] = async () => {
		shared.backups?.close();
		await threads.close();
		await db.fold();
		db.close();
	};
	return { db, threads, door };
}

/** Where more than this machine is let in, the first owner shows that they started the server. */
function setupCodeOf(env: Record<string, string | undefined>): string | undefined {
	if (env.SETUP_CODE?.trim()) return env.SETUP_CODE.trim();
	return env.LETS_OTHERS_IN === 'yes' ? randomBytes(9).toString('base64url') : undefined;
}

/** What is asked of the server as a whole. */
const shared: { db?: Database; backups?: Backups } = {};

/** The copies of this server's data. @throws before it is open */
export function backups(): Backups {
	if (!shared.backups) throw new Error('The server is not open yet.');
	return shared.backups;
}

/** Whether pages can be served: the database answers, and has a studio in it. */
export async function healthy(): Promise<boolean> {
	try {
		const { rows } = await shared.db!.client.execute('SELECT count(*) AS n FROM workspace');
		return Number(rows[0]?.n) > 0;
	} catch {
		return false;
	}
}
