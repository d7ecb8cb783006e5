import { existsSync, renameSync } from 'node:fs';
import { connect, isBusy } from './client.ts';

/**
 * Puts a database under another name beside it, whole, and deletes nothing.
 * @param inUse what is thrown while somebody else has it open; nothing was changed then
 * @returns where it lies now
 */
export async function putAside(path: string, at: Date, inUse: (cause: unknown) => Error): Promise<string> {
	const db = connect(`file:${path}`);
	try {
		// Out of the write-ahead mode a file goes only while nobody else has it open; then it is one file, and whole.
		await db.client.execute('PRAGMA journal_mode = DELETE');
	} catch (error) {
		if (isBusy(error)) throw inUse(error);
		// Damaged beyond that: it is put aside as it is.
	} finally {
		db.close();
	}
	const aside = `${path.replace(/\.db$/, '')}.until-${at.toISOString().slice(0, 19).replace(/[:T]/g, '-')}.db`;
	for (const end of ['', '-wal', '-shm'])
		if (existsSync(`${path}${end}`)) renameSync(`${path}${end}`, `${aside}${end}`);
	return aside;
}
