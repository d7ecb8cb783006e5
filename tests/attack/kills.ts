import type { ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { emptyRecipe } from '../../src/lib/core/recipe/build.ts';
import { OWNER } from '../../src/lib/server/actor.ts';
import { loadPeople } from '../../scripts/demo/people.ts';
import { connect, migrateTo } from '../../src/lib/server/db/client.ts';
import { startingSettings } from '../../src/lib/server/db/starting-settings.ts';
import { createRepos } from '../../src/lib/server/repos/index.ts';
import { serve } from '../kit/serve.ts';
import { signIn } from '../kit/signed-in.ts';
import { ask, type Outcome } from './tally.ts';

const PORT = 4396;
const url = `http://127.0.0.1:${PORT}`;
const WRITERS = 4;

/** An empty studio with people who sign in. */
async function begun(database: string): Promise<void> {
	const db = connect(database);
	await migrateTo(db, 'drizzle');
	await createRepos(db, OWNER).workspaces.create(startingSettings, new Date());
	await loadPeople(db, new Date());
	db.close();
}

/**
 * A server killed while designs are made and saved and quotes begun in it, started again on the same file: what it
 * acknowledged is there, and no save stands at a number before the one it was told.
 */
export async function kills(count: number, seed: number): Promise<Outcome> {
	const folder = mkdtempSync(join(tmpdir(), 'bright-tally-kills-'));
	const database = `file:${join(folder, 'tally.db')}`;
	const told: string[] = [];
	/** The number each design was told it is saved at, and quotes that were begun. */
	const saved = new Map<string, number>();
	const begunQuotes: string[] = [];
	const recipe = emptyRecipe('Saved', () => crypto.randomUUID());
	let last: ChildProcess | undefined;
	let cookie = '';
	await begun(database);
	try {
		for (const [round, wait] of fc.sample(fc.integer({ min: 5, max: 700 }), { numRuns: count, seed }).entries()) {
			const child = (last = await serve({ port: PORT, database }));
			cookie ||= await signIn(url);
			let alive = true;
			const writer = async (who: number) => {
				for (let i = 0; alive; i++) {
					const id = `kill-${round}-${who}-${i}`;
					const body = new URLSearchParams({ id });
					const headers = { origin: url, accept: 'application/json', cookie };
					const { status } = await ask(`${url}/new?/empty`, { method: 'POST', headers, body });
					if (status !== 200 && status !== 303) continue;
					told.push(id);
					if (i % 3 === 1) {
						const sent = JSON.stringify({ saveId: `save-${id}`, baseRevision: 1, recipe });
						const answer = await ask(`${url}/bench/${id}/save`, { method: 'POST', headers: { ...headers, 'content-type': 'application/json' }, body: sent }); // prettier-ignore
						if (answer.status === 200) saved.set(id, (JSON.parse(answer.text) as { revision: number }).revision);
					}
					if (i % 3 === 2) {
						const form = new URLSearchParams({ id: `quote-${id}`, client: `Client ${id}` });
						const answer = await ask(`${url}/quotes?/create`, { method: 'POST', headers, body: form });
						if (answer.status === 200 || answer.status === 303) begunQuotes.push(`quote-${id}`);
					}
				}
			};
			const writing = Array.from({ length: WRITERS }, (_, who) => writer(who));
			// From the first that was acknowledged on: a slow machine is killed in the middle of its work too.
			const before = told.length;
			while (told.length === before && child.exitCode === null)
				await new Promise((resolve) => setTimeout(resolve, 5));
			await new Promise((resolve) => setTimeout(resolve, wait));
			const gone = once(child, 'exit');
			child.kill('SIGKILL');
			await gone;
			alive = false;
			await Promise.all(writing);
		} // prettier-ignore
		const db = connect(database);
		const { designs, quotes } = createRepos(db, OWNER);
		const there = new Set((await designs.shelf()).map((row) => row.id));
		const whole = await db.client.execute('PRAGMA integrity_check');
		const bad = told.filter((id) => !there.has(id)).map((id) => `lost: ${id}`);
		for (const [id, revision] of saved) {
			const found = await designs.find(id);
			if ((found?.revision ?? 0) < revision || found?.recipe.name !== 'Saved')
				bad.push(`a save was lost: ${id} at ${revision}`);
		}
		for (const id of begunQuotes) if (!(await quotes.find(id))) bad.push(`a quote was lost: ${id}`);
		if ((await db.client.execute('PRAGMA foreign_key_check')).rows.length > 0) bad.push('references hang');
		db.close();
		if (whole.rows[0]?.[0] !== 'ok') bad.push(`the file is damaged: ${JSON.stringify(whole.rows[0])}`);
		if (told.length === 0) bad.push('nothing was acknowledged');
		return { tried: told.length + saved.size + begunQuotes.length, bad };
	} finally {
		// What broke off leaves no server behind that the next run would talk to.
		last?.kill('SIGKILL');
		rmSync(folder, { recursive: true, force: true });
	}
}
