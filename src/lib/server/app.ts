import { connect } from './db/client.ts';
import { databaseUrl } from './config.ts';

/** Opens what the whole server shares, or stops it with a sentence. */
export async function open(env: Record<string, string | undefined>) {
	const db = connect(databaseUrl(env));
	try {
		await db.client.execute('SELECT 1 FROM workspace LIMIT 1');
	} catch {
		throw new Error('The database is empty or cannot be read. Run “npm run demo”, which prepares it.');
	}
	process.once('sveltekit:shutdown', () => db.close());
	shared.db = db;
	return { db };
}

/** For the health check, which asks the database and nothing else. */
const shared: { db?: ReturnType<typeof connect> } = {};

export async function healthy(): Promise<boolean> {
	try {
		await shared.db!.client.execute('SELECT 1');
		return true;
	} catch {
		return false;
	}
}
