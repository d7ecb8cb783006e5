import { and, count, desc, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import { daysSince, dueOf } from '../../core/quote/due.ts';
import type { QuoteState } from '../../core/quote/states.ts';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { client, quote } from '../db/tables/quote.ts';

export interface QuoteRow {
	readonly id: string;
	readonly number: number;
	readonly clientName: string;
	readonly eventDate: string | null;
	readonly state: QuoteState;
	readonly occasion: string;
	/** Of what was issued last, minor units; null of a draft that never was. */
	readonly frozenTotal: number | null;
	/** Per cent, of what was issued last. */
	readonly margin: number | null;
	readonly lineCount: number;
	/** Whether this client had said yes before. */
	readonly isKnown: boolean;
}

/** A quote something is to be done about. */
export interface DueRow extends Pick<QuoteRow, 'id' | 'number' | 'clientName' | 'occasion'> {
	readonly due: string;
}

/** What stands in a month, minor units. */
export interface Month {
	/** `2027-05` */
	readonly month: string;
	readonly won: number;
	readonly open: number;
	readonly wonTotal: number;
	readonly openTotal: number;
}

export interface QuoteQuery {
	readonly search?: string;
	readonly page?: number;
	readonly today?: string;
	readonly state?: QuoteState | undefined;
	/** `2027-05` */
	readonly month?: string | undefined;
	readonly client?: string | undefined;
	/** Those that were put away alone; else those that were not. */
	readonly isAway?: boolean;
	/** Put away or not. */
	readonly every?: boolean;
}

export interface QuotePage {
	readonly rows: readonly QuoteRow[];
	/** How many there are of what was looked for. */
	readonly all: number;
	readonly page: number;
	readonly pages: number;
}

/** Quotes a page shows. */
export const QUOTE_PAGE = 50;

/** Something of what was issued last of a quote. */
const issued = (what: 'total' | 'margin' | 'until') => {
	const [column, path] = { total: ['frozen', '$.total.minor'], margin: ['frozen_owner', '$.margin'], until: ['frozen', '$.validUntil'] }[what]; // prettier-ignore
	return sql<never>`(SELECT json_extract(i.${sql.raw(column!)}, ${sql.raw(`'${path}'`)}) FROM quote_issue i WHERE i.workspace_id = ${quote.workspaceId} AND i.quote_id = ${quote.id} ORDER BY i.number DESC LIMIT 1)`;
};
const lastEvent = (events: string, what: 'event' | 'at') =>
	sql<never>`(SELECT e.${sql.raw(what)} FROM quote_event e WHERE e.workspace_id = ${quote.workspaceId} AND e.quote_id = ${quote.id} AND e.event IN (${sql.raw(events)}) ORDER BY e.number DESC LIMIT 1)`;

/** Quotes as they are looked through. */
export function quoteList(db: Database, actor: Actor) {
	const { workspace: workspaceId } = actor;
	const joined = and(eq(client.workspaceId, quote.workspaceId), eq(client.id, quote.clientId));
	const occasion = sql<string>`json_extract(${quote.terms}, '$.occasion')`;
	return {
		/**
		 * A page of quotes: what is due next first, then undated ones, then past ones, the latest first. Every word of a
		 * search is looked for in client, occasion, venue and number.
		 * @param today a calendar day, `YYYY-MM-DD`
		 */
		async page({
			search = '',
			page = 1,
			today = '0000-00-00',
			state,
			month,
			client: of,
			isAway = false,
			every = false
		}: QuoteQuery = {}): Promise<QuotePage> {
			const words = search.toLowerCase().split(/\s+/).filter(Boolean).slice(0, 8);
			const text = sql`lower(${client.name} || ' ' || json_extract(${quote.terms}, '$.occasion') || ' ' || json_extract(${quote.terms}, '$.venue') || ' ' || ${quote.number})`;
			const found = and(
				eq(quote.workspaceId, workspaceId),
				...(every ? [] : [isAway ? isNotNull(quote.putAwayAt) : isNull(quote.putAwayAt)]),
				...(state ? [eq(quote.state, state)] : []),
				...(month ? [sql`substr(${quote.eventDate}, 1, 7) = ${month}`] : []),
				...(of ? [eq(quote.clientId, of)] : []),
				...words.map((w) => sql`instr(${text}, ${w}) > 0`)
			);
			const counted = await db.read
				.select({ n: count() })
				.from(quote)
				.innerJoin(client, joined)
				.where(found)
				.get();
			const all = counted?.n ?? 0;
			const pages = Math.max(1, Math.ceil(all / QUOTE_PAGE));
			const at = Math.min(pages, Math.max(1, page));
			const ids = await db.read
				.select({ id: quote.id })
				.from(quote)
				.innerJoin(client, joined)
				.where(found)
				.orderBy(
					sql`CASE WHEN ${quote.eventDate} IS NULL THEN 1 WHEN ${quote.eventDate} >= ${today} THEN 0 ELSE 2 END`,
					sql`CASE WHEN ${quote.eventDate} >= ${today} THEN ${quote.eventDate} END`,
					desc(quote.eventDate),
					desc(quote.number)
				)
				.limit(QUOTE_PAGE)
				.offset((at - 1) * QUOTE_PAGE);
			if (ids.length === 0) return { rows: [], all, page: at, pages };
			// What was frozen is read of these alone: it is large.
			const rows = await db.read
				.select({
					id: quote.id,
					number: quote.number,
					clientName: client.name,
					eventDate: quote.eventDate,
					state: quote.state,
					occasion,
					frozenTotal: sql<number | null>`${issued('total')}`,
					margin: sql<number | null>`${issued('margin')}`,
					lineCount: sql<number>`(SELECT count(*) FROM quote_line l WHERE l.workspace_id = ${quote.workspaceId} AND l.quote_id = ${quote.id}) + coalesce(json_array_length(${quote.terms}, '$.typed'), 0)`,
					isKnown: sql<number>`EXISTS (SELECT 1 FROM quote b WHERE b.workspace_id = ${quote.workspaceId} AND b.client_id = ${quote.clientId} AND b.id <> ${quote.id} AND b.state = 'accepted')`
				})
				.from(quote)
				.innerJoin(client, joined)
				.where(
					and(
						eq(quote.workspaceId, workspaceId),
						inArray(
							quote.id,
							ids.map((r) => r.id)
						)
					)
				);
			const byId = new Map(rows.map((r) => [r.id, { ...r, isKnown: r.isKnown === 1 }]));
			return { rows: ids.map((r) => byId.get(r.id)!), all, page: at, pages };
		},
		/** Quotes that ask for something: a question, one nobody opened, one without an answer. The most pressing first. */
		async due(now: Date, today: string): Promise<DueRow[]> {
			const rows = await db.read
				.select({
					id: quote.id,
					number: quote.number,
					clientName: client.name,
					occasion,
					state: quote.state,
					eventDate: quote.eventDate,
					validUntil: sql<string>`${issued('until')}`,
					issuedAt: sql<number>`${lastEvent("'issued'", 'at')}`,
					saidAt: sql<number>`(SELECT max(e.at) FROM quote_event e WHERE e.workspace_id = ${quote.workspaceId} AND e.quote_id = ${quote.id})`,
					talk: sql<string | null>`${lastEvent("'asked', 'answered'", 'event')}`
				})
				.from(quote)
				.innerJoin(client, joined)
				.where(
					and(
						eq(quote.workspaceId, workspaceId),
						isNull(quote.putAwayAt),
						inArray(quote.state, ['sent', 'seen', 'accepted'])
					)
				)
				.orderBy(desc(quote.number))
				.limit(500);
			const days = (at: number) => daysSince(new Date(at), now);
			const found = rows.flatMap((row) => {
				const due = dueOf({
					...row,
					today,
					sinceIssued: days(row.issuedAt),
					sinceSaid: days(row.saidAt),
					isAsked: row.talk === 'asked'
				});
				// What lapsed for an event that is over is not pressing any more.
				const isOver = row.eventDate !== null && row.eventDate < today && row.talk !== 'asked';
				const { id, number, clientName, occasion: what } = row;
				return due && !isOver
					? [{ rank: due.rank, row: { id, number, clientName, occasion: what, due: due.say } }]
					: [];
			});
			return found.sort((a, b) => a.rank - b.rank).map((f) => f.row);
		},
		/** Months from one on, each with what is won and what is open in it. @param from `2027-05` */
		async months(from: string, most = 6): Promise<Month[]> {
			const month = sql<string>`substr(${quote.eventDate}, 1, 7)`;
			const total = issued('total');
			const isOpen = sql`${quote.state} IN ('sent', 'seen')`;
			return db.read
				.select({
					month,
					won: sql<number>`sum(${quote.state} = 'accepted')`,
					open: sql<number>`sum(${isOpen})`,
					wonTotal: sql<number>`coalesce(sum(CASE WHEN ${quote.state} = 'accepted' THEN ${total} END), 0)`,
					openTotal: sql<number>`coalesce(sum(CASE WHEN ${isOpen} THEN ${total} END), 0)`
				})
				.from(quote)
				.innerJoin(client, joined)
				.where(and(eq(quote.workspaceId, workspaceId), sql`substr(${quote.eventDate}, 1, 7) >= ${from}`))
				.groupBy(month)
				.orderBy(month)
				.limit(most);
		},
		/** Answers so far: of clients who had said yes before, and of new ones. */
		async answers(): Promise<{ readonly known: Answers; readonly fresh: Answers }> {
			const rows = await db.read
				.select({
					known: sql<number>`EXISTS (SELECT 1 FROM quote b WHERE b.workspace_id = ${quote.workspaceId} AND b.client_id = ${quote.clientId} AND b.number < ${quote.number} AND b.state = 'accepted')`,
					won: sql<number>`sum(${quote.state} = 'accepted')`,
					n: count()
				})
				.from(quote)
				.innerJoin(client, joined)
				.where(and(eq(quote.workspaceId, workspaceId), inArray(quote.state, ['accepted', 'declined'])))
				.groupBy(sql`1`);
			const of = (known: number): Answers => {
				const row = rows.find((r) => r.known === known);
				return { won: row?.won ?? 0, all: row?.n ?? 0 };
			};
			return { known: of(1), fresh: of(0) };
		}
	};
}
export interface Answers {
	readonly won: number;
	readonly all: number;
}
