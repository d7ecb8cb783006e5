import { randomBytes } from 'node:crypto';
import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { loadDemo } from '../../scripts/demo/load.ts';
import { OWNER } from '../../src/lib/server/actor.ts';
import { beside } from '../../src/lib/server/beside.ts';
import { connect, migrateTo } from '../../src/lib/server/db/client.ts';
import { createRepos } from '../../src/lib/server/repos/index.ts';
import { openThreads } from '../../src/lib/server/threads/pool.ts';
import { report } from './studio.ts';

/** Bytes of the data that is copied. */
const LARGE = 200 * 1024 ** 2;
const PHOTO = 400_000;

/** A backup of 200 MB on a thread, while somebody saves all the time; and the same studio as a file. */
export async function backup(): Promise<boolean[]> {
	const folder = mkdtempSync(join(tmpdir(), 'bright-tally-bench-'));
	const url = `file:${join(folder, 'tally.db')}`;
	const db = connect(url);
	await migrateTo(db, 'drizzle');
	await loadDemo(db, new Date());
	const repos = createRepos(db, OWNER);
	const bytes = randomBytes(PHOTO);
	const designs = (await repos.designs.shelf()).map((d) => d.id);
	for (let i = 0; i * PHOTO < LARGE; i++) {
		bytes.writeUInt32BE(i, 100);
		const photo = { type: 'image/jpeg', width: 100, height: 100, bytes: new Uint8Array(bytes) } as const;
		await repos.photos.add(designs[i % designs.length]!, `bench-photo-${i}`, photo, '', new Date());
	}
	await db.fold();
	const threads = openThreads({ file: beside('build/threads/thread.js'), url });
	const work = threads.workFor(OWNER);
	let done = false;
	let longest = 0;
	let saves = 0;
	const saving = (async () => {
		while (!done) {
			const from = performance.now();
			await repos.clients.named(`Bench ${saves}`, `bench-${saves++}`);
			longest = Math.max(longest, performance.now() - from);
			await new Promise((resolve) => setTimeout(resolve, 5));
		}
	})();
	const began = performance.now();
	await work('back up', { url, file: join(folder, 'backup.db') });
	const took = (performance.now() - began) / 1000;
	done = true;
	await saving;
	const out = performance.now();
	await work('take out studio', { file: join(folder, 'studio.zip'), made: new Date() });
	const zipped = (performance.now() - out) / 1000;
	console.log(
		`         ${(statSync(join(folder, 'backup.db')).size / 1024 ** 2).toFixed(0)} MB, ${saves} saves meanwhile; as a studio file in ${zipped.toFixed(1)} s`
	);
	await threads.close();
	db.close();
	rmSync(folder, { recursive: true, force: true });
	return [
		report('a backup of 200 MB, checked, while it is written to', took, 5, 's'),
		report('  longest save beside it', longest, 200, 'ms')
	];
}

if (process.argv[1]?.endsWith('bench/backup.ts')) process.exitCode = (await backup()).every(Boolean) ? 0 : 1;
