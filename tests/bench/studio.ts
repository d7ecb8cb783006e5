import type { ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serve } from '../kit/serve.ts';
import { asOwner } from '../kit/signed-in.ts';
import { loadDemo } from '../../scripts/demo/load.ts';
import { OWNER } from '../../src/lib/server/actor.ts';
import { connect, migrateTo } from '../../src/lib/server/db/client.ts';
import { createRepos, type Repos } from '../../src/lib/server/repos/index.ts';
import { emptyRecipe } from '../../src/lib/core/recipe/build.ts';
import { applyEntry } from '../../src/lib/core/language/apply.ts';
import { type RecipeDraft } from '../../src/lib/core/recipe/draft.ts';
import { parseEntry } from '../../src/lib/core/language/read.ts';
import { POINT } from '../../src/lib/core/units/number.ts';
import type { Recipe } from '../../src/lib/core/recipe/recipe.ts';

/**
 * Runs work against a built server on a throwaway copy of the demo studio, signed in as its owner.
 * @param work is given the cookies too, for what asks by other means than `fetch` @param args of Node, before the server
 */
export async function withStudio<T>(
	port: number,
	fill: (repos: Repos) => Promise<void>,
	work: (url: string, server: ChildProcess, cookie: string) => Promise<T>,
	args: readonly string[] = []
): Promise<T> {
	const folder = mkdtempSync(join(tmpdir(), 'bright-tally-bench-'));
	const database = `file:${join(folder, 'tally.db')}`;
	const db = connect(database);
	await migrateTo(db, 'drizzle');
	await loadDemo(db, new Date());
	await fill(createRepos(db, OWNER));
	db.close();
	const server = await serve({ port, database, args, stdio: ['ignore', 'ignore', 'inherit', 'ipc'] });
	try {
		const url = `http://127.0.0.1:${port}`;
		return await asOwner(url, (cookie) => work(url, server, cookie));
	} finally {
		server.kill('SIGTERM');
		await new Promise((resolve) => server.once('exit', resolve));
		rmSync(folder, { recursive: true, force: true });
	}
}

/** A column of so many unlike layers, keyed through the entry line in the colours of the Stockroom. */
export async function column(repos: Repos, name: string, layers: number, shift = 0): Promise<Recipe> {
	const [colours, materials] = await Promise.all([repos.stock.colours(), repos.stock.materials()]);
	const recipe = emptyRecipe(name, () => crypto.randomUUID()) as RecipeDraft;
	const says = [
		'gull',
		'pennant',
		'hive gold matte',
		'spiral left gull / pennant',
		'checker pennant / limpet'
	];
	for (let i = 0; i < layers; i++) {
		const line = `4 11 at ${(70 + ((i + shift) % 17)) / 8} ${says[(i + shift) % says.length]}`;
		const { slots, colourways } = recipe as Recipe;
		const said = parseEntry(line, { slots, colourway: colourways[0], colours, materials, style: POINT });
		if (!said.ok) throw new Error(said.say);
		applyEntry(recipe, said.value, {}, () => crypto.randomUUID());
	}
	return recipe as Recipe;
}

/** @returns the share `at` (0 to 1) of the measured values, nearest rank */
export function quantile(values: readonly number[], at: number): number {
	const sorted = [...values].sort((a, b) => a - b);
	return sorted[Math.min(sorted.length - 1, Math.ceil(at * sorted.length) - 1)]!;
}

/** One line of the report: what was measured, against what was asked. */
export function report(what: string, measured: number, limit: number, unit: string, more = false): boolean {
	const reached = more ? measured >= limit : measured < limit;
	const sign = more ? '≥' : '<';
	console.log(
		`${reached ? 'reached' : 'MISSED '}  ${what.padEnd(64)} ${measured.toFixed(2).padStart(8)} ${unit} (${sign} ${limit} ${unit})`
	);
	return reached;
}
