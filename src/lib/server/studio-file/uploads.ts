import { createHash } from 'node:crypto';
import { appendFileSync, existsSync, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Actor } from '../actor.ts';

/** Bytes of a file that is sent in pieces: a year of pictures and papers. */
export const LARGEST_UPLOAD = 4 * 1024 ** 3;

/**
 * Files that are too large to be sent at once come in pieces, and lie in a folder only this account reads, until the server
 * ends or the next of the same person comes. A piece that came already is not taken twice.
 */
export function openUploads(most = LARGEST_UPLOAD) {
	const folder = mkdtempSync(join(tmpdir(), 'bright-tally-sent-'));
	/** By whose it is: one each. */
	const sent = new Map<string, string>();
	const whose = ({ workspace, person }: Actor) => JSON.stringify([workspace, person]);
	const fileOf = (actor: Actor, id: string) =>
		join(
			folder,
			createHash('sha256')
				.update(JSON.stringify([whose(actor), id]))
				.digest('hex')
		);
	return {
		/**
		 * @param id of the file, made by whoever sends it @param from where the piece stands in it, bytes
		 * @returns how much of it is there; undefined where it became too large
		 */
		take(actor: Actor, id: string, from: number, piece: Uint8Array): number | undefined {
			const file = fileOf(actor, id);
			const before = sent.get(whose(actor));
			if (before !== file && before) rmSync(before, { force: true });
			sent.set(whose(actor), file);
			const there = existsSync(file) ? statSync(file).size : 0;
			if (from !== there) return there;
			if (there + piece.length > most) return undefined;
			appendFileSync(file, piece, { mode: 0o600 });
			return there + piece.length;
		},
		/** Where it lies; undefined where it does not. */
		find(actor: Actor, id: string): string | undefined {
			const file = fileOf(actor, id);
			return existsSync(file) ? file : undefined;
		},
		drop(actor: Actor): void {
			const file = sent.get(whose(actor));
			if (file) rmSync(file, { force: true });
			sent.delete(whose(actor));
		},
		close: () => rmSync(folder, { recursive: true, force: true })
	};
}
export type Uploads = ReturnType<typeof openUploads>;
