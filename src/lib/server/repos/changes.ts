import { and, count, desc, eq, inArray, like, or, sql } from 'drizzle-orm';
import { saidWith, type RawChange } from '../../core/changes/words.ts';
import type { Actor } from '../actor.ts';
import type { Database, Writer } from '../db/client.ts';
import { changeEntry } from '../db/tables/changes.ts';
import { person } from '../db/tables/people.ts';

/** What things changes are written down of. */
export const CHANGED = ['material', 'design', 'quote', 'settings', 'person', 'supplier'] as const;
export type Changed = (typeof CHANGED)[number];

export interface Change extends RawChange {
	readonly id: number;
	readonly at: Date;
	readonly about: string;
	readonly aboutId: string;
	/** What it was called then. */
	readonly name: string;
	/** Who did it: their name now, or what stands for them. */
	readonly by: string;
}
/** On one page. */
export const PAGE = 50;

/** Who stands behind an id of nobody that signs in. */
const nameOf = (id: string, name: string | null): string =>
	name ?? (id === 'guest' ? 'the client' : id === 'owner' ? 'the owner' : id);

/** Who changed what, when, from what to what. */
export function changes(db: Database, { workspace: workspaceId }: Actor) {
	const mine = eq(changeEntry.workspaceId, workspaceId);
	return {
		/** The newest first. @param asked words that stand anywhere in it; what it is about; from which page, 1 on */
		async list(asked: {
			readonly search?: string;
			readonly about?: Changed | undefined;
			readonly aboutId?: string;
			readonly page?: number;
		}): Promise<{ rows: Change[]; many: number }> {
			const words = `%${(asked.search ?? '').replace(/[\\%_]/g, (c) => `\\${c}`)}%`;
			const says = (column: Parameters<typeof like>[0]) => sql`${column} LIKE ${words} ESCAPE '\\'`;
			const where = and(
				mine,
				asked.about && eq(changeEntry.about, asked.about),
				asked.aboutId === undefined ? undefined : eq(changeEntry.aboutId, asked.aboutId),
				asked.search
					? or(
							says(changeEntry.name),
							and(like(changeEntry.what, 'settings.%'), says(changeEntry.what)),
							inArray(changeEntry.what, saidWith(asked.search)),
							says(changeEntry.was),
							says(changeEntry.is),
							says(person.name)
						)
					: undefined
			);
			const by = and(eq(person.id, changeEntry.changedBy), eq(person.workspaceId, changeEntry.workspaceId));
			const all = await db.read
				.select({ n: count() })
				.from(changeEntry)
				.leftJoin(person, by)
				.where(where)
				.get();
			const rows = await db.read
				.select({ own: changeEntry, by: person.name })
				.from(changeEntry)
				.leftJoin(person, by)
				.where(where)
				.orderBy(desc(changeEntry.id))
				.limit(PAGE)
				.offset(PAGE * (Math.max(1, asked.page ?? 1) - 1));
			return {
				many: all?.n ?? 0,
				rows: rows.map(({ own: { workspaceId: _, changedBy, ...own }, by: name }) => ({
					...own,
					by: nameOf(changedBy, name)
				}))
			};
		}
	};
}

/** Written down in the transaction of the change. */
export async function tellChanges(
	tx: Writer,
	{ workspace: workspaceId, person: changedBy }: Actor,
	of: { readonly about: Changed; readonly aboutId: string; readonly name: string; readonly at: Date },
	all: readonly RawChange[]
): Promise<void> {
	if (all.length > 0)
		await tx.insert(changeEntry).values(all.map((c) => ({ ...of, ...c, workspaceId, changedBy })));
}
