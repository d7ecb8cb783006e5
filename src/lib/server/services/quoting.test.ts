import { eq } from 'drizzle-orm';
import { describe, expect, test } from 'vitest';
import { design as keyed } from '../../../../tests/kit/studio.ts';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { frozenQuoteSchema } from '../../core/quote/quote.schema.ts';
import type { QuoteTerms } from '../../core/quote/quote.ts';
import { quote, quoteEvent, quoteIssue, quoteLine } from '../db/tables/quote.ts';
import { newTerms, sendQuote, validUntil } from './quoting.ts';

async function drafted(change: Partial<QuoteTerms> = {}, ...lines: string[]) {
	const { db, repos } = await tempStudio();
	const { settings } = (await repos.workspaces.find())!;
	await repos.designs.create(
		'd',
		keyed('column', ...(lines.length > 0 ? lines : ['4 11 at 9 white x5'])),
		NOW
	);
	await repos.designs.keep('d', NOW);
	const clientId = await repos.clients.named('Tidewick Library', 'c1');
	const terms = { ...newTerms(settings), deliveryMinor: 3000, deliveryCostMinor: 1200, tax: '7', ...change };
	const line = (id: string, quantity: number) => ({
		id,
		versionId: 'd.1',
		colourwayId: null,
		sizeId: null,
		way: null,
		quantity
	});
	const draft = {
		clientId,
		eventDate: '2027-06-12',
		zone: 'America/New_York',
		terms,
		lines: [line('l1', 2), line('l2', 1)]
	};
	await repos.quotes.create('q', draft, NOW);
	const send = (evenUnknown = false) =>
		sendQuote(repos, { id: 'q', token: 'token-of-q', evenUnknown, now: NOW });
	return { db, repos, draft, send };
}

/** A draft as it is saved: its client by name. */
const named = ({ clientId: _, ...draft }: Awaited<ReturnType<typeof drafted>>['draft']) => ({
	...draft,
	client: 'Tidewick Library'
});
const base = (baseRevision: number, saveId = `save-from-${baseRevision}`) => ({
	baseRevision,
	saveId,
	newId: `client-${saveId}`
});

describe('sending a quote', () => {
	test('freezes all the client reads; lines, delivery and discount sum to the cent', async () => {
		const { repos, send } = await drafted({ discount: { kind: 'percent', percent: '7' } });
		expect(await send()).toBe('sent');
		const frozen = (await repos.sentQuotes.byToken('token-of-q'))!.frozen;
		const lines = frozen.lines.reduce((a, l) => a + l.amount.minor, 0);
		expect(lines + frozen.delivery.minor).toBe(frozen.subtotal.minor);
		expect(frozen.subtotal.minor - frozen.discount.minor).toBe(frozen.net.minor);
		expect(frozen.net.minor + frozen.tax.minor).toBe(frozen.total.minor);
		expect(frozen).toMatchObject({
			number: 1,
			eventDate: '2027-06-12',
			zone: 'America/New_York',
			engine: '2'
		});
		expect(frozen.lines[0]!.picture!.discs).toHaveLength(20);
		expect(frozen.cautions[0]).toContain('CHOKING HAZARD');
	});
	test('holds no cost, margin or note of the owner’s, whatever is looked for', async () => {
		const { repos, send } = await drafted();
		await send();
		const read = JSON.stringify((await repos.sentQuotes.byToken('token-of-q'))!);
		const owner = (await repos.quotes.find('q'))!.issued!.owner;
		expect(owner.cost.minor).toBeGreaterThan(0);
		expect(read).not.toMatch(/margin|markup|cost|profit|labour|overhead/i);
		expect(read).not.toContain(`"minor":${owner.cost.minor}`);
	});
	test('later changes of stock, settings and designs do not reach it', async () => {
		const { repos, send } = await drafted();
		await send();
		const before = await repos.sentQuotes.byToken('token-of-q');
		const { settings } = (await repos.workspaces.find())!;
		await repos.workspaces.change({ ...settings, business: { ...settings.business, name: 'Renamed' } });
		await repos.stock.changePack('p11white', { count: 10, priceMinor: 9900 });
		expect(await repos.sentQuotes.byToken('token-of-q')).toEqual(before);
	});
	test('sending twice sends once; a sent quote is not saved over', async () => {
		const { repos, draft, send } = await drafted();
		expect([await send(), await send()]).toEqual(['sent', 'sent']);
		expect(await repos.quotes.save('q', { ...named(draft), lines: [] }, base(1))).toBe('sent');
		expect((await repos.quotes.find('q'))!.lines).toHaveLength(2);
	});
	test('the database itself refuses every change to a sent one, but for the answer', async () => {
		const { db, repos, send } = await drafted();
		await send();
		const here = eq(quote.id, 'q');
		for (const change of [
			{ terms: {} },
			{ number: 9 },
			{ eventDate: '2027-06-13' },
			{ zone: 'Europe/Paris' }
		]) {
			await expect(db.write((tx) => tx.update(quote).set(change).where(here))).rejects.toMatchObject({
				cause: { message: expect.stringContaining('a sent quote never changes') }
			});
		}
		await expect(db.write((tx) => tx.delete(quoteLine).where(eq(quoteLine.quoteId, 'q')))).rejects.toThrow();
		await expect(db.write((tx) => tx.delete(quote).where(here))).rejects.toThrow();
		for (const change of [{ frozen: {} }, { token: 'other' }, { issuedAt: new Date(0) }])
			await expect(db.write((tx) => tx.update(quoteIssue).set(change))).rejects.toMatchObject({
				cause: { message: expect.stringContaining('an issued quote never changes') }
			});
		await expect(db.write((tx) => tx.delete(quoteIssue))).rejects.toThrow();
		expect(await repos.quoteLife.happen('q', 'accepted', NOW)).toBe(true);
		expect((await repos.quotes.find('q'))!.state).toBe('accepted');
	});
	test('what happened is only ever added to: an answer, another one, and none again', async () => {
		const { db, repos, send } = await drafted();
		await send();
		expect(await repos.quoteLife.happen('q', 'answer taken back', NOW)).toBe(false);
		for (const event of ['declined', 'declined', 'accepted', 'answer taken back'] as const)
			expect(await repos.quoteLife.happen('q', event, NOW)).toBe(true);
		expect((await repos.quotes.find('q'))!.state).toBe('sent');
		expect((await repos.quoteLife.events('q')).map((e) => [e.event, e.by])).toEqual([
			['issued', 'owner'],
			['declined', 'owner'],
			['accepted', 'owner'],
			['answer taken back', 'owner']
		]);
		await expect(db.write((tx) => tx.update(quoteEvent).set({ event: 'accepted' }))).rejects.toThrow();
		await expect(db.write((tx) => tx.delete(quoteEvent))).rejects.toThrow();
	});
	test('no lines, no reachable margin or an unknown cost: not sent, each for its reason', async () => {
		const empty = await drafted();
		await empty.repos.quotes.save('q', { ...named(empty.draft), lines: [] }, base(1));
		expect(await empty.send()).toBe('no lines');
		expect(await (await drafted({ margin: '100' })).send()).toBe('no price');
		const unknown = await drafted({}, '4 16 at 12 red');
		expect(await unknown.send()).toBe('unknown cost');
		expect(await unknown.send(true)).toBe('sent');
		expect((await unknown.repos.quotes.find('q'))!.issued!.owner.unknown).not.toEqual([]);
		expect(await sendQuote(unknown.repos, { id: 'none', token: 't', evenUnknown: false, now: NOW })).toBe(
			'missing'
		);
	});
	test('only a sent quote has an answer, and a stale draft is not saved', async () => {
		const { repos, draft } = await drafted();
		expect(await repos.quoteLife.happen('q', 'accepted', NOW)).toBe(false);
		expect(await repos.quotes.save('q', named(draft), base(1))).toBe('saved');
		// The same save sent again is answered as it was; another one from the old revision is stale.
		expect(await repos.quotes.save('q', named(draft), base(1))).toBe('saved');
		expect((await repos.quotes.find('q'))!.revision).toBe(2);
		expect(await repos.quotes.save('q', named(draft), base(1, 'save-another'))).toBe('stale');
	});
	test('a name typed slowly is one client: renamed while only this quote knows it, left where others do', async () => {
		const { repos, draft } = await drafted();
		let at = 1;
		const type = async (client: string) => {
			const outcome = await repos.quotes.save(
				'q',
				{ ...named(draft), client },
				base(at, `save-${at}-${client}`)
			);
			at += 1;
			return outcome;
		};
		for (const client of ['T', 'Ti', 'Tide', 'Tidewick Bakery']) expect(await type(client)).toBe('saved');
		expect((await repos.clients.list()).map((c) => c.name)).toEqual(['Tidewick Bakery']);
		// Another quote of the same client: a new name is a new client, the old one stays with the other quote.
		const { clientId } = (await repos.quotes.find('q'))!;
		await repos.quotes.create('q2', { ...draft, clientId, lines: [] }, NOW);
		await type('Tidewick School');
		await type('Tidewick Schools');
		expect((await repos.clients.list()).map((c) => c.name)).toEqual(['Tidewick Bakery', 'Tidewick Schools']);
		await type('Tidewick Bakery');
		expect((await repos.clients.list()).map((c) => c.name)).toEqual(['Tidewick Bakery']);
	});
	test('past five hundred quotes none is missing: pages, and a search over client, occasion, place and number', async () => {
		const { repos, draft } = await drafted();
		const many = Array.from({ length: 520 }, (_, i) => i);
		for (const i of many)
			await repos.quotes.create(
				`many-${i}`,
				{ ...draft, lines: [], eventDate: `2028-01-${String((i % 28) + 1).padStart(2, '0')}`, terms: { ...draft.terms, occasion: `event e${i}` } },
				NOW
			); // prettier-ignore
		const seen = new Set<string>();
		for (let page = 1; page <= 11; page++)
			for (const row of (await repos.quoteList.page({ page, today: '2027-12-01' })).rows) seen.add(row.id);
		expect([seen.size, (await repos.quoteList.page()).pages]).toEqual([521, 11]);
		const found = await repos.quoteList.page({ search: 'library EVENT e519' });
		expect(found.rows.map((r) => r.id)).toEqual(['many-519']);
		expect((await repos.quoteList.page({ search: '100 %_' })).all).toBe(0);
		expect((await repos.quoteList.page({ page: 9999 })).page).toBe(11);
	});
});

test('an offer stands until a calendar day where the business is: late in the evening there it is still today', () => {
	expect(validUntil(new Date('2027-03-01T03:30:00Z'), 14, 'America/New_York')).toBe('2027-03-14');
	expect(validUntil(new Date('2027-03-01T03:30:00Z'), 14, 'Pacific/Auckland')).toBe('2027-03-15');
});

test('a frozen quote of version 1 still reads, and one of no known version does not', async () => {
	const { repos, send } = await drafted();
	await send();
	const { frozen } = (await repos.sentQuotes.byToken('token-of-q'))!;
	expect(frozen.version).toBe(1);
	expect(frozenQuoteSchema.parse(JSON.parse(JSON.stringify(frozen)))).toEqual(frozen);
	expect(frozenQuoteSchema.safeParse({ ...frozen, version: 99 }).success).toBe(false);
});

test('a line in a size is counted, priced and frozen in that size, under its name', async () => {
	const { repos, draft, send } = await drafted({}, '4 11 at 9 white x4', 'size tall 6 ft');
	const { sizes } = (await repos.designs.version('d.1'))!.recipe;
	const lines = draft.lines.map((l, i) => ({ ...l, sizeId: i === 0 ? sizes[0]!.id : null }));
	expect(await repos.quotes.save('q', { ...named(draft), lines }, base(1))).toBe('saved');
	expect((await repos.quotes.find('q'))!.lines.map((l) => l.sizeId)).toEqual([sizes[0]!.id, null]);
	expect(await send()).toBe('sent');
	const [tall, plain] = (await repos.sentQuotes.byToken('token-of-q'))!.frozen.lines;
	expect([tall!.name, plain!.name]).toEqual(['column, tall', 'column']);
	expect(tall!.picture!.discs.length).toBeGreaterThan(plain!.picture!.discs.length);
});
