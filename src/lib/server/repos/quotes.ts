import { and, asc, eq, isNull, max, ne } from 'drizzle-orm';
import type { FrozenOwner, FrozenQuote } from '../../core/quote/frozen.ts';
import {
	frozenOwnerSchema,
	frozenQuoteSchema,
	lineWaySchema,
	quoteTermsSchema
} from '../../core/quote/quote.schema.ts';
import type { QuoteTerms } from '../../core/quote/quote.ts';
import type { ReadLine } from '../../core/quote/read-lines.ts';
import { stateAfter, type QuoteState } from '../../core/quote/states.ts';
import type { Actor } from '../actor.ts';
import type { Database, Writer } from '../db/client.ts';
import { design, designVersion } from '../db/tables/design.ts';
import { client, quote, quoteIssue, quoteLine } from '../db/tables/quote.ts';
import { isLastKept } from './designs.ts';
import { clientNamed } from './clients.ts';
import { happened, lastIssue } from './quote-life.ts';
import { wordsOf } from './shelf-words.ts';

export interface QuoteDraft {
	readonly clientId: string;
	readonly eventDate: string | null;
	readonly zone: string;
	readonly terms: QuoteTerms;
	readonly lines: readonly ReadLine[];
}

export interface Quote extends QuoteDraft {
	readonly id: string;
	readonly number: number;
	readonly clientName: string;
	readonly state: QuoteState;
	readonly revision: number;
	/** Put away: out of the lists. */
	readonly isAway: boolean;
	/** What was issued last: the client's link, what it shows, and what the owner keeps of it. Null of a draft. */
	readonly issued: {
		/** 1, 2, 3 …: which time it was written. */
		readonly number: number;
		readonly token: string;
		readonly frozen: FrozenQuote;
		readonly owner: FrozenOwner;
	} | null;
}

/** Quotes: drafts that change, and sent ones that never do. */
export function quotes(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	const one = (id: string) => and(eq(quote.workspaceId, workspaceId), eq(quote.id, id));
	return {
		async find(id: string): Promise<Quote | undefined> {
			const row = await db.read
				.select({ quote, clientName: client.name })
				.from(quote)
				.innerJoin(client, and(eq(client.workspaceId, quote.workspaceId), eq(client.id, quote.clientId)))
				.where(one(id))
				.get();
			if (!row) return undefined;
			const lines = await db.read
				.select({
					id: quoteLine.id,
					versionId: quoteLine.versionId,
					colourwayId: quoteLine.colourwayId,
					sizeId: quoteLine.sizeId,
					quantity: quoteLine.quantity,
					way: quoteLine.way
				})
				.from(quoteLine)
				.where(and(eq(quoteLine.workspaceId, workspaceId), eq(quoteLine.quoteId, id)))
				.orderBy(asc(quoteLine.position));
			const issue = await lastIssue(db.read, actor, id);
			return fromRow(row.quote, row.clientName, {
				lines: lines.map((l) => ({ ...l, way: l.way === null ? null : lineWaySchema.parse(l.way) })),
				issue
			});
		},
		/** Creates a draft with the next number; repeating it with the same id changes nothing. */
		async create(id: string, draft: QuoteDraft, now: Date): Promise<void> {
			await db.write(async (tx) => {
				if (await tx.select({ id: quote.id }).from(quote).where(one(id)).get()) return;
				const last = await tx
					.select({ n: max(quote.number) })
					.from(quote)
					.where(eq(quote.workspaceId, workspaceId))
					.get();
				const { clientId, eventDate, zone, terms, lines } = draft;
				await tx.insert(quote).values({
					workspaceId,
					id,
					number: (last?.n ?? 0) + 1,
					clientId,
					eventDate,
					zone,
					terms,
					createdAt: now,
					changedBy
				});
				await putLines(tx, workspaceId, id, lines);
			});
		},
		/**
		 * Saves a draft over the revision it started from. The same save sent again is answered as it was.
		 * @param draft its client by name: one of that name, the same one renamed where no other quote knows it, or a new one
		 */
		async save(
			id: string,
			{ client: clientName, ...draft }: Omit<QuoteDraft, 'clientId'> & { readonly client: string },
			{ baseRevision, saveId, newId }: { baseRevision: number; saveId: string; newId: string }
		): Promise<'saved' | 'stale' | 'sent' | 'missing'> {
			return db.write(async (tx) => {
				const row = await tx
					.select({
						state: quote.state,
						revision: quote.revision,
						saveId: quote.saveId,
						clientId: quote.clientId
					})
					.from(quote)
					.where(one(id))
					.get();
				if (!row) return 'missing';
				if (row.saveId === saveId && row.revision === baseRevision + 1) return 'saved';
				if (row.state !== 'draft') return 'sent';
				if (row.revision !== baseRevision) return 'stale';
				const { eventDate, zone, terms, lines } = draft;
				const clientId = await clientFor(tx, actor, {
					quote: id,
					now: row.clientId,
					name: clientName,
					newId
				});
				await tx
					.update(quote)
					.set({ clientId, eventDate, zone, terms, saveId, revision: row.revision + 1, changedBy })
					.where(one(id));
				if (clientId !== row.clientId) await dropUnused(tx, workspaceId, row.clientId);
				await tx
					.delete(quoteLine)
					.where(and(eq(quoteLine.workspaceId, workspaceId), eq(quoteLine.quoteId, id)));
				await putLines(tx, workspaceId, id, lines);
				return 'saved';
			});
		},
		/** Freezes and sends a draft. Sending it again changes nothing. */
		async send(
			id: string,
			sent: { frozen: FrozenQuote; owner: FrozenOwner; token: string; revision: number },
			now: Date
		): Promise<'sent' | 'stale' | 'missing'> {
			return db.write(async (tx) => {
				const row = await tx
					.select({ state: quote.state, revision: quote.revision })
					.from(quote)
					.where(one(id))
					.get();
				if (!row) return 'missing';
				const state = stateAfter(row.state, 'issued');
				if (state === undefined) return 'sent';
				if (row.revision !== sent.revision) return 'stale';
				const number = ((await lastIssue(tx, actor, id))?.number ?? 0) + 1;
				const issueId = `${id}.${number}`;
				const { frozen, owner: frozenOwner, token } = sent;
				const own = { workspaceId, id: issueId, quoteId: id, changedBy };
				await tx.insert(quoteIssue).values({ ...own, number, token, frozen, frozenOwner, issuedAt: now });
				await happened(tx, actor, { quoteId: id, issueId, event: 'issued', at: now });
				await tx.update(quote).set({ state, changedBy }).where(one(id));
				return 'sent';
			});
		},
		/** Kept versions a line may take: the last of each design that is not put away. */
		async offered(): Promise<{ versionId: string; design: string; name: string }[]> {
			const rows = await db.read
				.select({ id: design.id, name: design.name, revision: design.revision, versionId: designVersion.id })
				.from(design)
				.innerJoin(designVersion, isLastKept)
				.where(and(eq(design.workspaceId, workspaceId), isNull(design.putAwayAt)))
				.orderBy(asc(design.name));
			const words = await wordsOf(db, actor, rows);
			return rows.map(({ id, versionId }, i) => ({ versionId, design: id, name: words[i]!.name }));
		}
	};
}

/** Who a draft is for, while the name is being typed: no client is left behind for every letter of it. */
async function clientFor(
	tx: Writer,
	{ workspace: workspaceId, person: changedBy }: Actor,
	{ quote: id, now, name, newId }: { quote: string; now: string; name: string; newId: string }
): Promise<string> {
	const own = and(eq(client.workspaceId, workspaceId), eq(client.id, now));
	const current = await tx.select({ name: client.name }).from(client).where(own).get();
	if (current?.name === name) return now;
	const named = await clientNamed(tx, workspaceId, name);
	if (named !== undefined) return named;
	const others = await tx
		.select({ id: quote.id })
		.from(quote)
		.where(and(eq(quote.workspaceId, workspaceId), eq(quote.clientId, now), ne(quote.id, id)))
		.get();
	if (others) {
		await tx.insert(client).values({ workspaceId, id: newId, name, changedBy });
		return newId;
	}
	await tx.update(client).set({ name, changedBy }).where(own);
	return now;
}

/** A client of whom there is only a name, and no quote any more. */
async function dropUnused(tx: Writer, workspaceId: string, id: string): Promise<void> {
	const used = await tx
		.select({ id: quote.id })
		.from(quote)
		.where(and(eq(quote.workspaceId, workspaceId), eq(quote.clientId, id)))
		.get();
	if (used) return;
	await tx
		.delete(client)
		.where(
			and(eq(client.workspaceId, workspaceId), eq(client.id, id), eq(client.email, ''), eq(client.phone, ''))
		);
}

async function putLines(tx: Writer, workspaceId: string, quoteId: string, lines: readonly ReadLine[]) {
	if (lines.length === 0) return;
	await tx
		.insert(quoteLine)
		.values(lines.map((line, position) => ({ ...line, workspaceId, quoteId, position })));
}

function fromRow(
	row: typeof quote.$inferSelect,
	clientName: string,
	{ lines, issue }: { lines: ReadLine[]; issue: typeof quoteIssue.$inferSelect | undefined }
): Quote {
	return {
		id: row.id,
		number: row.number,
		clientId: row.clientId,
		clientName,
		eventDate: row.eventDate,
		zone: row.zone,
		state: row.state,
		revision: row.revision,
		isAway: row.putAwayAt !== null,
		terms: quoteTermsSchema.parse(row.terms),
		lines,
		issued: issue
			? {
					number: issue.number,
					token: issue.token,
					frozen: frozenQuoteSchema.parse(issue.frozen),
					owner: frozenOwnerSchema.parse(issue.frozenOwner)
				}
			: null
	};
}
