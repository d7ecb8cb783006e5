import { randomBytes } from 'node:crypto';
import { openBackups, type Backups } from './backup/backups.ts';
import { beside } from './beside.ts';
import { databaseUrl } from './config.ts';
import { prepareDatabase } from './db/prepare.ts';
import type { Database } from './db/client.ts';
import { OWNER } from './actor.ts';
import { pathOf } from './db/path-of.ts';
import { diskOf, warningsOf, type Looked } from './health/health.ts';
import { openTroubles, type Troubles } from './health/troubles.ts';
import { createRepos } from './repos/index.ts';
import { renameSilenced } from './services/silenced.ts';
import { authSecret } from './auth/secret.ts';
import { openAuth } from './auth/auth.ts';
import { openDoor } from './auth/door.ts';
import { resetLetter } from './auth/letters.ts';
import { openThrottle } from './auth/throttle.ts';
import { isUnclaimed } from './repos/doors.ts';
import { openThreads } from './threads/pool.ts';
import { openUploads, type Uploads } from './studio-file/uploads.ts';

/** Opens what the whole server shares, or stops it with a sentence. @param threaded whether heavy work has threads of its own */
export async function open(env: Record<string, string | undefined>, { threaded }: { threaded: boolean }) {
	const { db, created, copy } = await prepareDatabase(databaseUrl(env), beside('drizzle'), new Date());
	if (created) console.log('  a new, empty studio was begun');
	if (copy) console.log(`  the data was brought to the newest shape; as it was it lies in ${copy}`);
	shared.db = db;
	shared.threaded = threaded;
	shared.uploads = openUploads();
	const path = pathOf(databaseUrl(env));
	if (path !== undefined) Object.assign(shared, { path, troublesFile: `${path}.troubles` });
	shared.troubles = openTroubles(shared.troublesFile);
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
		note: noteTrouble,
		make: (file, passphrase) => work('back up', { url: databaseUrl(env), file, passphrase })
	});
	// Whoever ends the server waits for this: afterwards the one file holds everything.
	(globalThis as Record<symbol, unknown>)[Symbol.for('bright-tally.stop')] = async () => {
		shared.backups?.close();
		shared.uploads?.close();
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
const shared: {
	db?: Database;
	backups?: Backups;
	uploads?: Uploads;
	threaded?: boolean;
	troubles?: Troubles;
	troublesFile?: string;
	path?: string;
} = {};
const STARTED = new Date();

/** Writes down what went wrong, for the owner to read: a sentence without names. */
export const noteTrouble = (say: string): void => shared.troubles?.note(say);

const look = (own: Backups): Looked => ({
	disk: diskOf(shared.path),
	backups: own,
	started: STARTED,
	now: new Date()
});

/** What says how the server is; undefined where the database does not answer. */
export async function serverState() {
	const { db, backups: own, troubles, troublesFile } = shared;
	if (!db || !own || !troubles || !(await healthy())) return undefined;
	const asked = await db.client.execute(
		'SELECT sqlite_version() AS v, (SELECT count(*) FROM __drizzle_migrations) AS n'
	);
	const { v, n } = asked.rows[0]!;
	return {
		looked: look(own),
		troubles: troubles.list(),
		troublesFile,
		database: `${String(n)} (SQLite ${String(v)})`
	};
}

let warned: { readonly at: number; readonly say: string | undefined } | undefined;
/** The first thing its owner should do something about; looked for once a minute. */
export function serverWarning(): string | undefined {
	const now = Date.now();
	if (!warned || now - warned.at > 60_000 || now < warned.at)
		warned = { at: now, say: shared.backups && warningsOf(look(shared.backups))[0] };
	return warned.say;
}

/** The copies of this server's data. @throws before it is open */
export function backups(): Backups {
	if (!shared.backups) throw new Error('The server is not open yet.');
	return shared.backups;
}

/** Files that are sent in pieces. @throws before it is open */
export function uploads(): Uploads {
	if (!shared.uploads) throw new Error('The server is not open yet.');
	return shared.uploads;
}

/** While a thread writes a whole studio, no other write of this server begins. */
export const alone = <T>(work: () => Promise<T>): Promise<T> =>
	shared.threaded ? shared.db!.alone(work) : work();

/** Whether pages can be served: the database answers, and has a studio in it. */
export async function healthy(): Promise<boolean> {
	try {
		const { rows } = await shared.db!.client.execute('SELECT count(*) AS n FROM workspace');
		return Number(rows[0]?.n) > 0;
	} catch {
		return false;
	}
}
