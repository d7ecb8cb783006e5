/**
 * `npm run demo`: installs, builds, prepares the invented studio in a file of its own (data/demo.db), starts the server
 * and prints its address. Safe to run again: nothing is loaded twice, and your own studio (npm start) is never touched.
 *
 * --port N            another port than 4173
 * --fresh             puts the demo's file aside and begins with a new one; nothing is deleted
 * --open-to-network   lets other machines in; the demo then has a password of its own each time, printed here
 */
import { randomBytes } from 'node:crypto';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { build, install, ROOT, run, step, stop, tool } from './steps.mjs';

const options = {
	port: { type: 'string' },
	fresh: { type: 'boolean' },
	'open-to-network': { type: 'boolean' }
};
let values;
try {
	({ values } = parseArgs({ options }));
} catch (error) {
	stop(`${error.message}. The demo knows --port N, --fresh and --open-to-network.`);
}
const port = Number(values.port ?? process.env.PORT ?? 4173);
if (!Number.isInteger(port) || port < 1 || port > 65_535)
	stop(`The port is “${values.port ?? process.env.PORT}”. Give a number from 1 to 65535, like --port 4180.`);

/** Asked before anything is built: a taken port is a quick answer, not one after a minute. */
await new Promise((resolve) => {
	const probe = createServer()
		.once('error', (error) =>
			stop(
				error.code === 'EADDRINUSE'
					? `Port ${port} is taken, perhaps by an earlier demo. Stop that, or choose another: npm run demo -- --port ${port + 1}`
					: error.message
			)
		)
		.listen(port, '127.0.0.1', () => probe.close(resolve));
});

await install();
await build();
if (values.fresh && process.env.DATABASE_URL)
	stop(
		'--fresh is for the demo’s own file in data/. DATABASE_URL names another database: put that aside yourself.'
	);
process.env.DATABASE_URL ??= `file:${join(ROOT, 'data', 'demo.db')}`;
if (values['open-to-network']) process.env.DEMO_PASSWORD ??= randomBytes(9).toString('base64url');
await step('preparing the database', async () => {
	const { code } = await run(tool('tsx'), [
		'scripts/prepare.ts',
		'--demo',
		...(values.fresh ? ['--fresh'] : [])
	]);
	if (code !== 0) stop('The database could not be prepared. See the lines above.');
});
process.env.PORT = String(port);
if (values['open-to-network']) process.argv.push('--open-to-network');
await import('./serve.mjs');
