import { and, desc, eq, inArray } from 'drizzle-orm';
import type { JobFigure } from '../../core/job/figures.ts';
import type { JobCounted } from '../../core/job/counted.ts';
import { jobCountedSchema } from '../../core/job/counted.schema.ts';
import type { Move } from '../../core/stock/ledger.ts';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { jobCount, jobFigure } from '../db/tables/job.ts';
import { writeTook } from './write-took.ts';

/** The count of a job, as it was put right last. */
export interface JobCountRow {
	/** Of its quote. */
	readonly id: string;
	readonly counted: JobCounted;
	readonly revision: number;
}

/** What was counted of jobs once they were over. */
export function jobCounts(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	const here = (id: string) => and(eq(jobCount.workspaceId, workspaceId), eq(jobCount.quoteId, id));
	const columns = { id: jobCount.quoteId, counted: jobCount.counted, revision: jobCount.revision };
	const fromRow = ({ counted, ...row }: { id: string; counted: unknown; revision: number }): JobCountRow => ({
		...row,
		counted: jobCountedSchema.parse(counted)
	});
	return {
		async find(id: string): Promise<JobCountRow | undefined> {
			const row = await db.read.select(columns).from(jobCount).where(here(id)).get();
			return row && fromRow(row);
		},
		/** Which of these jobs were counted. */
		async counted(ids: readonly string[]): Promise<ReadonlySet<string>> {
			const rows = await db.read
				.select({ id: jobCount.quoteId })
				.from(jobCount)
				.where(and(eq(jobCount.workspaceId, workspaceId), inArray(jobCount.quoteId, [...ids])));
			return new Set(rows.map((r) => r.id));
		},
		/** A count is no measure for others, or one again. @returns false where there is none */
		async leaveOut(id: string, leftOut: boolean, now: Date): Promise<boolean> {
			return db.write(async (tx) => {
				const before = await tx.select(columns).from(jobCount).where(here(id)).get();
				if (!before) return false;
				const { counted, revision } = fromRow(before);
				if (counted.leftOut === leftOut) return true;
				await tx
					.update(jobCount)
					.set({ counted: { ...counted, leftOut }, revision: revision + 1, changedAt: now, changedBy })
					.where(here(id));
				await tx
					.update(jobFigure)
					.set({ leftOut, changedBy })
					.where(and(eq(jobFigure.workspaceId, workspaceId), eq(jobFigure.quoteId, id)));
				return true;
			});
		},
		/** The last counts, the newest first. */
		async last(most = 500): Promise<JobCountRow[]> {
			const rows = await db.read
				.select(columns)
				.from(jobCount)
				.where(eq(jobCount.workspaceId, workspaceId))
				.orderBy(desc(jobCount.day), desc(jobCount.quoteId))
				.limit(most);
			return rows.map(fromRow);
		},
		/**
		 * Keeps a count over the revision its page was read at, and writes what it moved into the ledger and what it tells,
		 * all or nothing.
		 * @param moves by material, as `countedMoves` makes them for the revision that follows
		 * @param told its figures, in the place of those it had; `day` is that of the job
		 * @returns the new revision; `stale` where somebody counted meanwhile
		 */
		async keep(
			id: string,
			base: number,
			counted: JobCounted,
			moves: ReadonlyMap<string, readonly Move[]>,
			now: Date,
			told: { readonly day: string; readonly figures: readonly JobFigure[] } = {
				day: counted.day,
				figures: []
			}
		): Promise<number | 'stale'> {
			return db.write(async (tx) => {
				const before = await tx.select({ revision: jobCount.revision }).from(jobCount).where(here(id)).get();
				if ((before?.revision ?? 0) !== base) return 'stale';
				const row = { day: counted.day, counted, revision: base + 1, changedAt: now, changedBy };
				if (before) await tx.update(jobCount).set(row).where(here(id));
				else await tx.insert(jobCount).values({ workspaceId, quoteId: id, ...row });
				await writeTook(tx, actor, moves);
				await tx
					.delete(jobFigure)
					.where(and(eq(jobFigure.workspaceId, workspaceId), eq(jobFigure.quoteId, id)));
				const about = { workspaceId, quoteId: id, day: told.day, leftOut: counted.leftOut, changedBy };
				for (let at = 0; at < told.figures.length; at += 100)
					await tx
						.insert(jobFigure)
						.values(told.figures.slice(at, at + 100).map((f) => ({ ...f, ...about })));
				return base + 1;
			});
		}
	};
}
