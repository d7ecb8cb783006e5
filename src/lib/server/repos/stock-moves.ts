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
	const add = (tx: Writer, material: string, { cause, batch, supplier, ...move }: Move) =>
		tx
			.insert(stockMove)
			.values({
				...move,
				cause: cause ?? null,
				batch: batch ?? '',
				supplierId: supplier ?? null,
				materialId: material,
				workspaceId: actor.workspace,
				changedBy: actor.person
			})
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
			const rows = await db.read
				.select()
				.from(stockMove)
				.where(and(mine, eq(stockMove.materialId, material)))
				.orderBy(asc(stockMove.day), sql`rowid`);
			return rows.map(moveOf);
		},
		/** All movements of the workspace by material, oldest first. */
		async all(): Promise<Map<string, Move[]>> {
			const rows = await db.read.select().from(stockMove).where(mine).orderBy(asc(stockMove.day), sql`rowid`);
			const found = new Map<string, Move[]>();
			for (const row of rows) {
				const own = found.get(row.materialId) ?? [];
				own.push(moveOf(row));
				found.set(row.materialId, own);
			}
			return found;
		}
	};
} // prettier-ignore

/** A movement as the ledger reads it: what is not said stands nowhere. */
const moveOf = ({ id, day, kind, thousandths, costMinor, note, cause, batch, supplierId }: typeof stockMove.$inferSelect): Move => ({
	id,
	day,
	kind,
	thousandths,
	costMinor,
	note,
	...(cause !== null && { cause }),
	...(batch && { batch }),
	...(supplierId !== null && { supplier: supplierId })
}); // prettier-ignore
