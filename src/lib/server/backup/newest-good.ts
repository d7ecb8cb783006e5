import { checkCopy } from './back-up.ts';
import { keptBackups } from './kept-backups.ts';

/** The newest backup of a database that is whole; undefined where there is none. */
export async function newestGood(path: string): Promise<string | undefined> {
	for (const { file } of keptBackups(path)) if (await checkCopy(file).catch(() => undefined)) return file;
	return undefined;
}
