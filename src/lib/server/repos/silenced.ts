import { and, eq, sql } from 'drizzle-orm';
import type { Recipe } from '../../core/recipe/recipe.ts';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { design } from '../db/tables/design.ts';
import { memoOf } from './memo.ts';

/** Working copies with findings that were answered with a reason. */
export function silenced(db: Database, actor: Actor) {
	const { workspace: workspaceId } = actor;
	return {
		async designs(): Promise<string[]> {
			const some = sql`json_array_length(${design.working}, '$.silenced') > 0`;
			const here = and(eq(design.workspaceId, workspaceId), some);
			return (await db.read.select({ id: design.id }).from(design).where(here)).map((r) => r.id);
		},
		/** The same working copy, said another way: no revision goes up. @returns false where somebody saved meanwhile */
		async rewrite(id: string, revision: number, recipe: Recipe): Promise<boolean> {
			const one = and(eq(design.workspaceId, workspaceId), eq(design.id, id), eq(design.revision, revision));
			const done = await db.write((tx) =>
				tx
					.update(design)
					.set({ working: recipe, changedBy: actor.person })
					.where(one)
					.returning({ id: design.id })
			);
			memoOf(db, actor).forget(`working/${id}`);
			return done.length > 0;
		}
	};
}
