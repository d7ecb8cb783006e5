import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { changedBy } from './changed-by.ts';
import { workspace } from './workspace.ts';

/**
 * Who changed what, when, from what to what. Triggers write it beside the change itself (`drizzle/0016_people.sql`), for
 * settings the repository does; it only ever grows, by triggers too.
 */
export const changeEntry = sqliteTable(
	'change_entry',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		workspaceId: text('workspace_id')
			.notNull()
			.references(() => workspace.id),
		at: integer({ mode: 'timestamp_ms' }).notNull(),
		/** `material`, `quote`, `person`, `settings`, `supplier` */
		about: text().notNull(),
		aboutId: text('about_id').notNull(),
		/** What it was called then. */
		name: text().notNull(),
		/** Which figure or word of it, as `core/changes` names it. */
		what: text().notNull(),
		was: text(),
		is: text(),
		changedBy: changedBy()
	},
	(t) => [
		index('change_entry_about').on(t.workspaceId, t.about, t.aboutId),
		index('change_entry_at').on(t.workspaceId, t.at)
	]
);
