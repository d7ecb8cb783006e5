import { getTableColumns } from 'drizzle-orm';
import { getTableConfig } from 'drizzle-orm/sqlite-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { loadDemo } from '../../../../scripts/demo/load.ts';
import { NOW, owner, tempDatabase, tempStudio } from '../../../../tests/kit/temp-db.ts';
import type { Database } from '../db/client.ts';
import { startingSettings } from '../db/starting-settings.ts';
import { OTHER_TABLES, STUDIO_TABLES, STUDIO_TABLE_NAMES, type StudioTable } from '../db/studio-tables.ts';
import { createRepos, type Repos } from './index.ts';
import { DOCUMENTS, STUDIO_ROWS } from './studio-rows.ts';
import type { StudioRow, WholeStudio } from './whole-studio.ts';

let db: Database;
let home: Repos;
const elsewhere = { ...owner, workspace: 'elsewhere', person: 'else' };
beforeAll(async () => {
	db = await tempDatabase(afterAll);
	await loadDemo(db, NOW);
	home = createRepos(db, owner);
}, 60_000);

const put = { from: 'yesterday', now: NOW, newToken: () => crypto.randomUUID() } as const;
/** All rows in memory, to be put again. */
const held = (repos: Repos): Promise<WholeStudio & { all: Record<string, StudioRow[]> }> =>
	repos.wholeStudio.take(async ({ head, rows }) => {
		const all: Record<string, StudioRow[]> = {};
		for (const name of STUDIO_TABLE_NAMES)
			for await (const some of rows(name)) (all[name] ??= []).push(...some);

		return { head, all, rows: async function* (name) { yield all[name] ?? []; } }; // prettier-ignore
	});
const sameBut = (rows: Record<string, StudioRow[]>, ...tables: StudioTable[]) =>
	Object.fromEntries(STUDIO_TABLE_NAMES.filter((n) => !tables.includes(n)).map((n) => [n, rows[n]]));
const triggers = async () =>
	(await db.client.execute("SELECT name, sql FROM sqlite_master WHERE type = 'trigger' ORDER BY name")).rows;

describe('what a studio is made of', () => {
	test('every table is a part of it, or is named as none', async () => {
		const { rows } = await db.client.execute(
			"SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE '__drizzle%'"
		);
		const named = [...Object.values(STUDIO_TABLES), ...Object.values(OTHER_TABLES)].map(
			(t) => getTableConfig(t).name
		);
		expect(rows.map((r) => String(r.name)).sort()).toEqual(named.sort());
	});
	test('every document and picture inside a row has the schema that reads it', () => {
		for (const name of STUDIO_TABLE_NAMES)
			for (const [column, { dataType }] of Object.entries(getTableColumns(STUDIO_TABLES[name])))
				if (dataType === 'json' || dataType === 'buffer')
					expect(DOCUMENTS[name], `${name}.${column}`).toHaveProperty(column);
	});
	test('every row of a year comes through as it is, written down and read again', async () => {
		const { all: rows } = await held(home);
		for (const name of STUDIO_TABLE_NAMES)
			for (const row of rows[name] ?? []) {
				const written = { ...(JSON.parse(JSON.stringify(row)) as StudioRow), ...('bytes' in row && { bytes: row['bytes'] }) }; // prettier-ignore
				expect(STUDIO_ROWS[name].parse(written), name).toEqual(row);
			}
		expect(Object.keys(rows).length).toBeGreaterThan(20);
	});
	test.each([
		['design', { working: { schema: 6 } }],
		['client', { name: 5 }],
		['payment', { minor: 1.5 }],
		['photo', { bytes: new Uint8Array([1, 2, 3]) }],
		['supplier', { nobodyKnows: 1 }],
		['quote', { state: 'lost' }],
		['stockMove', { workspaceId: 'another' }]
	] as const)('a row of %s that says %j is refused', async (name, wrong) => {
		const row = (await held(home)).all[name]![0];
		expect(STUDIO_ROWS[name].safeParse({ ...row, ...wrong }).success).toBe(false);
	});
});

describe('put whole', () => {
	test('in its place: what came since is gone, what went is back, and a page that is still open is told', async () => {
		const before = await held(home);
		const guards = await triggers();
		const [row] = await home.designs.shelf();
		const design = (await home.designs.find(row!.id))!;
		await home.clients.named('Sandpiper Arts', 'sandpiper');
		const save = {
			saveId: 's-1',
			baseRevision: design.revision,
			recipe: { ...design.recipe, name: 'Another' }
		};
		expect(await home.designs.save(design.id, save, NOW)).toMatchObject({ status: 'saved' });
		const stamp = await home.workspaces.stamp();

		expect(await home.wholeStudio.put(before, { ...put, where: 'in its place' })).toBe(true);
		const after = await held(home);
		expect(sameBut(after.all, 'changeEntry')).toEqual(sameBut(before.all, 'changeEntry'));
		expect(after.head).toEqual(before.head);
		expect(await triggers()).toEqual(guards);
		expect(await home.workspaces.stamp()).toBe(stamp! + 1);
		// Nothing of what was told is forgotten, and that it was put is told.
		expect(after.all['changeEntry']!.length).toBeGreaterThan(before.all['changeEntry']!.length);
		expect((await home.changes.list({})).rows[0]).toMatchObject({ what: 'studio.restored', is: 'yesterday' });
		expect((await home.designs.find(design.id))!.recipe.name).toBe(design.recipe.name);
		const late = { ...save, saveId: 's-2', baseRevision: design.revision + 1 };
		expect(await home.designs.save(design.id, late, NOW)).toMatchObject({ status: 'stale' });
		const whole = await db.client.execute('PRAGMA integrity_check');
		expect(Object.values(whole.rows[0]!)[0]).toBe('ok');
		expect((await db.client.execute('PRAGMA foreign_key_check')).rows).toEqual([]);
	});
	test('into an empty studio of the same server: equal but for links; into one with anything it does not go', async () => {
		const repos = createRepos(db, elsewhere);
		await repos.workspaces.create(startingSettings, NOW);
		const whole = await held(home);
		expect(await repos.wholeStudio.put(whole, { ...put, where: 'empty' })).toBe(true);
		const there = await held(repos);
		const linked = ['quoteIssue', 'endedLink', 'linkLook', 'changeEntry'] as const;
		expect(sameBut(there.all, ...linked)).toEqual(sameBut(whole.all, ...linked));
		const tokens = (rows: StudioRow[] = []) => rows.map((r) => r['token'] as string);
		const [own, others] = [tokens(there.all['quoteIssue']), tokens(whole.all['quoteIssue'])];
		expect([own.length, new Set([...own, ...others]).size]).toEqual([others.length, 2 * others.length]);
		for (const name of ['endedLink', 'linkLook'] as const)
			expect(tokens(there.all[name])).toEqual(tokens(whole.all[name]).map((t) => own[others.indexOf(t)]));
		expect(await repos.wholeStudio.put(whole, { ...put, where: 'empty' })).toBe(false);
		expect(sameBut((await held(home)).all)).toEqual(sameBut(whole.all));
	});
	test('what fails in the middle has done nothing, and every guard stands', async () => {
		const { repos, db: own } = await tempStudio();
		const before = (await held(repos)).all;
		const good = await held(home);
		const broken: WholeStudio = {
			...good,
			rows: async function* (name) {
				if (name !== 'material') yield* good.rows(name);
			}
		};
		await expect(repos.wholeStudio.put(broken, { ...put, where: 'in its place' })).rejects.toThrow();
		expect((await held(repos)).all).toEqual(before);
		const { rows } = await own.client.execute(
			"SELECT count(*) AS n FROM sqlite_master WHERE type = 'trigger'"
		);
		expect(Number(rows[0]!.n)).toBe((await triggers()).length);
	});
	test('read at one moment: what is written meanwhile is not in it', async () => {
		const { repos } = await tempStudio();
		const names = await repos.wholeStudio.take(async ({ rows }) => {
			const seen: StudioRow[] = [];
			for await (const some of rows('colour')) {
				await repos.clients.named('Late Comers', `late ${some.length}`);
				for await (const clients of rows('client')) seen.push(...clients);
			}
			return seen;
		});
		expect(names).toEqual([]);
		expect((await repos.clients.list()).map((c) => c.name)).toEqual(['Late Comers']);
	});
});
