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
import { MESSAGE_KINDS, PAPER_KINDS, PAYMENT_KINDS, PAYMENT_STATES } from '../../../core/quote/kinds.ts';
import { QUOTE_EVENTS, QUOTE_STATES } from '../../../core/quote/states.ts';
import { designVersion } from './design.ts';
import { workspace } from './workspace.ts';

export const client = sqliteTable(
	'client',
	{
		workspaceId: text('workspace_id')
			.notNull()
			.references(() => workspace.id),
		id: text().notNull(),
		name: text().notNull(),
		email: text().notNull().default(''),
		phone: text().notNull().default(''),
		/** Addresses, what they like, what they must not be near. Read only through `clientDetailsSchema`. */
		details: text({ mode: 'json' }).$type<unknown>().notNull().default({}),
		changedBy: changedBy()
	},
	(t) => [primaryKey({ columns: [t.workspaceId, t.id] }), index('client_name').on(t.workspaceId, t.name)]
);

/** An offer to a client as it is written. Once issued, a trigger refuses any change but its state. */
export const quote = sqliteTable(
	'quote',
	{
		workspaceId: text('workspace_id')
			.notNull()
			.references(() => workspace.id),
		id: text().notNull(),
		/** 1, 2, 3 … within the workspace, as the client reads it. */
		number: integer().notNull(),
		clientId: text('client_id').notNull(),
		/** A calendar day, `YYYY-MM-DD`, in `zone`; null is not settled. */
		eventDate: text('event_date'),
		/** IANA name of the venue's time zone. */
		zone: text().notNull(),
		/** Where its events have led: `core/quote/states.ts`. */
		state: text({ enum: QUOTE_STATES }).notNull().default('draft'),
		/** Venue, delivery and terms. Read only through `quoteTermsSchema`. */
		terms: text({ mode: 'json' }).$type<unknown>().notNull(),
		/** Goes up by one with every save of the draft. */
		revision: integer().notNull().default(1),
		/** Id of the save that made this revision: sent again it is answered, not done again. */
		saveId: text('save_id'),
		createdAt: integer('created_at', { mode: 'timestamp_ms' }).notNull(),
		/** Put away: out of the lists. It counts in the figures of the past all the same. */
		putAwayAt: integer('put_away_at', { mode: 'timestamp_ms' }),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.clientId], foreignColumns: [client.workspaceId, client.id] }),
		uniqueIndex('quote_number').on(t.workspaceId, t.number),
		index('quote_day').on(t.workspaceId, t.eventDate),
		index('quote_client').on(t.workspaceId, t.clientId, t.state),
		check(
			'quote_event_date',
			sql`${t.eventDate} IS NULL OR ${t.eventDate} GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'`
		)
	]
);

/** One design on a quote, at the kept version that was last when the line was saved. */
export const quoteLine = sqliteTable(
	'quote_line',
	{
		workspaceId: text('workspace_id').notNull(),
		id: text().notNull(),
		quoteId: text('quote_id').notNull(),
		position: integer().notNull(),
		versionId: text('version_id').notNull(),
		/** A colourway of that version; null takes its first. */
		colourwayId: text('colourway_id'),
		/** A size option of that version; null is as it stands. */
		sizeId: text('size_id'),
		quantity: integer().notNull(),
		/** How this line is priced; null is as its design says. Read only through `lineWaySchema`. */
		way: text({ mode: 'json' }).$type<unknown>()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.quoteId], foreignColumns: [quote.workspaceId, quote.id] }),
		foreignKey({
			columns: [t.workspaceId, t.versionId],
			foreignColumns: [designVersion.workspaceId, designVersion.id]
		}),
		index('quote_line_quote').on(t.workspaceId, t.quoteId),
		index('quote_line_version').on(t.workspaceId, t.versionId),
		check('quote_line_quantity', sql`${t.quantity} > 0`)
	]
);

/** What was issued to a client, frozen: an issue can follow an issue. Immutable: triggers refuse changes. */
export const quoteIssue = sqliteTable(
	'quote_issue',
	{
		workspaceId: text('workspace_id').notNull(),
		id: text().notNull(),
		quoteId: text('quote_id').notNull(),
		/** 1, 2, 3 … within the quote. */
		number: integer().notNull(),
		/** Unguessable, for the client's link. */
		token: text().notNull(),
		/** All the client sees. Read only through `frozenQuoteSchema`. */
		frozen: text({ mode: 'json' }).$type<unknown>().notNull(),
		/** Cost and margin at that moment, for the owner only. Read only through `frozenOwnerSchema`. */
		frozenOwner: text('frozen_owner', { mode: 'json' }).$type<unknown>().notNull(),
		issuedAt: integer('issued_at', { mode: 'timestamp_ms' }).notNull(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.quoteId], foreignColumns: [quote.workspaceId, quote.id] }),
		uniqueIndex('quote_issue_number').on(t.workspaceId, t.quoteId, t.number),
		uniqueIndex('quote_issue_token').on(t.token),
		check('quote_issue_from_one', sql`${t.number} > 0`)
	]
);

/** What happened to a quote. Rows are only ever added: triggers refuse anything else. */
export const quoteEvent = sqliteTable(
	'quote_event',
	{
		workspaceId: text('workspace_id').notNull(),
		quoteId: text('quote_id').notNull(),
		/** 1, 2, 3 … within the quote. */
		number: integer().notNull(),
		/** The issue it is about. */
		issueId: text('issue_id').notNull(),
		event: text({ enum: QUOTE_EVENTS }).notNull(),
		/** What was said with it: a question, a reason, a name, what was chosen. Read only through `eventSaidSchema`. */
		said: text({ mode: 'json' }).$type<unknown>(),
		at: integer({ mode: 'timestamp_ms' }).notNull(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.quoteId, t.number] }),
		foreignKey({ columns: [t.workspaceId, t.quoteId], foreignColumns: [quote.workspaceId, quote.id] }),
		foreignKey({
			columns: [t.workspaceId, t.issueId],
			foreignColumns: [quoteIssue.workspaceId, quoteIssue.id]
		})
	]
);

/** An attempt to pay, by the key it was made with: made again it is answered, not done again. */
export const payment = sqliteTable(
	'payment',
	{
		workspaceId: text('workspace_id').notNull(),
		id: text().notNull(),
		quoteId: text('quote_id').notNull(),
		issueId: text('issue_id').notNull(),
		kind: text({ enum: PAYMENT_KINDS }).notNull(),
		minor: integer().notNull(),
		state: text({ enum: PAYMENT_STATES }).notNull(),
		madeAt: integer('made_at', { mode: 'timestamp_ms' }).notNull(),
		settledAt: integer('settled_at', { mode: 'timestamp_ms' }),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.quoteId], foreignColumns: [quote.workspaceId, quote.id] }),
		foreignKey({
			columns: [t.workspaceId, t.issueId],
			foreignColumns: [quoteIssue.workspaceId, quoteIssue.id]
		}),
		index('payment_quote').on(t.workspaceId, t.quoteId, t.madeAt),
		check('payment_minor', sql`${t.minor} > 0`)
	]
);

/** A paper that was made for a client, frozen. Numbers of a kind have no gaps. Immutable: triggers refuse changes. */
export const paper = sqliteTable(
	'paper',
	{
		workspaceId: text('workspace_id').notNull(),
		id: text().notNull(),
		quoteId: text('quote_id').notNull(),
		issueId: text('issue_id').notNull(),
		kind: text({ enum: PAPER_KINDS }).notNull(),
		/** 1, 2, 3 … of its kind within the workspace. */
		number: integer().notNull(),
		/** All that it shows. Read only through `frozenPaperSchema`. */
		frozen: text({ mode: 'json' }).$type<unknown>().notNull(),
		madeAt: integer('made_at', { mode: 'timestamp_ms' }).notNull(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.quoteId], foreignColumns: [quote.workspaceId, quote.id] }),
		foreignKey({
			columns: [t.workspaceId, t.issueId],
			foreignColumns: [quoteIssue.workspaceId, quoteIssue.id]
		}),
		uniqueIndex('paper_number').on(t.workspaceId, t.kind, t.number),
		index('paper_quote').on(t.workspaceId, t.quoteId, t.madeAt),
		check('paper_from_one', sql`${t.number} > 0`)
	]
);

/** An e-mail as it was put into the outbox, whole. Immutable: triggers refuse changes. */
export const message = sqliteTable(
	'message',
	{
		workspaceId: text('workspace_id').notNull(),
		id: text().notNull(),
		quoteId: text('quote_id').notNull(),
		kind: text({ enum: MESSAGE_KINDS }).notNull(),
		recipient: text().notNull(),
		subject: text().notNull(),
		/** RFC 5322, with its parts. */
		mime: text().notNull(),
		sentAt: integer('sent_at', { mode: 'timestamp_ms' }).notNull(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.quoteId], foreignColumns: [quote.workspaceId, quote.id] }),
		index('message_quote').on(t.workspaceId, t.quoteId, t.sentAt)
	]
);

/** A photo of the client's place, without what the camera wrote beside the picture. */
export const placePhoto = sqliteTable(
	'place_photo',
	{
		workspaceId: text('workspace_id').notNull(),
		id: text().notNull(),
		quoteId: text('quote_id').notNull(),
		...pictureColumns(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.quoteId], foreignColumns: [quote.workspaceId, quote.id] }),
		index('place_photo_quote').on(t.workspaceId, t.quoteId, t.addedAt),
		pictureSize('place_photo_size', t)
	]
);
