import { expect, test, vi } from 'vitest';
import { design as keyed } from '../../../../tests/kit/studio.ts';
import { here } from '../../../../tests/kit/here.ts';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { SHELF_PAGE, shelf, type ShelfSort } from './shelf.ts';

const ask = { search: '', tag: '', sort: 'name' as ShelfSort, page: 1 };
const put = (name: string, tags: string[], ...lines: string[]): Recipe => ({
	...keyed(name, ...lines),
	tags
});

async function three() {
	const { db, repos } = await tempStudio();
	const designs: [string, Recipe][] = [
		['hive', put('Hive column', ['bees'], '4 11 at 9 gold x8')],
		['lamp', put('Lamp post', ['harbour'], '4 11 at 9 white x4')],
		['gauge', put('Gauge pole', ['harbour'], '2 11 at 9 red x4')]
	];
	for (const [id, recipe] of designs) {
		await repos.designs.create(id, recipe, NOW);
		await repos.designs.keep(id, NOW);
	}
	return { db, repos };
}
const names = (found: { items: { name: string }[] }) => found.items.map((i) => i.name);

test('finds by words of name and tags, filters by tag, sorts', async () => {
	const { repos } = await three();
	expect(names(await shelf(repos, here(repos), ask))).toEqual(['Gauge pole', 'Hive column', 'Lamp post']);
	expect(names(await shelf(repos, here(repos), { ...ask, search: 'harb po' }))).toEqual([
		'Gauge pole',
		'Lamp post'
	]);
	expect(names(await shelf(repos, here(repos), { ...ask, tag: 'bees' }))).toEqual(['Hive column']);
	expect(names(await shelf(repos, here(repos), { ...ask, sort: 'price' }))[0]).toBe('Hive column');
	expect(names(await shelf(repos, here(repos), { ...ask, sort: 'time' }))[0]).toBe('Gauge pole');
	expect(await shelf(repos, here(repos), { ...ask, search: 'walrus' })).toMatchObject({
		found: 0,
		all: 3,
		tags: ['bees', 'harbour']
	});
});

test('shows the last kept version, and says when the working copy is newer', async () => {
	const { repos } = await three();
	const recipe = { ...put('Hive column', ['bees'], '4 11 at 9 gold x20'), name: 'Hive tower' };
	await repos.designs.save('hive', { saveId: 'save-hive', baseRevision: 1, recipe }, NOW);
	const one = async () => (await shelf(repos, here(repos), { ...ask, tag: 'bees' })).items[0]!;
	expect(await one()).toMatchObject({ name: 'Hive column', balloons: 32, ahead: true });
	await repos.designs.keep('hive', NOW);
	expect(await one()).toMatchObject({ name: 'Hive tower', balloons: 80, ahead: false });
});

test('prices follow the Stockroom, and a long shelf comes in pages', async () => {
	const { repos } = await three();
	const price = async () => (await shelf(repos, here(repos), { ...ask, tag: 'bees' })).items[0]!.price!.minor;
	const before = await price();
	await repos.stock.changePack('p11gold', { count: 50, priceMinor: 5000 });
	expect(await price()).toBeGreaterThan(before);
	for (let n = 0; n < SHELF_PAGE; n++)
		await repos.designs.create(`d${n}`, put(`Copy ${n}`, [], '4 11 at 9 white'), NOW);
	const second = await shelf(repos, here(repos), { ...ask, page: 2 });
	expect(second).toMatchObject({ page: 2, pages: 2, all: SHELF_PAGE + 3 });
	expect(second.items).toHaveLength(3);
	expect((await shelf(repos, here(repos), { ...ask, page: 99 })).page).toBe(2);
});

test('one that cannot be read any more is named, and keeps nobody from the others', async () => {
	const { db, repos } = await three();
	await repos.designs.create('mast', put('Mast', [], '4 11 at 9 white'), NOW);
	await db.client.execute("UPDATE design SET working = '{\"broken\": true}' WHERE id = 'mast'");
	const quiet = vi.spyOn(console, 'error').mockImplementation(() => undefined);
	expect(await shelf(repos, here(repos), ask)).toMatchObject({
		damaged: ['Mast'],
		items: [{ name: 'Gauge pole' }, { name: 'Hive column' }, { name: 'Lamp post' }]
	});
	quiet.mockRestore();
});
