import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';

/** What was worked out from the rows of one workspace, kept in memory for as long as a stamp holds. */
export interface Memo {
	/** The value made at this very stamp before, or made now. Values are shared: nobody may change them. */
	take<T>(name: string, stamp: string, make: () => Promise<T>): Promise<T>;
}

const MOST = 5000;
const memos = new WeakMap<Database, Map<string, Memo>>();

/** One memo a database and workspace. */
export function memoOf(db: Database, actor: Actor): Memo {
	let ofDatabase = memos.get(db);
	if (!ofDatabase) memos.set(db, (ofDatabase = new Map()));
	let memo = ofDatabase.get(actor.workspace);
	if (!memo) ofDatabase.set(actor.workspace, (memo = newMemo()));
	return memo;
}

function newMemo(): Memo {
	const held = new Map<string, { stamp: string; value: unknown }>();
	return {
		async take<T>(name: string, stamp: string, make: () => Promise<T>): Promise<T> {
			const had = held.get(name);
			if (had?.stamp === stamp) return had.value as T;
			const value = await make();
			if (held.size >= MOST) held.clear();
			held.set(name, { stamp, value });
			return value;
		}
	};
}
