import { spawn, type ChildProcess, type StdioOptions } from 'node:child_process';

/** Longest a server takes until it can serve pages, ms; on a loaded machine. */
const PATIENCE = 60_000;

interface Serving {
	readonly port: number;
	/** As `DATABASE_URL` names it. */
	readonly database: string;
	/** Of Node, before the server. */
	readonly args?: readonly string[];
	readonly stdio?: StdioOptions;
	/** What else the server is told. */
	readonly env?: Readonly<Record<string, string>>;
}

/** Starts the built server, and waits until it can serve pages. @throws where it ends before, or does not answer */
export async function serve({
	port,
	database,
	args = [],
	stdio = 'ignore',
	env: more = {}
}: Serving): Promise<ChildProcess> {
	const env = { ...process.env, PORT: String(port), DATABASE_URL: database, ...more };
	const child = spawn(process.execPath, [...args, 'scripts/serve.mjs'], { env, stdio });
	for (const until = Date.now() + PATIENCE; Date.now() < until;) {
		const answer = await fetch(`http://127.0.0.1:${port}/healthz`).catch(() => undefined);
		if (answer?.ok) return child;
		if (child.exitCode !== null) throw new Error('The server ended before it answered.');
		await new Promise((resolve) => setTimeout(resolve, 50));
	}
	child.kill('SIGKILL');
	throw new Error(`The server did not answer within ${PATIENCE / 1000} s.`);
}
