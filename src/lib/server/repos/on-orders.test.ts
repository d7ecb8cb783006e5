import { expect, test } from 'vitest';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { design } from '../../../../tests/kit/studio.ts';
import { onShelf } from '../../core/stock/ledger.ts';
import { countLines } from '../../core/count-back/count-lines.ts';
import { rational } from '../../core/units/rational.ts';
import { loadDesign } from '../services/design-query.ts';
import { keepCount } from '../services/count-back.ts';
import { queryOf } from '../services/design-query.ts';

const order = { id: 'o', material: '11-white', pack: 'p11white', packs: 3, count: 100, costMinor: 5000, ordered: '2027-05-01', due: '2027-05-08' }; // prettier-ignore

test('what came in parts is bought to the cent, and the rest is still to come; nothing comes twice', async () => {
	const { repos } = await tempStudio();
	await repos.onOrders.add(order);
	await repos.onOrders.add(order);
	expect(await repos.onOrders.open()).toEqual([order]);
	expect(await repos.onOrders.came('o', { packs: 4, day: '2027-05-08' })).toBe(false);
	expect(await repos.onOrders.came('o', { packs: 2, day: '2027-05-08' })).toBe(true);
	expect(await repos.onOrders.came('o', { packs: 2, day: '2027-05-08' })).toBe(false);
	const [rest] = await repos.onOrders.open();
	expect(rest).toMatchObject({ id: 'o.rest', packs: 1, costMinor: 1667 });
	expect(await repos.onOrders.came('o.rest', { packs: 1, day: '2027-05-09' })).toBe(true);
	const shelf = onShelf(await repos.stockMoves.of('11-white'));
	expect([shelf.onHand, shelf.value.valueOf()]).toEqual([300_000, 5000]);
	expect(await repos.onOrders.open()).toEqual([]);
});

test('what will not come is not on order any more', async () => {
	const { repos } = await tempStudio();
	await repos.onOrders.add(order);
	expect([await repos.onOrders.off('o'), await repos.onOrders.off('o')]).toEqual([true, false]);
	expect(await repos.onOrders.came('o', { packs: 1, day: '2027-05-08' })).toBe(false);
	expect(await repos.stockMoves.of('11-white')).toEqual([]);
});

test('a count after a build takes from the shelf what is kept account of, once', async () => {
	const { repos } = await tempStudio();
	await repos.designs.create('d', design('column', '4 11 at 9 white x6', '4 11 at 9 red'), NOW);
	await repos.designs.keep('d', NOW);
	await repos.stockMoves.add('11-white', { id: 'b', day: '2027-05-01', kind: 'bought', thousandths: 100_000, costMinor: 1700, note: '' }); // prettier-ignore
	const found = await loadDesign(repos, queryOf({ design: 'd' }, new URL('http://x/')));
	const choice = { colourway: found.colourway.id, size: null, quantity: 1 };
	const took = new Map(countLines(found.design.recipe, choice, found.context).map((l) => [l.key, { took: l.recipe, lost: 1 }])); // prettier-ignore
	expect([...took.values()].some((t) => t.took.equals(rational(24)))).toBe(true);
	for (let again = 0; again < 2; again++)
		await keepCount(repos, found, { id: 'count-one', took, note: '' }, NOW);
	const moves = await repos.stockMoves.of('11-white');
	expect(moves.map((m) => [m.kind, m.thousandths])).toEqual([['bought', 100_000], ['used', -23_000], ['lost', -1000]]); // prettier-ignore
	// Nothing was ever written down of the red ones: they are left.
	expect(await repos.stockMoves.of('11-red')).toEqual([]);
});

test('a view is kept by its name, and forgotten', async () => {
	const { repos } = await tempStudio();
	await repos.stockViews.keep({ id: 'a', name: 'whites', query: 'search=white' });
	await repos.stockViews.keep({ id: 'b', name: 'whites', query: 'search=gull' });
	expect(await repos.stockViews.list()).toEqual([{ id: 'a', name: 'whites', query: 'search=gull' }]);
	await repos.stockViews.drop('a');
	expect(await repos.stockViews.list()).toEqual([]);
});
