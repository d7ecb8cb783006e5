import { copyFileSync, existsSync, renameSync, rmSync } from 'node:fs';
import { connect } from '../db/client.ts';
import { pathOf } from '../db/path-of.ts';
import { putAside } from '../db/put-aside.ts';
import { checkCopy, countRows, type Counted } from './back-up.ts';
import { isLocked, unlockFile } from './lock.ts';

/** A table that would have another number of rows. */
export interface TableChange {
	readonly table: string;
	readonly now: number;
	readonly then: number;
}

function localPath(url: string): string {
	const path = pathOf(url);
	if (path === undefined)
		throw new Error('The data lies at an address: whoever runs that puts a backup in its place.');
	return path;
}

/**
 * What would change if a backup took the place of the data of now, by tables. Nothing is written.
 * @throws {Error} with a sentence where the backup is not whole
 */
export async function rehearse(url: string, file: string, passphrase?: string): Promise<TableChange[]> {
	const path = localPath(url);
	const then = await checkCopy(file, passphrase);
	let now: Counted = {};
	if (existsSync(path)) {
		const db = connect(url);
		// A damaged one is what a backup is for: nothing of it counts.
		now = await countRows(db).catch(() => ({}));
		db.close();
	}
	return [...new Set([...Object.keys(now), ...Object.keys(then)])]
		.sort()
		.map((table) => ({ table, now: now[table] ?? 0, then: then[table] ?? 0 }))
		.filter((c) => c.now !== c.then);
}

const inUse = (path: string) => (cause: unknown) =>
	new Error(`${path} is in use: a server is running on it. Stop that first, then try again.`, { cause });

/**
 * Puts a backup in the place of the data, which is put aside whole. Refused while a server has it open.
 * @returns where the data of before lies; an empty text where there was none
 * @throws {Error} with a sentence; nothing was changed then
 */
export async function restore(url: string, file: string, at: Date, passphrase?: string): Promise<string> {
	const path = localPath(url);
	await checkCopy(file, passphrase);
	const fresh = `${path}.restored`;
	try {
		if (await isLocked(file)) await unlockFile(file, fresh, passphrase ?? '');
		else copyFileSync(file, fresh);
		await checkCopy(fresh);
		const aside = existsSync(path) ? await putAside(path, at, inUse(path)) : '';
		renameSync(fresh, path);
		return aside;
	} finally {
		for (const end of ['', '-wal', '-shm']) rmSync(`${fresh}${end}`, { force: true });
	}
}
