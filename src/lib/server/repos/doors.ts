import { and, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import { HOME_WORKSPACE, type StaffRole } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { linkHoldsUntil } from '../../core/quote/link.ts';
import { endedLink } from '../db/tables/links.ts';
import { invitation, person } from '../db/tables/people.ts';
import { quoteIssue } from '../db/tables/quote.ts';
import { workspace } from '../db/tables/workspace.ts';

/** What is asked before it is known who asks, and of whose studio. Each of these answers for what somebody holds. */

/** A link is kept by its hash: whoever reads the data cannot open it. */
export const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** Whether somebody is let in no more. */
export async function hasEnded(db: Database, id: string): Promise<boolean> {
	const row = await db.read
		.select({ id: person.id })
		.from(person)
		.where(and(eq(person.id, id), isNotNull(person.endedAt)))
		.get();
	return row !== undefined;
}

/** Where somebody signs in; undefined where nobody is known by that id. */
export async function workspaceOfPerson(db: Database, id: string): Promise<string | undefined> {
	const row = await db.read.select({ id: person.workspaceId }).from(person).where(eq(person.id, id)).get();
	return row?.id;
}

/** Whether the first workspace still waits for its owner. */
export async function isUnclaimed(db: Database): Promise<boolean> {
	const row = await db.read
		.select({ id: person.id })
		.from(person)
		.where(eq(person.workspaceId, HOME_WORKSPACE))
		.limit(1)
		.get();
	return row === undefined;
}

/** What a client's link leads to. */
export interface ClientLink {
	readonly workspace: string;
	/** Until when it opens, `YYYY-MM-DD`. */
	readonly until: string;
	/** Since when it was taken back. */
	readonly endedAt: Date | null;
}

/** @returns undefined where nobody was ever sent it */
export async function clientLinkBy(
	db: Pick<Database, 'read'>,
	token: string
): Promise<ClientLink | undefined> {
	const said = (name: string) => sql<string | null>`json_extract(${quoteIssue.frozen}, ${`$.${name}`})`;
	const row = await db.read
		.select({
			workspace: quoteIssue.workspaceId,
			eventDate: said('eventDate'),
			validUntil: said('validUntil'),
			endedAt: endedLink.at
		})
		.from(quoteIssue)
		.leftJoin(
			endedLink,
			and(eq(endedLink.workspaceId, quoteIssue.workspaceId), eq(endedLink.token, quoteIssue.token))
		)
		.where(eq(quoteIssue.token, token))
		.get();
	if (!row) return undefined;
	const { workspace: id, eventDate, validUntil, endedAt } = row;
	return { workspace: id, until: linkHoldsUntil({ eventDate, validUntil: validUntil ?? '' }), endedAt };
}

/** A link to join, that can still be taken. */
export interface OpenInvitation {
	readonly id: string;
	readonly workspace: string;
	/** Of the studio. */
	readonly studio: string;
	readonly name: string;
	readonly role: StaffRole;
	readonly expiresAt: Date;
}

/** @returns undefined where there is none, or it was taken, ended or is too old */
export async function invitationBy(
	db: Pick<Database, 'read'>,
	token: string,
	now: Date
): Promise<OpenInvitation | undefined> {
	const row = await db.read
		.select({ own: invitation, studio: workspace.name })
		.from(invitation)
		.innerJoin(workspace, eq(workspace.id, invitation.workspaceId))
		.where(
			and(eq(invitation.tokenHash, hashOf(token)), isNull(invitation.takenAt), isNull(invitation.endedAt))
		)
		.get();
	if (!row || row.own.expiresAt <= now) return undefined;
	const { id, workspaceId, name, role, expiresAt } = row.own;
	return { id, workspace: workspaceId, studio: row.studio, name, role, expiresAt };
}
