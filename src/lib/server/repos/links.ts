import { and, count, desc, eq, gt } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { endedLink, linkLook } from '../db/tables/links.ts';

/** A link that was opened. */
export interface Look {
	readonly at: Date;
	readonly what: 'page' | 'paper';
	/** “a phone” */
	readonly device: string;
}

/** Opened again within so long it is the same look, ms: a page that is reloaded, a picture looked at twice. */
const SAME_LOOK = 10 * 60 * 1000;
/** Looks kept of one link: beyond that they say nothing new. */
const MOST = 500;
/** Of these so many are shown. */
const SHOWN = 12;

/** The links of clients: taken back, and looked at. */
export function links(db: Database, { workspace: workspaceId, person: changedBy }: Actor) {
	const ofLink = (token: string) => and(eq(linkLook.workspaceId, workspaceId), eq(linkLook.token, token));
	return {
		/** From now on the link opens nothing. Said again it stays as it was. */
		async end(token: string, at: Date): Promise<void> {
			await db.write((tx) =>
				tx.insert(endedLink).values({ workspaceId, token, at, changedBy }).onConflictDoNothing()
			);
		},
		async endedAt(token: string): Promise<Date | null> {
			const row = await db.read
				.select({ at: endedLink.at })
				.from(endedLink)
				.where(and(eq(endedLink.workspaceId, workspaceId), eq(endedLink.token, token)))
				.get();
			return row?.at ?? null;
		},
		/** Somebody has opened it. */
		async look(token: string, look: Look): Promise<void> {
			const alike = and(
				ofLink(token),
				eq(linkLook.what, look.what),
				eq(linkLook.device, look.device),
				gt(linkLook.at, new Date(look.at.getTime() - SAME_LOOK))
			);
			const known = await db.read.select({ id: linkLook.id }).from(linkLook).where(alike).limit(1).get();
			if (known) return;
			await db.write(async (tx) => {
				const all = await tx.select({ n: count() }).from(linkLook).where(ofLink(token)).get();
				if ((all?.n ?? 0) < MOST)
					await tx.insert(linkLook).values({ workspaceId, id: randomUUID(), token, ...look });
			});
		},
		/** How often, and the newest of it. */
		async looks(token: string): Promise<{ many: number; newest: Look[] }> {
			const all = await db.read.select({ n: count() }).from(linkLook).where(ofLink(token)).get();
			const newest = await db.read
				.select({ at: linkLook.at, what: linkLook.what, device: linkLook.device })
				.from(linkLook)
				.where(ofLink(token))
				.orderBy(desc(linkLook.at))
				.limit(SHOWN);
			return { many: all?.n ?? 0, newest };
		}
	};
}
