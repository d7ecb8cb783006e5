import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { expect, onTestFinished, test } from 'vitest';
import { fillFromFixture } from '../../../../tests/kit/fill-from-fixture.ts';
import { owner, tempDatabase, tempFile } from '../../../../tests/kit/temp-db.ts';
import { createRepos } from '../repos/index.ts';
import { connect, migrateTo, type Database } from './client.ts';

const journal = JSON.parse(readFileSync('drizzle/meta/_journal.json', 'utf8')) as {
	entries: { tag: string }[];
};
const tags = journal.entries.map((e) => e.tag);

/** The migrations up to and with `tag`, as a folder of their own. */
function upTo(tag: string): string {
	const folder = mkdtempSync(join(tmpdir(), 'bright-tally-drizzle-'));
	onTestFinished(() => rmSync(folder, { recursive: true, force: true }));
	cpSync('drizzle', folder, { recursive: true });
	const entries = journal.entries.slice(0, tags.indexOf(tag) + 1);
	writeFileSync(join(folder, 'meta', '_journal.json'), JSON.stringify({ ...journal, entries }));
	return folder;
}

async function filledAt(tag: string, fixture: string): Promise<Database> {
	const db = connect(tempFile());
	onTestFinished(() => db.close());
	await migrateTo(db, upTo(tag));
	await fillFromFixture(db, fixture);
	return db;
}

async function counts(db: Database): Promise<Record<string, number>> {
	const tables = await db.read.all<{ name: string }>(
		sql`SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE '__drizzle%'`
	);
	const found: Record<string, number> = {};
	for (const { name } of tables) {
		const row = await db.read.get<{ n: number }>(sql.raw(`SELECT count(*) AS n FROM "${name}"`));
		found[name] = row!.n;
	}
	return found;
}

const shape = async (db: Database) =>
	db.read.all(
		sql`SELECT type, name, tbl_name, sql FROM sqlite_master WHERE name NOT LIKE 'sqlite_%' ORDER BY type, name`
	);

const fixtures = readdirSync('tests/fixtures').map((f) => f.replace('.sql.gz', ''));

test('every migration but the newest has the demo database it found, and the newest too once there is a next', () => {
	for (const tag of tags.slice(1, -1)) expect(fixtures).toContain(tag);
	expect(fixtures.length).toBeGreaterThan(0);
});

test.each(fixtures)(
	'the filled demo database of %s reaches the newest shape with nothing lost',
	async (tag) => {
		const db = await filledAt(tag, tag);
		const before = await counts(db);
		await migrateTo(db, 'drizzle');
		const after = await counts(db);
		// The index holds designs only since 0006: it is worked out from the recipes.
		for (const [table, n] of Object.entries(before))
			if (table !== 'version_ref') expect([table, after[table]]).toEqual([table, n]);
		expect(await db.read.all(sql`PRAGMA foreign_key_check`)).toEqual([]);
		expect(await shape(db)).toEqual(await shape(await tempDatabase()));
		const repos = createRepos(db, owner);
		const shelf = await repos.designs.shelf();
		expect(shelf.length).toBeGreaterThanOrEqual(6);
		for (const row of shelf) {
			expect((await repos.designs.find(row.id))!.recipe.name).toBe(row.name);
			expect((await repos.designs.lastKept(row.id))!.number).toBe(row.keptNumber);
		}
		for (const { id, state } of (await repos.quoteList.page()).rows)
			// Written anew a quote is a draft that was issued before.
			if (state !== 'draft') expect((await repos.quotes.find(id))!.issued).not.toBeNull();
		expect((await repos.designs.checkRefs(false)).wrong).toEqual([]);
	}
);

test('the guards of 0001 stand on a database that was filled before them', async () => {
	const db = await filledAt('0000_first', '0001_guards');
	await migrateTo(db, upTo('0001_guards'));
	await expect(db.client.execute('UPDATE design_version SET number = 9')).rejects.toThrow('never changes');
	await expect(
		db.client.execute("UPDATE quote SET state = 'draft', frozen = NULL WHERE state = 'sent'")
	).rejects.toThrow('never changes');
});

test('0004 knows the model of modelling balloons that were there; what no maker said stays unknown', async () => {
	const db = await filledAt('0003_photos_and_counts', '0003_photos_and_counts');
	await migrateTo(db, 'drizzle');
	const materials = await createRepos(db, owner).stock.materials();
	const known = { litres: null, grams: null, chambers: 1 };
	expect(materials.find((m) => m.kind === 'modelling')).toMatchObject({ mark: '260', ...known });
	expect(materials.filter((m) => m.kind !== 'modelling' && m.mark !== null)).toEqual([]);
});

test('0007 sets what was issued apart from its quote: link, papers and answers are what they were', async () => {
	const tag = '0006_index_of_designs';
	const db = await filledAt(tag, tag);
	await db.client.execute("UPDATE quote SET state = 'accepted', decided_at = sent_at + 5 WHERE state = 'sent' AND number = 1"); // prettier-ignore
	const before = await db.read.all<Record<string, unknown>>(
		sql`SELECT id, state, token, frozen, frozen_owner, sent_at, decided_at FROM quote WHERE frozen IS NOT NULL ORDER BY id`
	);
	expect(before.map((q) => q.state)).toContain('accepted');
	await migrateTo(db, 'drizzle');
	const after = await db.read.all<Record<string, unknown>>(
		sql`SELECT quote_id AS id, token, frozen, frozen_owner, issued_at AS sent_at FROM quote_issue ORDER BY quote_id`
	);
	expect(after).toEqual(before.map(({ state: _, decided_at: __, ...same }) => same));
	const repos = createRepos(db, owner);
	for (const { id, state, sent_at, decided_at } of before) {
		const events = await repos.quoteLife.events(String(id));
		const answer = state === 'sent' ? [] : [{ event: state, at: new Date(Number(decided_at)), by: 'owner' }];
		const own = [{ event: 'issued', at: new Date(Number(sent_at)), by: 'owner' }, ...answer];
		expect(events).toEqual(own.map((e) => ({ ...e, issue: 1, said: {} })));
	}
	await expect(db.client.execute('DELETE FROM quote_event')).rejects.toThrow('never deleted');
	await expect(db.client.execute("UPDATE quote SET zone = 'Europe/Paris' WHERE state <> 'draft'")).rejects.toThrow('never changes'); // prettier-ignore
});
