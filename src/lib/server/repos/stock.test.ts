import { eq } from 'drizzle-orm';
import { expect, test } from 'vitest';
import { tempStudio } from '../../../../tests/kit/temp-db.ts';
import { pack } from '../db/tables/stock.ts';

test('a blank price is unknown and stays so; a price or count of 0 is refused by the database', async () => {
	const { db, repos } = await tempStudio();
	const find = async () => (await repos.stock.materials()).find((m) => m.id === '16-red')!;
	expect((await find()).packs[0]!.priceMinor).toBeNull();
	expect(await repos.stock.changePack('p16red', { count: 50, priceMinor: 2500 })).toBe(true);
	expect((await find()).packs[0]!.priceMinor).toBe(2500);
	for (const change of [{ priceMinor: 0 }, { count: 0 }]) {
		await expect(
			db.write((tx) => tx.update(pack).set(change).where(eq(pack.id, 'p16red')))
		).rejects.toMatchObject({ cause: { message: expect.stringContaining('CHECK constraint failed') } });
	}
	expect(await repos.stock.changePack('no such pack', { count: 1, priceMinor: 1 })).toBe(false);
});

test('every change of stock or settings moves the stamp that prices hang on', async () => {
	const { repos } = await tempStudio();
	const stamp = async () => (await repos.workspaces.find())!.stockRevision;
	const before = await stamp();
	await repos.stock.changePack('p11white', { count: 100, priceMinor: 1800 });
	await repos.stock.addColour({ id: 'kelp', name: 'kelp green', finish: 'matte', hex: '#3f6b3a' });
	await repos.workspaces.change((await repos.workspaces.find())!.settings);
	expect(await stamp()).toBe(before + 3);
});

test('a client of one name is one client', async () => {
	const { repos } = await tempStudio();
	expect(await repos.clients.named('Tidewick Library', 'a')).toBe('a');
	expect(await repos.clients.named('Tidewick Library', 'b')).toBe('a');
	expect(await repos.clients.list()).toHaveLength(1);
	expect(await repos.designs.latest()).toBeUndefined();
});
