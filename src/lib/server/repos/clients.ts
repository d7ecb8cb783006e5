import { and, asc, eq, sql } from 'drizzle-orm';
import type { ClientDetails } from '../../core/quote/client.ts';
import { clientDetailsSchema } from '../../core/quote/client.schema.ts';
import type { QuoteState } from '../../core/quote/states.ts';
import type { Actor } from '../actor.ts';
import type { Database, Writer } from '../db/client.ts';
import { client, quote } from '../db/tables/quote.ts';

export interface Client {
	readonly id: string;
	readonly name: string;
	readonly email: string;
	readonly phone: string;
}
export interface ClientCard extends Client {
	readonly details: ClientDetails;
}
/** A client in the list, with what was quoted and paid. */
export interface ClientRow extends Client {
	readonly quotes: number;
	readonly won: number;
	/** Minor units. */
	readonly paid: number;
}

/** Id of the client of that name, inside a write. */
export async function clientNamed(
	tx: Writer,
	workspaceId: string,
	name: string
): Promise<string | undefined> {
	const own = and(eq(client.workspaceId, workspaceId), eq(client.name, name));
	return (await tx.select({ id: client.id }).from(client).where(own).get())?.id;
}

export function clients(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	const columns = { id: client.id, name: client.name, email: client.email, phone: client.phone };
	const one = (id: string) => and(eq(client.workspaceId, workspaceId), eq(client.id, id));
	return {
		async list(): Promise<Client[]> {
			return db.read
				.select(columns)
				.from(client)
				.where(eq(client.workspaceId, workspaceId))
				.orderBy(asc(client.name));
		},
		/** Why clients pay no tax, by their names; those who do are left out. */
		async exempt(): Promise<Record<string, string>> {
			const rows = await db.read
				.select({ name: client.name, why: sql<string>`json_extract(${client.details}, '$.exempt')` })
				.from(client)
				.where(
					and(eq(client.workspaceId, workspaceId), sql`json_extract(${client.details}, '$.exempt') <> ''`)
				);
			return Object.fromEntries(rows.map(({ name, why }) => [name, why]));
		},
		/** Clients with what became of their quotes. The query builder names no table that stands alone: the sums name it. */
		async rows(search = ''): Promise<ClientRow[]> {
			const words = search.toLowerCase().split(/\s+/).filter(Boolean).slice(0, 8);
			const text = sql`lower(${client.name} || ' ' || ${client.email} || ' ' || ${client.phone})`;
			return db.read
				.select({
					...columns,
					quotes: sql<number>`(SELECT count(*) FROM quote q WHERE q.workspace_id = "client"."workspace_id" AND q.client_id = "client"."id")`,
					won: sql<number>`(SELECT count(*) FROM quote q WHERE q.workspace_id = "client"."workspace_id" AND q.client_id = "client"."id" AND q.state = 'accepted')`,
					paid: sql<number>`(SELECT coalesce(sum(p.minor), 0) FROM payment p JOIN quote q ON q.workspace_id = p.workspace_id AND q.id = p.quote_id WHERE p.workspace_id = "client"."workspace_id" AND q.client_id = "client"."id" AND p.state = 'paid')`
				})
				.from(client)
				.where(and(eq(client.workspaceId, workspaceId), ...words.map((w) => sql`instr(${text}, ${w}) > 0`)))
				.orderBy(asc(client.name))
				.limit(500);
		},
		async find(id: string): Promise<ClientCard | undefined> {
			const row = await db.read
				.select({ ...columns, details: client.details })
				.from(client)
				.where(one(id))
				.get();
			return row && { ...row, details: clientDetailsSchema.parse(row.details) };
		},
		/** The client of a quote. */
		async ofQuote(quoteId: string): Promise<ClientCard | undefined> {
			const row = await db.read
				.select({ ...columns, details: client.details })
				.from(quote)
				.innerJoin(client, and(eq(client.workspaceId, quote.workspaceId), eq(client.id, quote.clientId)))
				.where(and(eq(quote.workspaceId, workspaceId), eq(quote.id, quoteId)))
				.get();
			return row && { ...row, details: clientDetailsSchema.parse(row.details) };
		},
		/** The client of that name, made where there is none. @param id for a new one */
		async named(name: string, id: string): Promise<string> {
			return db.write(async (tx) => {
				const known = await clientNamed(tx, workspaceId, name);
				if (known !== undefined) return known;
				await tx.insert(client).values({ workspaceId, id, name, changedBy });
				return id;
			});
		},
		/** @returns false where another client has that name, or this one is gone */
		async change(id: string, next: Omit<ClientCard, 'id'>): Promise<boolean> {
			return db.write(async (tx) => {
				const twin = await clientNamed(tx, workspaceId, next.name);
				if (twin !== undefined && twin !== id) return false;
				const done = await tx
					.update(client)
					.set({ ...next, changedBy })
					.where(one(id))
					.returning({ id: client.id });
				return done.length > 0;
			});
		},
		/** Quotes of a client, the latest first. */
		async quotesOf(id: string): Promise<
			{
				id: string;
				number: number;
				state: QuoteState;
				eventDate: string | null;
				occasion: string;
				paid: number;
			}[]
		> {
			return db.read
				.select({
					id: quote.id,
					number: quote.number,
					state: quote.state,
					eventDate: quote.eventDate,
					occasion: sql<string>`json_extract(${quote.terms}, '$.occasion')`,
					paid: sql<number>`(SELECT coalesce(sum(p.minor), 0) FROM payment p WHERE p.workspace_id = "quote"."workspace_id" AND p.quote_id = "quote"."id" AND p.state = 'paid')`
				})
				.from(quote)
				.where(and(eq(quote.workspaceId, workspaceId), eq(quote.clientId, id)))
				.orderBy(sql`${quote.number} DESC`);
		},
		/** Quotes of one become those of another, and the one is gone: it was the other's double. What is blank there is taken from it. */
		async merge(from: string, into: string): Promise<boolean> {
			return db.write(async (tx) => {
				const [own, other] = [
					await tx.select().from(client).where(one(from)).get(),
					await tx.select().from(client).where(one(into)).get()
				];
				if (!own || !other || from === into) return false;
				await tx
					.update(quote)
					.set({ clientId: into, changedBy })
					.where(and(eq(quote.workspaceId, workspaceId), eq(quote.clientId, from)));
				await tx
					.update(client)
					.set({
						email: other.email || own.email,
						phone: other.phone || own.phone,
						details: {
							...clientDetailsSchema.parse(own.details),
							...clientDetailsSchema.parse(other.details)
						},
						changedBy
					})
					.where(one(into));
				await tx.delete(client).where(one(from));
				return true;
			});
		},
		/**
		 * What is known of a client is forgotten; papers that were sent stay as they are. One without a quote is gone.
		 * @param called what stands in the place of the name
		 */
		async forget(id: string, called: string): Promise<boolean> {
			return db.write(async (tx) => {
				const row = await tx.select({ id: client.id }).from(client).where(one(id)).get();
				if (!row) return false;
				const used = await tx
					.select({ id: quote.id })
					.from(quote)
					.where(and(eq(quote.workspaceId, workspaceId), eq(quote.clientId, id)))
					.get();
				if (!used) await tx.delete(client).where(one(id));
				else
					await tx
						.update(client)
						.set({ name: called, email: '', phone: '', details: {}, changedBy })
						.where(one(id));
				return true;
			});
		}
	};
}
