import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { NOW, owner, tempDatabase } from '../../tests/kit/temp-db.ts';
import { dumpRows } from '../../tests/kit/dump.ts';
import { recipeSchema } from '../../src/lib/core/recipe/recipe.schema.ts';
import { settingsSchema } from '../../src/lib/core/workspace/settings.schema.ts';
import { tally } from '../../src/lib/core/tally/tally.ts';
import { createRepos } from '../../src/lib/server/repos/index.ts';
import { contextOf, loadLibrary, loadStudio } from '../../src/lib/server/services/studio.ts';
import { QUOTE_STATES } from '../../src/lib/core/quote/states.ts';
import { yearOf } from '../../src/lib/core/study/charged.ts';
import { demoDesigns } from './designs.ts';
import { demoRecipe, loadDemo } from './load.ts';
import { settings } from './settings.ts';
import { colours, stockRows, suppliers } from './stock.ts';

let filled: Awaited<ReturnType<typeof tempDatabase>>;
let loaded: Awaited<ReturnType<typeof loadDemo>>;
/** Loaded once for all tests of this file: it is many writes to a real file. */
beforeAll(async () => {
	filled = await tempDatabase(afterAll);
	loaded = await loadDemo(filled, NOW);
}, 60_000);

describe('the invented studio', () => {
	test('has what the product promises: 60 materials, 3 suppliers, its designs and quotes', async () => {
		expect(loaded.materials).toBeGreaterThanOrEqual(60);
		expect(suppliers).toHaveLength(3);
		expect(loaded.quotes).toBe(42);
		const repos = createRepos(filled, owner);
		const names = (await repos.designs.shelf()).map((d) => d.name);
		for (const name of [
			'Lighthouse column',
			'Hive column',
			'Kelp column',
			'Toadstool figure',
			'Watering-can column',
			'Tide-gauge pole'
		])
			expect(names).toContain(name);
		const { rows } = await repos.quoteList.page({ today: NOW.toISOString().slice(0, 10) });
		expect(rows).toHaveLength(42);
		const many = (state: string) => rows.filter((q) => q.state === state).length;
		// 16 of the year that is over and 6 under way; one that is written anew is a draft again.
		expect(Object.fromEntries(QUOTE_STATES.map((s) => [s, many(s)]))).toEqual({ draft: 5, sent: 3, seen: 4, accepted: 22, declined: 7, lapsed: 0, cancelled: 1 }); // prettier-ignore
		const sent = await repos.orders.sent();
		expect(sent.length).toBe(38);
		expect((await repos.orders.sent('quote-regatta')).map((s) => s.id)).not.toContain('quote-regatta');
		expect((await repos.orders.won()).won['Tidewick Library']).toBe(4);
		const elsewhere = createRepos(filled, { ...owner, workspace: 'another' });
		expect([await elsewhere.orders.sent(), await elsewhere.orders.won()]).toEqual([
			[],
			{ won: {}, taken: {} }
		]);
		const year = yearOf(sent);
		expect([year.won, year.answered]).toEqual([22, 30]);
		expect(year.ownHour).toBeGreaterThan(2000);
	});
	test('loaded twice it is there once, to the row', async () => {
		const db = filled;
		const url = `file:${(await db.client.execute('PRAGMA database_list')).rows[0]!.file}`;
		const first = await dumpRows(url);
		await loadDemo(db, NOW);
		const second = await dumpRows(url);
		// The stock's stamp counts that somebody looked; nothing else may differ.
		const bare = (rows: string[]) => rows.filter((r) => !r.startsWith('INSERT INTO "workspace"'));
		expect(bare(second)).toEqual(bare(first));
	});
	test('killed over and over while it loads, it is whole in the end, to the row', async () => {
		const db = await tempDatabase(afterAll);
		const ends = [0, 1, 7, 40, 66, 23, 5, 1];
		let kills = 0;
		for (const end of [...ends, Infinity]) {
			let writes = 0;
			const dying: typeof db = {
				...db,
				write: (work) => (writes++ < end ? db.write(work) : Promise.reject(new Error('killed')))
			};
			await loadDemo(dying, NOW).catch((e: Error) => {
				expect(e.message).toBe('killed');
				kills += 1;
			});
		}
		expect(kills).toBe(ends.length);
		const rows = async (of: typeof db) => {
			const url = `file:${(await of.client.execute('PRAGMA database_list')).rows[0]!.file}`;
			// A link and the salt of a password are drawn by lot, and the stamp counts that somebody looked.
			return (await dumpRows(url))
				.filter((row) => !row.startsWith('INSERT INTO "workspace"'))
				.map((row) =>
					row.replace(/'[\w-]{32}'/g, "'a link'").replace(/'[\da-f]{32}:[\da-f]{128}'/g, "'a hash'")
				)
				.map((row) => (row.startsWith('INSERT INTO "message"') ? row.replace(/'From:[^]*/, '') : row));
		};
		expect(await rows(db)).toEqual(await rows(filled));
	});
	test.each(demoDesigns.map((d) => [d.name, d] as const))(
		'%s is a recipe, and nothing in it stops a sale',
		async (_, demo) => {
			const recipe = demoRecipe(demo);
			expect(recipeSchema.parse(JSON.parse(JSON.stringify(recipe)))).toEqual(recipe);
			const repos = createRepos(filled, owner);
			const context = contextOf(await loadStudio(repos), await loadLibrary(repos, recipe));
			const counted = tally(recipe, null, 1, context);
			expect(counted.findings.filter((f) => f.level === 'bad')).toEqual([]);
			expect(counted.cost.total.unknown).toEqual([]);
			// A stand is made of no balloon.
			expect(counted.bill.lines.length).toBeGreaterThan(0);
			expect(counted.price.status).toBe('priced');
		}
	);
	test('its settings and colours pass the guards of a real one', () => {
		expect(settingsSchema.parse(settings)).toEqual(settings);
		const known = new Set(colours.map((c) => c.id));
		for (const { material } of stockRows) if (material.colour) expect(known).toContain(material.colour);
		expect(new Set(stockRows.map((r) => r.material.name)).size).toBe(stockRows.length);
	});
});
