import { existsSync, renameSync, rmSync } from 'node:fs';
import { connect, type Database } from '../db/client.ts';
import { pathOf } from '../db/path-of.ts';
import { isLocked, lockFile, unlockFile } from './lock.ts';

/** Rows of each table. */
export type Counted = Readonly<Record<string, number>>;

/** Counts what a database holds. */
export async function countRows(db: Pick<Database, 'client'>): Promise<Record<string, number>> {
	const tables = await db.client.execute(
		"SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE '__drizzle%' ORDER BY name"
	);
	const rows: Record<string, number> = {};
	for (const { name } of tables.rows) {
		const { rows: counted } = await db.client.execute(`SELECT count(*) AS n FROM "${String(name)}"`);
		rows[String(name)] = Number(counted[0]!.n);
	}
	return rows;
}

/**
 * Opens a copy and looks whether it is whole: every page, every reference. A locked one is unlocked for that, beside itself.
 * @returns rows of each table @throws {Error} with a sentence where it is not
 */
export async function checkCopy(file: string, passphrase = ''): Promise<Counted> {
	if (!existsSync(file)) throw new Error(`There is no file at ${file}.`);
	if (!(await isLocked(file))) return checkOpen(file);
	const open = `${file}.open`;
	try {
		await unlockFile(file, open, passphrase);
		return await checkOpen(open);
	} finally {
		for (const end of ['', '-wal', '-shm']) rmSync(`${open}${end}`, { force: true });
	}
}

async function checkOpen(file: string): Promise<Counted> {
	const copy = connect(`file:${file}`);
	try {
		const whole = await copy.client.execute('PRAGMA integrity_check');
		const said = String(Object.values(whole.rows[0]!)[0]);
		const keys = await copy.client.execute('PRAGMA foreign_key_check');
		if (said !== 'ok' || keys.rows.length > 0)
			throw new Error(`The copy is not whole: ${said}. Do not rely on ${file}.`);
		const rows = await countRows(copy);
		if (!('workspace' in rows)) throw new Error(`${file} is a database of another program.`);
		return rows;
	} catch (cause) {
		if (cause instanceof Error && / is not whole|another program/.test(cause.message)) throw cause;
		throw new Error(`${file} is damaged, or is no database. Do not rely on it.`, { cause });
	} finally {
		copy.close();
	}
}

/**
 * Makes a checked copy of a database while the app may be running on it: one file that holds everything saved so far. It has
 * its name only once it was opened and looked at.
 * @param url of the database @param file of the copy, which must not be there yet @param passphrase locks it, where one is given
 * @returns rows of each table, alike in both
 * @throws {Error} with a sentence where the copy could not be made, or is not whole
 */
export async function backUp(url: string, file: string, passphrase?: string): Promise<Counted> {
	if (existsSync(file))
		throw new Error(`${file} is there already. A backup is never written over: name another file.`);
	const path = pathOf(url);
	if (path !== undefined && !existsSync(path)) throw new Error(`There is no database at ${path}.`);
	const half = `${file}.part`;
	rmSync(half, { force: true });
	const from = connect(url);
	try {
		await from.client.execute({ sql: 'VACUUM INTO ?', args: [half] });
	} finally {
		from.close();
	}
	try {
		const rows = await checkCopy(half);
		if (passphrase) {
			await lockFile(half, `${half}.locked`, passphrase);
			await checkCopy(`${half}.locked`, passphrase);
			renameSync(`${half}.locked`, file);
		} else renameSync(half, file);
		return rows;
	} finally {
		for (const end of ['', '-wal', '-shm', '.locked']) rmSync(`${half}${end}`, { force: true });
	}
}
