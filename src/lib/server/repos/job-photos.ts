import { and, asc, count, eq } from 'drizzle-orm';
import type { PhotoType } from '../../core/photo/read-photo.ts';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { jobPhoto } from '../db/tables/job.ts';

/** A photograph of a job as it stood, without its bytes. */
export interface JobPhoto {
	readonly id: string;
	readonly type: PhotoType;
	readonly width: number;
	readonly height: number;
	readonly caption: string;
	/** Whether the client sees it. */
	readonly isShown: boolean;
}

/** Photographs of a job, at most. */
export const MOST_JOB_PHOTOS = 40;

/** Photographs of jobs as they stood. */
export function jobPhotos(db: Database, { workspace: workspaceId, person: changedBy }: Actor) {
	const ofJob = (quoteId: string) => and(eq(jobPhoto.workspaceId, workspaceId), eq(jobPhoto.quoteId, quoteId));
	const one = (quoteId: string, id: string) => and(ofJob(quoteId), eq(jobPhoto.id, id));
	const { id, type, width, height, caption, isShown, bytes } = jobPhoto;
	return {
		/** Those of a job, the first that was taken first. */
		async of(quoteId: string): Promise<JobPhoto[]> {
			return db.read
				.select({ id, type, width, height, caption, isShown })
				.from(jobPhoto)
				.where(ofJob(quoteId))
				.orderBy(asc(jobPhoto.addedAt), asc(id));
		},
		/** The picture itself, of one job. @param shown only where its client sees it */
		async find(quoteId: string, photo: string, shown = false): Promise<{ readonly type: PhotoType; readonly bytes: Uint8Array } | undefined> {
			const own = shown ? and(one(quoteId, photo), eq(isShown, true)) : one(quoteId, photo);
			return db.read.select({ type, bytes }).from(jobPhoto).where(own).get();
		},
		/** @returns false where there are as many as a job has */
		async add(quoteId: string, photo: JobPhoto & { readonly bytes: Uint8Array }, now: Date): Promise<boolean> {
			return db.write(async (tx) => {
				const there = await tx.select({ n: count() }).from(jobPhoto).where(ofJob(quoteId)).get();
				if ((there?.n ?? 0) >= MOST_JOB_PHOTOS) return false;
				await tx
					.insert(jobPhoto)
					.values({ ...photo, bytes: Buffer.from(photo.bytes), workspaceId, quoteId, addedAt: now, changedBy })
					.onConflictDoNothing();
				return true;
			});
		},
		/** What stands under it, and whether the client sees it. @returns false where there is none */
		async say(quoteId: string, photo: string, said: Pick<JobPhoto, 'caption' | 'isShown'>): Promise<boolean> {
			return db.write(async (tx) => {
				const done = await tx
					.update(jobPhoto)
					.set({ ...said, changedBy })
					.where(one(quoteId, photo))
					.returning({ id });
				return done.length > 0;
			});
		},
		async remove(quoteId: string, photo: string): Promise<void> {
			await db.write(async (tx) => {
				await tx.delete(jobPhoto).where(one(quoteId, photo));
			});
		}
	};
} // prettier-ignore
