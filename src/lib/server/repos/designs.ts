import { and, desc, eq, inArray, isNull } from 'drizzle-orm';
import { freeze } from 'immer';
import { recipeSchema } from '../../core/recipe/recipe.schema.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import {
	design,
	designVersion,
	saveReceipt,
	versionName,
	versionRef,
	type KeptHow
} from '../db/tables/design.ts';
import { dropOldReceipts, putVersion, sameRefs, withPartVersions } from './kept.ts';
import { memoOf } from './memo.ts';
import { refsOf } from './refs.ts';
import { wordsOf } from './shelf-words.ts';

export interface Design {
	readonly id: string;
	readonly recipe: Recipe;
	readonly revision: number;
	readonly keptNumber: number;
	/** Whether the working copy is ahead of the last kept version. */
	readonly ahead: boolean;
	/** Put away: not shown on the Shelf, there for what uses it. */
	readonly isAway: boolean;
	readonly changedAt: Date;
}

export interface KeptVersion {
	readonly id: string;
	readonly design: string;
	readonly number: number;
	readonly recipe: Recipe;
	readonly keptAt: Date;
}

/** A kept version without its recipe. */
export interface VersionRow {
	readonly id: string;
	readonly number: number;
	readonly how: KeptHow;
	readonly name: string | null;
	readonly keptAt: Date;
}

export interface ShelfRow {
	readonly id: string;
	readonly name: string;
	readonly revision: number;
	readonly keptNumber: number;
	readonly ahead: boolean;
	readonly versionId: string | null;
	readonly keptAt: Date | null;
	/** Put away: not shown on the Shelf, there for what uses it. */
	readonly isAway: boolean;
}

export interface Save {
	/** Made by the client: repeating a save changes nothing. */
	readonly saveId: string;
	readonly baseRevision: number;
	/** A save of the same tab that was on its way: the revision it got counts as the base. */
	readonly after?: string;
	readonly recipe: Recipe;
}

export type SaveOutcome =
	| { readonly status: 'saved'; readonly revision: number }
	/** Somebody saved in between: theirs, to show beside yours. */
	| { readonly status: 'stale'; readonly theirs: Design }
	| { readonly status: 'missing' }
	/** Another design was saved under that id. */
	| { readonly status: 'used' };

/** Joins a design with its last kept version. */
export const isLastKept = and(
	eq(designVersion.workspaceId, design.workspaceId),
	eq(designVersion.designId, design.id),
	eq(designVersion.number, design.keptNumber)
);

/** Joins a version with its name, if it has one. */
const isNameOf = and(
	eq(versionName.workspaceId, designVersion.workspaceId),
	eq(versionName.versionId, designVersion.id)
);

/** Designs: one autosaved working copy each, and immutable kept versions. */
export function designs(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	const memo = memoOf(db, actor);
	const one = (id: string) => and(eq(design.workspaceId, workspaceId), eq(design.id, id));
	return {
		async find(id: string): Promise<Design | undefined> {
			for (;;) {
				const row = await db.read.select(light).from(design).where(one(id)).get();
				if (!row) return undefined;
				const read = await memo.take(`working/${id}`, String(row.revision), async () => {
					const whole = await db.read.select().from(design).where(one(id)).get();
					return whole && { revision: whole.revision, recipe: recipeFrom(whole.working) };
				});
				// Saved between the two: what is there now is read.
				if (read?.revision === row.revision) return designOf(row, read.recipe);
			}
		},
		async latest(): Promise<string | undefined> {
			const row = await db.read
				.select({ id: design.id })
				.from(design)
				.where(and(eq(design.workspaceId, workspaceId), isNull(design.putAwayAt)))
				.orderBy(desc(design.changedAt))
				.limit(1)
				.get();
			return row?.id;
		},
		/** Every design, put away or not, with its last kept version; never kept ones have none. Newest change first. */
		async shelf(): Promise<ShelfRow[]> {
			const rows = await db.read
				.select({
					id: design.id,
					name: design.name,
					keptNumber: design.keptNumber,
					revision: design.revision,
					keptRevision: design.keptRevision,
					versionId: designVersion.id,
					keptAt: designVersion.keptAt,
					putAwayAt: design.putAwayAt
				})
				.from(design)
				.leftJoin(designVersion, isLastKept)
				.where(eq(design.workspaceId, workspaceId))
				.orderBy(desc(design.changedAt), design.name);
			return rows.map(({ keptRevision, putAwayAt, ...row }) => ({
				...row,
				ahead: row.revision !== keptRevision,
				isAway: putAwayAt !== null
			}));
		},
		words: (rows: readonly ShelfRow[]) => wordsOf(db, actor, rows),
		/** Creates a design; repeating it with the same id changes nothing. */
		async create(id: string, recipe: Recipe, now: Date): Promise<void> {
			await db.write(async (tx) => {
				await tx
					.insert(design)
					.values({
						workspaceId,
						id,
						name: recipe.name,
						working: recipe,
						createdAt: now,
						changedAt: now,
						changedBy
					})
					.onConflictDoNothing();
			});
		},
		/** Takes in designs of a file, each kept as its first version; one whose id is taken is left as it is. */
		async importDesigns(
			brought: readonly { readonly id: string; readonly recipe: Recipe }[],
			now: Date
		): Promise<number> {
			return db.write(async (tx) => {
				let count = 0;
				for (const { id, recipe } of brought) {
					// A long file holds up nobody who reads meanwhile.
					await new Promise(setImmediate);
					const own = { workspaceId, id, name: recipe.name, working: recipe, keptNumber: 1, keptRevision: 1 };
					const made = await tx
						.insert(design)
						.values({ ...own, createdAt: now, changedAt: now, changedBy })
						.onConflictDoNothing()
						.returning({ id: design.id });
					if (made.length === 0) continue;
					await putVersion(tx, {
						workspaceId,
						designId: id,
						number: 1,
						recipe,
						how: 'button',
						keptAt: now,
						changedBy
					});
					count++;
				}
				return count;
			});
		},
		/** Working copies of those of these designs that are there; what cannot be read is named, and fails nothing else. */
		async those(ids: readonly string[]): Promise<{ designs: Design[]; damaged: string[] }> {
			const one = and(eq(design.workspaceId, workspaceId), inArray(design.id, [...ids]));
			const rows = ids.length === 0 ? [] : await db.read.select().from(design).where(one);
			const damaged: string[] = [];
			const designs = rows.flatMap((row) => {
				try {
					return [fromRow(row)];
				} catch {
					damaged.push(row.name);
					return [];
				}
			});
			return { designs, damaged };
		},
		async save(id: string, { saveId, baseRevision, after, recipe }: Save, now: Date): Promise<SaveOutcome> {
			return db.write(async (tx): Promise<SaveOutcome> => {
				const receipt = (of: string) =>
					tx
						.select()
						.from(saveReceipt)
						.where(and(eq(saveReceipt.workspaceId, workspaceId), eq(saveReceipt.id, of)))
						.get();
				const done = await receipt(saveId);
				// An id names one save: one that another design has already saves nothing here.
				if (done && done.designId !== id) return { status: 'used' };
				if (done) return { status: 'saved', revision: done.revision };
				const row = await tx.select().from(design).where(one(id)).get();
				if (!row) return { status: 'missing' };
				const follows =
					row.revision === baseRevision ||
					(after !== undefined && (await receipt(after))?.revision === row.revision);
				if (!follows) return { status: 'stale', theirs: fromRow(row) };
				const revision = row.revision + 1;
				await tx
					.update(design)
					.set({ working: recipe, name: recipe.name, revision, changedAt: now, changedBy })
					.where(one(id));
				await tx
					.insert(saveReceipt)
					.values({ workspaceId, id: saveId, designId: id, revision, savedAt: now });
				return { status: 'saved', revision };
			});
		},
		/** Keeps the working copy as the next version, with its index of references. Nothing new: nothing happens. */
		async keep(
			id: string,
			now: Date,
			how: KeptHow = 'button'
		): Promise<{ number: number; made: boolean } | undefined> {
			return db.write(async (tx) => {
				const row = await tx.select().from(design).where(one(id)).get();
				if (!row) return undefined;
				if (row.keptNumber > 0 && row.revision === row.keptRevision)
					return { number: row.keptNumber, made: false };
				const recipe = await withPartVersions(tx, workspaceId, recipeSchema.parse(row.working));
				const number = row.keptNumber + 1;
				await putVersion(tx, { workspaceId, designId: id, number, recipe, how, keptAt: now, changedBy });
				await tx
					.update(design)
					.set({ keptNumber: number, keptRevision: row.revision, changedBy })
					.where(one(id));
				await dropOldReceipts(tx, workspaceId, id, now);
				return { number, made: true };
			});
		},
		async lastKept(id: string): Promise<KeptVersion | undefined> {
			return (await this.lastKeptOf([id]))[0];
		},
		/** The last kept versions of those of these designs that were ever kept. */
		async lastKeptOf(ids: readonly string[]): Promise<KeptVersion[]> {
			if (ids.length === 0) return [];
			const rows = await db.read
				.select({ version: designVersion.id })
				.from(design)
				.innerJoin(designVersion, isLastKept)
				.where(and(eq(design.workspaceId, workspaceId), inArray(design.id, [...ids])));
			const kept = await Promise.all(rows.map((row) => this.version(row.version)));
			return kept.flatMap((version) => version ?? []);
		},
		/** Every kept version of a design, the newest first. */
		async versions(id: string): Promise<VersionRow[]> {
			return db.read
				.select({
					id: designVersion.id,
					number: designVersion.number,
					how: designVersion.how,
					name: versionName.name,
					keptAt: designVersion.keptAt
				})
				.from(designVersion)
				.leftJoin(versionName, isNameOf)
				.where(and(eq(designVersion.workspaceId, workspaceId), eq(designVersion.designId, id)))
				.orderBy(desc(designVersion.number))
				.limit(200);
		},
		/** Names a kept version, or takes its name away. */
		async nameVersion(versionId: string, name: string): Promise<boolean> {
			return db.write(async (tx) => {
				const here = and(eq(versionName.workspaceId, workspaceId), eq(versionName.versionId, versionId));
				const version = await tx
					.select({ id: designVersion.id })
					.from(designVersion)
					.where(and(eq(designVersion.workspaceId, workspaceId), eq(designVersion.id, versionId)))
					.get();
				if (!version) return false;
				await tx.delete(versionName).where(here);
				if (name !== '') await tx.insert(versionName).values({ workspaceId, versionId, name, changedBy });
				return true;
			});
		},
		/** Numbers of the last kept versions, for what was computed with an older one. */
		async keptNumbers(): Promise<ReadonlyMap<string, number>> {
			const rows = await db.read
				.select({ id: design.id, number: design.keptNumber })
				.from(design)
				.where(eq(design.workspaceId, workspaceId));
			return new Map(rows.map((r) => [r.id, r.number]));
		},
		/** Every pair of a design and one it uses, by the last kept versions. */
		async uses(): Promise<{ user: string; used: string }[]> {
			return db.read
				.select({ user: design.id, used: versionRef.refId })
				.from(design)
				.innerJoin(designVersion, isLastKept)
				.innerJoin(
					versionRef,
					and(
						eq(versionRef.workspaceId, designVersion.workspaceId),
						eq(versionRef.versionId, designVersion.id),
						eq(versionRef.kind, 'design')
					)
				)
				.where(eq(design.workspaceId, workspaceId))
				.orderBy(design.name);
		},
		/** A kept version never changes, so it is read once. */
		async version(id: string): Promise<KeptVersion | undefined> {
			return memo.take(`version/${id}`, '', async () => {
				const row = await db.read
					.select()
					.from(designVersion)
					.where(and(eq(designVersion.workspaceId, workspaceId), eq(designVersion.id, id)))
					.get();
				return row && versionFromRow(row);
			});
		},
		/** Compares the stored index of every kept version with what its recipe says, and mends it where asked to. */
		async checkRefs(mend: boolean): Promise<{ versions: number; wrong: string[] }> {
			return db.write(async (tx) => {
				const versions = await tx
					.select()
					.from(designVersion)
					.where(eq(designVersion.workspaceId, workspaceId));
				const wrong: string[] = [];
				for (const row of versions) {
					const here = and(eq(versionRef.workspaceId, workspaceId), eq(versionRef.versionId, row.id));
					const stored = await tx
						.select({ kind: versionRef.kind, refId: versionRef.refId })
						.from(versionRef)
						.where(here);
					const fresh = refsOf(recipeSchema.parse(row.recipe));
					if (sameRefs(stored, fresh)) continue;
					wrong.push(row.id);
					if (!mend) continue;
					await tx.delete(versionRef).where(here);
					if (fresh.length > 0)
						await tx
							.insert(versionRef)
							.values(fresh.map((ref) => ({ ...ref, workspaceId, versionId: row.id })));
				}
				return { versions: versions.length, wrong };
			});
		}
	};
}

/** What tells one working copy from another, without the recipe. */
const light = {
	id: design.id,
	revision: design.revision,
	keptNumber: design.keptNumber,
	keptRevision: design.keptRevision,
	changedAt: design.changedAt,
	putAwayAt: design.putAwayAt
};
type LightRow = Pick<typeof design.$inferSelect, keyof typeof light>;

const designOf = ({ keptRevision, putAwayAt, ...row }: LightRow, recipe: Recipe): Design => ({
	...row,
	isAway: putAwayAt !== null,
	recipe,
	ahead: row.revision !== keptRevision
});

const fromRow = ({ working, ...row }: typeof design.$inferSelect): Design => {
	const { id, revision, keptNumber, keptRevision, changedAt, putAwayAt } = row;
	return designOf({ id, revision, keptNumber, keptRevision, changedAt, putAwayAt }, recipeFrom(working));
};

/** Recipes are shared by everything that reads them, so nothing can change one. */
const recipeFrom = (stored: unknown): Recipe => freeze(recipeSchema.parse(stored), true);

const versionFromRow = (row: typeof designVersion.$inferSelect): KeptVersion => ({
	id: row.id,
	design: row.designId,
	number: row.number,
	recipe: recipeFrom(row.recipe),
	keptAt: row.keptAt
});
