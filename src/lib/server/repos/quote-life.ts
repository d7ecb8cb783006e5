import { and, asc, desc, eq, max } from 'drizzle-orm';
import type { ClientChoice } from '../../core/quote/choices.ts';
import { chosenOf } from '../../core/quote/chosen.ts';
import type { EventSaid, FrozenOwner, FrozenQuote } from '../../core/quote/frozen.ts';
import { eventSaidSchema, frozenOwnerSchema, frozenQuoteSchema } from '../../core/quote/quote.schema.ts';
import { isSaying, stateAfter, stateOn, type QuoteEvent, type QuoteState } from '../../core/quote/states.ts';
import type { Actor } from '../actor.ts';
import type { Database, Reader, Writer } from '../db/client.ts';
import { quote, quoteEvent, quoteIssue } from '../db/tables/quote.ts';

/** Something that happened to a quote. */
export interface Happened {
	readonly event: QuoteEvent;
	readonly at: Date;
	readonly by: string;
	/** Which writing of it that was about. */
	readonly issue: number;
	readonly said: EventSaid;
}

/** A writing of a quote, as it was issued. */
export interface Issue {
	readonly id: string;
	readonly number: number;
	readonly token: string;
	readonly frozen: FrozenQuote;
	readonly owner: FrozenOwner;
	readonly issuedAt: Date;
}

/** What a client's link opens. Nothing of the owner's is in it. */
export interface ClientQuote {
	readonly quoteId: string;
	readonly issueId: string;
	readonly frozen: FrozenQuote;
	/** As it is stored; what it reads as today is `stateOn`. */
	readonly state: QuoteState;
	/** A newer one was issued in its place, or is being written. */
	readonly isOld: boolean;
	/** What was said to the yes, where there was one to this writing. */
	readonly yes: (EventSaid & { readonly at: Date }) | null;
	/** Questions and their answers, the first first. */
	readonly talk: readonly {
		readonly event: 'asked' | 'answered';
		readonly at: Date;
		readonly text: string;
	}[];
}

/** Why a client's answer is not taken. */
export type NotAnswered = 'missing' | 'old' | 'lapsed' | 'cancelled' | 'cannot';
export type ClientAnswer =
	| { readonly event: 'accepted'; readonly name: string; readonly choice: ClientChoice }
	| { readonly event: 'declined'; readonly text: string }
	| { readonly event: 'asked'; readonly text: string };

const saidOf = (said: unknown): EventSaid => (said === null ? {} : eventSaidSchema.parse(said));

const fromIssue = ({
	id,
	number,
	token,
	frozen,
	frozenOwner,
	issuedAt
}: typeof quoteIssue.$inferSelect): Issue => ({
	id,
	number,
	token,
	issuedAt,
	frozen: frozenQuoteSchema.parse(frozen),
	owner: frozenOwnerSchema.parse(frozenOwner)
});

/** What happens to quotes once they are issued: rows are only added. */
export function quoteLife(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	const one = (id: string) => and(eq(quote.workspaceId, workspaceId), eq(quote.id, id));
	/** What a quote was before it began to be written anew. */
	const stateBefore = async (tx: Writer, quoteId: string): Promise<QuoteState | undefined> => {
		const row = await tx
			.select({ said: quoteEvent.said })
			.from(quoteEvent)
			.where(
				and(
					eq(quoteEvent.workspaceId, workspaceId),
					eq(quoteEvent.quoteId, quoteId),
					eq(quoteEvent.event, 'revised')
				)
			)
			.orderBy(desc(quoteEvent.number))
			.limit(1)
			.get();
		return row && saidOf(row.said).was;
	};
	return {
		/**
		 * Something happens to an issued quote, said by the owner. @returns false where it cannot happen
		 */
		async happen(
			id: string,
			event: Exclude<QuoteEvent, 'issued' | 'seen'>,
			now: Date,
			said: EventSaid | null = null
		): Promise<boolean> {
			return db.write(async (tx) => {
				const row = await tx.select({ state: quote.state }).from(quote).where(one(id)).get();
				const state = row && stateAfter(row.state, event);
				const issue = state && (await lastIssue(tx, actor, id));
				if (!issue) return false;
				if (state === row.state && !isSaying(event)) return true;
				const next = event === 'revision dropped' ? ((await stateBefore(tx, id)) ?? state) : state;
				// What it was is told with its revision, to go back to.
				const own = event === 'revised' ? { ...said, was: row.state } : said;
				await happened(tx, actor, { quoteId: id, issueId: issue.id, event, at: now, said: own });
				await tx.update(quote).set({ state: next, changedBy }).where(one(id));
				return true;
			});
		},
		/** What happened to a quote, the first first. */
		async events(id: string): Promise<Happened[]> {
			const rows = await db.read
				.select({
					event: quoteEvent.event,
					at: quoteEvent.at,
					by: quoteEvent.changedBy,
					said: quoteEvent.said,
					issue: quoteIssue.number
				})
				.from(quoteEvent)
				.innerJoin(
					quoteIssue,
					and(eq(quoteIssue.workspaceId, quoteEvent.workspaceId), eq(quoteIssue.id, quoteEvent.issueId))
				)
				.where(and(eq(quoteEvent.workspaceId, workspaceId), eq(quoteEvent.quoteId, id)))
				.orderBy(asc(quoteEvent.number));
			return rows.map((row) => ({ ...row, said: saidOf(row.said) }));
		},
		/** Whether any quote was ever sent. */
		async isAnyIssued(): Promise<boolean> {
			const found = await db.read
				.select({ id: quoteIssue.id })
				.from(quoteIssue)
				.where(eq(quoteIssue.workspaceId, workspaceId))
				.limit(1);
			return found.length > 0;
		},
		/** Every writing of a quote, the first first. */
		async issues(id: string): Promise<Issue[]> {
			const rows = await db.read
				.select()
				.from(quoteIssue)
				.where(and(eq(quoteIssue.workspaceId, workspaceId), eq(quoteIssue.quoteId, id)))
				.orderBy(asc(quoteIssue.number));
			return rows.map(fromIssue);
		},
		/** One writing, by its id. */
		async issue(id: string): Promise<Issue | undefined> {
			const row = await db.read
				.select()
				.from(quoteIssue)
				.where(and(eq(quoteIssue.workspaceId, workspaceId), eq(quoteIssue.id, id)))
				.get();
			return row && fromIssue(row);
		},
		/** The yes that holds: what was said to the last of a quote that is accepted. */
		async yes(
			id: string
		): Promise<(EventSaid & { readonly at: Date; readonly issueId: string }) | undefined> {
			const row = await db.read
				.select({ said: quoteEvent.said, at: quoteEvent.at, issueId: quoteEvent.issueId })
				.from(quoteEvent)
				.innerJoin(
					quote,
					and(eq(quote.workspaceId, quoteEvent.workspaceId), eq(quote.id, quoteEvent.quoteId))
				)
				.where(and(one(id), eq(quote.state, 'accepted'), eq(quoteEvent.event, 'accepted')))
				.orderBy(desc(quoteEvent.number))
				.limit(1)
				.get();
			return row && { ...saidOf(row.said), at: row.at, issueId: row.issueId };
		}
	};
}

/** What clients do with their links: the token is the permission, and opens one quote. */
export function sentQuotes(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	const byToken = async (from: Pick<Reader, 'select'>, token: string) =>
		from
			.select({ issue: quoteIssue, state: quote.state })
			.from(quoteIssue)
			.innerJoin(quote, and(eq(quote.workspaceId, quoteIssue.workspaceId), eq(quote.id, quoteIssue.quoteId)))
			.where(and(eq(quoteIssue.workspaceId, workspaceId), eq(quoteIssue.token, token)))
			.get();
	return {
		async byToken(token: string): Promise<ClientQuote | undefined> {
			const row = await byToken(db.read, token);
			if (!row) return undefined;
			const { issue, state } = row;
			const last = await lastIssue(db.read, actor, issue.quoteId);
			const events = await db.read
				.select({
					event: quoteEvent.event,
					at: quoteEvent.at,
					said: quoteEvent.said,
					issueId: quoteEvent.issueId
				})
				.from(quoteEvent)
				.where(and(eq(quoteEvent.workspaceId, workspaceId), eq(quoteEvent.quoteId, issue.quoteId)))
				.orderBy(asc(quoteEvent.number));
			const yes = events.findLast((e) => e.event === 'accepted' && e.issueId === issue.id);
			return {
				quoteId: issue.quoteId,
				issueId: issue.id,
				frozen: frozenQuoteSchema.parse(issue.frozen),
				state,
				isOld: state === 'draft' || last?.id !== issue.id,
				yes: state === 'accepted' && yes ? { ...saidOf(yes.said), at: yes.at } : null,
				talk: events.flatMap(({ event, at, said }) =>
					event === 'asked' || event === 'answered' ? [{ event, at, text: saidOf(said).text ?? '' }] : []
				)
			};
		},
		/** The client has opened it: told once. */
		async seen(token: string, now: Date): Promise<void> {
			const row = await byToken(db.read, token);
			if (row?.state !== 'sent') return;
			await db.write(async (tx) => {
				const again = await byToken(tx, token);
				const last = again && (await lastIssue(tx, actor, again.issue.quoteId));
				if (again?.state !== 'sent' || last?.id !== again.issue.id) return;
				const { quoteId, id: issueId } = again.issue;
				await happened(tx, actor, { quoteId, issueId, event: 'seen', at: now });
				await tx
					.update(quote)
					.set({ state: 'seen' })
					.where(and(eq(quote.workspaceId, workspaceId), eq(quote.id, quoteId)));
			});
		},
		/**
		 * The client answers. A yes said again is the yes that was said.
		 * @param day today at the venue, `YYYY-MM-DD`
		 * @returns why it is not taken, or a sentence about what was chosen
		 */
		async answer(
			token: string,
			answer: ClientAnswer,
			{ now, day }: { readonly now: Date; readonly day: string }
		): Promise<'done' | 'already' | NotAnswered | { readonly refused: string }> {
			return db.write(async (tx) => {
				const row = await byToken(tx, token);
				if (!row) return 'missing';
				const { issue, state } = row;
				const last = await lastIssue(tx, actor, issue.quoteId);
				if (state === 'draft' || last?.id !== issue.id) return 'old';
				if (state === 'cancelled') return 'cancelled';
				const frozen = frozenQuoteSchema.parse(issue.frozen);
				const next = stateAfter(state, answer.event);
				if (answer.event !== 'asked' && stateOn(state, day, frozen.validUntil) === 'lapsed') return 'lapsed';
				if (next === undefined) return 'cannot';
				if (next === state && !isSaying(answer.event)) return 'already';
				let said: EventSaid;
				if (answer.event === 'accepted') {
					const { name, choice } = answer;
					const chosen = chosenOf(frozen, choice);
					if ('refused' in chosen) return chosen;
					said = { name, choice, total: chosen.total.minor };
				} else said = { text: answer.text };
				const about = { quoteId: issue.quoteId, issueId: issue.id };
				const what = answer.event;
				await happened(tx, actor, { ...about, event: what, at: now, said });
				await tx
					.update(quote)
					.set({ state: next, changedBy })
					.where(and(eq(quote.workspaceId, workspaceId), eq(quote.id, issue.quoteId)));
				return 'done';
			});
		}
	};
}

/** The newest issue of a quote; undefined of a draft that never was one. */
export const lastIssue = (from: Pick<Reader, 'select'>, { workspace }: Actor, quoteId: string) =>
	from
		.select()
		.from(quoteIssue)
		.where(and(eq(quoteIssue.workspaceId, workspace), eq(quoteIssue.quoteId, quoteId)))
		.orderBy(desc(quoteIssue.number))
		.limit(1)
		.get();

/** Adds what happened to the events of a quote. */
export async function happened(
	tx: Writer,
	{ workspace: workspaceId, person: changedBy }: Actor,
	event: Omit<typeof quoteEvent.$inferInsert, 'workspaceId' | 'changedBy' | 'number' | 'said'> & {
		readonly said?: EventSaid | null;
	}
) {
	const last = await tx
		.select({ n: max(quoteEvent.number) })
		.from(quoteEvent)
		.where(and(eq(quoteEvent.workspaceId, workspaceId), eq(quoteEvent.quoteId, event.quoteId)))
		.get();
	await tx.insert(quoteEvent).values({ ...event, workspaceId, changedBy, number: (last?.n ?? 0) + 1 });
}
