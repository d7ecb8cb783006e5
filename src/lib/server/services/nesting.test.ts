import { describe, expect, test } from 'vitest';
import { design as keyed } from '../../../../tests/kit/studio.ts';
import { here } from '../../../../tests/kit/here.ts';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { newSection } from '../../core/recipe/build.ts';
import { designUse } from '../../core/structures/design/empty.ts';
import { ON_THE_FLOOR } from '../../core/document/stand.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import type { Repos } from '../repos/index.ts';
import { touchedBy, usableIn, usersOf } from './nesting.ts';
import { shelf } from './shelf.ts';
import { compareVersions, restoreVersion, WORKING } from './versions.ts';

/** A column with kept designs standing on top of it. */
function holding(name: string, ...used: string[]): Recipe {
	const own = keyed(name, '4 11 at 9 white x4');
	const [main] = own.sections;
	const uses = used.map((design, i) => ({
		...newSection(`use${i}`, design, designUse(design)),
		stand: { ...ON_THE_FLOOR, by: main!.id }
	}));
	return { ...own, sections: [main!, ...uses] };
}
const bee = (balloons: number) => keyed('Bee', `1 11 at 9 gold x${balloons}`);

async function put(repos: Repos, id: string, recipe: Recipe) {
	await repos.designs.create(id, recipe, NOW);
	await repos.designs.keep(id, NOW);
}
let saves = 0;
async function change(repos: Repos, id: string, recipe: Recipe) {
	const { revision } = (await repos.designs.find(id))!;
	return repos.designs.save(id, { saveId: `save-${id}-${++saves}`, baseRevision: revision, recipe }, NOW);
}

/** bee ⊂ hive ⊂ fair, bee ⊂ fair; lamp stands by itself. */
async function nest() {
	const { repos } = await tempStudio();
	await put(repos, 'bee', bee(2));
	await put(repos, 'hive', holding('Hive', 'bee'));
	await put(repos, 'fair', holding('Fair', 'hive', 'bee'));
	await put(repos, 'lamp', keyed('Lamp', '4 11 at 9 red'));
	return repos;
}

describe('designs inside designs', () => {
	test('who holds a design, at any depth, nearest first', async () => {
		const repos = await nest();
		expect((await usersOf(repos, 'bee')).sort()).toEqual(['fair', 'hive']);
		expect(await usersOf(repos, 'hive')).toEqual(['fair']);
		expect(await usersOf(repos, 'lamp')).toEqual([]);
	});
	test('what may stand in a design: never itself, never what holds it', async () => {
		const repos = await nest();
		const names = async (id: string) => (await usableIn(repos, id)).map((d) => d.name).sort();
		expect(await names('bee')).toEqual(['Lamp']);
		expect(await names('hive')).toEqual(['Bee', 'Lamp']);
		expect(await names('lamp')).toEqual(['Bee', 'Fair', 'Hive']);
	});
	test('only last kept versions count: a use taken out and kept is no use any more', async () => {
		const repos = await nest();
		await change(repos, 'hive', holding('Hive'));
		expect(await usersOf(repos, 'hive')).toEqual(['fair']);
		expect((await usersOf(repos, 'bee')).sort()).toEqual(['fair', 'hive']);
		await repos.designs.keep('hive', NOW);
		expect(await usersOf(repos, 'bee')).toEqual(['fair']);
	});
	test('a change in a working copy reaches nobody until it is kept, and is costed for all it will reach', async () => {
		const repos = await nest();
		const query = { search: '', tag: '', sort: 'name' as const, page: 1 };
		const costs = async () =>
			new Map((await shelf(repos, here(repos), query)).items.map((i) => [i.id, i.cost.known.minor]));
		const before = await costs();
		await change(repos, 'bee', bee(6));
		expect(await costs()).toEqual(before);
		const touched = await touchedBy(repos, 'bee', (await repos.designs.find('bee'))!.recipe);
		expect(touched.map((t) => t.id).sort()).toEqual(['fair', 'hive']);
		for (const t of touched) {
			expect(t.before.minor).toBe(before.get(t.id));
			expect(t.after.minor).toBeGreaterThan(t.before.minor);
		}
		// The fair holds the bee twice: by itself and in its hive.
		const more = (id: string) => {
			const { before: b, after: a } = touched.find((t) => t.id === id)!;
			return a.minor - b.minor;
		};
		expect(more('fair')).toBeGreaterThan(1.5 * more('hive'));
		await repos.designs.keep('bee', NOW);
		const after = await costs();
		for (const t of touched) expect(after.get(t.id)).toBe(t.after.minor);
		expect(after.get('lamp')).toBe(before.get('lamp'));
	});
	test('an unknown cost inside is said', async () => {
		const repos = await nest();
		await change(repos, 'bee', keyed('Bee', '4 16 at 12 red'));
		const touched = await touchedBy(repos, 'bee', (await repos.designs.find('bee'))!.recipe);
		expect(touched.every((t) => t.unknown)).toBe(true);
	});
});

describe('versions of a design', () => {
	async function two() {
		const { repos } = await tempStudio();
		await put(repos, 'd', bee(2));
		await change(repos, 'd', bee(5));
		await repos.designs.keep('d', NOW);
		return repos;
	}
	test('are listed newest first and compared at today’s prices', async () => {
		const repos = await two();
		expect((await repos.designs.versions('d')).map((v) => v.number)).toEqual([2, 1]);
		const found = (await compareVersions(repos, 'd', { first: 'd.1', second: 'd.2' }))!;
		expect(found.materials).toEqual([{ label: '11 rounds, hive gold matte', first: 2, second: 5 }]);
		await repos.stock.changePack('p11gold', { count: 50, priceMinor: 9000 });
		const dearer = (await compareVersions(repos, 'd', { first: 'd.1', second: 'd.2' }))!;
		expect(dearer.cost.minor).toBeGreaterThan(found.cost.minor);
	});
	test('a version of another design, or none, is not compared', async () => {
		const repos = await two();
		await put(repos, 'e', bee(1));
		for (const first of ['e.1', 'd.9', ''])
			expect(await compareVersions(repos, 'd', { first, second: WORKING })).toBeUndefined();
	});
	test('going back keeps what the working copy held first, and is refused on a revision that is past', async () => {
		const repos = await two();
		await change(repos, 'd', bee(9));
		const { revision } = (await repos.designs.find('d'))!;
		const back = (over: object) =>
			restoreVersion(
				repos,
				'd',
				{ version: 'd.1', saveId: 'save-back', baseRevision: revision, ...over },
				NOW
			);
		expect(await back({ version: WORKING })).toBe(false);
		expect(await back({ version: 'd.7' })).toBe(false);
		expect(await back({ saveId: 'save-late', baseRevision: revision - 1 })).toBe(false);
		expect(await back({})).toBe(true);
		expect((await repos.designs.find('d'))!.recipe).toEqual(bee(2));
		expect((await repos.designs.version('d.3'))!.recipe).toEqual(bee(9));
	});
});
