import { and, eq, inArray, lt } from 'drizzle-orm';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { usesIn, withVersions } from '../../core/structures/design/edit.ts';
import type { Writer } from '../db/client.ts';
import { design, designVersion, saveReceipt, versionRef } from '../db/tables/design.ts';
import { refsOf, type Ref } from './refs.ts';

/** Writes a kept version with its index of references. */
export async function putVersion(
	tx: Writer,
	version: Omit<typeof designVersion.$inferInsert, 'id'> & { recipe: Recipe }
) {
	const { workspaceId, designId, number, recipe } = version;
	const versionId = `${designId}.${number}`;
	await tx.insert(designVersion).values({ ...version, id: versionId });
	const refs = refsOf(recipe);
	if (refs.length > 0)
		await tx.insert(versionRef).values(refs.map((ref) => ({ ...ref, workspaceId, versionId })));
}

/** Each design inside with the number of the version that is its last just now. */
export async function withPartVersions(tx: Writer, workspaceId: string, recipe: Recipe): Promise<Recipe> {
	const used = usesIn(recipe).map(({ use }) => use.design);
	if (used.length === 0) return recipe;
	const rows = await tx
		.select({ id: design.id, number: design.keptNumber })
		.from(design)
		.where(and(eq(design.workspaceId, workspaceId), inArray(design.id, used)));
	const numbers = new Map(rows.map((r) => [r.id, r.number]));
	return withVersions(recipe, (design) => numbers.get(design) || null);
}

/** Days a save can be repeated by its id: longer than any tab stays offline. */
const RECEIPT_DAYS = 30;
export async function dropOldReceipts(tx: Writer, workspaceId: string, designId: string, now: Date) {
	const before = new Date(now.getTime() - RECEIPT_DAYS * 86_400_000);
	await tx
		.delete(saveReceipt)
		.where(
			and(
				eq(saveReceipt.workspaceId, workspaceId),
				eq(saveReceipt.designId, designId),
				lt(saveReceipt.savedAt, before)
			)
		);
}

export const sameRefs = (a: readonly Ref[], b: readonly Ref[]) => {
	const keys = (refs: readonly Ref[]) =>
		refs
			.map((r) => `${r.kind}/${r.refId}`)
			.sort()
			.join('\n');
	return keys(a) === keys(b);
};
