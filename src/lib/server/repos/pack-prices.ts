import { and, eq, inArray, sql } from 'drizzle-orm';
import type { Actor } from '../actor.ts';
import type { Writer } from '../db/client.ts';
import { packPrice } from '../db/tables/stock.ts';

/** What is written at once: SQLite takes 32,766 values in one statement. */
const AT_ONCE = 500;

export function* slices<T>(all: readonly T[]): Generator<T[]> {
	for (let at = 0; at < all.length; at += AT_ONCE) yield all.slice(at, at + AT_ONCE);
}

/** Writes what packs cost from a day on, `YYYY-MM-DD`: a row of the history of each, numbered by pack. */
export async function keepPrices(tx: Writer, actor: Actor, day: string, packs: readonly { readonly id: string; readonly count: number; readonly priceMinor: number | null }[]): Promise<void> {
	for (const some of slices(packs)) {
		const own = and(eq(packPrice.workspaceId, actor.workspace), inArray(packPrice.packId, some.map((p) => p.id)));
		const before = await tx.select({ pack: packPrice.packId, many: sql<number>`count(*)` }).from(packPrice).where(own).groupBy(packPrice.packId);
		const many = new Map(before.map((b) => [b.pack, b.many]));
		await tx.insert(packPrice).values(some.map(({ id, count, priceMinor }) => ({ id: `${id}.${(many.get(id) ?? 0) + 1}`, packId: id, day, count, priceMinor, workspaceId: actor.workspace, changedBy: actor.person })));
	}
} // prettier-ignore
