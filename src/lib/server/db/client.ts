import { createClient, type Client, type ResultSet } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import type { SQLiteTransaction } from 'drizzle-orm/sqlite-core';

export type Reader = LibSQLDatabase;
type Empty = Record<string, never>;
export type Writer = SQLiteTransaction<'async', ResultSet, Empty, Record<string, never>>;

/** How long a connection waits for another process's write, ms. */
export const BUSY_TIMEOUT = 5000;
/** How often a write is tried again after the wait was not enough. */
const RETRIES = 4;

/** The one door to the database: reads go straight, every write goes through {@link Database.write}. */
export interface Database {
	readonly read: Reader;
	/** Runs `work` in a write transaction of its own, after all writes asked for before it. */
	write<T>(work: (tx: Writer) => Promise<T>): Promise<T>;
	readonly client: Client;
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
		return read.transaction(async (tx) => {
			if (local) await assertSafe((statement) => tx.get<unknown[]>(statement));
			return work(tx as unknown as Writer);
		});
	}

	async function attempt<T>(work: (tx: Writer) => Promise<T>): Promise<T> {
		for (let tried = 0; ; tried++) {
			try {
				return await once(work);
			} catch (error) {
				if (!isBusy(error) || tried >= RETRIES) throw error;
				client.reconnect();
				await new Promise((resolve) => setTimeout(resolve, 50 * 2 ** tried));
			}
		}
	}

	return {
		read,
		client,
		write(work) {
			const turn = tail.then(() => attempt(work));
			tail = turn.catch(() => undefined);
			return turn;
		},
		close: () => client.close()
	};
}

/** Foreign keys and the wait belong to one connection each: asked of every connection that writes. */
async function assertSafe(ask: (statement: string) => Promise<unknown>) {
	const value = async (pragma: string) => Object.values((await ask(`PRAGMA ${pragma}`)) as object)[0];
	const [keys, wait] = [await value('foreign_keys'), await value('busy_timeout')];
	if (Number(keys) !== 1) throw new Error('This connection does not enforce foreign keys.');
	if (Number(wait) < BUSY_TIMEOUT) throw new Error('This connection does not wait for other writers.');
}

function isBusy(error: unknown): boolean {
	for (
		let e = error as { code?: unknown; message?: unknown; cause?: unknown } | undefined;
		e;
		e = e.cause as typeof e
	) {
		if (typeof e.code === 'string' && e.code.startsWith('SQLITE_BUSY')) return true;
		if (typeof e.message === 'string' && /SQLITE_BUSY|database is locked/.test(e.message)) return true;
	}
	return false;
}

/** Brings the database to the newest shape. @param folder of the committed migrations */
export async function migrateTo(db: Database, folder: string): Promise<void> {
	if (db.client.protocol === 'file') await db.client.execute('PRAGMA journal_mode = WAL');
	await migrate(db.read, { migrationsFolder: folder });
}
