import { spawn } from 'node:child_process';
import { startStandIn } from '../tests/kit/libsql-stand-in.ts';

/**
 * `npm run at-an-address`: the tests of the data layer once more, with every database at an address behind a stand-in for a
 * libSQL server. What follows goes to the test runner: names of files.
 */
const standIn = await startStandIn();
const asked = process.argv.slice(2);
const which =
	asked.length > 0 ? asked : ['src/lib/server/repos', 'src/lib/server/auth', 'src/lib/server/services'];
const child = spawn(process.execPath, ['node_modules/vitest/vitest.mjs', 'run', ...which], {
	stdio: 'inherit',
	env: { ...process.env, DATA_AT: standIn.url }
});
child.on('exit', (code) => {
	void standIn.close().then(() => process.exit(code ?? 1));
});
