import { changedBy } from './changed-by.ts';
import { sql } from 'drizzle-orm';
import { check, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** One business. Every other row belongs to one. */
export const workspace = sqliteTable(
	'workspace',
	{
		id: text().primaryKey(),
		name: text().notNull(),
		/** Read only through `settingsSchema`. */
		settings: text({ mode: 'json' }).$type<unknown>().notNull(),
		/** Counts changes of stock and settings: what is worked out from them is kept in memory under it. */
		stockRevision: integer('stock_revision').notNull().default(0),
		/** Holds the invented studio: said on every screen. */
		demo: integer({ mode: 'boolean' }).notNull().default(false),
		createdAt: integer('created_at', { mode: 'timestamp_ms' }).notNull(),
		changedBy: changedBy()
	},
	(t) => [check('workspace_stock_revision', sql`${t.stockRevision} >= 0`)]
);
