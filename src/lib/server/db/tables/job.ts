import { sql } from 'drizzle-orm';
import { check, foreignKey, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { changedBy } from './changed-by.ts';
import { quote } from './quote.ts';
import { workspace } from './workspace.ts';

/** What is said of a job beside its quote: its days, its place. A job of which nothing is said has no row. */
export const job = sqliteTable(
	'job',
	{
		workspaceId: text('workspace_id').notNull(),
		quoteId: text('quote_id').notNull(),
		/** The day of its event as the job has it, `YYYY-MM-DD`: copied from `said` to be looked for. Null is none. */
		day: text(),
		/** The first and the last of its days, for the same. */
		firstDay: text('first_day'),
		lastDay: text('last_day'),
		/** Read only through `jobSaidSchema`. */
		said: text({ mode: 'json' }).$type<unknown>().notNull(),
		/** Goes up by one with every change. */
		revision: integer().notNull().default(1),
		changedAt: integer('changed_at', { mode: 'timestamp_ms' }).notNull(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.quoteId] }),
		foreignKey({ columns: [t.workspaceId, t.quoteId], foreignColumns: [quote.workspaceId, quote.id] }),
		index('job_day').on(t.workspaceId, t.day),
		check('job_days', sql`(${t.firstDay} IS NULL) = (${t.lastDay} IS NULL) AND ${t.revision} > 0`)
	]
);

/** Something ticked off a list of a job: by its key on that list. Not ticked has no row. */
export const jobTick = sqliteTable(
	'job_tick',
	{
		workspaceId: text('workspace_id').notNull(),
		quoteId: text('quote_id').notNull(),
		/** Which list. */
		list: text().notNull(),
		key: text().notNull(),
		at: integer({ mode: 'timestamp_ms' }).notNull(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.quoteId, t.list, t.key] }),
		foreignKey({ columns: [t.workspaceId, t.quoteId], foreignColumns: [quote.workspaceId, quote.id] }),
		check('job_tick_key', sql`length(${t.list}) BETWEEN 1 AND 20 AND length(${t.key}) BETWEEN 1 AND 200`)
	]
);

/** Something of another calendar that was brought in, to be seen beside the jobs: a holiday, a fair. */
export const otherEvent = sqliteTable(
	'other_event',
	{
		workspaceId: text('workspace_id')
			.notNull()
			.references(() => workspace.id),
		/** As the file it came in calls it, so that brought again it is the same. */
		uid: text().notNull(),
		/** What the calendar is called. */
		calendar: text().notNull(),
		title: text().notNull(),
		/** `YYYY-MM-DD`, both included. */
		firstDay: text('first_day').notNull(),
		lastDay: text('last_day').notNull(),
		/** Minutes after midnight; null is the whole day. */
		fromMinute: integer('from_minute'),
		toMinute: integer('to_minute'),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.calendar, t.uid] }),
		index('other_event_day').on(t.workspaceId, t.firstDay),
		check('other_event_days', sql`${t.firstDay} <= ${t.lastDay} AND length(${t.title}) <= 200`)
	]
);
