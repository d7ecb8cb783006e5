import { parseArgs } from 'node:util';
import { databaseUrl, DEMO_DATABASE } from '../src/lib/server/config.ts';
import { passphraseOf } from '../src/lib/server/backup/backups.ts';
import { rehearse, restore } from '../src/lib/server/backup/restore.ts';

/**
 * `npm run restore -- FILE`: says what would change if that backup took the place of the data of now; with `--mean-it` it
 * does. The data of now is put aside, never deleted. A locked one is opened with BACKUP_PASSPHRASE.
 */
const { values, positionals } = parseArgs({
	allowPositionals: true,
	options: { 'mean-it': { type: 'boolean' }, demo: { type: 'boolean' } }
});
const url = values.demo ? DEMO_DATABASE : databaseUrl(process.env);
try {
	const [file] = positionals;
	if (!file) throw new Error('Which backup? Say npm run restore -- FILE. Backups lie in data/backups.');
	const passphrase = passphraseOf(process.env);
	const changes = await rehearse(url, file, passphrase);
	for (const { table, now, then } of changes) console.log(`  ${table}: ${now} rows now, ${then} then`);
	if (changes.length === 0)
		console.log('  the same number of rows everywhere; what stands in them may differ');
	if (!values['mean-it']) console.log('Nothing was changed. Stop the server and say --mean-it to do it.');
	else console.log(`Done. The data of before lies in ${await restore(url, file, new Date(), passphrase)}`);
} catch (error) {
	console.error(error instanceof Error ? error.message : String(error));
	process.exitCode = 1;
}
