import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import type { AnySQLiteColumn } from 'drizzle-orm/sqlite-core';
import { undoOfListSchema, type UndoOfList } from '../../core/price-list/undo.schema.ts';
import type { RowOutcome } from '../../core/price-list/plan-list.ts';
import { isSamePack, isSamePrice, saidNow, type SaidOfPack } from '../../core/price-list/said-of-pack.ts';
import { savedColumnsSchema } from '../../core/price-list/columns.schema.ts';
import type { SavedColumns } from '../../core/price-list/columns.ts';
import type { Actor } from '../actor.ts';
import type { Database, Writer } from '../db/client.ts';
import { material, onOrder, pack, packPrice, priceList, supplier } from '../db/tables/stock.ts';
import { inUse } from './in-use.ts';
import { keepPrices, slices } from './pack-prices.ts';
import { materialRow } from './stock.ts';
import { touchStock } from './workspaces.ts';

/** A price list that was brought in. */
export interface BroughtList {
	readonly id: string;
	readonly supplier: string;
	/** `YYYY-MM-DD` */
	readonly day: string;
	readonly file: string;
	readonly changed: number;
	readonly added: number;
	readonly undone: boolean;
}
export interface NewList {
	readonly id: string;
	readonly supplier: string;
	readonly day: string;
	readonly file: string;
	readonly columns: SavedColumns;
	/** Rows that do something; the others are left. */
	readonly rows: readonly RowOutcome[];
}

/** Price lists of suppliers as they were brought in, each whole or not at all, and back out again. */
export function priceLists(db: Database, actor: Actor) {
	const own = { workspaceId: actor.workspace, changedBy: actor.person };
	const mine = ({ workspaceId }: { workspaceId: AnySQLiteColumn<{ data: string }> }) => eq(workspaceId, actor.workspace);

	const setPack = (tx: Writer, id: string, { code, suppliersName, count, priceMinor, depositMinor }: SaidOfPack) =>
		tx.update(pack).set({ code, suppliersName, count, priceMinor, depositMinor, changedBy: actor.person }).where(and(mine(pack), eq(pack.id, id)));

	return {
		/** Brings a list in, all of it or nothing. The same list sent again changes nothing. @returns false where it was in already */
		async bringIn({ id, supplier: supplierId, day, file, columns, rows }: NewList): Promise<boolean> {
			return db.write(async (tx) => {
				const before = await tx.select({ id: priceList.id }).from(priceList).where(and(mine(priceList), eq(priceList.id, id)));
				if (before.length > 0) return false;
				const changes = rows.flatMap(({ state, pack: was, then }) => (state === 'changes' && was && then ? [{ was, then }] : []));
				for (const { was, then } of changes) await setPack(tx, was.id, then);
				await keepPrices(tx, actor, day, changes.filter(({ was, then }) => !isSamePrice(was, then)).map(({ was, then }) => ({ id: was.id, ...then })));
				const fresh = rows.flatMap(({ state, fresh: what, line }) => (state === 'new' && what ? [{ ...what, id: `${id}.${line}` }] : []));
				for (const some of slices(fresh)) await tx.insert(material).values(some.map((m) => ({ ...materialRow(m), ...own })));
				const packs = rows.flatMap(({ state, material: of, line, then }) =>
					then && (state === 'new' || (state === 'another' && of)) ? [{ ...then, id: `${id}.${line}-pack`, materialId: of ?? `${id}.${line}`, supplierId, ...own }] : []
				);
				for (const some of slices(packs)) await tx.insert(pack).values(some);
				await keepPrices(tx, actor, day, packs);
				const undo: UndoOfList = {
					packs: changes.map(({ was, then }) => ({ id: was.id, was: saidNow(was), made: then })),
					addedPacks: packs.map((p) => p.id),
					addedMaterials: fresh.map((m) => m.id)
				};
				await tx.update(supplier).set({ listColumns: columns, changedBy: actor.person }).where(and(mine(supplier), eq(supplier.id, supplierId)));
				await tx.insert(priceList).values({ id, supplierId, day, file, changed: changes.length, added: packs.length, undo, ...own });
				await touchStock(tx, actor);
				return true;
			});
		},
		/**
		 * Takes a list back: packs are as they were where nobody changed them since, what it added goes; a material that is
		 * used by then is retired and stays.
		 * @returns how many packs were left because they were changed since, and materials that stay; undefined where there is no such list, or it was taken back
		 */
		async takeBack(id: string, day: string): Promise<{ changedSince: number; stay: number } | undefined> {
			return db.write(async (tx) => {
				const [list] = await tx.select().from(priceList).where(and(mine(priceList), eq(priceList.id, id)));
				if (!list || list.undone) return undefined;
				const { packs, addedPacks, addedMaterials } = undoOfListSchema.parse(list.undo);
				const now = new Map<string, typeof pack.$inferSelect>();
				for (const some of slices(packs))
					for (const row of await tx.select().from(pack).where(and(mine(pack), inArray(pack.id, some.map((p) => p.id))))) now.set(row.id, row);
				const back = packs.filter(({ id: of, made }) => {
					const is = now.get(of);
					return is !== undefined && isSamePack(is, made);
				});
				for (const { id: of, was } of back) await setPack(tx, of, was);
				await keepPrices(tx, actor, day, back.filter(({ was, made }) => !isSamePrice(was, made)).map(({ id: of, was }) => ({ id: of, ...was })));
				const ordered = new Set((await tx.select({ pack: onOrder.packId }).from(onOrder).where(mine(onOrder))).map((o) => o.pack));
				const used = await inUse(tx, actor);
				const stays = new Set<string>();
				for (const some of slices(addedMaterials))
					for (const row of await tx.select().from(material).where(and(mine(material), inArray(material.id, some)))) if (used(row)) stays.add(row.id);
				const goes = addedPacks.filter((p) => !ordered.has(p) && !stays.has(p.replace(/-pack$/, '')));
				for (const some of slices(goes)) {
					await tx.delete(packPrice).where(and(mine(packPrice), inArray(packPrice.packId, some)));
					await tx.delete(pack).where(and(mine(pack), inArray(pack.id, some)));
				}
				// A pack somebody added since keeps its material.
				const others = new Set<string>();
				for (const some of slices(addedMaterials))
					for (const row of await tx.selectDistinct({ material: pack.materialId }).from(pack).where(and(mine(pack), inArray(pack.materialId, some)))) others.add(row.material);
				const kept = addedMaterials.filter((m) => stays.has(m) || others.has(m));
				const isKept = new Set(kept);
				for (const some of slices(addedMaterials.filter((m) => !isKept.has(m)))) await tx.delete(material).where(and(mine(material), inArray(material.id, some)));
				for (const some of slices(kept)) await tx.update(material).set({ retired: true, changedBy: actor.person }).where(and(mine(material), inArray(material.id, some)));
				await tx.update(priceList).set({ undone: true, changedBy: actor.person }).where(and(mine(priceList), eq(priceList.id, id)));
				await touchStock(tx, actor);
				return { changedSince: packs.length - back.length, stay: kept.length };
			});
		},
		/** The last lists, the newest first. */
		async last(most = 10): Promise<BroughtList[]> {
			return db.read
				.select({ id: priceList.id, supplier: supplier.name, day: priceList.day, file: priceList.file, changed: priceList.changed, added: priceList.added, undone: priceList.undone })
				.from(priceList)
				.innerJoin(supplier, and(eq(supplier.workspaceId, priceList.workspaceId), eq(supplier.id, priceList.supplierId)))
				.where(mine(priceList))
				.orderBy(desc(sql`${priceList}.rowid`))
				.limit(most);
		},
		/** Columns of each supplier's lists as they were mapped the last time. */
		async columns(): Promise<Readonly<Record<string, SavedColumns>>> {
			const rows = await db.read.select({ id: supplier.id, columns: supplier.listColumns }).from(supplier).where(mine(supplier));
			return Object.fromEntries(rows.flatMap(({ id, columns }) => (columns === null ? [] : [[id, savedColumnsSchema.parse(columns)]])));
		}
	};
} // prettier-ignore
