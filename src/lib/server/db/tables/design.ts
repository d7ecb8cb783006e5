import { changedBy } from './changed-by.ts';
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
import { workspace } from './workspace.ts';

/** A design: its autosaved working copy, and which kept version is the last. */
export const design = sqliteTable(
	'design',
	{
		workspaceId: text('workspace_id')
			.notNull()
			.references(() => workspace.id),
		id: text().notNull(),
		/** Copied from the working copy, for search and sorting. */
		name: text().notNull(),
		/** Read only through `recipeSchema`. */
		working: text({ mode: 'json' }).$type<unknown>().notNull(),
		/** Goes up by one with every save; a save names the one it started from. */
		revision: integer().notNull().default(1),
		/** Number of the last kept version; 0 before the first. */
		keptNumber: integer('kept_number').notNull().default(0),
		/** The revision that was kept: the working copy differs once `revision` is past it. */
		keptRevision: integer('kept_revision').notNull().default(0),
		createdAt: integer('created_at', { mode: 'timestamp_ms' }).notNull(),
		changedAt: integer('changed_at', { mode: 'timestamp_ms' }).notNull(),
		/** Put away: off the Shelf, still there for what uses it. Only what is put away may be deleted. */
		putAwayAt: integer('put_away_at', { mode: 'timestamp_ms' }),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		index('design_changed').on(t.workspaceId, t.changedAt),
		check('design_revision', sql`${t.revision} >= ${t.keptRevision} AND ${t.keptNumber} >= 0`)
	]
);

/** What made a version be kept. */
export const KEPT_HOW = ['button', 'leaving', 'going back', 'count back'] as const;
export type KeptHow = (typeof KEPT_HOW)[number];

/** A kept version. Immutable: a trigger refuses changes. What the Shelf, other designs and quotes read. */
export const designVersion = sqliteTable(
	'design_version',
	{
		workspaceId: text('workspace_id').notNull(),
		id: text().notNull(),
		designId: text('design_id').notNull(),
		/** 1, 2, 3 … within the design. */
		number: integer().notNull(),
		/** Read only through `recipeSchema`. */
		recipe: text({ mode: 'json' }).$type<unknown>().notNull(),
		/** Kept by the button, by leaving the Bench, or before going back to another version. */
		how: text({ enum: KEPT_HOW }).notNull().default('button'),
		keptAt: integer('kept_at', { mode: 'timestamp_ms' }).notNull(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.designId], foreignColumns: [design.workspaceId, design.id] }),
		uniqueIndex('design_version_number').on(t.workspaceId, t.designId, t.number)
	]
);

/** The name an owner gives a kept version; the version itself never changes. */
export const versionName = sqliteTable(
	'version_name',
	{
		workspaceId: text('workspace_id').notNull(),
		versionId: text('version_id').notNull(),
		name: text().notNull(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.versionId] }),
		foreignKey({
			columns: [t.workspaceId, t.versionId],
			foreignColumns: [designVersion.workspaceId, designVersion.id]
		}),
		check('version_name_length', sql`length(${t.name}) BETWEEN 1 AND 80`)
	]
);

/** The designs a kept version uses, an index: read for what a change reaches; rebuilt and compared by `npm run refs`. */
export const versionRef = sqliteTable(
	'version_ref',
	{
		workspaceId: text('workspace_id').notNull(),
		versionId: text('version_id').notNull(),
		kind: text({ enum: ['design'] }).notNull(),
		/** Id of the design. */
		refId: text('ref_id').notNull()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.versionId, t.kind, t.refId] }),
		foreignKey({
			columns: [t.workspaceId, t.versionId],
			foreignColumns: [designVersion.workspaceId, designVersion.id]
		}),
		index('version_ref_target').on(t.workspaceId, t.kind, t.refId)
	]
);

/** Saves that were done, by the id the client made: repeating one changes nothing. */
export const saveReceipt = sqliteTable(
	'save_receipt',
	{
		workspaceId: text('workspace_id').notNull(),
		id: text().notNull(),
		designId: text('design_id').notNull(),
		/** The revision the save made. */
		revision: integer().notNull(),
		savedAt: integer('saved_at', { mode: 'timestamp_ms' }).notNull()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.designId], foreignColumns: [design.workspaceId, design.id] })
	]
);
