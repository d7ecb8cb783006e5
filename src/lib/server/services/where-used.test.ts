import { expect, test } from 'vitest';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { design, materials } from '../../../../tests/kit/studio.ts';
import { newTerms } from './quoting.ts';
import { loadStudio } from './studio.ts';
import { reservedFrom, whereUsed } from './where-used.ts';

test('a material is found in designs and in quotes that are not over; only what was accepted and is ahead is set aside', async () => {
	const { repos } = await tempStudio();
	const white = materials.find((m) => m.id === '11-white')!;
	await repos.designs.create('d', design('column', '4 11 at 9 white x6'), NOW);
	await repos.designs.keep('d', NOW);
	await repos.designs.create('other', design('other', '4 11 at 9 red'), NOW);
	await repos.designs.keep('other', NOW);
	const { settings } = await loadStudio(repos);
	const clientId = await repos.clients.named('Tidewick Library', 'client');
	for (const id of ['one', 'two'])
		await repos.quotes.create(id, { clientId, eventDate: '2027-06-01', zone: settings.zone, terms: { ...newTerms(settings), deliveryCostMinor: 0 }, lines: [{ id: `l-${id}`, versionId: 'd.1', colourwayId: null, sizeId: null, quantity: 2, way: null }] }, NOW); // prettier-ignore
	const found = await whereUsed(repos, { material: white.id });
	expect(found.designs).toEqual([{ id: 'd', name: 'column', used: 24 }]);
	expect(found.quotes.map((q) => [q.id, q.state, q.day])).toEqual(expect.arrayContaining([['one', 'draft', '2027-06-01'], ['two', 'draft', '2027-06-01']])); // prettier-ignore
	for (const { taken } of found.quotes) expect(taken).toBeGreaterThanOrEqual(48);
	expect(reservedFrom(found, '2027-05-01')).toEqual([]);
	const accepted = { designs: [], quotes: found.quotes.map((q) => ({ ...q, state: 'accepted' as const })) };
	expect(
		reservedFrom(accepted, '2027-06-01')
			.map((r) => r.quote)
			.sort()
	).toEqual(['one', 'two']);
	expect([reservedFrom(accepted, '2027-06-02'), reservedFrom(accepted, '2026-05-01')]).toEqual([[], []]);
});
