import { PLAIN_MATERIAL } from '../../core/materials/material.ts';
import { describe, expect, test } from 'vitest';
import { design } from '../../../../tests/kit/studio.ts';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { newSection } from '../../core/recipe/build.ts';
import { designUse } from '../../core/structures/design/empty.ts';
import { countLines } from '../../core/count-back/count-lines.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import type { Repos } from '../repos/index.ts';
import { loadDesign } from './design-query.ts';
import { rational } from '../../core/units/rational.ts';
import { keepCount, makeCounted } from './count-back.ts';
import { sideBySide } from './side-by-side.ts';

const column = design('Buoy', '4 16 at 13 grey', '4 11 at 10 white x5', 'size tall 7 ft');
const at = (design: string, query = '') => ({ design, search: `?${query}` });
async function studio(recipe: Recipe = column) {
	const { repos } = await tempStudio();
	await repos.designs.create('buoy', recipe, NOW);
	return repos;
}
async function count(repos: Repos, id: string, took: Record<string, number>, query = '') {
	const wanted = await loadDesign(repos, at('buoy', query));
	const choice = { colourway: wanted.colourway.id, size: wanted.size?.id ?? null, quantity: wanted.quantity };
	const byLabel = new Map(
		countLines(wanted.design.recipe, choice, wanted.context).map((l) => [l.label, l.key])
	);
	const keys = new Map(
		Object.entries(took).map(([label, n]) => [byLabel.get(label)!, { took: rational(n), lost: 1 }])
	);
	return { wanted, counted: { id, took: keys, note: 'windy' } };
}
const WHITE = '11 at 10, gull white';

describe('a count back', () => {
	test('is kept beside what the recipe said then, once for each press', async () => {
		const repos = await studio();
		const { wanted, counted } = await count(repos, 'count-0001', { [WHITE]: 22 });
		for (let i = 0; i < 2; i++) await keepCount(repos, wanted, counted, NOW);
		const kept = await repos.countBacks.list('buoy');
		expect(kept).toHaveLength(1);
		expect(kept[0]).toMatchObject({ quantity: 1, note: 'windy', madeVersion: null, countedAt: NOW });
		expect(kept[0]!.lines).toEqual([
			expect.objectContaining({ label: WHITE, recipe: '20', took: '22', lost: 1 })
		]);
	});
	test('made a version, the working copy of before is kept too, and the new one has its name', async () => {
		const repos = await studio();
		const { wanted, counted } = await count(repos, 'count-0002', { [WHITE]: 24 });
		await keepCount(repos, wanted, counted, NOW);
		const made = await makeCounted(repos, wanted, counted, NOW);
		expect(made).toEqual({ version: 2, left: [] });
		expect((await repos.designs.versions('buoy')).map((v) => [v.number, v.how, v.name])).toEqual([
			[2, 'count back', 'as counted'],
			[1, 'count back', null]
		]);
		expect((await repos.countBacks.list('buoy'))[0]!.madeVersion).toBe(2);
		const { context, design: now } = await loadDesign(repos, at('buoy'));
		const lines = countLines(now.recipe, { colourway: null, size: null, quantity: 1 }, context);
		expect(lines.find((l) => l.label === WHITE)!.recipe.valueOf()).toBe(24);
		// The same press again makes no third version.
		expect(await makeCounted(repos, wanted, counted, NOW)).toEqual({ version: 2, left: [] });
	});
	test.each([
		['for several that do not share alike', 'quantity=2', /41 for 2 of them is not the same for each/],
		['where nothing was changed', '', /It took exactly what the recipe says/],
		['in a size', `size=${column.sizes[0]!.id}`, /A size follows from the design/]
	])('%s it is refused in words and nothing is made', async (_, query, words) => {
		const repos = await studio();
		const { wanted, counted } = await count(repos, 'count-0003', { [WHITE]: query === '' ? 20 : 41 }, query);
		const made = await makeCounted(repos, wanted, counted, NOW);
		expect('refused' in made ? made.refused : '').toMatch(words);
		expect(await repos.designs.versions('buoy')).toEqual([]);
	});
});

describe('designs side by side', () => {
	const plain = (id: string) => ({ design: id, version: '', clusters: null });
	test('the same one twice differs in nothing; in six-packs in balloons, cost and time', async () => {
		const repos = await studio();
		const same = (await sideBySide(repos, plain('buoy'), plain('buoy')))!;
		expect([same.comparison.cost.minor, same.comparison.seconds, same.comparison.materials]).toEqual([
			0,
			0,
			[]
		]);
		const six = (await sideBySide(repos, plain('buoy'), { ...plain('buoy'), clusters: 6 }))!;
		expect(six.second.balloons).toBeGreaterThan(six.first.balloons);
		expect(six.comparison.seconds).toBeGreaterThan(0);
		expect(six.comparison.materials.length).toBeGreaterThan(0);
	});
	test('a kept version is shown as it was, another design by its own prices, and what is not there is not', async () => {
		const repos = await studio();
		await repos.designs.keep('buoy', NOW);
		const found = (await repos.designs.find('buoy'))!;
		const taller = { ...design('Taller', '4 11 at 10 white x9'), name: 'Taller' };
		await repos.designs.save(
			'buoy',
			{ saveId: 'save-0001', baseRevision: found.revision, recipe: taller },
			NOW
		);
		const both = (await sideBySide(repos, plain('buoy'), { ...plain('buoy'), version: 'buoy.1' }))!;
		expect([both.first.name, both.second.name]).toEqual(['Taller', 'Buoy']);
		expect(await sideBySide(repos, plain('buoy'), plain('nobody'))).toBeUndefined();
	});
});

describe('designs brought by a file', () => {
	const inner = design('Inner', '4 11 at 9 gold');
	const outer = { ...column, sections: [...column.sections, newSection('use', 'inner', designUse('inner'))] };
	test('are kept at once, with their index, and one whose id is taken is left as it is', async () => {
		const repos = await studio();
		const brought = [{ id: 'outer', recipe: outer }, { id: 'inner', recipe: inner }, { id: 'buoy', recipe: inner }]; // prettier-ignore
		expect(await repos.designs.importDesigns(brought, NOW)).toBe(2);
		expect(await repos.designs.importDesigns(brought, NOW)).toBe(0);
		expect((await repos.designs.find('buoy'))!.recipe.name).toBe('Buoy');
		expect((await repos.designs.lastKept('outer'))!.number).toBe(1);
		expect(await repos.designs.uses()).toEqual([{ user: 'outer', used: 'inner' }]);
		expect((await repos.designs.checkRefs(false)).wrong).toEqual([]);
	});
	test('materials come without a pack: their cost is unknown, and said', async () => {
		const repos = await studio();
		const pebble = { ...PLAIN_MATERIAL, id: 'pebble', kind: 'accent' as const, name: 'pebble' };
		await repos.stock.importMaterials({
			colours: [{ id: 'sand', name: 'sand', finish: 'matte', hex: '#ddccaa' }],
			materials: [pebble]
		});
		expect((await repos.stock.materials()).find((m) => m.id === 'pebble')).toEqual({ ...pebble, packs: [] });
		expect((await repos.stock.colours()).some((c) => c.id === 'sand')).toBe(true);
	});
});
