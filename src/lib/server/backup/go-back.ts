import { mkdtemp, copyFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { isDeepStrictEqual } from 'node:util';
import type { Actor } from '../actor.ts';
import { beside } from '../beside.ts';
import { connect, migrateTo } from '../db/client.ts';
import { STUDIO_TABLE_NAMES, type StudioTable } from '../db/studio-tables.ts';
import { newToken } from '../new-token.ts';
import type { Repos } from '../repos/index.ts';
import { keyOf, without, wholeStudio, type StudioRow, type WholeStudio } from '../repos/whole-studio.ts';
import { checkCopy } from './back-up.ts';
import { isLocked, unlockFile } from './lock.ts';

/** A backup, and whose studio is meant. */
export interface Going {
	readonly actor: Actor;
	readonly file: string;
	readonly passphrase?: string | undefined;
	/** What it is called in the list of what was changed. */
	readonly from: string;
	readonly now: Date;
}
/** What would be different in one kind of thing. */
export interface Difference {
	readonly table: StudioTable;
	/** Here now, and not in the backup: they would go. */
	readonly goes: number;
	/** In the backup, and not here: they would come back. */
	readonly comes: number;
	/** In both, and not the same. */
	readonly differs: number;
	/** Names of some that go or come, where they have any. */
	readonly names: readonly { readonly name: string; readonly goes: boolean }[];
}
/** Names that are said at most. */
const SOME = 6;

/** Opens a copy of a backup as data of today's shape. The backup itself is only read. */
async function opened<T>(
	{ actor, file, passphrase }: Going,
	work: (then: WholeStudio) => Promise<T>
): Promise<T> {
	const folder = await mkdtemp(join(tmpdir(), 'bright-tally-back-'));
	try {
		const copy = join(folder, 'backup.db');
		if (await isLocked(file)) await unlockFile(file, copy, passphrase ?? '');
		else await copyFile(file, copy);
		await checkCopy(copy);
		const db = connect(`file:${copy}`);
		try {
			await migrateTo(db, beside('drizzle'));
			return await wholeStudio(db, actor).take(work);
		} finally {
			db.close();
		}
	} finally {
		await rm(folder, { recursive: true, force: true });
	}
}

/** Rows by their keys. Of a picture only that it is there: its bytes never change. */
async function byKey(whole: WholeStudio, table: StudioTable): Promise<Map<string, StudioRow>> {
	const key = keyOf(table);
	const all = new Map<string, StudioRow>();
	for await (const some of whole.rows(table))
		for (const row of some) all.set(JSON.stringify(key.map((k) => row[k])), without(row, 'bytes'));
	return all;
}

async function differences(now: WholeStudio, then: WholeStudio): Promise<Difference[]> {
	const found: Difference[] = [];
	for (const table of STUDIO_TABLE_NAMES.filter((t) => t !== 'changeEntry')) {
		const [here, there] = [await byKey(now, table), await byKey(then, table)];
		const goes = [...here].filter(([k]) => !there.has(k)).map(([, row]) => row);
		const comes = [...there].filter(([k]) => !here.has(k)).map(([, row]) => row);
		const differs = [...here].filter(
			([k, row]) => there.has(k) && !isDeepStrictEqual(row, there.get(k))
		).length;
		const named = (rows: readonly StudioRow[], going: boolean) =>
			rows.flatMap((r) => (typeof r['name'] === 'string' ? [{ name: r['name'], goes: going }] : []));
		const names = [...named(goes, true), ...named(comes, false)].slice(0, SOME);
		if (goes.length + comes.length + differs > 0)
			found.push({ table, goes: goes.length, comes: comes.length, differs, names });
	}
	return found;
}

/** What would be different in this studio if it went back to a backup. Nothing is changed. */
export const rehearseStudio = (
	repos: Repos,
	going: Going
): Promise<{ differences: Difference[]; settings: boolean }> =>
	opened(going, (then) =>
		repos.wholeStudio.take(async (now) => ({
			differences: await differences(now, then),
			settings: !isDeepStrictEqual(now.head, then.head)
		}))
	);

/** Puts this studio back to a backup, whole or not at all. Other studios of the server, and who signs in, stay as they are. */
export const putBackup = (repos: Repos, going: Going): Promise<boolean> =>
	opened(going, (then) =>
		repos.wholeStudio.put(then, {
			where: 'in its place',
			from: going.from,
			now: going.now,
			newToken
		})
	);
