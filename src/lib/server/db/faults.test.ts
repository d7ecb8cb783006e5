import { spawn } from 'node:child_process';
import { once } from 'node:events';
import {
	chmodSync,
	existsSync,
	mkdtempSync,
	readFileSync,
	readdirSync,
	rmSync,
	writeFileSync
} from 'node:fs';
import { cpSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, onTestFinished, test } from 'vitest';
import { fillFromFixture } from '../../../../tests/kit/fill-from-fixture.ts';
import { design } from '../../../../tests/kit/studio.ts';
import { NOW, owner, tempDatabase, tempFile, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { countRows } from '../backup/back-up.ts';
import { createRepos } from '../repos/index.ts';
import { connect, isFull, migrateTo, type Database } from './client.ts';
import { pathOf } from './path-of.ts';
import { prepareDatabase } from './prepare.ts';

/** `scripts/prepare.ts` in a process of its own. */
const prepare = (url: string, args: readonly string[] = [], uid?: number) =>
	spawn(process.execPath, ['--import', 'tsx', 'scripts/prepare.ts', ...args], {
		env: { ...process.env, DATABASE_URL: url },
		...(uid !== undefined && { uid, gid: uid })
	});
const until = async (what: () => boolean) => {
	while (!what()) await new Promise((resolve) => setTimeout(resolve, 1));
};
async function isWhole(db: Database): Promise<void> {
	const said = await db.client.execute('PRAGMA integrity_check');
	expect(Object.values(said.rows[0]!)[0]).toBe('ok');
	expect((await db.client.execute('PRAGMA foreign_key_check')).rows).toEqual([]);
}

describe('killed at any moment', () => {
	const fixture = readdirSync('tests/fixtures').sort().at(0)!;
	const tag = fixture.replace('.sql.gz', '');
	/** The demo data of the oldest version that is kept. */
	async function oldest(url: string): Promise<void> {
		const folder = mkdtempSync(join(tmpdir(), 'bright-tally-drizzle-'));
		cpSync('drizzle', folder, { recursive: true });
		const path = join(folder, 'meta', '_journal.json');
		const journal = JSON.parse(readFileSync(path, 'utf8')) as { entries: { tag: string }[] };
		const entries = journal.entries.slice(0, journal.entries.findIndex((e) => e.tag === tag) + 1);
		writeFileSync(path, JSON.stringify({ ...journal, entries }));
		const db = connect(url);
		await migrateTo(db, folder);
		await fillFromFixture(db, fixture);
		await db.fold();
		db.close();
		rmSync(folder, { recursive: true, force: true });
	}
	test('while it is brought to the newest shape: the next start does it whole, and as it was lies beside it', async () => {
		const calm = tempFile();
		await oldest(calm);
		const { db: done } = await prepareDatabase(calm, 'drizzle', NOW);
		const wanted = await countRows(done);
		done.close();
		for (const wait of fc.sample(fc.integer({ min: 0, max: 120 }), { numRuns: 3, seed: 22 })) {
			const url = tempFile();
			await oldest(url);
			const child = prepare(url);
			const copies = () => readdirSync(dirname(pathOf(url)!)).filter((n) => n.includes('.before-'));
			await until(() => copies().length > 0 || child.exitCode !== null);
			await new Promise((resolve) => setTimeout(resolve, wait));
			const gone = once(child, 'exit');
			if (child.kill('SIGKILL')) await gone;
			const { db } = await prepareDatabase(url, 'drizzle', NOW);
			expect(await countRows(db)).toEqual(wanted);
			await isWhole(db);
			db.close();
		}
	}, 60_000);
	test('while the demo is loaded: loaded again it is there once, and whole', async () => {
		const url = tempFile();
		for (const wait of fc.sample(fc.integer({ min: 100, max: 2500 }), { numRuns: 1, seed: 22 })) {
			const child = prepare(url, ['--demo']);
			await until(() => existsSync(`${pathOf(url)!}-wal`) || child.exitCode !== null);
			await new Promise((resolve) => setTimeout(resolve, wait));
			const gone = once(child, 'exit');
			if (child.kill('SIGKILL')) await gone;
		}
		const last = prepare(url, ['--demo']);
		const [code] = (await once(last, 'exit')) as [number];
		expect(code).toBe(0);
		const db = connect(url);
		onTestFinished(() => db.close());
		await isWhole(db);
		const calm = await tempDatabase();
		const { loadDemo } = await import('../../../../scripts/demo/load.ts');
		await loadDemo(calm, new Date());
		const wanted = await countRows(calm);
		// What was told of changes is told again by what was done twice.
		const { change_entry: told, ...rows } = await countRows(db);
		expect(rows).toEqual((({ change_entry: _, ...rest }) => rest)(wanted));
		expect(told).toBeGreaterThanOrEqual(wanted['change_entry']!);
	}, 120_000);
});

describe('where it cannot be written', () => {
	test('a full disk: what was asked is refused as that, what was there stays, and with room it goes on', async () => {
		const { db, repos, url } = await tempStudio();
		await repos.designs.create('d', design('d'), NOW);
		const before = await countRows(db);
		await db.client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
		const { rows } = await db.client.execute('PRAGMA page_count');
		// The database may not grow: what the engine then meets is what a disk without room is.
		await db.client.execute(`PRAGMA max_page_count = ${Number(rows[0]!['page_count'])}`);
		const large = { ...design('d'), notes: 'x'.repeat(200_000) };
		const outcome = await repos.designs
			.save('d', { saveId: 'save-one', baseRevision: 1, recipe: large as never }, NOW)
			.catch((cause: unknown) => cause);
		expect(isFull(outcome), JSON.stringify(outcome)).toBe(true);
		const again = connect(url);
		onTestFinished(() => again.close());
		expect(await countRows(again)).toEqual(before);
		await isWhole(again);
		const saved = await createRepos(again, owner).designs.save('d', { saveId: 'save-two', baseRevision: 1, recipe: design('e') }, NOW); // prettier-ignore
		expect(saved).toMatchObject({ status: 'saved', revision: 2 });
	});
	test('a folder that can only be read: it says so, and changes nothing', async () => {
		const url = tempFile();
		const path = pathOf(url)!;
		(await prepareDatabase(url, 'drizzle', NOW)).db.close();
		const before = readFileSync(path);
		for (const end of ['-wal', '-shm']) rmSync(path + end, { force: true });
		chmodSync(path, 0o444);
		chmodSync(dirname(path), 0o555);
		onTestFinished(() => chmodSync(dirname(path), 0o755));
		// Whoever may do everything is held by no such rule: somebody else tries.
		const child = prepare(url, [], process.getuid?.() === 0 ? 65_534 : undefined);
		let said = '';
		child.stderr.on('data', (chunk: Buffer) => (said += String(chunk)));
		const [code] = (await once(child, 'exit')) as [number];
		expect(code, said).toBe(1);
		expect(said).toMatch(/can only be read|could not be opened|is damaged/);
		expect(said).not.toMatch(/\n\s+at /);
		expect(readFileSync(path).equals(before)).toBe(true);
	}, 30_000);
});

test('a clock that was set back: saves go on, changes stand in the order they happened, numbers go up', async () => {
	const { repos } = await tempStudio();
	const earlier = new Date(NOW.getTime() - 3 * 86_400_000);
	await repos.designs.create('d', design('d'), NOW);
	const save = { saveId: 'save-one', baseRevision: 1, recipe: design('e') };
	expect(await repos.designs.save('d', save, earlier)).toMatchObject({ status: 'saved', revision: 2 });
	await repos.designs.keep('d', earlier);
	expect((await repos.designs.find('d'))!.keptNumber).toBe(1);
	const { settings } = (await repos.workspaces.find())!;
	await repos.workspaces.change({ ...settings, zone: 'Europe/Lisbon' });
	await repos.workspaces.change({ ...settings, zone: 'Europe/Paris' });
	const { rows } = await repos.changes.list({ search: 'zone' });
	expect(rows.map((r) => r.is)).toEqual(['Europe/Paris', 'Europe/Lisbon']);
});
