import { and, asc, eq } from 'drizzle-orm';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { stockView } from '../db/tables/stock.ts';

/** A way to look at the Stockroom, kept by a name. */
export interface KeptView {
	readonly id: string;
	readonly name: string;
	/** Of its address, behind the question mark. */
	readonly query: string;
}

export function stockViews(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	return {
		async list(): Promise<KeptView[]> {
			return db.read
				.select({ id: stockView.id, name: stockView.name, query: stockView.query })
				.from(stockView)
				.where(eq(stockView.workspaceId, workspaceId))
				.orderBy(asc(stockView.name));
		},
		/** Keeps a view; one of that name is that view from now on. */
		async keep(view: KeptView): Promise<void> {
			await db.write(
				(tx) =>
				tx
					.insert(stockView)
					.values({ ...view, workspaceId, changedBy })
					.onConflictDoUpdate({ target: [stockView.workspaceId, stockView.name], set: { query: view.query, changedBy } }) // prettier-ignore
			);
		},
		async drop(id: string): Promise<void> {
			await db.write((tx) =>
				tx.delete(stockView).where(and(eq(stockView.workspaceId, workspaceId), eq(stockView.id, id)))
			);
		}
	};
}
