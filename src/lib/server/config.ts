import { existsSync, mkdirSync } from 'node:fs';
import { dirname } from 'node:path';

/** Where data lives when nothing else is said. */
export const DEFAULT_DATABASE = 'file:data/bright-tally.db';
/** Where the invented studio lives: a file of its own. */
export const DEMO_DATABASE = 'file:data/demo.db';

/**
 * The address of the database.
 * @throws {Error} with a sentence that says what to change
 */
export function databaseUrl(env: Record<string, string | undefined>): string {
	const url = env.DATABASE_URL?.trim() || DEFAULT_DATABASE;
	if (!/^(file:.+|libsql:\/\/.+|https?:\/\/.+)/.test(url)) {
		throw new Error(`DATABASE_URL is “${url}”. Give it as file:PATH, or as the address of a libSQL server.`);
	}
	if (url.startsWith('file:')) {
		const folder = dirname(url.slice('file:'.length).replace(/^\/\//, ''));
		if (!existsSync(folder)) mkdirSync(folder, { recursive: true });
	}
	return url;
}
