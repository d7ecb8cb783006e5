import { changedBy } from './changed-by.ts';
import { sql } from 'drizzle-orm';
import { check, foreignKey, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { design } from './design.ts';

/** What a design really took, counted after it was built. */
export const countBack = sqliteTable(
	'count_back',
	{
		workspaceId: text('workspace_id').notNull(),
		id: text().notNull(),
		designId: text('design_id').notNull(),
		colourwayId: text('colourway_id'),
		sizeId: text('size_id'),
		/** How many of the design were built. */
		quantity: integer().notNull(),
		/** Read only through `countedLinesSchema`: what the recipe said then, and what it took. */
		lines: text({ mode: 'json' }).$type<unknown>().notNull(),
		note: text().notNull().default(''),
		/** Number of the version it was made into; null where it only stands beside the recipe. */
		madeVersion: integer('made_version'),
		countedAt: integer('counted_at', { mode: 'timestamp_ms' }).notNull(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.designId], foreignColumns: [design.workspaceId, design.id] }),
		index('count_back_design').on(t.workspaceId, t.designId, t.countedAt),
		check('count_back_quantity', sql`${t.quantity} BETWEEN 1 AND 999`)
	]
);
