import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import type { AnySQLiteColumn } from 'drizzle-orm/sqlite-core';
import { undoOfListSchema, type UndoOfList } from '../../core/price-list/undo.schema.ts';
import type { RowOutcome, SaidOfPack } from '../../core/price-list/plan-list.ts';
import { savedColumnsSchema } from '../../core/price-list/columns.schema.ts';
import type { SavedColumns } from '../../core/price-list/columns.ts';
import type { Actor } from '../actor.ts';
import type { Database, Writer } from '../db/client.ts';
import { design, designVersion } from '../db/tables/design.ts';
import { material, onOrder, pack, packPrice, priceList, stockMove, supplier } from '../db/tables/stock.ts';
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

/** What is written at once: SQLite takes 32,766 values in one statement. */
const AT_ONCE = 500;

function* slices<T>(all: readonly T[]): Generator<readonly T[]> {
	for (let at = 0; at < all.length; at += AT_ONCE) yield all.slice(at, at + AT_ONCE);
}

/** Price lists of suppliers as they were brought in, each whole or not at all, and back out again. */
export function priceLists(db: Database, actor: Actor) {
	const own = { workspaceId: actor.workspace, changedBy: actor.person };
	const mine = ({ workspaceId }: { workspaceId: AnySQLiteColumn<{ data: string }> }) => eq(workspaceId, actor.workspace);

	/** Prices of packs as rows of their history, numbered by pack. */
	async function keepPrices(tx: Writer, day: string, packs: readonly { id: string; count: number; priceMinor: number | null }[]) {
		for (const some of slices(packs)) {
			const ids = some.map((p) => p.id);
			const before = await tx.select({ pack: packPrice.packId, many: sql<number>`count(*)` }).from(packPrice).where(and(eq(packPrice.workspaceId, actor.workspace), inArray(packPrice.packId, ids))).groupBy(packPrice.packId);
			const many = new Map(before.map((b) => [b.pack, b.many]));
			await tx.insert(packPrice).values(some.map(({ id, count, priceMinor }) => ({ id: `${id}.${(many.get(id) ?? 0) + 1}`, packId: id, day, count, priceMinor, ...own })));
		}
	}

	const setPack = (tx: Writer, id: string, { code, suppliersName, count, priceMinor, depositMinor }: SaidOfPack) =>
		tx.update(pack).set({ code, suppliersName, count, priceMinor, depositMinor, changedBy: actor.person }).where(and(mine(pack), eq(pack.id, id)));

	/** Everything that a recipe of this workspace names, in any way. */
	async function namedInRecipes(tx: Writer): Promise<Set<string>> {
		const named = new Set<string>();
		const texts = [
			...(await tx.select({ recipe: sql<string>`${design.working}` }).from(design).where(eq(design.workspaceId, actor.workspace))),
			...(await tx.select({ recipe: sql<string>`${designVersion.recipe}` }).from(designVersion).where(eq(designVersion.workspaceId, actor.workspace)))
		];
		for (const { recipe } of texts) for (const [, text] of recipe.matchAll(/"((?:[^"\\]|\\.)*)"/g)) named.add(text!);
		return named;
	}

	return {
		/** Brings a list in, all of it or nothing. The same list sent again changes nothing. @returns false where it was in already */
		async bringIn({ id, supplier: supplierId, day, file, columns, rows }: NewList): Promise<boolean> {
			return db.write(async (tx) => {
				const before = await tx.select({ id: priceList.id }).from(priceList).where(and(mine(priceList), eq(priceList.id, id)));
				if (before.length > 0) return false;
				const changes = rows.flatMap(({ state, pack: was, then }) => (state === 'changes' && was && then ? [{ was, then }] : []));
				for (const { was, then } of changes) await setPack(tx, was.id, then);
				await keepPrices(tx, day, changes.filter(({ was, then }) => was.priceMinor !== then.priceMinor || was.count !== then.count).map(({ was, then }) => ({ id: was.id, ...then })));
				const fresh = rows.flatMap(({ state, fresh: what, line }) => (state === 'new' && what ? [{ ...what, id: `${id}.${line}` }] : []));
				for (const some of slices(fresh)) await tx.insert(material).values(some.map((m) => ({ ...materialRow(m), ...own })));
				const packs = rows.flatMap(({ state, material: of, line, then }) =>
					then && (state === 'new' || (state === 'another' && of)) ? [{ ...then, id: `${id}.${line}-pack`, materialId: of ?? `${id}.${line}`, supplierId, ...own }] : []
				);
				for (const some of slices(packs)) await tx.insert(pack).values([...some]);
				await keepPrices(tx, day, packs);
				const undo: UndoOfList = {
					packs: changes.map(({ was, then }) => ({
						id: was.id,
						was: { count: was.count, priceMinor: was.priceMinor, depositMinor: was.depositMinor ?? null, code: was.code ?? '', suppliersName: was.suppliersName ?? '' },
						made: then
					})),
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
					return is && is.count === made.count && is.priceMinor === made.priceMinor && is.depositMinor === made.depositMinor && is.code === made.code && is.suppliersName === made.suppliersName;
				});
				for (const { id: of, was } of back) await setPack(tx, of, was);
				await keepPrices(tx, day, back.filter(({ was, made }) => was.priceMinor !== made.priceMinor || was.count !== made.count).map(({ id: of, was }) => ({ id: of, ...was })));
				const ordered = new Set((await tx.select({ pack: onOrder.packId }).from(onOrder).where(mine(onOrder))).map((o) => o.pack));
				const moved = new Set((await tx.selectDistinct({ material: stockMove.materialId }).from(stockMove).where(mine(stockMove))).map((m) => m.material));
				const named = addedMaterials.length > 0 ? await namedInRecipes(tx) : new Set<string>();
				const stays = new Set(addedMaterials.filter((m) => moved.has(m) || named.has(m) || ordered.has(`${m}-pack`)));
				const goes = addedPacks.filter((p) => !ordered.has(p) && !stays.has(p.replace(/-pack$/, '')));
				for (const some of slices(goes)) {
					await tx.delete(packPrice).where(and(mine(packPrice), inArray(packPrice.packId, [...some])));
					await tx.delete(pack).where(and(mine(pack), inArray(pack.id, [...some])));
				}
				// A pack somebody added since keeps its material.
				const others = new Set<string>();
				for (const some of slices(addedMaterials))
					for (const row of await tx.selectDistinct({ material: pack.materialId }).from(pack).where(and(mine(pack), inArray(pack.materialId, [...some])))) others.add(row.material);
				const kept = addedMaterials.filter((m) => stays.has(m) || others.has(m));
				const isKept = new Set(kept);
				for (const some of slices(addedMaterials.filter((m) => !isKept.has(m)))) await tx.delete(material).where(and(mine(material), inArray(material.id, [...some])));
				for (const some of slices(kept)) await tx.update(material).set({ retired: true, changedBy: actor.person }).where(and(mine(material), inArray(material.id, [...some])));
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
