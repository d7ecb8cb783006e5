import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { LOCKED } from './lock.ts';

/** A copy that lies beside the database. */
export interface KeptBackup {
	readonly file: string;
	readonly at: Date;
	readonly bytes: number;
	/** With a passphrase. */
	readonly locked: boolean;
}

/** `data/backups` beside `data/bright-tally.db`. */
export const folderOf = (path: string): string => join(dirname(path), 'backups');
const stem = (path: string): string => basename(path).replace(/\.db$/, '');
const STAMP = /^(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)$/;

/** `bright-tally-2027-05-04T15-00-00.db`: by the clock of the world, so that names stand in order of time. */
export const nameAt = (path: string, at: Date, locked = false): string =>
	join(
		folderOf(path),
		`${stem(path)}-${at.toISOString().slice(0, 19).replaceAll(':', '-')}.db${locked ? LOCKED : ''}`
	);

/** The newest first. What was made by hand, or of another database, is not looked at. */
export function keptBackups(path: string): KeptBackup[] {
	const folder = folderOf(path);
	if (!existsSync(folder)) return [];
	const found = readdirSync(folder).flatMap((name): KeptBackup[] => {
		const locked = name.endsWith(LOCKED);
		const ending = locked ? `.db${LOCKED}` : '.db';
		if (!name.startsWith(`${stem(path)}-`) || !name.endsWith(ending)) return [];
		const [, day, ...clock] = STAMP.exec(name.slice(stem(path).length + 1, -ending.length)) ?? [];
		if (!day) return [];
		const file = join(folder, name);
		return [{ file, at: new Date(`${day}T${clock.join(':')}Z`), bytes: statSync(file).size, locked }];
	});
	return found.sort((a, b) => b.at.getTime() - a.at.getTime());
}

/** A name for the next one, that of a later second where two are made in one; its folder is there. */
export function nextName(path: string, at: Date, locked = false): string {
	mkdirSync(folderOf(path), { recursive: true });
	let free = at;
	while (existsSync(nameAt(path, free, locked))) free = new Date(free.getTime() + 1000);
	return nameAt(path, free, locked);
}

/** Takes away the oldest beyond so many. The newest always stays, and one that is needed. @returns what went */
export function rotate(path: string, keep: number, needed?: string): string[] {
	const gone = keptBackups(path)
		.slice(Math.max(1, keep))
		.map((b) => b.file)
		.filter((file) => file !== needed);
	for (const file of gone) rmSync(file, { force: true });
	return gone;
}
