import { eq } from 'drizzle-orm';
import type { Move } from '../../core/stock/ledger.ts';
import type { Actor } from '../actor.ts';
import type { Writer } from '../db/client.ts';
import { stockMove } from '../db/tables/stock.ts';
import { touchStock } from './workspaces.ts';

/** Writes what a count after a build took into the ledger of what is kept account of; the rest is left. */
export async function writeTook(
	tx: Writer,
	actor: Actor,
	took: ReadonlyMap<string, readonly Move[]>
): Promise<void> {
	const { workspace: workspaceId, person: changedBy } = actor;
	if (took.size === 0) return;
	const kept = await tx
		.selectDistinct({ material: stockMove.materialId })
		.from(stockMove)
		.where(eq(stockMove.workspaceId, workspaceId));
	const moves = kept.flatMap(
		({ material }) =>
		(took.get(material) ?? []).map(({ id, day, kind, thousandths, costMinor, note, cause }) => ({ id, day, kind, thousandths, costMinor, note, cause: cause ?? null, materialId: material, workspaceId, changedBy })) // prettier-ignore
	);
	if (moves.length === 0) return;
	await tx.insert(stockMove).values(moves);
	await touchStock(tx, actor);
}
