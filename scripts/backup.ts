import { existsSync } from 'node:fs';
import { connect } from '../src/lib/server/db/client.ts';
import { databaseUrl, DEMO_DATABASE } from '../src/lib/server/config.ts';
import { pathOf } from '../src/lib/server/db/prepare.ts';

/**
 * Makes a checked copy of a database while the app may be running on it: one file that holds everything saved so far.
 * @param url of the database @param file of the copy, which must not be there yet
 * @returns rows of each table, alike in both
 * @throws {Error} with a sentence where the copy could not be made, or is not whole
 */
export async function backUp(url: string, file: string): Promise<Record<string, number>> {
	if (existsSync(file))
		throw new Error(`${file} is there already. A backup is never written over: name another file.`);
	const path = pathOf(url);
	if (path !== undefined && !existsSync(path)) throw new Error(`There is no database at ${path}.`);
	const from = connect(url);
	try {
		await from.client.execute({ sql: 'VACUUM INTO ?', args: [file] });
	} finally {
		from.close();
	}
	const copy = connect(`file:${file}`);
	try {
		const whole = await copy.client.execute('PRAGMA integrity_check');
		const said = String(Object.values(whole.rows[0]!)[0]);
		const keys = await copy.client.execute('PRAGMA foreign_key_check');
		if (said !== 'ok' || keys.rows.length > 0)
			throw new Error(`The copy is not whole: ${said}. Do not rely on ${file}.`);
		const tables = await copy.client.execute(
			"SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE '__drizzle%'"
		);
		const rows: Record<string, number> = {};
		for (const { name } of tables.rows) {
			const { rows: counted } = await copy.client.execute(`SELECT count(*) AS n FROM "${String(name)}"`);
			rows[String(name)] = Number(counted[0]!.n);
		}
		return rows;
	} finally {
		copy.close();
	}
}

if (process.argv[1]?.endsWith('backup.ts')) {
	const [file] = process.argv.slice(2).filter((a) => !a.startsWith('--'));
	const url = process.argv.includes('--demo') ? DEMO_DATABASE : databaseUrl(process.env);
	try {
		if (!file)
			throw new Error('Where to? Say npm run backup -- FILE, like npm run backup -- tally-2027-05-04.db');
		const rows = await backUp(url, file);
		const all = Object.values(rows).reduce((a, n) => a + n, 0);
		console.log(`${file} holds everything: ${all} rows in ${Object.keys(rows).length} tables, checked.`);
	} catch (error) {
		console.error(error instanceof Error ? error.message : String(error));
		process.exitCode = 1;
	}
}
