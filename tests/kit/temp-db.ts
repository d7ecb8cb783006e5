import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { onTestFinished } from 'vitest';
import { settings } from '../../scripts/demo/settings.ts';
import type { Actor } from '../../src/lib/server/actor.ts';
import { connect, migrateTo, type Database } from '../../src/lib/server/db/client.ts';
import { addressOf } from './libsql-stand-in.ts';
import { createRepos, type Repos } from '../../src/lib/server/repos/index.ts';

export const owner: Actor = { workspace: 'home', person: 'owner', role: 'owner' };
/** The day every test of the server happens on. */
export const NOW = new Date('2027-05-04T15:00:00Z');

/** Says what to do at the end: of a test, or of all tests of a file with `afterAll`. */
type AtTheEnd = (work: () => void) => void;

/** A database of this test's own, gone when it ends: a file, or at an address where DATA_AT names a stand-in. */
export function tempFile(atTheEnd: AtTheEnd = onTestFinished): string {
	const folder = mkdtempSync(join(tmpdir(), 'bright-tally-unit-'));
	atTheEnd(() => rmSync(folder, { recursive: true, force: true }));
	const file = join(folder, 'tally.db');
	return process.env['DATA_AT'] ? addressOf(process.env['DATA_AT'], file) : `file:${file}`;
}

export async function tempDatabase(
	atTheEnd: AtTheEnd = onTestFinished,
	url = tempFile(atTheEnd)
): Promise<Database> {
	const db = connect(url);
	atTheEnd(() => db.close());
	await migrateTo(db, 'drizzle');
	return db;
}

/** An empty workspace with a small Stockroom: the materials that `tests/kit/studio.ts` names. */
export async function tempStudio(actor: Actor = owner): Promise<{ db: Database; repos: Repos; url: string }> {
	const url = tempFile();
	const db = await tempDatabase(onTestFinished, url);
	const repos = createRepos(db, actor);
	await fillStudio(repos);
	return { db, repos, url };
}

export async function fillStudio(repos: Repos): Promise<void> {
	const { colours, materials, rates } = await import('./studio.ts');
	await repos.workspaces.create({ ...settings, rates }, NOW);
	await repos.stock.addSupplier({ id: 'quayside', name: 'Quayside Supply' });
	for (const colour of colours) await repos.stock.addColour(colour);
	for (const { packs, ...material } of materials) {
		const [pack] = packs;
		await repos.stock.addMaterial({
			...material,
			pack: { id: pack!.id, supplierId: 'quayside', count: pack!.count, priceMinor: pack!.priceMinor }
		});
	}
}
