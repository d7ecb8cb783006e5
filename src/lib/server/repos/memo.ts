import { LRUCache } from 'lru-cache';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';

/** What was worked out from the rows of one workspace, kept in memory for as long as a stamp holds. */
export interface Memo {
	/**
	 * The value made at this very stamp before, or made now: by one maker, however many ask at once. A maker that fails or
	 * finds nothing leaves nothing behind. Values are shared: nobody may change them.
	 */
	take<T>(name: string, stamp: string, make: () => Promise<T>): Promise<T>;
	/**
	 * The same for several, in their order: those that are not there are made together.
	 * @param make a maker's promise for each that is missing, in the order it is given them
	 */
	takeAll<K extends Wanted, T>(
		wanted: readonly K[],
		make: (missing: readonly K[]) => readonly Promise<T>[]
	): Promise<T[]>;
	/** What was made at this very stamp, where it is there still. */
	cached<T>(name: string, stamp: string): Promise<T> | undefined;
	/** Lets go of what changed though its stamp did not. */
	forget(name: string): void;
}

export interface Wanted {
	readonly name: string;
	readonly stamp: string;
}

const MOST = 5000;
const memos = new WeakMap<Database['client'], Map<string, Memo>>();

/** One memo a database and workspace. */
export function memoOf({ client }: Database, actor: Actor): Memo {
	let ofDatabase = memos.get(client);
	if (!ofDatabase) memos.set(client, (ofDatabase = new Map()));
	let memo = ofDatabase.get(actor.workspace);
	if (!memo) ofDatabase.set(actor.workspace, (memo = newMemo()));
	return memo;
}

function newMemo(): Memo {
	const held = new LRUCache<string, { readonly stamp: string; readonly value: Promise<unknown> }>({
		max: MOST
	});
	const cached = <T>(name: string, stamp: string): Promise<T> | undefined => {
		const found = held.get(name);
		return found?.stamp === stamp ? (found.value as Promise<T>) : undefined;
	};
	const hold = <T>(name: string, stamp: string, value: Promise<T>): Promise<T> => {
		const made = { stamp, value };
		held.set(name, made);
		const drop = () => held.peek(name) === made && held.delete(name);
		void value.then((v) => v === undefined && drop(), drop);
		return value;
	};
	return {
		cached,
		forget: (name) => void held.delete(name),
		async take(name, stamp, make) {
			return cached(name, stamp) ?? hold(name, stamp, make());
		},
		takeAll<K extends Wanted, T>(
			wanted: readonly K[],
			make: (missing: readonly K[]) => readonly Promise<T>[]
		): Promise<T[]> {
			const found = new Map<K, Promise<T>>();
			for (const one of wanted) {
				const before = cached<T>(one.name, one.stamp);
				if (before) found.set(one, before);
			}
			const missing = wanted.filter((one) => !found.has(one));
			for (const [i, value] of make(missing).entries()) {
				const one = missing[i]!;
				found.set(one, hold(one.name, one.stamp, value));
			}
			return Promise.all(wanted.map((one) => found.get(one)!));
		}
	};
}
