import { readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import type { Database } from '../../src/lib/server/db/client.ts';

/**
 * Fills a database of just that shape with the rows of a fixture, as they were: triggers, which would write rows of their
 * own, step aside meanwhile.
 */
export async function fillFromFixture({ client }: Database, fixture: string): Promise<void> {
	const { rows } = await client.execute("SELECT name, sql FROM sqlite_master WHERE type = 'trigger'");
	for (const { name } of rows) await client.execute(`DROP TRIGGER "${String(name)}"`);
	const packed = readFileSync(`tests/fixtures/${fixture.replace('.sql.gz', '')}.sql.gz`);
	await client.executeMultiple(gunzipSync(packed).toString());
	for (const { sql } of rows) await client.execute(String(sql));
}
