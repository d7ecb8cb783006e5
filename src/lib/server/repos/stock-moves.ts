import { and, asc, desc, eq, sql } from 'drizzle-orm';
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

/** A count of somebody else, and what it found. */
export interface CountedByOther {
	readonly material: string;
	readonly count: string;
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
	const onHand = async (tx: Writer, material: string): Promise<number> => {
		const [row] = await tx.select({ sum: sql<number>`coalesce(sum(${stockMove.thousandths}), 0)` }).from(stockMove).where(and(mine, eq(stockMove.materialId, material))); // prettier-ignore
		return row?.sum ?? 0;
	};
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
		 * changes nothing; where somebody else counted since, nothing is written and that is said.
		 * @param id of the count @param seen the last count of each material as whoever counts knows of it
		 * @returns how many differed, and counts nobody knew of
		 */
		async count(
			{ id, day, seen = {} }: { readonly id: string; readonly day: string; readonly seen?: Readonly<Record<string, string>> }, // prettier-ignore
			found: readonly Counted[]
		): Promise<{ differed: number; others: readonly CountedByOther[] }> {
			return db.write(async (tx) => {
				const others: CountedByOther[] = [];
				for (const { material } of found) {
					const [last] = await tx.select({ id: stockMove.id }).from(stockMove).where(and(mine, eq(stockMove.materialId, material), eq(stockMove.kind, 'counted'))).orderBy(desc(sql`rowid`)).limit(1); // prettier-ignore
					if (last && last.id !== (seen[material] ?? '') && !last.id.startsWith(`${id}/`))
						others.push({ material, count: last.id, thousandths: await onHand(tx, material) });
				}
				if (others.length > 0) return { differed: 0, others };
				let differed = 0;
				for (const { material, thousandths } of found) {
					const own = { id: `${id}/${material}`, day, kind: 'counted' as const, thousandths: thousandths - (await onHand(tx, material)), costMinor: null, note: '' }; // prettier-ignore
					const rows = await add(tx, material, own).returning({ id: stockMove.id });
					if (rows.length > 0 && own.thousandths !== 0) differed++;
				}
				await touchStock(tx, actor);
				return { differed, others };
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
