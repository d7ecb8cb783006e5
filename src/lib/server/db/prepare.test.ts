import { copyFileSync, existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { createClient } from '@libsql/client';
import { describe, expect, onTestFinished, test } from 'vitest';
import { backUp } from '../backup/back-up.ts';
import { fillFromFixture } from '../../../../tests/kit/fill-from-fixture.ts';
import { dumpRows } from '../../../../tests/kit/dump.ts';
import { NOW, owner, tempFile } from '../../../../tests/kit/temp-db.ts';
import { design } from '../../../../tests/kit/studio.ts';
import { createRepos } from '../repos/index.ts';
import { connect, isBusy, migrateTo, type Database } from './client.ts';
import { pathOf } from './path-of.ts';
import { CannotStart, prepareDatabase } from './prepare.ts';

const folderOf = (url: string) => dirname(pathOf(url)!);
async function started(url: string) {
	const prepared = await prepareDatabase(url, 'drizzle', NOW);
	onTestFinished(() => prepared.db.close());
	return prepared;
}
const say = async (url: string) => {
	const outcome = await prepareDatabase(url, 'drizzle', NOW).catch((e: unknown) => e);
	if (!(outcome instanceof CannotStart)) throw new Error('It started.');
	return outcome.message;
};
const save = (db: Database, revision: number) =>
	createRepos(db, owner).designs.save(
		'd',
		{
			saveId: `save-${revision}`,
			baseRevision: revision,
			recipe: { ...design('d'), name: `name ${revision}` }
		},
		NOW
	);

describe('starting', () => {
	test('without a file a new, empty studio is begun, and found again', async () => {
		const url = tempFile();
		const first = await started(url);
		expect([first.created, first.copy]).toEqual([true, null]);
		const repos = createRepos(first.db, owner);
		expect(await repos.workspaces.find()).toMatchObject({ demo: false, name: 'My studio' });
		expect((await repos.workspaces.find())!.settings.rates.price.fee).toMatchObject({ percent: '29/10', fixedMinor: 30 }); // prettier-ignore
		expect((await repos.quoteList.page()).all).toBe(0);
		expect((await started(url)).created).toBe(false);
	});
	test('an empty file is begun like none', async () => {
		const url = tempFile();
		writeFileSync(pathOf(url)!, '');
		expect((await started(url)).created).toBe(true);
	});
	test('an older one is brought to the newest shape, and lies beside it as it was', async () => {
		const url = tempFile();
		const db = connect(url);
		const journal = JSON.parse(readFileSync('drizzle/meta/_journal.json', 'utf8')) as { entries: { tag: string }[] }; // prettier-ignore
		const older = `${folderOf(url)}/drizzle`;
		const { cpSync } = await import('node:fs');
		cpSync('drizzle', older, { recursive: true });
		writeFileSync(`${older}/meta/_journal.json`, JSON.stringify({ ...journal, entries: journal.entries.slice(0, -1) })); // prettier-ignore
		await migrateTo(db, older);
		const fixture = readdirSync('tests/fixtures').sort().at(-1)!;
		await fillFromFixture(db, fixture);
		db.close();
		const before = await dumpRows(url);
		const { copy, created } = await started(url);
		expect([created, copy !== null && existsSync(copy)]).toEqual([false, true]);
		expect(await dumpRows(`file:${copy}`)).toEqual(before);
	});
	test('a damaged one, one of another program and a newer one are told apart and left as they are', async () => {
		const damaged = tempFile();
		writeFileSync(pathOf(damaged)!, 'this is no database at all, but it is long enough to be taken for one. '.repeat(80)); // prettier-ignore
		const bytes = readFileSync(pathOf(damaged)!);
		expect(await say(damaged)).toMatch(/is damaged, or is no database .* put a backup in its place/);
		expect(readFileSync(pathOf(damaged)!)).toEqual(bytes);

		const foreign = tempFile();
		const other = createClient({ url: foreign });
		await other.execute('CREATE TABLE recipes (id TEXT)');
		other.close();
		expect(await say(foreign)).toMatch(/a database of another program \(it has recipes\)/);

		const newer = tempFile();
		const { db } = await prepareDatabase(newer, 'drizzle', NOW);
		await db.client.execute(
			"INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)"
		);
		db.close();
		expect(await say(newer)).toMatch(/made by a newer Bright Tally/);
	});
	test('never the advice to load a demo over it', async () => {
		const url = tempFile();
		writeFileSync(pathOf(url)!, 'x'.repeat(4096));
		expect(await say(url)).not.toMatch(/demo/i);
	});
	test('one that does not answer says so', async () =>
		expect(await say('http://127.0.0.1:9')).toMatch(/does not answer .* Check its address/));
});

describe('a copy of the one file holds everything', () => {
	const names = async (url: string) => {
		const client = createClient({ url });
		const { rows } = await client.execute("SELECT revision FROM design WHERE id = 'd'");
		client.close();
		return Number(rows[0]?.revision);
	};
	test('after thirty saves and a clean stop, and when nothing was written for a while', async () => {
		const url = tempFile();
		const { db } = await started(url);
		await createRepos(db, owner).designs.create('d', design('d'), NOW);
		for (let i = 1; i <= 30; i++) expect((await save(db, i)).status).toBe('saved');
		const copied = `${folderOf(url)}/copied.db`;
		await db.fold();
		copyFileSync(pathOf(url)!, copied);
		expect(await names(`file:${copied}`)).toBe(31);
		await save(db, 31);
		const wal = () => (existsSync(`${pathOf(url)}-wal`) ? readFileSync(`${pathOf(url)}-wal`).length : 0);
		expect(wal()).toBeGreaterThan(0);
		await expect.poll(wal, { timeout: 15_000, interval: 200 }).toBe(0);
	}, 30_000);
	test('a backup is made while the app has it open, is checked, and never written over another', async () => {
		const url = tempFile();
		const { db } = await started(url);
		await createRepos(db, owner).designs.create('d', design('d'), NOW);
		await save(db, 1);
		const file = `${folderOf(url)}/backup.db`;
		expect(await backUp(url, file)).toMatchObject({ design: 1, workspace: 1 });
		expect(await names(`file:${file}`)).toBe(2);
		await expect(backUp(url, file)).rejects.toThrow(/is there already/);
		await expect(backUp('file:/nowhere/at/all.db', `${file}2`)).rejects.toThrow(/no database at/);
	});
});

test('a file that another program holds keeps nobody waiting long, and the write is refused as that', async () => {
	const url = tempFile();
	const { db } = await started(url);
	const other = createClient({ url });
	const held = await other.transaction('write');
	let turns = 0;
	const pulse = setInterval(() => (turns += 1), 1);
	const outcome = await createRepos(db, owner)
		.designs.create('d', design('d'), NOW)
		.catch((e: unknown) => e);
	clearInterval(pulse);
	await held.rollback();
	other.close();
	expect(isBusy(outcome)).toBe(true);
	// Others have their turn between the tries: the wait itself is short.
	expect(turns).toBeGreaterThan(10);
	await createRepos(db, owner).designs.create('d', design('d'), NOW);
	expect(await createRepos(db, owner).designs.find('d')).toBeDefined();
}, 30_000);
