import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import type { OwnedThing } from '../../core/owned/owned.ts';
import type { Micrometres } from '../../core/units/length.ts';
import type { Actor } from '../actor.ts';
import type { Database, Writer } from '../db/client.ts';
import { job } from '../db/tables/job.ts';
import { client, quote } from '../db/tables/quote.ts';
import { offcut, ownedThing } from '../db/tables/things.ts';

/** So many of a length of a tube on the shelf, or of what is left of a sheet. */
export interface Offcut {
	readonly material: string;
	/** Of a sheet along its grain. */
	readonly length: Micrometres;
	/** Of a sheet its other side; 0 is a stick. */
	readonly wide: Micrometres | 0;
	readonly count: number;
}

/** A job with a day. */
export interface DatedQuote {
	readonly id: string;
	readonly number: number;
	readonly client: string;
	readonly day: string;
	readonly firm: boolean;
}

/** Pieces of what comes back, and what is left of sticks. */
export function things(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	const one = (id: string) => and(eq(ownedThing.workspaceId, workspaceId), eq(ownedThing.id, id));
	const cut = ({ material, length, wide }: Offcut) =>
		and(
			eq(offcut.workspaceId, workspaceId),
			eq(offcut.materialId, material),
			eq(offcut.length, length),
			eq(offcut.wide, wide)
		);
	/** @returns false where there are not so many */
	async function take(tx: Writer, used: Offcut): Promise<boolean> {
		const there = await tx.select({ count: offcut.count }).from(offcut).where(cut(used)).get();
		if (!there || there.count < used.count) return false;
		if (there.count === used.count) await tx.delete(offcut).where(cut(used));
		else await tx.update(offcut).set({ count: there.count - used.count, changedBy }).where(cut(used));
		return true;
	}
	const put = (tx: Writer, { material, length, wide, count }: Offcut) =>
		tx
			.insert(offcut)
			.values({ workspaceId, materialId: material, length, wide, count, changedBy })
			.onConflictDoUpdate({
				target: [offcut.workspaceId, offcut.materialId, offcut.length, offcut.wide],
				set: { count: sql`${offcut.count} + ${count}`, changedBy }
			});
	return {
		async owned(): Promise<OwnedThing[]> {
			const rows = await db.read
				.select()
				.from(ownedThing)
				.where(eq(ownedThing.workspaceId, workspaceId))
				.orderBy(asc(ownedThing.materialId), asc(ownedThing.name));
			return rows.map(({ id, materialId: material, name, condition, place, note, hireMinor, depositMinor }) => ({
				id, material, name, condition, place, note, hireMinor, depositMinor
			})); // prettier-ignore
		},
		/** Writes pieces down; those whose id or name is there already stay as they are. */
		async add(pieces: readonly OwnedThing[]): Promise<void> {
			await db.write((tx) =>
				tx
					.insert(ownedThing)
					.values(pieces.map(({ material: materialId, ...p }) => ({ ...p, workspaceId, materialId, changedBy })))
					.onConflictDoNothing()
			);
		},
		/** @returns false where it is gone, or another has that name */
		async change(id: string, about: Omit<OwnedThing, 'id' | 'material'>): Promise<boolean> {
			return db.write(async (tx) => {
				const named = await tx
					.select({ id: ownedThing.id })
					.from(ownedThing)
					.where(and(eq(ownedThing.workspaceId, workspaceId), eq(ownedThing.name, about.name)))
					.get();
				if (named && named.id !== id) return false;
				const done = await tx.update(ownedThing).set({ ...about, changedBy }).where(one(id)).returning({ id: ownedThing.id }); // prettier-ignore
				return done.length > 0;
			});
		},
		async remove(id: string): Promise<void> {
			await db.write((tx) => tx.delete(ownedThing).where(one(id)));
		},
		async offcuts(): Promise<Offcut[]> {
			const rows = await db.read
				.select()
				.from(offcut)
				.where(eq(offcut.workspaceId, workspaceId))
				.orderBy(asc(offcut.materialId), asc(offcut.length), asc(offcut.wide));
			return rows.map(({ materialId: material, length, wide, count }) => ({ material, length: length as Micrometres, wide: wide as Micrometres | 0, count })); // prettier-ignore
		},
		async putOffcut(found: Offcut): Promise<void> {
			await db.write(async (tx) => void (await put(tx, found)));
		},
		takeOffcut: (used: Offcut): Promise<boolean> => db.write((tx) => take(tx, used)),
		/** What a cut took of the shelf and what it left, all of it or nothing. @returns false where something is no longer there */
		async cut(used: readonly Offcut[], left: readonly Offcut[]): Promise<boolean> {
			return db
				.write(async (tx) => {
					for (const one of used) if (!(await take(tx, one))) throw new GoneError();
					for (const one of left) await put(tx, one);
					return true;
				})
				.catch((cause: unknown) => {
					if (cause instanceof GoneError) return false;
					throw cause;
				});
		},
		/** Jobs that are offered or agreed, by their days. @param from and @param to `2027-05-01`, both included */
		async dated(from: string, to: string): Promise<DatedQuote[]> {
			// As the job has it now, where it was moved.
			const day = sql<string | null>`coalesce(${job.day}, ${quote.eventDate})`;
			const rows = await db.read
				.select({ id: quote.id, number: quote.number, client: client.name, day, state: quote.state })
				.from(quote)
				.leftJoin(job, and(eq(job.workspaceId, quote.workspaceId), eq(job.quoteId, quote.id)))
				.innerJoin(client, and(eq(client.workspaceId, quote.workspaceId), eq(client.id, quote.clientId)))
				.where(
					and(
						eq(quote.workspaceId, workspaceId),
						inArray(quote.state, ['sent', 'seen', 'accepted']),
						sql`${day} >= ${from}`,
						sql`${day} <= ${to}`
					)
				)
				.orderBy(day, asc(quote.number));
			return rows.map(({ state, day, ...row }) => ({ ...row, day: day!, firm: state === 'accepted' }));
		}
	};
} // prettier-ignore
/** An offcut that another cut took meanwhile. */
class GoneError extends Error {}
