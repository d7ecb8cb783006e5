import { existsSync, statfsSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import type { Backups } from '../backup/backups.ts';

/** Less than this is low, bytes: a few backups of a busy year. */
export const LOW_DISK = 1024 ** 3;
const HOUR = 3_600_000;

export interface Disk {
	/** Bytes. */
	readonly free: number;
	readonly data: number;
}

/** Room where the data lies; undefined of data at an address, or where the system does not tell. */
export function diskOf(path: string | undefined): Disk | undefined {
	if (path === undefined) return undefined;
	try {
		const { bavail, bsize } = statfsSync(dirname(path));
		const data = ['', '-wal'].reduce(
			(a, end) => a + (existsSync(path + end) ? statSync(path + end).size : 0),
			0
		);
		return { free: bavail * bsize, data };
	} catch {
		return undefined;
	}
}

/** What is looked at to say how a server is. */
export interface Looked {
	readonly disk: Disk | undefined;
	readonly backups: Pick<Backups, 'plan' | 'isLocal' | 'list' | 'trouble'>;
	readonly started: Date;
	readonly now: Date;
}

/** “3.4 GB” */
export const sizeWords = (bytes: number): string =>
	bytes >= 1024 ** 3 ? `${(bytes / 1024 ** 3).toFixed(1)} GB` : `${(bytes / 1024 ** 2).toFixed(1)} MB`;

/** What somebody should do something about, in sentences; none where all is well. */
export function warningsOf({ disk, backups, started, now }: Looked): string[] {
	const said: string[] = [];
	// Half as much again as the data takes is what one backup and the writing of it need.
	if (disk && disk.free < Math.max(LOW_DISK, 1.5 * disk.data))
		said.push(
			`Only ${sizeWords(disk.free)} are free on the disk: make room, or saves and backups will fail.`
		);
	if (!backups.isLocal) return said;
	if (backups.trouble()) said.push('The last backup could not be made.');
	const { hours } = backups.plan;
	const [newest] = backups.list();
	const since = newest ? newest.at.getTime() : started.getTime();
	if (hours > 0 && now.getTime() - since > 2 * hours * HOUR)
		said.push(
			newest
				? `The newest backup is ${Math.floor((now.getTime() - since) / HOUR / 24) || 1} days old.`
				: 'There is no backup yet.'
		);
	return said;
}
