import { expect, test } from 'vitest';
import { design, materials } from '../../../../tests/kit/studio.ts';
import { NOW, owner, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { wantedTwice } from '../services/jobs-ahead.ts';
import { thingsPage } from '../pages/things-page.ts';
import { newTerms, sendQuote } from '../services/quoting.ts';
import { settings } from '../../../../scripts/demo/settings.ts';
import { inches } from '../../core/units/length.ts';
import { createRepos } from './index.ts';

const about = { condition: 'good', place: '', note: '', hireMinor: null, depositMinor: null } as const;

test('offcuts: put together by length, taken one by one, and a cut is all of it or nothing', async () => {
	const { repos } = await tempStudio();
	const material = materials[0]!.id;
	const of = (long: number, count: number) => ({ material, length: inches(long), wide: 0, count }) as const;
	await repos.things.putOffcut(of(31, 1));
	await repos.things.putOffcut(of(31, 2));
	expect(await repos.things.offcuts()).toEqual([of(31, 3)]);
	expect(await repos.things.cut([of(31, 2), of(40, 1)], [of(18, 1)])).toBe(false);
	expect(await repos.things.offcuts()).toEqual([of(31, 3)]);
	expect(await repos.things.cut([of(31, 2)], [of(18, 1)])).toBe(true);
	expect(await repos.things.offcuts()).toEqual([of(18, 1), of(31, 1)]);
	expect(await repos.things.takeOffcut(of(31, 1))).toBe(true);
	expect(await repos.things.takeOffcut(of(31, 1))).toBe(false);
});

test('what is left of a sheet lies there by both its sides, and is no stick of that length', async () => {
	const { repos } = await tempStudio();
	const material = materials[0]!.id;
	const stick = { material, length: inches(31), wide: 0, count: 1 } as const;
	const sheet = { ...stick, wide: inches(14) };
	expect(await repos.things.cut([], [stick, sheet, sheet])).toBe(true);
	expect(await repos.things.offcuts()).toEqual([stick, { ...sheet, count: 2 }]);
	expect(await repos.things.takeOffcut(stick)).toBe(true);
	expect(await repos.things.offcuts()).toEqual([{ ...sheet, count: 2 }]);
	expect(await repos.things.takeOffcut({ ...sheet, wide: inches(13) })).toBe(false);
});

test('pieces: twice written down are there once, two have not one name, another workspace sees none', async () => {
	const { repos, db } = await tempStudio();
	const piece = { ...about, id: 'stand-1', material: materials[0]!.id, name: 'stand 1' };
	await repos.things.add([piece, { ...piece, id: 'stand-2', name: 'stand 2' }]);
	await repos.things.add([piece]);
	expect((await repos.things.owned()).map((t) => t.name)).toEqual(['stand 1', 'stand 2']);
	expect(await repos.things.change('stand-2', { ...about, name: 'stand 1' })).toBe(false);
	expect(await repos.things.change('stand-2', { ...about, name: 'stand two', condition: 'in repair' })).toBe(
		true
	);
	expect(await repos.things.change('gone', { ...about, name: 'x' })).toBe(false);
	expect(await createRepos(db, { ...owner, workspace: 'elsewhere' }).things.owned()).toEqual([]);
	await repos.things.remove('stand-1');
	expect((await repos.things.owned()).map((t) => t.condition)).toEqual(['in repair']);
});

test('two jobs on one day want three of two stands: it is said with who can wait; a third stand mends it', async () => {
	const { repos } = await tempStudio();
	const back = (await repos.stock.materials()).find((m) => m.reuse && m.unit === 'piece')!;
	await repos.designs.create('d', design('column', '4 11 at 9 white x6', `1 ${back.name}`), NOW);
	await repos.designs.keep('d', NOW);
	const clientId = await repos.clients.named('Tidewick Library', 'client');
	for (const [id, quantity] of [['first', 2], ['second', 1]] as const) {
		const lines = [{ id: `l-${id}`, versionId: 'd.1', colourwayId: null, sizeId: null, quantity, way: null }];
		await repos.quotes.create(id, { clientId, eventDate: '2027-06-12', zone: settings.zone, terms: { ...newTerms(settings), deliveryCostMinor: 0 }, lines }, NOW);
		expect(await sendQuote(repos, { id, token: `token-of-${id}`, evenUnknown: true, now: NOW })).toBe('sent');
	}
	await repos.quoteLife.happen('first', 'accepted', NOW);
	const piece = (n: number) => ({ ...about, id: `p-${n}`, material: back.id, name: `piece ${n}` });
	await repos.things.add([piece(1), piece(2)]);
	const page = () => thingsPage(repos, { from: '2027-06-10', today: '2027-05-04' });
	const { conflicts, rows } = await page();
	expect(conflicts).toMatchObject([{ thing: back.name, from: '2027-06-11', to: '2027-06-13', wanted: 3, have: 2, canWait: [{ firm: false }] }]);
	expect(rows.find((r) => r.id === back.id)!.wanted.map((w) => w.count).slice(0, 5)).toEqual([0, 3, 3, 3, 0]);
	expect(await wantedTwice(repos, { id: 'second' })).toEqual([expect.stringMatching(/^3 × .+ are wanted on those days, and there are 2 \(2 for 1, Tidewick Library\)\. Nothing you have could stand in\.$/)]);
	// A draft on those days is told before it is sent.
	const draft = await repos.quotes.find('first');
	await repos.quotes.create('third', { ...draft!, eventDate: '2027-06-13', lines: [{ ...draft!.lines[0]!, id: 'l-third' }] }, NOW);
	expect(await wantedTwice(repos, { id: 'third' })).toHaveLength(1);
	expect(await wantedTwice(repos, { id: 'gone' })).toEqual([]);
	await repos.things.add([piece(3)]);
	expect((await page()).conflicts).toEqual([]);
	await repos.things.change('p-3', { ...about, name: 'piece 3', condition: 'lost' });
	expect((await page()).conflicts).toHaveLength(1);
}); // prettier-ignore
