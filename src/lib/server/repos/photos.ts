import { and, asc, desc, eq, inArray, isNull } from 'drizzle-orm';
import type { Photo } from '../../core/photo/read-photo.ts';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { photo } from '../db/tables/photo.ts';

/** A photo without its bytes. */
export interface PhotoRow {
	readonly id: string;
	readonly design: string;
	readonly width: number;
	readonly height: number;
	readonly caption: string;
	readonly cover: boolean;
}

/** Most photos of one design. */
export const MOST_PHOTOS = 24;

/** Photos of designs. Removed ones are hidden and stay: a sent quote may show them. */
export function photos(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	const one = (id: string) => and(eq(photo.workspaceId, workspaceId), eq(photo.id, id));
	const shown = (design: string) =>
		and(eq(photo.workspaceId, workspaceId), eq(photo.designId, design), isNull(photo.removedAt));
	const row = {
		id: photo.id,
		design: photo.designId,
		width: photo.width,
		height: photo.height,
		caption: photo.caption,
		cover: photo.cover
	};
	return {
		/** Photos of a design, the cover first. */
		async list(design: string): Promise<PhotoRow[]> {
			return db.read
				.select(row)
				.from(photo)
				.where(shown(design))
				.orderBy(desc(photo.cover), asc(photo.addedAt));
		},
		/** The covers of these designs. */
		async covers(designs: readonly string[]): Promise<ReadonlyMap<string, PhotoRow>> {
			if (designs.length === 0) return new Map();
			const rows = await db.read
				.select(row)
				.from(photo)
				.where(
					and(
						eq(photo.workspaceId, workspaceId),
						inArray(photo.designId, [...designs]),
						eq(photo.cover, true)
					)
				);
			return new Map(rows.map((r) => [r.design, r]));
		},
		/** The picture itself; one that was removed only where a quote that was sent shows it. */
		async bytes(
			id: string,
			sent?: 'shown in a sent quote'
		): Promise<Pick<Photo, 'type' | 'bytes'> | undefined> {
			const here = sent ? undefined : isNull(photo.removedAt);
			return db.read.select({ type: photo.type, bytes: photo.bytes }).from(photo).where(and(one(id), here)).get(); // prettier-ignore
		},
		/** Adds one; repeating it with the same id changes nothing. The first of a design is its cover. */
		async add(
			design: string,
			id: string,
			{ type, width, height, bytes }: Photo,
			caption: string,
			now: Date
		): Promise<'added' | 'full'> {
			return db.write(async (tx) => {
				const here = await tx.select({ id: photo.id }).from(photo).where(shown(design));
				if (here.some((p) => p.id === id)) return 'added';
				if (here.length >= MOST_PHOTOS) return 'full';
				await tx
					.insert(photo)
					.values({
						workspaceId,
						id,
						designId: design,
						type,
						width,
						height,
						caption,
						cover: here.length === 0,
						addedAt: now,
						changedBy,
						bytes: Buffer.from(bytes)
					})
					.onConflictDoNothing();
				return 'added';
			});
		},
		/** Makes one the cover; null takes the cover away. */
		async setCover(design: string, id: string | null): Promise<boolean> {
			return db.write(async (tx) => {
				const here = await tx.select({ id: photo.id }).from(photo).where(shown(design));
				if (id !== null && !here.some((p) => p.id === id)) return false;
				await tx.update(photo).set({ cover: false, changedBy }).where(shown(design));
				if (id !== null) await tx.update(photo).set({ cover: true, changedBy }).where(one(id));
				return true;
			});
		},
		async say(design: string, id: string, caption: string): Promise<void> {
			await db.write(async (tx) => {
				await tx
					.update(photo)
					.set({ caption, changedBy })
					.where(and(shown(design), eq(photo.id, id)));
			});
		},
		async remove(design: string, id: string, now: Date): Promise<void> {
			await db.write(async (tx) => {
				await tx
					.update(photo)
					.set({ cover: false, removedAt: now, changedBy })
					.where(and(shown(design), eq(photo.id, id)));
			});
		}
	};
}
