import type { Client } from '@libsql/client';
import { and, asc, count, eq, getTableColumns, ne, sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/libsql';
import { getTableConfig, type SQLiteColumn, type SQLiteTable } from 'drizzle-orm/sqlite-core';
import { settingsSchema } from '../../core/workspace/settings.schema.ts';
import type { Settings } from '../../core/workspace/settings.ts';
import type { Actor } from '../actor.ts';
import type { Database, Reader, Writer } from '../db/client.ts';
import { PICTURE_TABLES, STUDIO_TABLES, STUDIO_TABLE_NAMES, type StudioTable } from '../db/studio-tables.ts';
import { changeEntry } from '../db/tables/changes.ts';
import { design, saveReceipt } from '../db/tables/design.ts';
import { quote, quoteIssue } from '../db/tables/quote.ts';
import { workspace } from '../db/tables/workspace.ts';
import { tellChanges } from './changes.ts';

/** A row as its table has it, without whose it is. */
export type StudioRow = Readonly<Record<string, unknown>>;
/** What the studio itself is. */
export interface StudioHead {
	readonly settings: Settings;
}
/** Everything of a studio. */
export interface WholeStudio {
	readonly head: StudioHead;
	/** Rows of a table in the order of their keys, some at once, as often as they are asked for. */
	rows(table: StudioTable): AsyncIterable<readonly StudioRow[]>;
}
/** How it is put, and what is told of it. */
export interface Putting {
	/** Into a studio without designs, clients and materials; or in the place of what is there. */
	readonly where: 'empty' | 'in its place';
	/** In the list of what was changed: from when it is. */
	readonly from: string;
	readonly now: Date;
	/** For a client's link that another studio of this server has. */
	readonly newToken: () => string;
}

type Any = SQLiteTable & Readonly<Record<string, SQLiteColumn>>;
const table = (name: StudioTable) => STUDIO_TABLES[name] as unknown as Any & { workspaceId: SQLiteColumn };
/** Rows read at once; a picture comes by itself. */
const AT_ONCE = 200;

/** A row without one of its columns. */
export const without = (row: StudioRow, column: string): StudioRow =>
	Object.fromEntries(Object.entries(row).filter(([name]) => name !== column));

/** Counts of saves are no business of a file: whether a design is ahead of what was kept is. */
function withoutCounts(name: StudioTable, { workspaceId: _, ...row }: StudioRow): StudioRow {
	if (name === 'quote') return { ...row, revision: 1, saveId: null };
	if (name === 'changeEntry') return without(row, 'id');
	if (name !== 'design') return row;
	const [revision, kept] = [Number(row['revision']), Number(row['keptRevision'])];
	const keptRevision = Math.min(1, kept);
	return { ...row, revision: keptRevision + (revision === kept ? 0 : 1), keptRevision };
}

/** What tells rows of one studio from each other: names of columns as rows have them. */
export function keyOf(name: StudioTable): string[] {
	const { primaryKeys } = getTableConfig(table(name));
	const key = new Set<SQLiteColumn>(primaryKeys[0]?.columns ?? [table(name)['id']!]);
	return Object.entries(getTableColumns(table(name))).flatMap(([k, c]) => key.has(c) && k !== 'workspaceId' ? [k] : []); // prettier-ignore
}

async function* read(reader: Reader, workspaceId: string, name: StudioTable) {
	const own = table(name);
	const many = PICTURE_TABLES.has(name) ? 1 : AT_ONCE;
	for (let at = 0; ; at += many) {
		const rows = await reader.select().from(own).where(eq(own.workspaceId, workspaceId)).orderBy(...keyOf(name).map((c) => asc(own[c]!))).limit(many).offset(at); // prettier-ignore
		if (rows.length > 0) yield rows.map((row) => withoutCounts(name, row));
		if (rows.length < many) break;
	}
}

/** A studio's whole business: taken out as it stands at one moment, and put whole or not at all. */
export function wholeStudio(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	const mine = eq(workspace.id, workspaceId);
	const countOf = async (from: Pick<Reader, 'select'>, name: StudioTable) =>
		(await from.select({ n: count() }).from(table(name)).where(eq(table(name).workspaceId, workspaceId)).get())!.n; // prettier-ignore

	/** Nothing in it that somebody would miss. */
	async function isEmpty(from: Pick<Reader, 'select'> = db.read): Promise<boolean> {
		for (const name of STUDIO_TABLE_NAMES)
			if (name !== 'changeEntry' && (await countOf(from, name)) > 0) return false;
		return true;
	}

	return {
		isEmpty: () => isEmpty(),
		/** Rows of each table. */
		async counts(): Promise<Record<StudioTable, number>> {
			const all = {} as Record<StudioTable, number>;
			for (const name of STUDIO_TABLE_NAMES) all[name] = await countOf(db.read, name);
			return all;
		},
		/** Reads it as it stands at one moment, while others go on writing. */
		async take<T>(work: (whole: WholeStudio) => Promise<T>): Promise<T> {
			const tx = await db.client.transaction('read');
			try {
				// A transaction answers as a client does; reading needs no more of it.
				const reader = drizzle(tx as unknown as Client);
				const row = await reader.select({ settings: workspace.settings }).from(workspace).where(mine).get();
				const head = { settings: settingsSchema.parse(row?.settings) };
				return await work({ head, rows: (name) => read(reader, workspaceId, name) });
			} finally {
				tx.close();
			}
		},
		/** @returns false where it should be empty and is not; nothing was done then */
		async put({ head, rows }: WholeStudio, { where, from, now, newToken }: Putting): Promise<boolean> {
			return db.write(async (tx) => {
				if (where === 'empty' && !(await isEmpty(tx))) return false;
				await tx.run(sql`PRAGMA defer_foreign_keys = ON`);
				const saves = await savesOf(tx, workspaceId);
				const stays = where === 'in its place' ? 'changeEntry' : undefined;
				// What was told of an empty studio came after all that is told in the file.
				const told = stays ? [] : await tx.select().from(changeEntry).where(eq(changeEntry.workspaceId, workspaceId)).orderBy(asc(changeEntry.id)); // prettier-ignore
				await withoutTriggers(tx, async () => {
					await tx.delete(saveReceipt).where(eq(saveReceipt.workspaceId, workspaceId));
					for (const name of STUDIO_TABLE_NAMES)
						if (name !== stays) await tx.delete(table(name)).where(eq(table(name).workspaceId, workspaceId)); // prettier-ignore
					const linkTo = linksIn(tx, workspaceId, newToken);
					for (const name of STUDIO_TABLE_NAMES.filter((n) => n !== stays))
						for await (const some of rows(name)) {
							const own: StudioRow[] = [];
							for (const row of some) own.push({ ...(await linkTo(name, saves(name, row))), workspaceId });
							// At most so many values go into one statement.
							for (let at = 0; at < own.length; at += 50)
								await tx.insert(table(name)).values(own.slice(at, at + 50) as never);
						}
					if (told.length > 0) await tx.insert(changeEntry).values(told.map(({ id: _, ...one }) => one));
				});
				const { settings } = head;
				await tx.update(workspace).set({ settings, name: settings.business.name, stockRevision: sql`${workspace.stockRevision} + 1`, changedBy }).where(mine); // prettier-ignore
				const what = where === 'empty' ? 'studio.brought' : 'studio.restored';
				await tellChanges(tx, actor, { about: 'settings', aboutId: workspaceId, name: settings.business.name, at: now }, [{ what, was: null, is: from }]); // prettier-ignore
				return true;
			});
		}
	};
}

/** Saves go on from where they were: a page that is still open with what was here before is told so when it saves. */
async function savesOf(tx: Writer, workspaceId: string) {
	const designs = await tx.select({ id: design.id, n: design.revision }).from(design).where(eq(design.workspaceId, workspaceId)); // prettier-ignore
	const quotes = await tx.select({ id: quote.id, n: quote.revision }).from(quote).where(eq(quote.workspaceId, workspaceId)); // prettier-ignore
	const done = {
		design: new Map(designs.map((d) => [d.id, d.n])),
		quote: new Map(quotes.map((q) => [q.id, q.n]))
	};
	return (name: StudioTable, row: StudioRow): StudioRow => {
		if (name !== 'design' && name !== 'quote') return row;
		const before = done[name].get(String(row['id'])) ?? 0;
		const kept = Number(row['keptRevision'] ?? 0);
		return {
			...row,
			revision: Number(row['revision']) + before,
			...(name === 'design' && { keptRevision: kept > 0 ? kept + before : 0 })
		};
	};
}

/** A client's link opens one quote of a server: one that another studio has is made anew, wherever it stands. */
function linksIn(tx: Writer, workspaceId: string, newToken: () => string) {
	const fresh = new Map<string, string>();
	return async (name: StudioTable, row: StudioRow): Promise<StudioRow> => {
		const token = row['token'];
		if (typeof token !== 'string') return row;
		if (name === 'quoteIssue') {
			const others = and(eq(quoteIssue.token, token), ne(quoteIssue.workspaceId, workspaceId));
			if (await tx.select({ id: quoteIssue.id }).from(quoteIssue).where(others).get())
				fresh.set(token, newToken());
		}
		return { ...row, token: fresh.get(token) ?? token };
	};
}

/** What guards rows that were sent, and tells of changes, steps aside for a whole studio, in the transaction of it. */
async function withoutTriggers(tx: Writer, work: () => Promise<void>): Promise<void> {
	const found = await tx.all<{ name: string; sql: string }>(
		sql`SELECT name, sql FROM sqlite_master WHERE type = 'trigger'`
	);
	for (const { name } of found) await tx.run(sql`DROP TRIGGER ${sql.identifier(name)}`);
	await work();
	for (const one of found) await tx.run(sql.raw(one.sql));
}
