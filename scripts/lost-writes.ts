import { fork } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { sql } from 'drizzle-orm';
import { connect } from '../src/lib/server/db/client.ts';

interface Load {
	readonly processes: number;
	readonly writers: number;
	readonly each: number;
}

/** Messages of a writing process: the rows it was told are committed. */
type Report = readonly string[];

/** One process of the load: its writers write at once, each noting what it was told is committed. */
async function write(url: string, name: string, { writers, each }: Load): Promise<Report> {
	const db = connect(url);
	const told: string[] = [];
	const writer = async (w: number) => {
		for (let i = 0; i < each; i++) {
			const id = `${name}-${w}-${i}`;
			await db.write((tx) => tx.run(sql`INSERT INTO load (id) VALUES (${id})`));
			told.push(id);
		}
	};
	await Promise.all(Array.from({ length: writers }, (_, w) => writer(w)));
	db.close();
	return told;
}

/**
 * Several processes with several writers each on one database file, through the one door to writing.
 * @returns how many writes were acknowledged, and which of those are not in the file afterwards
 */
export async function loseWrites(load: Load): Promise<{ acknowledged: number; missing: string[] }> {
	const folder = mkdtempSync(join(tmpdir(), 'bright-tally-load-'));
	const url = `file:${join(folder, 'load.db')}`;
	try {
		const db = connect(url);
		await db.client.execute('PRAGMA journal_mode = WAL');
		await db.write((tx) => tx.run(sql`CREATE TABLE load (id TEXT PRIMARY KEY)`));
		const reports = await Promise.all(
			Array.from({ length: load.processes }, (_, p) => oneProcess(url, `p${p}`, load))
		);
		const rows = await db.read.all<{ id: string }>(sql`SELECT id FROM load`);
		db.close();
		const there = new Set(rows.map((r) => r.id));
		const told = reports.flat();
		return { acknowledged: told.length, missing: told.filter((id) => !there.has(id)) };
	} finally {
		rmSync(folder, { recursive: true, force: true });
	}
}

const SELF = fileURLToPath(import.meta.url);

function oneProcess(url: string, name: string, load: Load): Promise<Report> {
	return new Promise((resolve, reject) => {
		let report: Report | undefined;
		const child = fork(SELF, ['writer', url, name, JSON.stringify(load)], { execArgv: ['--import', 'tsx'] });
		child.on('message', (told) => (report = told as Report));
		child.on('error', reject);
		child.on('exit', (code) =>
			code === 0 && report ? resolve(report) : reject(new Error(`a writer ended with ${code}`))
		);
	});
}

if (process.argv[1] === SELF) {
	const [role, url, name, load] = process.argv.slice(2);
	if (role === 'writer') process.send!(await write(url!, name!, JSON.parse(load!) as Load));
	else {
		const from = Date.now();
		const { acknowledged, missing } = await loseWrites({ processes: 4, writers: 20, each: 25 });
		const seconds = ((Date.now() - from) / 1000).toFixed(1);
		console.log(
			`4 processes, 20 writers each: ${acknowledged} acknowledged, ${missing.length} lost, ${seconds} s`
		);
		process.exitCode = missing.length > 0 ? 1 : 0;
	}
}
