import { eq, sql } from 'drizzle-orm';
import { settingsChanges } from '../../core/changes/settings-changes.ts';
import { settingsSchema } from '../../core/workspace/settings.schema.ts';
import { USUAL_FORMATS, type DateStyle } from '../../core/workspace/formats.ts';
import type { Settings } from '../../core/workspace/settings.ts';
import type { Actor } from '../actor.ts';
import type { Database, Writer } from '../db/client.ts';
import { workspace } from '../db/tables/workspace.ts';
import { tellChanges } from './changes.ts';

/** The actor's own workspace: its settings, and the count of changes to what prices hang on. */
export function workspaces(db: Database, actor: Actor) {
	const own = eq(workspace.id, actor.workspace);
	return {
		async find(): Promise<
			{ name: string; settings: Settings; stockRevision: number; demo: boolean } | undefined
		> {
			const row = await db.read.select().from(workspace).where(own).get();
			return (
				row && {
					name: row.name,
					settings: settingsSchema.parse(row.settings),
					stockRevision: row.stockRevision,
					demo: row.demo
				}
			);
		},
		/** Changes with every change of stock or settings; undefined without a workspace. */
		async stamp(): Promise<number | undefined> {
			const row = await db.read.select({ stamp: workspace.stockRevision }).from(workspace).where(own).get();
			return row?.stamp;
		},
		/** @param demo whether it is the invented studio */
		async create(settings: Settings, now: Date, demo = false): Promise<void> {
			await db.write(async (tx) => {
				await tx
					.insert(workspace)
					.values({
						id: actor.workspace,
						name: settings.business.name,
						settings,
						demo,
						createdAt: now,
						changedBy: actor.person
					})
					.onConflictDoNothing();
			});
		},
		/** Whether it is the invented studio, and how days are written; asked for every page. */
		async look(): Promise<{ readonly demo: boolean; readonly dates: DateStyle }> {
			const dates = sql<DateStyle | null>`json_extract(${workspace.settings}, '$.dates')`;
			const row = await db.read.select({ demo: workspace.demo, dates }).from(workspace).where(own).get();
			return { demo: row?.demo ?? false, dates: row?.dates ?? USUAL_FORMATS.dates };
		},
		async change(settings: Settings): Promise<void> {
			await db.write(async (tx) => {
				const before = await tx.select({ settings: workspace.settings }).from(workspace).where(own).get();
				const of = { about: 'settings', aboutId: actor.workspace, name: settings.business.name, at: new Date() } as const; // prettier-ignore
				await tellChanges(tx, actor, of, settingsChanges(before?.settings, settings));
				await tx
					.update(workspace)
					.set({ settings, name: settings.business.name, changedBy: actor.person })
					.where(own);
				await touchStock(tx, actor);
			});
		}
	};
}

/** Called in the transaction of every change that figures hang on. */
export async function touchStock(tx: Writer, actor: Actor): Promise<void> {
	await tx
		.update(workspace)
		.set({ stockRevision: sql`${workspace.stockRevision} + 1` })
		.where(eq(workspace.id, actor.workspace));
}
