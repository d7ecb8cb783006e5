import { and, eq, isNotNull, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { Actor } from '../actor.ts';
import type { Writer } from '../db/client.ts';
import { design, designVersion } from '../db/tables/design.ts';
import { quote, quoteLine } from '../db/tables/quote.ts';
import { material, onOrder, stockMove } from '../db/tables/stock.ts';
import { offcut, ownedThing } from '../db/tables/things.ts';
import { workspace } from '../db/tables/workspace.ts';

/** What a document names, in any way, and the sizes on bags that it says. */
interface Named {
	readonly texts: ReadonlySet<string>;
	readonly nominals: ReadonlySet<number>;
}

function namedIn(document: string): Named {
	const texts = new Set<string>();
	for (const [, text] of document.matchAll(/"((?:[^"\\]|\\.)*)"/g)) texts.add(text!);
	return { texts, nominals: new Set([...document.matchAll(/"nominal":(\d+)/g)].map((m) => Number(m[1]))) };
}

/**
 * Whether anything hangs on a material, so that it may not go: a row of another table; a document that names it; another
 * that it stands for; a design that calls for its size and colour. It rather says yes than lose something.
 */
export async function inUse(tx: Writer, actor: Actor): Promise<(of: typeof material.$inferSelect) => boolean> {
	const mine = (column: SQLiteColumn) => eq(column, actor.workspace);
	const ids = async (table: typeof stockMove | typeof onOrder | typeof ownedThing | typeof offcut) =>
		(await tx.selectDistinct({ id: table.materialId }).from(table).where(mine(table.workspaceId))).map((r) => r.id);
	const stands = await tx.select({ id: material.intoId }).from(material).where(and(mine(material.workspaceId), isNotNull(material.intoId)));
	const held = new Set<string | null>([...(await ids(stockMove)), ...(await ids(onOrder)), ...(await ids(ownedThing)), ...(await ids(offcut)), ...stands.map((s) => s.id)]);
	const text = (column: SQLiteColumn) => ({ text: sql<string | null>`${column}` });
	const recipes = [
		...(await tx.select(text(design.working)).from(design).where(mine(design.workspaceId))),
		...(await tx.select(text(designVersion.recipe)).from(designVersion).where(mine(designVersion.workspaceId)))
	].map((r) => namedIn(r.text ?? ''));
	const others = [
		...(await tx.select(text(quote.terms)).from(quote).where(mine(quote.workspaceId))),
		...(await tx.select(text(quoteLine.way)).from(quoteLine).where(mine(quoteLine.workspaceId))),
		...(await tx.select(text(workspace.settings)).from(workspace).where(mine(workspace.id)))
	].map((r) => namedIn(r.text ?? ''));
	const isNamed = (id: string, documents: readonly Named[]) => documents.some(({ texts }) => texts.has(id));
	return ({ id, nominal, colourId }) =>
		held.has(id) ||
		isNamed(id, recipes) ||
		isNamed(id, others) ||
		// A line of a quote may have colours of its own: then any design of that size may be it.
		(nominal !== null && colourId !== null && recipes.some(({ texts, nominals }) => nominals.has(nominal) && (texts.has(colourId) || isNamed(colourId, others))));
} // prettier-ignore
