import { existsSync } from 'node:fs';
import { join } from 'node:path';

/**
 * A file or folder that lies beside the sources or the built app and is read at run time: migrations, workers.
 * @throws {Error} with a sentence where it is missing
 */
export function beside(path: string): string {
	const folders = [process.cwd()];
	for (let at = import.meta.dirname; at !== join(at, '..'); at = join(at, '..')) folders.push(at);
	const found = folders.map((folder) => join(folder, path)).find(existsSync);
	if (!found) throw new Error(`“${path}” is missing. Start the app from its own folder.`);
	return found;
}
