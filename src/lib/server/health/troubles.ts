import { existsSync, readFileSync, renameSync, appendFileSync, statSync } from 'node:fs';
import { z } from 'zod';

/** What went wrong, in a sentence: no name, no address and nothing that was typed. */
const troubleSchema = z.object({ at: z.iso.datetime(), say: z.string().max(300) });
export type Trouble = z.infer<typeof troubleSchema>;

/** Shown at most. */
const SHOWN = 100;
/** A file of this length is put aside, and the one before it goes. Bytes. */
const LONGEST = 256 * 1024;

/**
 * What went wrong at the server, the newest first: in memory, and in a file beside the data that outlives a crash. Where
 * that cannot be written, as on a full disk, memory has it.
 * @param file undefined keeps it in memory alone
 */
export function openTroubles(file: string | undefined, now: () => Date = () => new Date()) {
	let seen: Trouble[] = file === undefined ? [] : readTroubles(file);
	return {
		list: (): readonly Trouble[] => seen,
		note(say: string): void {
			const trouble = { at: now().toISOString(), say: say.slice(0, 300) };
			seen = [trouble, ...seen].slice(0, SHOWN);
			if (file === undefined) return;
			try {
				if (existsSync(file) && statSync(file).size > LONGEST) renameSync(file, `${file}.before`);
				appendFileSync(file, `${JSON.stringify(trouble)}\n`, { mode: 0o600 });
			} catch {
				// Memory has it.
			}
		}
	};
}
export type Troubles = ReturnType<typeof openTroubles>;

/** Lines that cannot be read are of a write that was cut off. */
function readTroubles(file: string): Trouble[] {
	if (!existsSync(file)) return [];
	const lines = readFileSync(file, 'utf8')
		.split('\n')
		.slice(-SHOWN - 1);
	return lines
		.flatMap((line) => {
			try {
				const read = troubleSchema.safeParse(JSON.parse(line));
				return read.success ? [read.data] : [];
			} catch {
				return [];
			}
		})
		.reverse()
		.slice(0, SHOWN);
}
