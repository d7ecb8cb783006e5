import { and, asc, eq } from 'drizzle-orm';
import type { TallyMark } from '../../core/job/tally-marks.ts';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { tallyMark } from '../db/tables/job.ts';

/** What was counted at the bench. Marks are added, never changed. */
export function tallyMarks(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	const here = (id: string) => and(eq(tallyMark.workspaceId, workspaceId), eq(tallyMark.quoteId, id));
	return {
		/** All marks of a job, in the order they were made. */
		async of(id: string): Promise<TallyMark[]> {
			const rows = await db.read.select().from(tallyMark).where(here(id)).orderBy(asc(tallyMark.at), asc(tallyMark.id));
			return rows.map(({ id: own, line, step, kind, amount, material, cause, person, at }) => ({ id: own, line, step, kind, amount, material, cause, person, at: at.getTime() }));
		},
		/** Adds marks; one that is there already is left as it is. */
		async add(id: string, marks: readonly TallyMark[]): Promise<void> {
			if (marks.length === 0) return;
			await db.write(async (tx) => {
				for (const { at, ...mark } of marks)
					await tx.insert(tallyMark).values({ ...mark, at: new Date(at), workspaceId, quoteId: id, changedBy }).onConflictDoNothing();
			});
		}
	};
} // prettier-ignore
