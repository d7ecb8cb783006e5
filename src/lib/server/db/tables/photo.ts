import { changedBy } from './changed-by.ts';
import { pictureColumns, pictureSize } from './picture.ts';
import { sql } from 'drizzle-orm';
import {
	check,
	foreignKey,
	index,
	integer,
	primaryKey,
	sqliteTable,
	text,
	uniqueIndex
} from 'drizzle-orm/sqlite-core';
import { design } from './design.ts';

/** A photo of a design, without what the camera wrote beside the picture. Removed ones stay: sent quotes show them. */
export const photo = sqliteTable(
	'photo',
	{
		workspaceId: text('workspace_id').notNull(),
		id: text().notNull(),
		designId: text('design_id').notNull(),
		...pictureColumns(),
		caption: text().notNull().default(''),
		/** Stands for the design on the Shelf, the plan and the client's page. */
		cover: integer({ mode: 'boolean' }).notNull().default(false),
		removedAt: integer('removed_at', { mode: 'timestamp_ms' }),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.designId], foreignColumns: [design.workspaceId, design.id] }),
		index('photo_design').on(t.workspaceId, t.designId, t.addedAt),
		uniqueIndex('photo_cover')
			.on(t.workspaceId, t.designId)
			.where(sql`${t.cover} = 1`),
		pictureSize('photo_size', t),
		check('photo_cover_shown', sql`${t.cover} = 0 OR ${t.removedAt} IS NULL`)
	]
);
