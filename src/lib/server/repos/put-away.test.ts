import { describe, expect, test } from 'vitest';
import { design } from '../../../../tests/kit/studio.ts';
import { here } from '../../../../tests/kit/here.ts';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { newTerms, sendQuote } from '../services/quoting.ts';
import { shelf } from '../services/shelf.ts';
import { loadStudio } from '../services/studio.ts';
import type { Repos } from './index.ts';

const column = design('column', '4 11 at 9 white x6');
const TODAY = '2027-05-04';

async function kept(repos: Repos, id: string, recipe: Recipe = column) {
	await repos.designs.create(id, recipe, NOW);
	await repos.designs.keep(id, NOW);
}
async function quoted(repos: Repos, id: string, version: string, eventDate: string | null = '2027-06-01') {
	const { settings } = await loadStudio(repos);
	const clientId = await repos.clients.named('Tidewick Library', 'client');
	const lines = [
		{ id: `l-${id}`, versionId: version, colourwayId: null, sizeId: null, quantity: 1, way: null }
	];
	const terms = { ...newTerms(settings), deliveryCostMinor: 0 };
	await repos.quotes.create(id, { clientId, eventDate, zone: settings.zone, terms, lines }, NOW);
}
const sent = (repos: Repos, id: string) =>
	sendQuote(repos, { id, evenUnknown: true, now: NOW, token: `token-of-${id}` });
const shown = async (repos: Repos, away: boolean) =>
	(await shelf(repos, here(repos), { search: '', tag: '', sort: 'name', page: 1, away })).items.map(
		(i) => i.id
	);

describe('a design', () => {
	test('put away is off the Shelf and offered for no quote; taken out it is there as before', async () => {
		const { repos } = await tempStudio();
		await kept(repos, 'd');
		await kept(repos, 'e');
		const before = await repos.designs.find('d');
		expect(await repos.putAway.design('d', NOW)).toBe(true);
		expect([await shown(repos, false), await shown(repos, true)]).toEqual([['e'], ['d']]);
		expect((await repos.quotes.offered()).map((o) => o.design)).toEqual(['e']);
		expect(await repos.designs.latest()).toBe('e');
		expect(await repos.designs.version('d.1')).toMatchObject({ design: 'd' });
		expect(await repos.putAway.design('d', null)).toBe(true);
		expect(await repos.designs.find('d')).toEqual(before);
		expect(await repos.putAway.design('nobody', NOW)).toBe(false);
	});

	test('is deleted with its versions, names and photos, and only once it is put away', async () => {
		const { repos } = await tempStudio();
		await kept(repos, 'd');
		await repos.designs.nameVersion('d.1', 'first');
		const photo = { type: 'image/png', width: 1, height: 1, bytes: new Uint8Array([1]) } as const;
		await repos.photos.add('d', 'p', photo, '', NOW);
		expect(await repos.putAway.deleteDesign('d')).toBe('not put away');
		await repos.putAway.design('d', NOW);
		expect(await repos.putAway.deleteDesign('d')).toBe('deleted');
		expect(await repos.putAway.deleteDesign('d')).toBe('missing');
		expect([await repos.designs.find('d'), await repos.photos.bytes('p', 'shown in a sent quote')]).toEqual([undefined, undefined]); // prettier-ignore
		// A tab that has it open still is told, and nothing comes back.
		const save = { saveId: 'save-after-1', baseRevision: 1, recipe: column };
		expect(await repos.designs.save('d', save, NOW)).toEqual({ status: 'missing' });
		const { rows } = await repos.changes.list({ about: 'design', aboutId: 'd' });
		expect(rows.map((r) => r.what)).toEqual(['design.deleted', 'design.put_away']);
	});

	test('is held by a quote, by a quote that lost the line since it was sent, by designs it is in, and by a count', async () => {
		const { repos } = await tempStudio();
		for (const id of ['quoted', 'sent', 'part', 'counted']) await kept(repos, id, { ...column, name: id });
		await quoted(repos, 'q', 'quoted.1');
		await quoted(repos, 's', 'sent.1');
		expect(await sent(repos, 's')).toBe('sent');
		await repos.quoteLife.happen('s', 'revised', NOW);
		const { eventDate, zone, terms } = (await repos.quotes.find('s'))!;
		await repos.quotes.save('s', { eventDate, zone, terms, client: 'Tidewick Library', lines: [] }, { baseRevision: 1, saveId: 'save-s-1', newId: 'n' }); // prettier-ignore
		const user = { ...column, name: 'arch', sections: [...column.sections, { ...column.sections[0]!, id: 'x', name: 'arm', structure: { kind: 'design', design: 'part', quantity: '1', colourway: null, size: null, version: null } }] } as unknown as Recipe; // prettier-ignore
		await kept(repos, 'user', user);
		await repos.countBacks.add({ id: 'c', design: 'counted', colourwayId: null, sizeId: null, quantity: 1, lines: [], note: '', countedAt: NOW }); // prettier-ignore
		for (const [id, why] of [
			['quoted', 'It stands on quote 1.'],
			['sent', 'It stands on quote 2.'],
			['part', 'It is a part of “arch”'],
			['counted', 'was counted']
		] as const) {
			await repos.putAway.design(id, NOW);
			const outcome = await repos.putAway.deleteDesign(id);
			expect(outcome).toEqual({ by: [expect.stringContaining(why)] });
			expect(await repos.designs.version(`${id}.1`)).toBeDefined();
		}
	});
});

describe('a quote', () => {
	test('put away is in no list and nothing asks for it; it is found among those put away', async () => {
		const { repos } = await tempStudio();
		await kept(repos, 'd');
		await quoted(repos, 'q', 'd.1');
		expect(await repos.putAway.quote('q', NOW, TODAY)).toBe('done');
		expect((await repos.quoteList.page()).all).toBe(0);
		expect((await repos.quoteList.page({ isAway: true })).rows.map((r) => r.id)).toEqual(['q']);
		expect(await repos.putAway.quote('q', null, TODAY)).toBe('done');
		expect((await repos.quoteList.page()).all).toBe(1);
		expect(await repos.putAway.quote('nobody', NOW, TODAY)).toBe('missing');
	});

	test('that the client has, or whose day is still ahead, stays where it is', async () => {
		const { repos } = await tempStudio();
		await kept(repos, 'd');
		await quoted(repos, 'q', 'd.1');
		await sent(repos, 'q');
		expect(await repos.putAway.quote('q', NOW, TODAY)).toBe('open');
		await repos.quoteLife.happen('q', 'accepted', NOW);
		expect(await repos.putAway.quote('q', NOW, '2027-06-01')).toBe('ahead');
		// What was won counts, put away or not.
		expect(await repos.putAway.quote('q', NOW, '2027-06-02')).toBe('done');
		expect(await repos.quoteList.answers()).toMatchObject({ fresh: { won: 1, all: 1 } });
	});

	test('is deleted while it is a draft that nobody was sent, and never after', async () => {
		const { repos } = await tempStudio();
		await kept(repos, 'd');
		await quoted(repos, 'q', 'd.1');
		await quoted(repos, 's', 'd.1');
		await sent(repos, 's');
		expect(await repos.putAway.deleteQuote('s')).toBe('sent');
		await repos.quoteLife.happen('s', 'revised', NOW);
		expect(await repos.putAway.deleteQuote('s')).toBe('sent');
		expect(await repos.putAway.deleteQuote('q')).toBe('deleted');
		expect(await repos.putAway.deleteQuote('q')).toBe('missing');
		expect(await repos.quotes.find('s')).toBeDefined();
		const { rows } = await repos.changes.list({ about: 'quote', aboutId: 'q' });
		expect(rows.map((r) => r.what)).toEqual(['quote.deleted']);
	});
});
