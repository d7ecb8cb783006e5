import { and, desc, eq } from 'drizzle-orm';
import type { PhotoType } from '../../core/photo/read-photo.ts';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { placePhoto } from '../db/tables/quote.ts';

export interface PlacePhoto {
	readonly id: string;
	readonly type: PhotoType;
	readonly width: number;
	readonly height: number;
	readonly bytes: Uint8Array;
}

/** Photos of clients' places: kept, because what was sent shows them. */
export function placePhotos(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	return {
		/** The newest of a quote, without its bytes. */
		async last(quoteId: string): Promise<Omit<PlacePhoto, 'bytes'> | undefined> {
			const { id, type, width, height } = placePhoto;
			return db.read
				.select({ id, type, width, height })
				.from(placePhoto)
				.where(and(eq(placePhoto.workspaceId, workspaceId), eq(placePhoto.quoteId, quoteId)))
				.orderBy(desc(placePhoto.addedAt), desc(placePhoto.id))
				.limit(1)
				.get();
		},
		async find(id: string): Promise<PlacePhoto | undefined> {
			return db.read
				.select({
					id: placePhoto.id,
					type: placePhoto.type,
					width: placePhoto.width,
					height: placePhoto.height,
					bytes: placePhoto.bytes
				})
				.from(placePhoto)
				.where(and(eq(placePhoto.workspaceId, workspaceId), eq(placePhoto.id, id)))
				.get();
		},
		async add(quoteId: string, photo: PlacePhoto, now: Date): Promise<void> {
			await db.write(async (tx) => {
				await tx
					.insert(placePhoto)
					.values({
						...photo,
						bytes: Buffer.from(photo.bytes),
						workspaceId,
						quoteId,
						addedAt: now,
						changedBy
					})
					.onConflictDoNothing();
			});
		}
	};
}
