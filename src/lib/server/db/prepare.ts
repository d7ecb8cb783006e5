import { existsSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { OWNER } from '../actor.ts';
import { createRepos } from '../repos/index.ts';
import { connect, isBusy, migrateTo, type Database } from './client.ts';
import { newestGood } from '../backup/newest-good.ts';
import { pathOf } from './path-of.ts';
import { startingSettings } from './starting-settings.ts';

/** Why a database cannot be served, in a sentence that says what to do. Nothing was changed. */
export class CannotStart extends Error {}

/** What was done to bring it to the newest shape. */
export interface Prepared {
	readonly db: Database;
	/** It was not there, or had nothing in it. */
	readonly created: boolean;
	/** Copy of an older one, made before it was changed; null where nothing had to be. */
	readonly copy: string | null;
}

interface Migration {
	readonly tag: string;
	readonly when: number;
}

/**
 * Opens the database and brings it to the newest shape. A new one begins with an empty studio; of an older one a copy is
 * made first. Damaged, read-only, newer, foreign and unreachable ones are told apart and left as they are.
 *
 * @param url `file:PATH` or the address of a libSQL server @param folder of the committed migrations
 * @param of a studio begins empty; the demo is filled by whoever asks for it
 * @throws {CannotStart}
 */
export async function prepareDatabase(
	url: string,
	folder: string,
	now: Date,
	of: 'studio' | 'demo' = 'studio'
): Promise<Prepared> {
	const path = pathOf(url);
	const db = connect(url);
	try {
		const known = (
			JSON.parse(readFileSync(join(folder, 'meta', '_journal.json'), 'utf8')) as { entries: Migration[] }
		).entries;
		const size = path !== undefined && existsSync(path) ? statSync(path).size : 0;
		const tables = await tablesOf(db, path);
		if (tables.length > 0) await refuseStrange(db, tables, known, path ?? url);
		if (path !== undefined && size > 0) await refuseReadOnly(db, path);
		const done = tables.includes('__drizzle_migrations') ? await lastDone(db) : 0;
		const older = tables.length > 0 && done < known.at(-1)!.when;
		const copy = older && path !== undefined ? await copyAside(db, path, known, done) : null;
		await migrateTo(db, folder);
		const { workspaces } = createRepos(db, OWNER);
		const created = (await workspaces.find()) === undefined;
		if (created && of === 'studio') await workspaces.create(startingSettings, now);
		return { db, created, copy };
	} catch (error) {
		db.close();
		if (error instanceof CannotStart) throw error;
		throw new CannotStart(
			isBusy(error)
				? `${path ?? url} is held by another program. Close that, and start again.`
				: `${path ?? url} could not be opened: ${error instanceof Error ? error.message : String(error)}`
		);
	}
}

async function tablesOf(db: Database, path: string | undefined): Promise<string[]> {
	try {
		const { rows } = await db.client.execute("SELECT name FROM sqlite_master WHERE type = 'table'");
		// A damaged page is met here rather than in the middle of a day.
		if (path !== undefined) {
			const check = await db.client.execute('PRAGMA quick_check(1)');
			const said = String(Object.values(check.rows[0] ?? { ok: 'ok' })[0]);
			if (said !== 'ok') throw new Error(said);
		}
		return rows.map((r) => String(r.name));
	} catch (error) {
		if (isBusy(error)) throw error;
		const why = error instanceof Error ? error.message : String(error);
		throw new CannotStart(
			path === undefined
				? `The database does not answer (${why}). Check its address and that it runs, then start again.`
				: `${path} is damaged, or is no database (${why}). It was left as it is: ${await backupWords(path)}, and keep this file until you know what is in it.`
		);
	}
}

/** Which backup to take, and how. */
async function backupWords(path: string): Promise<string> {
	const good = await newestGood(path, process.env.BACKUP_PASSPHRASE);
	return good
		? `the newest backup that is whole is ${good}; npm run restore -- ${good} says what would change`
		: 'put a backup in its place';
}

async function refuseStrange(
	db: Database,
	tables: readonly string[],
	known: readonly Migration[],
	name: string
): Promise<void> {
	if (!tables.includes('__drizzle_migrations') || !tables.includes('workspace')) {
		if (tables.every((t) => t.startsWith('__drizzle') || t.startsWith('sqlite_'))) return;
		throw new CannotStart(
			`${name} is a database of another program (it has ${tables.slice(0, 3).join(', ')}). Name another file in DATABASE_URL.`
		);
	}
	if ((await lastDone(db)) > known.at(-1)!.when)
		throw new CannotStart(
			`${name} was made by a newer Bright Tally. Take the newer version of the app, or a backup from before.`
		);
}

async function lastDone(db: Database): Promise<number> {
	const { rows } = await db.client.execute('SELECT max(created_at) AS last FROM __drizzle_migrations');
	return Number(rows[0]?.last ?? 0);
}

async function refuseReadOnly(db: Database, path: string): Promise<void> {
	try {
		const tx = await db.client.transaction('write');
		await tx.execute('PRAGMA user_version = 0');
		await tx.rollback();
	} catch (error) {
		if (isBusy(error)) throw error;
		throw new CannotStart(
			`${path} can only be read, not written (${error instanceof Error ? error.message : String(error)}). Let the program write to it and to its folder.`
		);
	}
}

/** `tally.before-0005_line_way.db` beside it; nothing is ever written over. */
async function copyAside(
	db: Database,
	path: string,
	known: readonly Migration[],
	done: number
): Promise<string> {
	const next = known.find((m) => m.when > done)!.tag;
	const plain = `${path.replace(/\.db$/, '')}.before-${next}`;
	let copy = `${plain}.db`;
	for (let n = 2; existsSync(copy); n++) copy = `${plain}-${n}.db`;
	await db.client.execute({ sql: 'VACUUM INTO ?', args: [copy] });
	return copy;
}
