import { sql } from 'drizzle-orm';
import { expect, test } from 'vitest';
import { loseWrites } from '../../../../scripts/lost-writes.ts';
import { NOW, tempDatabase } from '../../../../tests/kit/temp-db.ts';
import { settings } from '../../../../scripts/demo/settings.ts';
import { BUSY_TIMEOUT } from './client.ts';
import { design } from './tables/design.ts';
import { workspace } from './tables/workspace.ts';

const row = (id: string) => ({ id, name: id, settings, createdAt: NOW, changedBy: 'p' });

test('every connection that writes enforces foreign keys and waits for other writers, a new one too', async () => {
	const db = await tempDatabase();
	for (let round = 0; round < 2; round++) {
		const pragmas = await db.write(async (tx) => [
			await tx.get(sql`PRAGMA foreign_keys`),
			await tx.get(sql`PRAGMA busy_timeout`)
		]);
		expect(pragmas.map((p) => Object.values(p as object)[0])).toEqual([1, BUSY_TIMEOUT]);
		db.client.reconnect();
	}
	const orphan = {
		workspaceId: 'nowhere',
		id: 'd',
		name: 'd',
		working: {},
		createdAt: NOW,
		changedAt: NOW,
		changedBy: 'p'
	};
	await expect(db.write((tx) => tx.insert(design).values(orphan))).rejects.toMatchObject({
		cause: { extendedCode: 'SQLITE_CONSTRAINT_FOREIGNKEY' }
	});
});

test('writes asked for at once take turns, and a failed one takes nothing with it', async () => {
	const db = await tempDatabase();
	const order: number[] = [];
	const writes = [0, 1, 2, 3].map((n) =>
		db.write(async (tx) => {
			await tx.insert(workspace).values(row(`w${n}`));
			order.push(n);
			if (n === 1) throw new Error('half way');
		})
	);
	const outcomes = await Promise.allSettled(writes);
	expect(outcomes.map((o) => o.status)).toEqual(['fulfilled', 'rejected', 'fulfilled', 'fulfilled']);
	expect(order).toEqual([0, 1, 2, 3]);
	const rows = await db.read.select({ id: workspace.id }).from(workspace);
	expect(rows.map((r) => r.id).sort()).toEqual(['w0', 'w2', 'w3']);
});

test('several processes writing at once: nothing acknowledged is missing', async () => {
	const { acknowledged, missing } = await loseWrites({ processes: 3, writers: 4, each: 10 });
	expect(acknowledged).toBe(120);
	expect(missing).toEqual([]);
}, 60_000);
