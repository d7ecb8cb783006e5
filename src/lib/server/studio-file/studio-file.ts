import { rm } from 'node:fs/promises';
import { isLocked, lockFile, LOCKED, unlockFile, WrongPassphrase } from '../backup/lock.ts';
import { newToken } from '../new-token.ts';
import type { Repos } from '../repos/index.ts';
import type { Manifest } from './manifest.ts';
import { lookThrough, NoStudioFile, openStudioFile, type StudioFile } from './read.ts';
import { writeStudioFile } from './write.ts';

/** Writes the studio into a file, locked where a passphrase is given. @returns the file it is in */
export async function takeOutStudio(
	repos: Repos,
	{ file, made, passphrase }: { file: string; made: Date; passphrase?: string | undefined }
): Promise<string> {
	await writeStudioFile(repos, file, made);
	if (!passphrase) return file;
	try {
		await lockFile(file, `${file}${LOCKED}`, passphrase);
	} finally {
		await rm(file, { force: true });
	}
	return `${file}${LOCKED}`;
}

/** What a file that was sent holds; or why it is none, in a sentence. */
export type LookedInto =
	| { readonly ok: true; readonly studio: string; readonly made: string; readonly rows: Manifest['rows'] }
	| { readonly ok: false; readonly say: string; readonly locked: boolean };

interface Sent {
	readonly file: string;
	readonly passphrase?: string | undefined;
}

/** Opens it, unlocked beside itself where it is locked. */
async function openSent<T>({ file, passphrase }: Sent, work: (open: StudioFile) => Promise<T>): Promise<T> {
	if (!(await isLocked(file))) return reading(file, work);
	const open = `${file}.open`;
	try {
		await unlockFile(file, open, passphrase ?? '').catch((cause: unknown) => {
			if (cause instanceof WrongPassphrase) throw cause;
			throw new NoStudioFile('That file is damaged: it was changed since it was locked.');
		});
		return await reading(open, work);
	} finally {
		await rm(open, { force: true });
	}
}
async function reading<T>(file: string, work: (open: StudioFile) => Promise<T>): Promise<T> {
	const open = await openStudioFile(file);
	return work(open).finally(() => open.close());
}

const refused = (cause: unknown): LookedInto & { ok: false } => {
	if (cause instanceof WrongPassphrase)
		return { ok: false, locked: true, say: 'It is locked: give the passphrase it was locked with.' };
	if (cause instanceof NoStudioFile) return { ok: false, locked: false, say: cause.message };
	throw cause;
};

/** Looks through all of a file that was sent, and changes nothing. */
export async function lookIntoStudioFile(_: Repos, sent: Sent): Promise<LookedInto> {
	try {
		return await openSent(sent, async (open) => {
			await lookThrough(open);
			const { studio, made, rows } = open.manifest;
			return { ok: true, studio, made, rows };
		});
	} catch (cause) {
		return refused(cause);
	}
}

/** Puts all of it into this studio, which has to be empty; or nothing, and says why. */
export async function bringStudio(
	repos: Repos,
	{ now, ...sent }: Sent & { now: Date }
): Promise<{ readonly ok: true } | { readonly ok: false; readonly say: string }> {
	try {
		return await openSent(sent, async ({ whole, manifest }) => {
			const from = `a studio file of ${manifest.made.slice(0, 10)}`;
			const put = await repos.wholeStudio.put(whole, { where: 'empty', from, now, newToken });
			return put ? { ok: true } : { ok: false, say: NOT_EMPTY };
		});
	} catch (cause) {
		return refused(cause);
	}
}
export const NOT_EMPTY =
	'There is something in this studio already, and none of it is written over: a studio file goes into an empty one. To go back to how this studio was, take a backup.';
