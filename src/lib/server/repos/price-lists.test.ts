import { expect, test } from 'vitest';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { design, designOf } from '../../../../tests/kit/studio.ts';
import { inches } from '../../core/units/length.ts';
import { newTerms } from '../services/quoting.ts';
import { guessColumns } from '../../core/price-list/columns.ts';
import { planBroughtList } from '../services/bring-list.ts';
import type { Repos } from './index.ts';

const LIST = 'code,name,pack,price,kind,colour\nW1,"11 in round, white",100,21.00,,\n,"11 in round, gold",25,6.00,,\nN1,12 in round,50,11.00,round,hive gold\nN2,a big thing,1,3.00,fitting,\n'; // prettier-ignore

async function sellerOf(repos: Repos): Promise<string> {
	return (await repos.stock.suppliers())[0]!.id;
}
async function bring(repos: Repos, id: string, text: string, takeNew = true) {
	const supplier = await sellerOf(repos);
	const columns = guessColumns(text.split('\n')[0]!.split(','), []);
	const choices = { columns, kind: null, style: { decimal: '.' as const }, currency: 'USD' as const };
	const asked = await planBroughtList(repos, { text, choices, supplier, takeNew });
	if ('trouble' in asked || asked.rows !== null) throw new Error('not asked');
	const meant = await planBroughtList(repos, { text, choices, supplier, takeNew, meant: asked.about });
	if ('trouble' in meant || meant.rows === null) throw new Error('not meant');
	const plan = { ...meant, rows: meant.rows, effect: asked.effect };
	const done = await repos.priceLists.bringIn({ id, supplier, day: '2027-05-04', file: 'spring.csv', columns: plan.columns, rows: plan.rows }); // prettier-ignore
	return { plan, done };
}
const packsOf = async (repos: Repos) => (await repos.stock.materials()).flatMap((m) => m.packs.map((p) => ({ of: m.id, ...p }))); // prettier-ignore

test('a list is brought in whole: prices, packs and what is new, with what it moves said before', async () => {
	const { repos } = await tempStudio();
	await repos.designs.create('d', design('column', '4 11 at 9 white x6'), NOW);
	await repos.designs.keep('d', NOW);
	const { plan, done } = await bring(repos, 'list-one', LIST);
	expect(done).toBe(true);
	expect(plan.counts).toMatchObject({ changes: 1, another: 1, new: 2 });
	// 24 of them: a pack of 100 is 4.00 dearer, 24 × 0.04, and more for what is lost.
	expect(plan.effect.designs).toHaveLength(1);
	expect(plan.effect.designs[0]!.by).toBeGreaterThanOrEqual(96);
	const packs = await packsOf(repos);
	expect(packs.find((p) => p.id === 'p11white')).toMatchObject({ priceMinor: 2100, code: 'W1' });
	expect(packs.filter((p) => p.of === '11-gold').map((p) => [p.count, p.priceMinor])).toContainEqual([
		25, 600
	]);
	const fresh = (await repos.stock.materials()).filter((m) => m.id.startsWith('list-one'));
	expect(fresh.map((m) => [m.name, m.kind, m.packs[0]!.priceMinor])).toEqual(expect.arrayContaining([['12 in round', 'latex-round', 1100], ['a big thing', 'fitting', 300]])); // prettier-ignore
	expect(await repos.stock.prices('11-white')).toMatchObject([{ priceMinor: 1700 }, { priceMinor: 2100, day: '2027-05-04' }]); // prettier-ignore
	// Sent again it is in already; the columns are remembered.
	expect((await bring(repos, 'list-one', LIST.replaceAll('21.00', '22.00'))).done).toBe(false);
	expect(Object.values(await repos.priceLists.columns())[0]).toMatchObject({ price: 'price', code: 'code' });
});

test('taken back, all is as it was; what was changed since and what is used by now stays', async () => {
	const { repos } = await tempStudio();
	const before = await repos.stock.materials();
	await bring(repos, 'list-one', LIST);
	expect(await repos.priceLists.takeBack('list-one', '2027-05-05')).toEqual({ changedSince: 0, stay: 0 });
	expect(await repos.stock.materials()).toEqual(before);
	expect(await repos.priceLists.takeBack('list-one', '2027-05-05')).toBeUndefined();
	await bring(repos, 'list-two', LIST);
	await repos.stock.changePack('p11white', { count: 100, priceMinor: 1950 });
	await repos.stockMoves.add('list-two.4', { id: 'm', day: '2027-05-05', kind: 'bought', thousandths: 9000, costMinor: null, note: '' }); // prettier-ignore
	expect(await repos.priceLists.takeBack('list-two', '2027-05-06')).toEqual({ changedSince: 1, stay: 1 });
	const after = await repos.stock.materials();
	expect(after.find((m) => m.id === '11-white')!.packs[0]!.priceMinor).toBe(1950);
	expect(after.filter((m) => m.id.startsWith('list-two')).map((m) => [m.id, m.retired])).toEqual([['list-two.4', true]]); // prettier-ignore
	expect((await repos.priceLists.last()).map((l) => [l.id, l.undone])).toEqual([['list-two', true], ['list-one', true]]); // prettier-ignore
});

test('what anything hangs on stays, retired: a piece that comes back, an offcut, a rule, a line of a quote, one made one with it, a balloon a design calls for by size and colour', async () => {
	const { repos } = await tempStudio();
	const NAMES = ['a stand', 'a tube', 'a ruled thing', 'a typed thing', 'a stand-in', '12 in round', '9 in round', 'a spare']; // prettier-ignore
	const kinds: Record<string, string> = { '12 in round': 'round', '9 in round': 'round' };
	const rows = NAMES.map(
		(name, i) => `N${i},${name},10,5.00,${kinds[name] ?? 'fitting'},${kinds[name] ? 'hive gold' : ''}`
	);
	await bring(repos, 'list-all', ['code,name,pack,price,kind,colour', ...rows].join('\n'));
	const id = (name: string) => `list-all.${NAMES.indexOf(name) + 2}`;
	await repos.things.add([{ id: 's1', material: id('a stand'), name: 'stand 1', condition: 'good', place: '', note: '', hireMinor: null, depositMinor: null }]); // prettier-ignore
	await repos.things.putOffcut({ material: id('a tube'), length: inches(20), wide: 0, count: 1 });
	const { settings } = (await repos.workspaces.find())!;
	await repos.workspaces.change({ ...settings, rates: { ...settings.rates, rules: [...settings.rates.rules, { of: 'tee', each: '1', material: id('a ruled thing') }] } }); // prettier-ignore
	await repos.designs.create('d', design('column', '4 11 at 9 white'), NOW);
	await repos.designs.keep('d', NOW);
	const clientId = await repos.clients.named('Tidewick Library', 'client');
	const typed = [{ id: 't', label: 'hooks', quantity: 2, priceMinor: 100, costMinor: null, material: id('a typed thing') }]; // prettier-ignore
	await repos.quotes.create('q', { clientId, eventDate: null, zone: settings.zone, terms: { ...newTerms(settings), deliveryCostMinor: 0, typed } as never, lines: [{ id: 'l', versionId: 'd.1', colourwayId: null, sizeId: null, quantity: 1, way: null }] }, NOW); // prettier-ignore
	await repos.stock.changeMaterial('star card', { retired: true, into: id('a stand-in') });
	// A design that calls for a balloon by its size and colour names no material.
	const own = await repos.stock.materials();
	await repos.designs.create('gold', designOf(own, 'gold', ['4 12 at 9 gold']), NOW);
	expect(await repos.priceLists.takeBack('list-all', '2027-05-05')).toEqual({ changedSince: 0, stay: 6 });
	const left = (await repos.stock.materials()).filter((m) => m.id.startsWith('list-all'));
	expect(left.map((m) => m.name).sort()).toEqual(NAMES.slice(0, 6).sort());
	expect(left.every((m) => m.retired && m.packs.length === 1)).toBe(true);
});

test('of a list that cannot be written nothing is written', async () => {
	const { repos } = await tempStudio();
	const before = await packsOf(repos);
	const supplier = await sellerOf(repos);
	const rows = [
		{ line: 2, says: 'ok', state: 'changes' as const, pack: before.find((p) => p.id === 'p11white')!, then: { code: '', suppliersName: '', count: 100, priceMinor: 1, depositMinor: null } },
		{ line: 3, says: 'bad', state: 'another' as const, material: '11-white', then: { code: '', suppliersName: '', count: 0, priceMinor: 1, depositMinor: null } }
	]; // prettier-ignore
	await expect(repos.priceLists.bringIn({ id: 'broken', supplier, day: '2027-05-04', file: 'x', columns: {}, rows })).rejects.toThrow(); // prettier-ignore
	expect(await packsOf(repos)).toEqual(before);
	expect(await repos.priceLists.last()).toEqual([]);
});

test('four thousand rows come in at once and go again', async () => {
	const { repos } = await tempStudio();
	const many = 4000;
	const text = ['code,name,pack,price,kind', ...Array.from({ length: many }, (_, i) => `N${i},fitting ${i},10,${(i % 900) + 1}.50,fitting`)].join('\n'); // prettier-ignore
	await bring(repos, 'large', text);
	expect((await repos.stock.materials()).filter((m) => m.id.startsWith('large.'))).toHaveLength(many);
	expect(await repos.priceLists.takeBack('large', '2027-05-05')).toEqual({ changedSince: 0, stay: 0 });
	expect((await repos.stock.materials()).filter((m) => m.id.startsWith('large.'))).toEqual([]);
}, 60_000);
