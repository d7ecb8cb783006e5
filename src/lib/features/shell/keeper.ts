import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { openTabs, thisTab } from './tabs.ts';

interface Left<T = unknown> {
	/** What it belongs to: a design. */
	readonly about: string;
	readonly tab: string;
	readonly at: number;
	readonly value: T;
}
interface Store extends DBSchema {
	unsaved: { key: [string, string]; value: Left };
}

let opened: Promise<IDBPDatabase<Store>> | undefined;
const store = () =>
	(opened ??= openDB<Store>('bright-tally', 1, {
		upgrade: (db) => void db.createObjectStore('unsaved', { keyPath: ['about', 'tab'] })
	}));

/**
 * Keeps in the browser what is not saved yet, as it is made: one record a tab, so that two tabs never write over each other,
 * and one that crashed is found again.
 */
export class Keeper<T> {
	/** Writes go one after the other: the last that was asked for is the last written. */
	#tail: Promise<unknown> = Promise.resolve();

	constructor(readonly about: string) {}

	#then<R>(work: (db: IDBPDatabase<Store>, tab: string) => Promise<R>): Promise<R> {
		const turn = this.#tail.then(async () => work(await store(), await thisTab()));
		this.#tail = turn.catch(() => undefined);
		return turn;
	}
	/** @returns whether it is written down: a browser without room for it keeps nothing */
	async put(value: T): Promise<boolean> {
		try {
			await this.#then((db, tab) => db.put('unsaved', { about: this.about, tab, at: Date.now(), value }));
			return true;
		} catch {
			return false;
		}
	}
	async drop(): Promise<void> {
		await this.#then((db, tab) => db.delete('unsaved', [this.about, tab])).catch(() => undefined);
	}
	/** Takes over what tabs that are gone have left, and what this one did before it was loaded anew; the oldest first. */
	async takeOver(): Promise<T[]> {
		try {
			return await this.#then(async (db, tab) => {
				const others = await openTabs();
				const range = IDBKeyRange.bound([this.about], [this.about, []]);
				const all = (await db.getAll('unsaved', range)) as Left<T>[];
				return all
					.filter((left) => left.tab === tab || !others.has(left.tab))
					.sort((a, b) => a.at - b.at)
					.map((left) => left.value);
			});
		} catch {
			return [];
		}
	}
	/** Forgets what tabs that are gone have left: it was handed over. */
	async dropGone(value: T): Promise<void> {
		await this.#then(async (db, tab) => {
			const range = IDBKeyRange.bound([this.about], [this.about, []]);
			for (const left of await db.getAll('unsaved', range))
				if (left.tab !== tab && JSON.stringify(left.value) === JSON.stringify(value))
					await db.delete('unsaved', [left.about, left.tab]);
		}).catch(() => undefined);
	}
}
