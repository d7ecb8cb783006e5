import { sql } from 'drizzle-orm';
import { check, foreignKey, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { FIGURE_PARTS } from '../../../core/job/figures.ts';
import { MARK_KINDS } from '../../../core/job/tally-marks.ts';
import { LOSS_CAUSES } from '../../../core/stock/ledger.ts';
import { changedBy } from './changed-by.ts';
import { pictureColumns, pictureSize } from './picture.ts';
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

/** What was counted of a job once it was over. */
export const jobCount = sqliteTable(
	'job_count',
	{
		workspaceId: text('workspace_id').notNull(),
		quoteId: text('quote_id').notNull(),
		/** `YYYY-MM-DD`: the day it was counted for. */
		day: text().notNull(),
		/** Read only through `jobCountedSchema`. */
		counted: text({ mode: 'json' }).$type<unknown>().notNull(),
		/** Goes up by one when it is put right. */
		revision: integer().notNull().default(1),
		changedAt: integer('changed_at', { mode: 'timestamp_ms' }).notNull(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.quoteId] }),
		foreignKey({ columns: [t.workspaceId, t.quoteId], foreignColumns: [quote.workspaceId, quote.id] }),
		index('job_count_day').on(t.workspaceId, t.day),
		check('job_count_revision', sql`${t.revision} > 0`)
	]
);

/** A figure of a counted job, as it was worked out then: what numbers and lessons are read from. Goes with its count. */
export const jobFigure = sqliteTable(
	'job_figure',
	{
		workspaceId: text('workspace_id').notNull(),
		quoteId: text('quote_id').notNull(),
		part: text({ enum: FIGURE_PARTS }).notNull(),
		key: text().notNull(),
		name: text().notNull(),
		/** The day of the job, `YYYY-MM-DD`. */
		day: text().notNull(),
		reckoned: integer().notNull(),
		real: integer(),
		net: integer().notNull(),
		amount: integer().notNull(),
		/** Of what was lost; blank where that was not said. */
		cause: text().notNull().default(''),
		/** Of a day that is no measure for others. */
		leftOut: integer('left_out', { mode: 'boolean' }).notNull(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.quoteId, t.part, t.key] }),
		foreignKey({
			columns: [t.workspaceId, t.quoteId],
			foreignColumns: [jobCount.workspaceId, jobCount.quoteId]
		}),
		index('job_figure_part').on(t.workspaceId, t.part, t.day)
	]
);

/** A photograph of a job as it stood. What a client was shown is shown no more once it is taken away. */
export const jobPhoto = sqliteTable(
	'job_photo',
	{
		workspaceId: text('workspace_id').notNull(),
		id: text().notNull(),
		quoteId: text('quote_id').notNull(),
		...pictureColumns(),
		caption: text().notNull().default(''),
		/** Whether the client sees it on the page of thanks. */
		isShown: integer('is_shown', { mode: 'boolean' }).notNull(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.quoteId], foreignColumns: [quote.workspaceId, quote.id] }),
		index('job_photo_quote').on(t.workspaceId, t.quoteId, t.addedAt),
		pictureSize('job_photo_size', t)
	]
);

/** Something counted at the bench while a step is done: rows are added only, so that two who count never write over each other. */
export const tallyMark = sqliteTable(
	'tally_mark',
	{
		workspaceId: text('workspace_id').notNull(),
		quoteId: text('quote_id').notNull(),
		/** Made where it was counted: sent twice it counts once. */
		id: text().notNull(),
		/** The line of the quote, and the step of its plan. */
		line: text().notNull(),
		step: text().notNull(),
		kind: text({ enum: MARK_KINDS }).notNull(),
		/** Pieces that were done or lost, below 0 where they are taken back; seconds of time. */
		amount: integer().notNull(),
		/** Of what was lost: of which material, blank where that was not said; and why. */
		material: text().notNull().default(''),
		cause: text({ enum: LOSS_CAUSES }),
		/** Who counted, of those who work here; blank is not said. */
		person: text().notNull().default(''),
		at: integer({ mode: 'timestamp_ms' }).notNull(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.quoteId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.quoteId], foreignColumns: [quote.workspaceId, quote.id] }),
		check('tally_mark_amount', sql`abs(${t.amount}) BETWEEN 1 AND 100000`)
	]
);
