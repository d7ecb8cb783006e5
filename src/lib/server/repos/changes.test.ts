import { sql } from 'drizzle-orm';
import { expect, test } from 'vitest';
import { NOW, owner, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { materials } from '../../../../tests/kit/studio.ts';
import { loadStudio } from '../services/studio.ts';
import { createRepos } from './index.ts';

const [first] = materials;
const pack = first!.packs[0]!;

async function studio() {
	const { db, repos } = await tempStudio();
	await repos.people.addFirst(
		{ id: 'owner', name: 'Tansy', email: 'tansy@quay.example', role: 'owner', passwordHash: 'x' },
		NOW
	);
	await repos.people.add(
		{ id: 'pip', name: 'Pip', email: 'pip@quay.example', role: 'office', passwordHash: 'x' },
		NOW
	);
	return { db, repos, pip: createRepos(db, { ...owner, person: 'pip', role: 'office' }) };
}

test('a price, a rate, a role and a movement: who, when, from what to what, the newest first', async () => {
	const { repos, pip } = await studio();
	const from = Date.now();
	await pip.stock.changePack(pack.id, { count: pack.count, priceMinor: 1234 });
	const { settings } = await loadStudio(repos);
	await repos.workspaces.change({ ...settings, rates: { ...settings.rates, labourPerHour: 4321 } });
	await repos.people.setRole('pip', 'crew', NOW);
	await pip.stockMoves.add(first!.id, {
		id: 'm',
		day: '2027-05-01',
		kind: 'bought',
		thousandths: 7000,
		costMinor: null,
		note: ''
	});
	const { rows } = await repos.changes.list({});
	expect(
		rows.slice(0, 4).map(({ about, aboutId, what, was, is, by }) => [about, aboutId, what, was, is, by])
	).toEqual([
		['material', first!.id, 'stock.bought', null, '7000', 'Pip'],
		['person', 'pip', 'person.role', 'office', 'crew', 'Tansy'],
		[
			'settings',
			'home',
			'settings.rates, labour per hour',
			String(settings.rates.labourPerHour),
			'4321',
			'Tansy'
		],
		['material', first!.id, 'pack.price_minor', String(pack.priceMinor), '1234', 'Pip']
	]);
	for (const row of rows.slice(0, 4)) expect(Math.abs(row.at.getTime() - from)).toBeLessThan(60_000);
	// What is written again as it was is no change.
	const { many } = await repos.changes.list({});
	await pip.stock.changePack(pack.id, { count: pack.count, priceMinor: 1234 });
	expect((await repos.changes.list({})).many).toBe(many);
});

test('searched by words, person, figure and what it is about; signs of the search are letters', async () => {
	const { repos, pip } = await studio();
	await pip.stock.changePack(pack.id, { count: pack.count, priceMinor: 1234 });
	const many = async (search: string, about?: 'material' | 'person') =>
		(await repos.changes.list({ search, about })).many;
	expect(await many('1234')).toBe(1);
	expect(await many('1234', 'person')).toBe(0);
	expect(await many(first!.name.toUpperCase())).toBe(1);
	expect(await many('Pip')).toBeGreaterThanOrEqual(2);
	expect(await many('price of a pack')).toBe(1);
	expect([await many('%'), await many('pr_ce'), await many('\\'), await many('price_minor')]).toEqual([
		0, 0, 0, 0
	]);
	expect((await repos.changes.list({ about: 'material', aboutId: 'another' })).many).toBe(0);
	const elsewhere = createRepos((await studio()).db, { ...owner, workspace: 'elsewhere' });
	expect((await elsewhere.changes.list({})).many).toBe(0);
});

test('what was changed is never rewritten nor taken out, whoever asks the database', async () => {
	const { db, pip } = await studio();
	await pip.stock.changePack(pack.id, { count: pack.count, priceMinor: 1234 });
	await expect(db.write((tx) => tx.run(sql`UPDATE change_entry SET "is" = '1'`))).rejects.toThrow();
	await expect(db.write((tx) => tx.run(sql`DELETE FROM change_entry`))).rejects.toThrow();
});

test('a change that is not made is not told', async () => {
	const { db, repos, pip } = await studio();
	const { many } = await pip.changes.list({});
	await expect(
		db.write(async (tx) => {
			await tx.run(sql`UPDATE pack SET price_minor = 1 WHERE id = ${pack.id}`);
			throw new Error('no');
		})
	).rejects.toThrow('no');
	expect((await repos.changes.list({})).many).toBe(many);
});
