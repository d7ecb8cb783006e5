import { existsSync } from 'node:fs';
import { databaseUrl, DEMO_DATABASE } from '../src/lib/server/config.ts';
import { pathOf } from '../src/lib/server/db/path-of.ts';
import { putAside } from '../src/lib/server/db/put-aside.ts';
import { CannotStart, prepareDatabase } from '../src/lib/server/db/prepare.ts';
import { DEMO_PEOPLE, demoPassword } from '../src/lib/server/demo-sign-ins.ts';
import { loadDemo } from './demo/load.ts';

/**
 * Brings the database named by DATABASE_URL to the newest shape; with `--demo` loads the invented studio; with `--fresh`
 * puts the file aside first, unless a server has it open.
 */
async function startAfresh(path: string): Promise<void> {
	if (!existsSync(path)) return;
	const inUse = () =>
		new CannotStart(`${path} is in use: a demo is running on it. Stop that first, then start afresh.`);
	const aside = await putAside(path, new Date(), inUse);
	console.log(`  starting afresh: the demo as it was lies in ${aside}`);
}

const demo = process.argv.includes('--demo');
// The invented studio goes into a file of its own unless another is named.
const url = databaseUrl({ DATABASE_URL: process.env.DATABASE_URL ?? (demo ? DEMO_DATABASE : undefined) });
const path = pathOf(url);
try {
	if (process.argv.includes('--fresh') && path !== undefined) await startAfresh(path);
	const { db, copy } = await prepareDatabase(url, 'drizzle', new Date(), demo ? 'demo' : 'studio');
	console.log('  database: newest shape');
	if (copy) console.log(`  as it was before it lies in ${copy}`);
	if (demo) {
		const loaded = await loadDemo(db, new Date());
		console.log(
			`  demo data: ${loaded.materials} materials, ${loaded.designs} designs, ${loaded.quotes} quotes`
		);
		console.log(`  sign in to the demo with the password “${demoPassword(process.env)}” as`);
		for (const { email, words } of DEMO_PEOPLE) console.log(`    ${email}  ${words}`);
	}
	await db.fold();
	db.close();
} catch (error) {
	if (!(error instanceof CannotStart)) throw error;
	console.error(error.message);
	process.exitCode = 1;
}
