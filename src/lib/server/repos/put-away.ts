import { and, eq, ne, sql } from 'drizzle-orm';
import type { Actor } from '../actor.ts';
import type { Database, Writer } from '../db/client.ts';
import { countBack } from '../db/tables/count-back.ts';
import { design, designVersion, saveReceipt, versionName, versionRef } from '../db/tables/design.ts';
import { photo } from '../db/tables/photo.ts';
import { placePhoto, quote, quoteIssue, quoteLine } from '../db/tables/quote.ts';
import { memoOf } from './memo.ts';

/** What a design hangs on, so that it cannot be deleted: a sentence each. */
export interface Held {
	readonly by: readonly string[];
}

/** Most that is named of what holds a design. */
const MOST_NAMED = 5;

/** What is done with is put away, and what nothing hangs on may be deleted from there. */
export function putAway(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	const ofDesign = (id: string) => and(eq(design.workspaceId, workspaceId), eq(design.id, id));
	const ofQuote = (id: string) => and(eq(quote.workspaceId, workspaceId), eq(quote.id, id));
	return {
		/** Puts a design away, or takes it out again. @returns false where there is none */
		async design(id: string, at: Date | null): Promise<boolean> {
			const set = { putAwayAt: at, changedBy };
			const done = await db.write((tx) => tx.update(design).set(set).where(ofDesign(id)).returning({ id: design.id })); // prettier-ignore
			return done.length > 0;
		},
		/** Deletes a design that was put away, with its versions and photos. What hangs on it holds it, and is said. */
		async deleteDesign(id: string): Promise<'deleted' | 'missing' | 'not put away' | Held> {
			const outcome = await db.write(async (tx) => {
				const row = await tx.select({ at: design.putAwayAt }).from(design).where(ofDesign(id)).get();
				if (!row) return 'missing' as const;
				if (row.at === null) return 'not put away' as const;
				const by = await holders(tx, workspaceId, id);
				if (by.length > 0) return { by };
				// Who deletes it is told with it.
				await tx.update(design).set({ changedBy }).where(ofDesign(id));
				const versions = tx
					.select({ id: designVersion.id })
					.from(designVersion)
					.where(and(eq(designVersion.workspaceId, workspaceId), eq(designVersion.designId, id)));
				for (const table of [versionName, versionRef])
					await tx.delete(table).where(and(eq(table.workspaceId, workspaceId), sql`${table.versionId} IN ${versions}`)); // prettier-ignore
				for (const table of [saveReceipt, photo, designVersion])
					await tx.delete(table).where(and(eq(table.workspaceId, workspaceId), eq(table.designId, id)));
				await tx.delete(design).where(ofDesign(id));
				return 'deleted' as const;
			});
			memoOf(db, actor).forget(`working/${id}`);
			return outcome;
		},
		/** Puts a quote away, or takes it out again. One with the client, or of a day still ahead, is left where it is. */
		async quote(id: string, at: Date | null, today: string): Promise<'done' | 'missing' | 'open' | 'ahead'> {
			return db.write(async (tx) => {
				const row = await tx.select().from(quote).where(ofQuote(id)).get();
				if (!row) return 'missing';
				if (at && (row.state === 'sent' || row.state === 'seen') && !(row.eventDate !== null && row.eventDate < today)) return 'open'; // prettier-ignore
				if (at && row.state === 'accepted' && (row.eventDate === null || row.eventDate >= today))
					return 'ahead';
				await tx.update(quote).set({ putAwayAt: at, changedBy }).where(ofQuote(id));
				return 'done';
			});
		},
		/** Deletes a draft that nobody was ever sent. */
		async deleteQuote(id: string): Promise<'deleted' | 'missing' | 'sent'> {
			return db.write(async (tx) => {
				const row = await tx.select({ state: quote.state }).from(quote).where(ofQuote(id)).get();
				if (!row) return 'missing';
				const was = and(eq(quoteIssue.workspaceId, workspaceId), eq(quoteIssue.quoteId, id));
				if (
					row.state !== 'draft' ||
					(await tx.select({ id: quoteIssue.id }).from(quoteIssue).where(was).get())
				)
					return 'sent';
				await tx.update(quote).set({ changedBy }).where(ofQuote(id));
				for (const table of [quoteLine, placePhoto])
					await tx.delete(table).where(and(eq(table.workspaceId, workspaceId), eq(table.quoteId, id)));
				await tx.delete(quote).where(ofQuote(id));
				return 'deleted';
			});
		}
	};
}

/** What hangs on a design, in words: quotes, other designs, what it was counted back as. */
async function holders(tx: Writer, workspaceId: string, id: string): Promise<string[]> {
	const quoted = (of: string) => sql`instr(${sql.raw(of)}, ${JSON.stringify(id)}) > 0`;
	const lines = await tx
		.selectDistinct({ number: quote.number })
		.from(quoteLine)
		.innerJoin(quote, and(eq(quote.workspaceId, quoteLine.workspaceId), eq(quote.id, quoteLine.quoteId)))
		.innerJoin(
			designVersion,
			and(eq(designVersion.workspaceId, quoteLine.workspaceId), eq(designVersion.id, quoteLine.versionId))
		)
		.where(and(eq(quoteLine.workspaceId, workspaceId), eq(designVersion.designId, id)))
		.orderBy(quote.number);
	// A quote written anew may have lost the line, and the client still has the one that was sent.
	const sent = await tx
		.selectDistinct({ number: quote.number })
		.from(quoteIssue)
		.innerJoin(quote, and(eq(quote.workspaceId, quoteIssue.workspaceId), eq(quote.id, quoteIssue.quoteId)))
		.where(
			and(
				eq(quoteIssue.workspaceId, workspaceId),
				sql`EXISTS (SELECT 1 FROM design_version v WHERE v.workspace_id = ${workspaceId} AND v.design_id = ${id}
					AND (instr(${quoteIssue.frozenOwner}, json_quote(v.id)) > 0)) OR EXISTS (SELECT 1 FROM photo p
					WHERE p.workspace_id = ${workspaceId} AND p.design_id = ${id} AND instr(${quoteIssue.frozen}, json_quote(p.id)) > 0)`
			)
		)
		.orderBy(quote.number);
	const users = await tx
		.select({ name: design.name })
		.from(design)
		.where(
			and(
				eq(design.workspaceId, workspaceId),
				ne(design.id, id),
				sql`${quoted('working')} OR EXISTS (SELECT 1 FROM version_ref r JOIN design_version v ON v.workspace_id = r.workspace_id
					AND v.id = r.version_id WHERE v.workspace_id = ${workspaceId} AND v.design_id = "design"."id" AND r.ref_id = ${id})`
			)
		)
		.orderBy(design.name);
	const counts = await tx
		.select({ id: countBack.id })
		.from(countBack)
		.where(and(eq(countBack.workspaceId, workspaceId), eq(countBack.designId, id)));
	const numbers = [...new Set([...lines, ...sent].map((l) => l.number))].sort((a, b) => a - b);
	return [
		...named(numbers.map((n) => `quote ${n}`), 'quotes', (all) => `It stands on ${all}.`),
		...named(users.map((u) => `“${u.name}”`), 'designs', (all) => `It is a part of ${all}, or was in a version of it.`),
		...(counts.length > 0 ? ['What it really took was counted, and the Stockroom has learned from it.'] : [])
	]; // prettier-ignore
}

const named = (all: readonly string[], what: string, say: (all: string) => string): string[] =>
	all.length === 0
		? []
		: [say(all.length > MOST_NAMED ? `${all.slice(0, MOST_NAMED).join(', ')} and ${all.length - MOST_NAMED} more ${what}` : all.join(', '))]; // prettier-ignore
