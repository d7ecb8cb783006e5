import { databaseUrl } from '../src/lib/server/config.ts';
import { connect, migrateTo } from '../src/lib/server/db/client.ts';
import { loadDemo } from './demo/load.ts';

/** Brings the database named by DATABASE_URL to the newest shape and, with `--demo`, loads the demo data. */
const db = connect(databaseUrl(process.env));
try {
	await migrateTo(db, 'drizzle');
	console.log('  database: newest shape');
	if (process.argv.includes('--demo')) {
		const loaded = await loadDemo(db, new Date());
		console.log(
			`  demo data: ${loaded.materials} materials, ${loaded.designs} designs, ${loaded.quotes} quotes`
		);
	}
} finally {
	db.close();
}
