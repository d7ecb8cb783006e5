import { createClient, type Client, type ResultSet } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import type { SQLiteTransaction } from 'drizzle-orm/sqlite-core';

export type Reader = LibSQLDatabase;
type Empty = Record<string, never>;
export type Writer = SQLiteTransaction<'async', ResultSet, Empty, Record<string, never>>;

/**
 * How long a connection waits for another process's write, ms. The wait holds up everything else in this process, so
 * it is short, and a write that met a busy file is tried again after others had their turn.
 */
export const BUSY_TIMEOUT = 120;
/** How often a write is tried again after the wait was not enough: some four seconds in all. */
const RETRIES = 16;
/** Quiet for so long after a write, ms, the write-ahead file is folded into the database. */
const IDLE = 2000;

/** The one door to the database: reads go straight, every write goes through {@link Database.write}. */
export interface Database {
	readonly read: Reader;
	/** Runs `work` in a write transaction of its own, after all writes asked for before it. */
	write<T>(work: (tx: Writer) => Promise<T>): Promise<T>;
	readonly client: Client;
	/** In the queue like a write, while another connection of this process writes: none of the two meets the other. */
	alone<T>(work: () => Promise<T>): Promise<T>;
	/** Folds the write-ahead file into the database, so that a copy of the one file holds everything. */
	fold(): Promise<void>;
	close(): void;
}

/**
 * Opens a libSQL database.
 *
 * Writes: one queue in the process (a second write while one is open would freeze the event loop), each in a
 * transaction that begins as a write; when another process holds the file beyond the time-out, the connection
 * is made anew (one that met BUSY acknowledges later writes and loses them) and the write tried again, a bounded
 * number of times.
 * @param url `file:path` or the address of a libSQL server
 */
export function connect(url: string): Database {
	const client = createClient({ url, timeout: BUSY_TIMEOUT } as Parameters<typeof createClient>[0]);
	const read = drizzle(client);
	const local = url.startsWith('file:');
	let tail: Promise<unknown> = Promise.resolve();

	async function once<T>(work: (tx: Writer) => Promise<T>): Promise<T> {
		const own = await client.transaction('write');
		try {
			// A transaction answers as a client does. Not the builder's own: where the disk is full the engine has taken all
			// back already, and its failing to do so again would stand for the reason.
			const tx = drizzle(own as unknown as Client);
			if (local) await assertSafe((statement) => tx.get<unknown[]>(statement));
			const done = await work(tx as unknown as Writer);
			await own.commit();
			return done;
		} finally {
			own.close();
		}
	}

	async function attempt<T>(work: (tx: Writer) => Promise<T>): Promise<T> {
		for (let tried = 0; ; tried++) {
			try {
				return await once(work);
			} catch (error) {
				if (!isBusy(error) || tried >= RETRIES) throw error;
				client.reconnect();
				await new Promise((resolve) => setTimeout(resolve, Math.min(200, 25 * 2 ** tried)));
			}
		}
	}

	let idle: ReturnType<typeof setTimeout> | undefined;
	/** In the queue like a write: never beside one. Another process that reads just now leaves it for the next time. */
	async function fold(): Promise<void> {
		if (!local) return;
		const turn = tail.then(() => client.execute('PRAGMA wal_checkpoint(TRUNCATE)'));
		tail = turn.catch(() => undefined);
		await turn.catch(() => undefined);
	}
	return {
		read,
		client,
		write(work) {
			const turn = tail.then(() => attempt(work));
			tail = turn.catch(() => undefined);
			clearTimeout(idle);
			if (local) idle = setTimeout(() => void fold(), IDLE).unref();
			return turn;
		},
		alone(work) {
			const turn = tail.then(work);
			tail = turn.catch(() => undefined);
			return turn;
		},
		fold,
		close() {
			clearTimeout(idle);
			client.close();
		}
	};
}

/** Foreign keys and the wait belong to one connection each: asked of every connection that writes. */
async function assertSafe(ask: (statement: string) => Promise<unknown>) {
	const value = async (pragma: string) => Object.values((await ask(`PRAGMA ${pragma}`)) as object)[0];
	const [keys, wait] = [await value('foreign_keys'), await value('busy_timeout')];
	if (Number(keys) !== 1) throw new Error('This connection does not enforce foreign keys.');
	if (Number(wait) < BUSY_TIMEOUT) throw new Error('This connection does not wait for other writers.');
}

/** Whether another process held the file too long, or the disk has no room: nothing was written. */
export const isBusy = (error: unknown): boolean =>
	hasCode(error, 'SQLITE_BUSY', /SQLITE_BUSY|database is locked/);
export const isFull = (error: unknown): boolean =>
	hasCode(error, 'SQLITE_FULL', /SQLITE_FULL|database or disk is full/);

function hasCode(error: unknown, code: string, words: RegExp): boolean {
	for (
		let e = error as { code?: unknown; message?: unknown; cause?: unknown } | undefined;
		e;
		e = e.cause as typeof e
	) {
		if (typeof e.code === 'string' && e.code.startsWith(code)) return true;
		if (typeof e.message === 'string' && words.test(e.message)) return true;
	}
	return false;
}

/** Brings the database to the newest shape. @param folder of the committed migrations */
export async function migrateTo(db: Database, folder: string): Promise<void> {
	if (db.client.protocol === 'file') await db.client.execute('PRAGMA journal_mode = WAL');
	await migrate(db.read, { migrationsFolder: folder });
}
