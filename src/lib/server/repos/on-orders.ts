import { and, asc, eq, isNull } from 'drizzle-orm';
import type { OnOrder } from '../../core/stock/on-order.ts';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { onOrder, pack, stockMove } from '../db/tables/stock.ts';
import { touchStock } from './workspaces.ts';

/** What is on order; what came is a movement of the ledger. */
export function onOrders(db: Database, actor: Actor) {
	const own = { workspaceId: actor.workspace, changedBy: actor.person };
	const open = and(eq(onOrder.workspaceId, actor.workspace), isNull(onOrder.came), eq(onOrder.off, false));
	const one = (id: string) => and(open, eq(onOrder.id, id));
	return {
		/** All that is still to come, what is due first. */
		async open(): Promise<OnOrder[]> {
			const rows = await db.read.select().from(onOrder).where(open).orderBy(asc(onOrder.due), asc(onOrder.id));
			return rows.map(({ id, materialId, packId, packs, count, costMinor, ordered, due }) => ({ id, material: materialId, pack: packId, packs, count, costMinor, ordered, due }));
		},
		/** Writes orders down, all of them or none. Repeating one with the same id changes nothing. */
		async add(...orders: readonly OnOrder[]): Promise<void> {
			const rows = orders.map(({ material, pack: packId, ...order }) => ({ ...order, materialId: material, packId, ...own }));
			await db.write(async (tx) => {
				await tx.insert(onOrder).values(rows).onConflictDoNothing();
				await touchStock(tx, actor);
			});
		},
		/**
		 * So many packs of it came: they are bought by the ledger, and the rest is still to come. All of it or nothing.
		 * @returns false where it is not on order any more, or there are not so many
		 */
		async came(id: string, { packs, day }: { readonly packs: number; readonly day: string }): Promise<boolean> {
			return db.write(async (tx) => {
				const [order] = await tx.select().from(onOrder).where(one(id));
				if (!order || packs > order.packs) return false;
				const costMinor = order.costMinor === null ? null : Math.round((order.costMinor * packs) / order.packs);
				const rest = order.packs - packs;
				const mine = and(eq(onOrder.workspaceId, actor.workspace), eq(onOrder.id, id));
				await tx.update(onOrder).set({ packs, costMinor, came: day, changedBy: actor.person }).where(mine);
				if (rest > 0)
					await tx.insert(onOrder).values({ ...order, ...own, id: `${id}.rest`, packs: rest, costMinor: order.costMinor === null ? null : order.costMinor - costMinor! });
				const [sold] = await tx.select({ supplier: pack.supplierId }).from(pack).where(and(eq(pack.workspaceId, actor.workspace), eq(pack.id, order.packId)));
				await tx.insert(stockMove).values({ id: `order/${id}`, materialId: order.materialId, day, kind: 'bought', thousandths: packs * order.count * 1000, costMinor, note: 'ordered', supplierId: sold?.supplier ?? null, ...own });
				await touchStock(tx, actor);
				return true;
			});
		},
		/** It will not come. @returns false where it is not on order any more */
		async off(id: string): Promise<boolean> {
			return db.write(async (tx) => {
				const done = await tx.update(onOrder).set({ off: true, changedBy: actor.person }).where(one(id)).returning({ id: onOrder.id });
				if (done.length > 0) await touchStock(tx, actor);
				return done.length > 0;
			});
		}
	};
} // prettier-ignore
