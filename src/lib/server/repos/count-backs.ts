import { and, asc, desc, eq, gte, inArray, lt } from 'drizzle-orm';
import { countedLinesSchema, type CountedLine } from '../../core/count-back/counted.schema.ts';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { countBack } from '../db/tables/count-back.ts';
import type { Move } from '../../core/stock/ledger.ts';
import { writeTook } from './write-took.ts';

/** What a design really took, counted after it was built. */
export interface CountBack {
	readonly id: string;
	readonly design: string;
	readonly colourwayId: string | null;
	readonly sizeId: string | null;
	readonly quantity: number;
	readonly lines: readonly CountedLine[];
	readonly note: string;
	readonly madeVersion: number | null;
	readonly countedAt: Date;
}

export function countBacks(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	return {
		/** Counts of a design, the newest first. */
		async list(design: string): Promise<CountBack[]> {
			const rows = await db.read
				.select()
				.from(countBack)
				.where(and(eq(countBack.workspaceId, workspaceId), eq(countBack.designId, design)))
				.orderBy(desc(countBack.countedAt))
				.limit(50);
			return rows.map(({ workspaceId: _, changedBy: _by, designId, lines, ...row }) => ({
				...row,
				design: designId,
				lines: countedLinesSchema.parse(lines)
			}));
		},
		/** When some of these designs were counted, from a moment until before another, the earliest first. */
		async between(designs: readonly string[], from: Date, until: Date) {
			return db.read
				.select({ design: countBack.designId, countedAt: countBack.countedAt })
				.from(countBack)
				.where(
					and(
						eq(countBack.workspaceId, workspaceId),
						inArray(countBack.designId, [...designs]),
						gte(countBack.countedAt, from),
						lt(countBack.countedAt, until)
					)
				)
				.orderBy(asc(countBack.countedAt));
		},
		/** The lines of the last counts of all designs. */
		async lines(most = 500): Promise<(readonly CountedLine[])[]> {
			const rows = await db.read
				.select({ lines: countBack.lines })
				.from(countBack)
				.where(eq(countBack.workspaceId, workspaceId))
				.orderBy(desc(countBack.countedAt))
				.limit(most);
			return rows.map((row) => countedLinesSchema.parse(row.lines));
		},
		/**
		 * Keeps a count, and writes what it took into the ledger of what is kept account of; repeating it with the same id
		 * changes nothing.
		 * @param took movements by material; those nothing was ever written down of are left
		 */
		async add(
			{ design, ...count }: Omit<CountBack, 'madeVersion'>,
			took: ReadonlyMap<string, readonly Move[]> = new Map()
		): Promise<void> {
			await db.write(async (tx) => {
				const rows = await tx
					.insert(countBack)
					.values({ ...count, workspaceId, designId: design, changedBy })
					.onConflictDoNothing()
					.returning({ id: countBack.id });
				if (rows.length > 0) await writeTook(tx, actor, took);
			});
		},
		/** Says which version a count was made into. */
		async made(id: string, version: number): Promise<void> {
			await db.write(async (tx) => {
				await tx
					.update(countBack)
					.set({ madeVersion: version, changedBy })
					.where(and(eq(countBack.workspaceId, workspaceId), eq(countBack.id, id)));
			});
		}
	};
}
