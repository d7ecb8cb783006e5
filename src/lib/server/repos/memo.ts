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
	/** Whether one is there, or being made. */
	has(name: string, stamp: string): boolean;
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

export function newMemo(): Memo {
	const held = new LRUCache<string, { readonly stamp: string; readonly value: Promise<unknown> }>({
		max: MOST
	});
	return {
		has: (name, stamp) => held.peek(name)?.stamp === stamp,
		async take<T>(name: string, stamp: string, make: () => Promise<T>): Promise<T> {
			const before = held.get(name);
			if (before?.stamp === stamp) return before.value as Promise<T>;
			const made = { stamp, value: make() };
			held.set(name, made);
			const drop = () => held.peek(name) === made && held.delete(name);
			void made.value.then((value) => value === undefined && drop(), drop);
			return made.value;
		}
	};
}
