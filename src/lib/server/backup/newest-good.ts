import { checkCopy } from './back-up.ts';
import { keptBackups } from './kept-backups.ts';

/** The newest backup of a database that is whole, and can be unlocked; undefined where there is none. */
export async function newestGood(path: string, passphrase?: string): Promise<string | undefined> {
	for (const { file } of keptBackups(path))
		if (await checkCopy(file, passphrase).catch(() => undefined)) return file;
	return undefined;
}
