import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { dumpRows } from '../tests/kit/dump.ts';
import { connect, migrateTo } from '../src/lib/server/db/client.ts';
import { loadDemo } from './demo/load.ts';

/**
 * Writes the filled demo database of the newest migration to `tests/fixtures`, for the next migration to be
 * tested on. Run it once, before a migration is added: `npm run fill-fixture`.
 */
const folder = mkdtempSync(join(tmpdir(), 'bright-tally-fixture-'));
const url = `file:${join(folder, 'demo.db')}`;
const journal = JSON.parse(readFileSync('drizzle/meta/_journal.json', 'utf8')) as {
	entries: { tag: string }[];
};
const { tag } = journal.entries.at(-1)!;
try {
	const db = connect(url);
	await migrateTo(db, 'drizzle');
	await loadDemo(db, new Date('2027-05-04T15:00:00Z'));
	db.close();
	const rows = await dumpRows(url);
	writeFileSync(`tests/fixtures/${tag}.sql.gz`, gzipSync(rows.join('\n'), { level: 9 }));
	console.log(`tests/fixtures/${tag}.sql.gz: ${rows.length} rows`);
} finally {
	rmSync(folder, { recursive: true, force: true });
}
