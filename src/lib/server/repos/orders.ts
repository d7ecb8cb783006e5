import { and, count, desc, eq, sql } from 'drizzle-orm';
import type { FrozenOwner } from '../../core/quote/frozen.ts';
import { frozenOwnerSchema } from '../../core/quote/quote.schema.ts';
import type { QuoteState } from '../../core/quote/states.ts';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { client, quote, quoteIssue } from '../db/tables/quote.ts';

/** A quote that was sent, with what it was worked out at then. */
export interface SentQuote {
	readonly id: string;
	readonly number: number;
	readonly client: string;
	readonly day: string | null;
	readonly state: QuoteState;
	readonly owner: FrozenOwner;
}

/** What became of quotes: read together, never changed here. */
export function orders(db: Database, actor: Actor) {
	const { workspace: workspaceId } = actor;
	return {
		/** How many orders were won, by the name of the client and by the day of the event. */
		async won(): Promise<{ won: Record<string, number>; taken: Record<string, number> }> {
			const rows = await db.read
				.select({ name: client.name, day: quote.eventDate, n: count() })
				.from(quote)
				.innerJoin(client, and(eq(client.workspaceId, quote.workspaceId), eq(client.id, quote.clientId)))
				.where(and(eq(quote.workspaceId, workspaceId), eq(quote.state, 'accepted')))
				.groupBy(client.name, quote.eventDate);
			const sums = (key: (row: (typeof rows)[number]) => string | null) => {
				const found: Record<string, number> = {};
				for (const row of rows) {
					const own = key(row);
					if (own !== null) found[own] = (found[own] ?? 0) + row.n;
				}
				return found;
			};
			return { won: sums((r) => r.name), taken: sums((r) => r.day) };
		},
		/** The last quotes that were sent, each as it was sent last, the latest first; but for one. */
		async sent(but = '', most = 200): Promise<SentQuote[]> {
			const latest = sql`${quoteIssue.number} = (SELECT max(i.number) FROM ${quoteIssue} i WHERE i.workspace_id = ${quote.workspaceId} AND i.quote_id = ${quote.id})`;
			const rows = await db.read
				.select({
					id: quote.id,
					number: quote.number,
					client: client.name,
					day: quote.eventDate,
					state: quote.state,
					owner: quoteIssue.frozenOwner
				})
				.from(quote)
				.innerJoin(client, and(eq(client.workspaceId, quote.workspaceId), eq(client.id, quote.clientId)))
				.innerJoin(
					quoteIssue,
					and(eq(quoteIssue.workspaceId, quote.workspaceId), eq(quoteIssue.quoteId, quote.id), latest)
				)
				.where(and(eq(quote.workspaceId, workspaceId), sql`${quote.id} <> ${but}`))
				.orderBy(desc(quoteIssue.issuedAt), desc(quote.number))
				.limit(most);
			return rows.map((row) => ({ ...row, owner: frozenOwnerSchema.parse(row.owner) }));
		}
	};
}
