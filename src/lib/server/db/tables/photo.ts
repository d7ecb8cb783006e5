import { changedBy } from './changed-by.ts';
import { sql } from 'drizzle-orm';
import {
	blob,
	check,
	foreignKey,
	index,
	integer,
	primaryKey,
	sqliteTable,
	text,
	uniqueIndex
} from 'drizzle-orm/sqlite-core';
import { PHOTO_TYPES } from '../../../core/photo/read-photo.ts';
import { design } from './design.ts';

/** A photo of a design, without what the camera wrote beside the picture. Removed ones stay: sent quotes show them. */
export const photo = sqliteTable(
	'photo',
	{
		workspaceId: text('workspace_id').notNull(),
		id: text().notNull(),
		designId: text('design_id').notNull(),
		/** What it is by its own bytes, whatever its name said. */
		type: text({ enum: PHOTO_TYPES }).notNull(),
		/** Pixels, as it is looked at. */
		width: integer().notNull(),
		height: integer().notNull(),
		caption: text().notNull().default(''),
		/** Stands for the design on the Shelf, the plan and the client's page. */
		cover: integer({ mode: 'boolean' }).notNull().default(false),
		addedAt: integer('added_at', { mode: 'timestamp_ms' }).notNull(),
		removedAt: integer('removed_at', { mode: 'timestamp_ms' }),
		changedBy: changedBy(),
		bytes: blob({ mode: 'buffer' }).notNull()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.designId], foreignColumns: [design.workspaceId, design.id] }),
		index('photo_design').on(t.workspaceId, t.designId, t.addedAt),
		uniqueIndex('photo_cover')
			.on(t.workspaceId, t.designId)
			.where(sql`${t.cover} = 1`),
		check('photo_size', sql`${t.width} > 0 AND ${t.height} > 0 AND length(${t.bytes}) <= 10485760`),
		check('photo_cover_shown', sql`${t.cover} = 0 OR ${t.removedAt} IS NULL`)
	]
);
