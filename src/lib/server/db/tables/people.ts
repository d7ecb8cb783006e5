import { changedBy } from './changed-by.ts';
import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { STAFF_ROLES } from '../../actor.ts';
import { workspace } from './workspace.ts';

const owner = () =>
	text('workspace_id')
		.notNull()
		.references(() => workspace.id);
const time = (name: string) => integer(name, { mode: 'timestamp_ms' });
const ofPerson = () =>
	text('person_id')
		.notNull()
		.references(() => person.id, { onDelete: 'cascade' });

/** Who signs in: in one studio, with one role. The names of properties are the auth library's. */
export const person = sqliteTable(
	'person',
	{
		id: text().primaryKey(),
		workspaceId: owner(),
		name: text().notNull(),
		/** In small letters. */
		email: text().notNull().unique(),
		emailVerified: integer('email_verified', { mode: 'boolean' }).notNull().default(false),
		image: text(),
		role: text({ enum: STAFF_ROLES }).notNull(),
		twoFactorEnabled: integer('second_step', { mode: 'boolean' }).notNull().default(false),
		/** Since when they are let in no more. */
		endedAt: time('ended_at'),
		createdAt: time('created_at').notNull(),
		updatedAt: time('updated_at').notNull(),
		changedBy: changedBy()
	},
	(t) => [
		index('person_workspace').on(t.workspaceId),
		check('person_email', sql`${t.email} = lower(${t.email})`)
	]
);

/** A browser that somebody is signed in with. */
export const session = sqliteTable(
	'session',
	{
		id: text().primaryKey(),
		token: text().notNull().unique(),
		userId: ofPerson(),
		expiresAt: time('expires_at').notNull(),
		ipAddress: text('ip_address'),
		userAgent: text('user_agent'),
		createdAt: time('created_at').notNull(),
		updatedAt: time('updated_at').notNull()
	},
	(t) => [index('session_person').on(t.userId)]
);

/** How somebody shows who they are: the hash of a password. The other columns are the auth library's, for other ways. */
export const credential = sqliteTable(
	'credential',
	{
		id: text().primaryKey(),
		accountId: text('account_id').notNull(),
		providerId: text('provider_id').notNull(),
		userId: ofPerson(),
		password: text(),
		accessToken: text('access_token'),
		refreshToken: text('refresh_token'),
		idToken: text('id_token'),
		accessTokenExpiresAt: time('access_token_expires_at'),
		refreshTokenExpiresAt: time('refresh_token_expires_at'),
		scope: text(),
		createdAt: time('created_at').notNull(),
		updatedAt: time('updated_at').notNull()
	},
	(t) => [uniqueIndex('credential_person').on(t.userId, t.providerId)]
);

/** What is waited for: a new password by a link, a second step. Kept by the hash of what is known. */
export const verification = sqliteTable(
	'verification',
	{
		id: text().primaryKey(),
		identifier: text().notNull(),
		value: text().notNull(),
		expiresAt: time('expires_at').notNull(),
		createdAt: time('created_at').notNull(),
		updatedAt: time('updated_at').notNull()
	},
	(t) => [index('verification_identifier').on(t.identifier)]
);

/** The second step of somebody's sign-in: a code that changes, by time. */
export const secondStep = sqliteTable(
	'second_step',
	{
		id: text().primaryKey(),
		userId: ofPerson(),
		/** Encrypted with the server's key, as are the spare codes. */
		secret: text().notNull(),
		backupCodes: text('backup_codes').notNull(),
		verified: integer({ mode: 'boolean' }).notNull().default(true),
		failedVerificationCount: integer('failed').notNull().default(0),
		lockedUntil: time('locked_until')
	},
	(t) => [index('second_step_person').on(t.userId)]
);

/** A link by which somebody joins a studio. */
export const invitation = sqliteTable(
	'invitation',
	{
		workspaceId: owner(),
		id: text().notNull(),
		/** Who is meant, in the owner's words. */
		name: text().notNull(),
		role: text({ enum: STAFF_ROLES }).notNull(),
		/** SHA-256 of what stands in the link, in hexadecimal: the link itself is shown once. */
		tokenHash: text('token_hash').notNull().unique(),
		createdAt: time('created_at').notNull(),
		expiresAt: time('expires_at').notNull(),
		takenAt: time('taken_at'),
		endedAt: time('ended_at'),
		changedBy: changedBy()
	},
	(t) => [primaryKey({ columns: [t.workspaceId, t.id] })]
);

/** A letter to somebody of the studio; nothing leaves this machine by itself. */
export const staffLetter = sqliteTable(
	'staff_letter',
	{
		workspaceId: owner(),
		id: text().notNull(),
		to: text('to_address').notNull(),
		subject: text().notNull(),
		body: text().notNull(),
		at: time('at').notNull()
	},
	(t) => [primaryKey({ columns: [t.workspaceId, t.id] })]
);
