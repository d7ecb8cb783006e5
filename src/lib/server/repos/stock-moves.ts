import { and, asc, eq, sql } from 'drizzle-orm';
import type { Move } from '../../core/stock/ledger.ts';
import type { Actor } from '../actor.ts';
import type { Database, Writer } from '../db/client.ts';
import { stockMove } from '../db/tables/stock.ts';
import { touchStock } from './workspaces.ts';

/** What a count found of a material, thousandths. */
export interface Counted {
	readonly material: string;
	readonly thousandths: number;
}

/** The ledger of what is on the shelf: movements are added, never changed. */
export function stockMoves(db: Database, actor: Actor) {
	const mine = eq(stockMove.workspaceId, actor.workspace);
	const add = (tx: Writer, material: string, move: Move) =>
		tx
			.insert(stockMove)
			.values({ ...move, materialId: material, workspaceId: actor.workspace, changedBy: actor.person })
			.onConflictDoNothing({ target: [stockMove.workspaceId, stockMove.id] });
	return {
		/** Adds a movement. Repeating it with the same id changes nothing. */
		async add(material: string, move: Move): Promise<void> {
			await db.write(async (tx) => {
				await add(tx, material, move);
				await touchStock(tx, actor);
			});
		},
		/**
		 * Writes what a count found as the difference to what should be there, all of it or nothing. The same count sent again
		 * changes nothing.
		 * @param id of the count @returns how many differed
		 */
		async count(id: string, day: string, found: readonly Counted[]): Promise<number> {
			return db.write(async (tx) => {
				let differed = 0;
				for (const { material, thousandths } of found) {
					const [before] = await tx
						.select({ sum: sql<number>`coalesce(sum(${stockMove.thousandths}), 0)` })
						.from(stockMove)
						.where(and(mine, eq(stockMove.materialId, material)));
					const own = { id: `${id}/${material}`, day, kind: 'counted' as const, thousandths: thousandths - (before?.sum ?? 0), costMinor: null, note: '' };
					const rows = await add(tx, material, own).returning({ id: stockMove.id });
					if (rows.length > 0 && own.thousandths !== 0) differed++;
				}
				await touchStock(tx, actor);
				return differed;
			});
		},
		/** The movements of a material, oldest first. */
		async of(material: string): Promise<Move[]> {
			return db.read
				.select({
					id: stockMove.id,
					day: stockMove.day,
					kind: stockMove.kind,
					thousandths: stockMove.thousandths,
					costMinor: stockMove.costMinor,
					note: stockMove.note
				})
				.from(stockMove)
				.where(and(mine, eq(stockMove.materialId, material)))
				.orderBy(asc(stockMove.day), sql`rowid`);
		},
		/** All movements of the workspace by material, oldest first. */
		async all(): Promise<Map<string, Move[]>> {
			const rows = await db.read.select().from(stockMove).where(mine).orderBy(asc(stockMove.day), sql`rowid`);
			const found = new Map<string, Move[]>();
			for (const { materialId, id, day, kind, thousandths, costMinor, note } of rows) {
				const own = found.get(materialId) ?? [];
				own.push({ id, day, kind, thousandths, costMinor, note });
				found.set(materialId, own);
			}
			return found;
		}
	};
} // prettier-ignore
