import { and, eq, inArray, sql, type AnyColumn } from 'drizzle-orm';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { design, designVersion } from '../db/tables/design.ts';
import { memoOf } from './memo.ts';

/** A part of a document; nothing where it cannot be read. */
const inJson = (column: AnyColumn, path: string) =>
	sql<string | null>`CASE WHEN json_valid(${column}) THEN json_extract(${column}, ${path}) END`;

/** A design with the version that says its words: the working copy where it was never kept. */
interface Row {
	readonly id: string;
	readonly name: string;
	readonly revision: number;
	readonly versionId: string | null;
}

interface Words {
	readonly id: string;
	readonly name: string | null;
	readonly tags: string | null;
}

/** Name and tags of rows of the Shelf as its last kept version says them, in their order; read once a version. */
export async function wordsOf(
	db: Database,
	actor: Actor,
	rows: readonly Row[]
): Promise<{ name: string; tags: string[] }[]> {
	const { workspace: workspaceId } = actor;
	const memo = memoOf(db, actor);
	const wanted = rows.map((row) => ({
		row,
		name: `words/${row.id}`,
		stamp: row.versionId ?? `${row.id}~${row.revision}`
	}));
	return memo.takeAll(wanted, (missing) => {
		const asked = new Map<string, Promise<Words[]>>();
		for (const [table, recipe, ids] of [
			[designVersion, designVersion.recipe, missing.flatMap(({ row }) => row.versionId ?? [])],
			[design, design.working, missing.flatMap(({ row }) => (row.versionId === null ? row.id : []))]
		] as const) {
			if (ids.length === 0) continue;
			const said = db.read
				.select({ id: table.id, name: inJson(recipe, '$.name'), tags: inJson(recipe, '$.tags') })
				.from(table)
				.where(and(eq(table.workspaceId, workspaceId), inArray(table.id, ids)))
				.execute();
			for (const id of ids) asked.set(id, said);
		}
		return missing.map(async ({ row }) => {
			const id = row.versionId ?? row.id;
			const said = (await asked.get(id))?.find((w) => w.id === id);
			return { name: said?.name ?? row.name, tags: JSON.parse(said?.tags ?? '[]') as string[] };
		});
	});
}
