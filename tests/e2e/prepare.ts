import { rmSync } from 'node:fs';
import { TEMPLATE } from './app.ts';
import { connect, migrateTo } from '../../src/lib/server/db/client.ts';
import { loadDemo } from '../../scripts/demo/load.ts';

/** Makes the demo database once; every worker starts from a copy of it. */
export default async function prepare() {
	for (const end of ['', '-wal', '-shm']) rmSync(`${TEMPLATE}${end}`, { force: true });
	const db = connect(`file:${TEMPLATE}`);
	await migrateTo(db, 'drizzle');
	await loadDemo(db, new Date());
	await db.client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
	db.close();
}
