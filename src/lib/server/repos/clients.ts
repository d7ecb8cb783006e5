import { and, asc, eq } from 'drizzle-orm';
import type { Actor } from '../actor.ts';
import type { Database, Writer } from '../db/client.ts';
import { client } from '../db/tables/quote.ts';

export interface Client {
	readonly id: string;
	readonly name: string;
	readonly email: string;
	readonly phone: string;
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
	return {
		async list(): Promise<Client[]> {
			return db.read
				.select(columns)
				.from(client)
				.where(eq(client.workspaceId, workspaceId))
				.orderBy(asc(client.name));
		},
		/** The client of that name, made where there is none. @param id for a new one */
		async named(name: string, id: string): Promise<string> {
			return db.write(async (tx) => {
				const known = await clientNamed(tx, workspaceId, name);
				if (known !== undefined) return known;
				await tx.insert(client).values({ workspaceId, id, name, changedBy });
				return id;
			});
		}
	};
}
