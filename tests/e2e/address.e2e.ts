import { copyFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { serve } from '../kit/serve.ts';
import { signIn } from '../kit/signed-in.ts';
import { startStandIn } from '../kit/libsql-stand-in.ts';
import { expect, TEMPLATE, test } from './app.ts';

test('two servers on one database at an address: what one saves the other shows, and neither writes over the other', async () => {
	test.setTimeout(120_000);
	const file = join(mkdtempSync(join(tmpdir(), 'bright-tally-address-')), 'tally.db');
	copyFileSync(TEMPLATE, file);
	const standIn = await startStandIn();
	const ports = [4388, 4389] as const;
	const env = { AUTH_SECRET: 'a key that both servers of this test know', BACKUP_HOURS: '0' };
	const servers = await Promise.all(ports.map((port) => serve({ port, database: standIn.urlOf(file), env })));
	try {
		const [one, two] = ports.map((port) => `http://127.0.0.1:${port}`) as [string, string];
		// A session is of the studio, not of a server.
		const cookie = await signIn(one);
		const ask = (url: string, path: string, body?: Record<string, string>) =>
			fetch(url + path, {
				redirect: 'manual',
				headers: { cookie, origin: url, accept: 'application/json' },
				...(body && { method: 'POST', body: new URLSearchParams(body) })
			});
		const text = async (url: string, path: string) => (await ask(url, path)).text();

		// What is kept in memory is kept under a stamp of the data: a price changed here is the price there.
		const row = async (url: string) =>
			(await text(url, '/stockroom/stock.csv')).split('\r\n').find((line) => /11.*gull white/.test(line))!;
		const before = await row(two);
		const db = createClient({ url: standIn.urlOf(file) });
		const found = await db.execute(
			"SELECT id FROM pack WHERE material_id = 'round-11-gull-white' ORDER BY id LIMIT 1"
		);
		db.close();
		const said = { pack: String(found.rows[0]!['id']), count: '100', price: '98.76', deposit: '' };
		const about = /"([0-9a-f]{24})/.exec(await (await ask(one, '/stockroom?/pack', said)).text())![1]!;
		const changed = await ask(one, '/stockroom?/pack', { ...said, meant: about });
		expect([changed.status, await row(one)]).toEqual([200, expect.stringContaining('98.76')]);
		expect([before, await row(two)]).toEqual([expect.not.stringContaining('98.76'), await row(one)]);

		// Both begin quotes and designs at once: each is there, with a number of its own.
		const made = await Promise.all(
			Array.from({ length: 24 }, (_, i) =>
				ask(i % 2 ? one : two, '/new?/empty', { id: `at-an-address-${i}` })
			)
		);
		expect(made.map((m) => m.status)).toEqual(made.map(() => 200));
		const shelf = await text(two, '/shelf/recipes.json');
		for (let i = 0; i < 24; i++) expect(shelf).toContain(`at-an-address-${i}`);

		// A save that started from what the other has saved over is told so.
		const recipe = JSON.parse(await text(one, '/bench/kelp-column/recipe.json')) as { name: string };
		const save = (url: string, name: string) =>
			fetch(`${url}/bench/at-an-address-1/save`, {
				method: 'POST',
				headers: { cookie, origin: url, 'content-type': 'application/json' },
				body: JSON.stringify({ saveId: `save-of-${name}`, baseRevision: 1, recipe: { ...recipe, name } })
			});
		const saves = await Promise.all([save(one, 'First'), save(two, 'Second')]);
		expect(saves.map((s) => s.status).sort()).toEqual([200, 409]);
		const won = saves[0].status === 200 ? 'First' : 'Second';
		for (const url of [one, two])
			expect(await text(url, '/bench/at-an-address-1/recipe.json')).toContain(`"${won}"`);
		// Its backups are the business of whoever runs the database.
		expect(await text(two, '/settings/backups')).toContain('whoever runs that keeps its backups');
		expect(await text(two, '/settings/health')).toContain('the data lies at an address');
	} finally {
		for (const server of servers) server.kill('SIGKILL');
		await standIn.close();
	}
});
