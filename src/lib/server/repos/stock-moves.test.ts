import { expect, test } from 'vitest';
import { materials } from '../../../../tests/kit/studio.ts';
import { owner, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { onShelf, type Move } from '../../core/stock/ledger.ts';
import { loadStudio } from '../services/studio.ts';
import { unitCost } from '../../core/materials/unit-cost.ts';
import { createRepos } from './index.ts';

const [white, red] = [materials[0]!.id, materials[1]!.id];
const move = (id: string, kind: Move['kind'], pieces: number, costMinor: number | null = null): Move => ({ id, day: '2026-05-01', kind, thousandths: pieces * 1000, costMinor, note: '' }); // prettier-ignore

test('movements are added once, and never changed or taken away, whatever is tried', async () => {
	const { repos, db } = await tempStudio();
	await repos.stockMoves.add(white, move('one', 'bought', 100, 1600));
	await repos.stockMoves.add(white, move('one', 'bought', 100, 1600));
	await repos.stockMoves.add(white, move('two', 'used', -30));
	expect(onShelf(await repos.stockMoves.of(white)).onHand).toBe(70_000);
	for (const attack of ['UPDATE stock_move SET thousandths = 1', 'DELETE FROM stock_move'])
		await expect(db.client.execute(attack)).rejects.toThrow(/never/);
	expect(onShelf(await repos.stockMoves.of(white)).onHand).toBe(70_000);
});

test('a count writes the difference, all or nothing, and once however often it is sent', async () => {
	const { repos } = await tempStudio();
	await repos.stockMoves.add(white, move('one', 'bought', 100));
	const sheet = [{ material: white, thousandths: 96_000 }, { material: red, thousandths: 12_000 }]; // prettier-ignore
	expect(await repos.stockMoves.count({ id: 'sheet', day: '2026-05-02' }, sheet)).toEqual({
		differed: 2,
		others: []
	});
	expect(await repos.stockMoves.count({ id: 'sheet', day: '2026-05-02' }, sheet)).toEqual({
		differed: 0,
		others: []
	});
	const all = await repos.stockMoves.all();
	expect([onShelf(all.get(white)!).onHand, onShelf(all.get(red)!).onHand]).toEqual([96_000, 12_000]);
	expect(all.get(white)!.at(-1)).toMatchObject({ kind: 'counted', thousandths: -4000 });
	// One that is of nothing in the Stockroom takes the others back with it.
	await expect(repos.stockMoves.count({ id: 'odd', day: '2026-05-03', seen: { [white]: `sheet/${white}` } }, [{ material: white, thousandths: 1 }, { material: 'nothing', thousandths: 1 }])).rejects.toThrow(); // prettier-ignore
	expect(onShelf(await repos.stockMoves.of(white)).onHand).toBe(96_000);
});

test('another workspace sees none of it', async () => {
	const { repos, db } = await tempStudio();
	await repos.stockMoves.add(white, move('one', 'bought', 100));
	const other = createRepos(db, { ...owner, workspace: 'other' });
	expect(await other.stockMoves.of(white)).toEqual([]);
	expect([...(await other.stockMoves.all())]).toEqual([]);
});

test('where the average of the shelf counts, a piece costs what was paid for what is there', async () => {
	const { repos } = await tempStudio();
	const found = (await repos.workspaces.find())!.settings;
	await repos.workspaces.change({ ...found, rates: { ...found.rates, packPrice: 'average' } });
	await repos.stockMoves.add(white, move('a', 'bought', 100, 1000));
	await repos.stockMoves.add(white, move('b', 'bought', 300, 6000));
	const own = (await loadStudio(repos)).materials.find((m) => m.id === white)!;
	expect(unitCost(own)!.valueOf()).toBe(17.5);
});

test('two count one shelf: the second is told and nothing is written; sent again with what is known, it counts', async () => {
	const { repos } = await tempStudio();
	const found = [{ material: '11-white', thousandths: 30_000 }, { material: '11-red', thousandths: 9000 }]; // prettier-ignore
	expect(await repos.stockMoves.count({ id: 'mira', day: '2027-05-04' }, [{ material: '11-white', thousandths: 34_000 }])).toMatchObject({ differed: 1 }); // prettier-ignore
	const told = await repos.stockMoves.count({ id: 'ana', day: '2027-05-04' }, found);
	expect(told).toEqual({ differed: 0, others: [{ material: '11-white', count: 'mira/11-white', thousandths: 34_000 }] }); // prettier-ignore
	expect(await repos.stockMoves.of('11-red')).toEqual([]);
	const seen = { '11-white': 'mira/11-white' };
	expect(await repos.stockMoves.count({ id: 'ana', day: '2027-05-04', seen }, found)).toMatchObject({ differed: 2, others: [] }); // prettier-ignore
	const all = await repos.stockMoves.all();
	expect([...all].map(([id, moves]) => [id, moves.reduce((a, m) => a + m.thousandths, 0)])).toEqual([['11-white', 30_000], ['11-red', 9000]]); // prettier-ignore
});
