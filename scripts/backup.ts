import { databaseUrl, DEMO_DATABASE } from '../src/lib/server/config.ts';
import { backUp } from '../src/lib/server/backup/back-up.ts';
import { passphraseOf } from '../src/lib/server/backup/backups.ts';

/** `npm run backup -- FILE`: a checked copy, while the app may be running; locked where BACKUP_PASSPHRASE is set. */
const [file] = process.argv.slice(2).filter((a) => !a.startsWith('--'));
const url = process.argv.includes('--demo') ? DEMO_DATABASE : databaseUrl(process.env);
try {
	if (!file)
		throw new Error('Where to? Say npm run backup -- FILE, like npm run backup -- tally-2027-05-04.db');
	const rows = await backUp(url, file, passphraseOf(process.env));
	const all = Object.values(rows).reduce((a, n) => a + n, 0);
	console.log(`${file} holds everything: ${all} rows in ${Object.keys(rows).length} tables, checked.`);
} catch (error) {
	console.error(error instanceof Error ? error.message : String(error));
	process.exitCode = 1;
}
