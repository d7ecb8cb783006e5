import type { Counted } from './back-up.ts';
import { keptBackups, nextName, rotate, type KeptBackup } from './kept-backups.ts';
import { SHORTEST_PASSPHRASE } from './lock.ts';
import { pathOf } from '../db/path-of.ts';

const HOUR = 60 * 60 * 1000;
/** How often it is looked whether a backup is due, ms. */
const LOOK = 10 * 60 * 1000;

interface Opening {
	readonly url: string;
	readonly env: Readonly<Record<string, string | undefined>>;
	/** Makes one, on a thread. */
	readonly make: (file: string, passphrase?: string) => Promise<Counted>;
	readonly now?: () => Date;
	/** Writes down that one could not be made. */
	readonly note?: (say: string) => void;
}

/** What is said in BACKUP_HOURS and BACKUP_KEEP: every day, two weeks of them. 0 hours is none by itself. */
export function backupPlan(env: Opening['env']): { readonly hours: number; readonly keep: number } {
	const number = (said: string | undefined, usual: number, least: number) => {
		const n = Number(said?.trim() || usual);
		return Number.isFinite(n) && n >= least ? n : usual;
	};
	return { hours: number(env['BACKUP_HOURS'], 24, 0), keep: Math.trunc(number(env['BACKUP_KEEP'], 14, 1)) };
}

/** @throws {Error} with a sentence where it is too short */
export function passphraseOf(env: Opening['env']): string | undefined {
	const said = env['BACKUP_PASSPHRASE'];
	if (!said) return undefined;
	if (said.length < SHORTEST_PASSPHRASE)
		throw new Error(`BACKUP_PASSPHRASE is too short: give ${SHORTEST_PASSPHRASE} characters or more.`);
	return said;
}

/**
 * Copies of the database beside it: made when one is due, or asked for, checked, the oldest taken away. Of a database at an
 * address there are none: whoever runs it keeps them.
 */
export function openBackups({ url, env, make, now = () => new Date(), note }: Opening) {
	const path = pathOf(url);
	const plan = backupPlan(env);
	const passphrase = passphraseOf(env);
	let making: Promise<KeptBackup | undefined> | undefined;
	let trouble: Date | undefined;

	/** One at a time: asked for while one is made, it is that one. @param needed stays, however old it is @throws where it could not be made or is not whole */
	function makeNow(needed?: string): Promise<KeptBackup | undefined> {
		if (path === undefined) return Promise.resolve(undefined);
		making ??= (async () => {
			await make(nextName(path, now(), passphrase !== undefined), passphrase);
			rotate(path, plan.keep, needed);
			trouble = undefined;
			return keptBackups(path)[0];
		})()
			.catch((cause: unknown) => {
				trouble = now();
				note?.('A backup could not be made.');
				throw cause;
			})
			.finally(() => (making = undefined));
		return making;
	}
	/** @returns whether one was due */
	async function makeIfDue(): Promise<boolean> {
		if (path === undefined || plan.hours === 0) return false;
		const [newest] = keptBackups(path);
		// A clock that was set back makes none of what is to come count.
		const age = newest ? now().getTime() - newest.at.getTime() : Infinity;
		if (age >= 0 && age < plan.hours * HOUR) return false;
		await makeNow();
		return true;
	}
	const timer = setInterval(
		() => void makeIfDue().catch((cause: unknown) => console.error('No backup could be made:', cause)),
		LOOK
	);
	timer.unref();
	return {
		plan,
		/** What backups are locked with here, where BACKUP_PASSPHRASE says so. */
		passphrase,
		/** What went wrong last, since when; nothing once one was made again. */
		trouble: () => trouble,
		list: (): KeptBackup[] => (path === undefined ? [] : keptBackups(path)),
		isLocal: path !== undefined,
		makeNow,
		makeIfDue,
		close: () => clearInterval(timer)
	};
}
export type Backups = ReturnType<typeof openBackups>;
