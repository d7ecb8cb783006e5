import { changedBy } from './changed-by.ts';
import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { workspace } from './workspace.ts';

const owner = () =>
	text('workspace_id')
		.notNull()
		.references(() => workspace.id);

/** A client's link that was taken back: it opens nothing any more. */
export const endedLink = sqliteTable(
	'ended_link',
	{
		workspaceId: owner(),
		token: text().notNull(),
		at: integer({ mode: 'timestamp_ms' }).notNull(),
		changedBy: changedBy()
	},
	(t) => [primaryKey({ columns: [t.workspaceId, t.token] })]
);

/** A client's link that was opened: when, what of it, on what. No address and no name of anybody. */
export const linkLook = sqliteTable(
	'link_look',
	{
		workspaceId: owner(),
		id: text().notNull(),
		token: text().notNull(),
		at: integer({ mode: 'timestamp_ms' }).notNull(),
		what: text({ enum: ['page', 'paper'] }).notNull(),
		/** “a phone” */
		device: text().notNull()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		index('link_look_token').on(t.workspaceId, t.token, t.at)
	]
);
