import ICAL from 'ical.js';
import { simpleParser } from 'mailparser';
import { describe, expect, test } from 'vitest';
import { design } from '../../../../tests/kit/studio.ts';
import { NOW, owner, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { NOTHING_CHOSEN } from '../../core/quote/choices.ts';
import type { QuoteTerms } from '../../core/quote/quote.ts';
import { guestOf } from '../actor.ts';
import { createRepos } from '../repos/index.ts';
import { clientPage } from './client-page.ts';
import { answerQuote, creditInvoice, invoiceOrder, orderOf, payOrder, settlePayment } from './orders.ts';
import { copyQuote, newTerms, sendQuote } from './quoting.ts';

const LINK = 'http://studio.example/q/token-1';
const at = (hours: number) => new Date(NOW.getTime() + hours * 3_600_000);
const desk = (hours = 0) => ({
	now: at(hours),
	link: LINK,
	pdf: async () => new TextEncoder().encode('%PDF')
});
const ADD_ON: Partial<QuoteTerms> = { about: { l2: { addOn: true } }, deposit: '30', tax: '7' };

/** A quote of two lines that was sent, the second an extra. */
async function sent(change: Partial<QuoteTerms> = ADD_ON) {
	const { db, repos } = await tempStudio();
	const { settings } = (await repos.workspaces.find())!;
	await repos.designs.create('d', design('column', '4 11 at 9 white x5'), NOW);
	await repos.designs.keep('d', NOW);
	const clientId = await repos.clients.named('Tidewick Library', 'c1');
	await repos.clients.change('c1', { name: 'Tidewick Library', email: 'desk@tidewick.example', phone: '', details: { address: '1 Quay Row' } }); // prettier-ignore
	const line = (id: string) => ({
		id,
		versionId: 'd.1',
		colourwayId: null,
		sizeId: null,
		way: null,
		quantity: 1
	});
	const terms = { ...newTerms(settings), deliveryMinor: 3000, deliveryCostMinor: 1200, ...change };
	const draft = {
		clientId,
		eventDate: '2027-06-12',
		zone: 'America/New_York',
		terms,
		lines: [line('l1'), line('l2')]
	};
	await repos.quotes.create('q', draft, NOW);
	let n = 0;
	const send = () => sendQuote(repos, { id: 'q', token: `token-${++n}`, evenUnknown: true, now: NOW });
	expect(await send()).toBe('sent');
	const guest = createRepos(db, guestOf(owner.workspace));
	const yes = (more = {}, token = 'token-1') =>
		answerQuote(
			guest,
			token,
			{ event: 'accepted', name: 'Ada Reed', choice: { ...NOTHING_CHOSEN, ...more } },
			desk()
		);
	const page = () => clientPage(guest, 'token-1', new URLSearchParams());
	return { db, repos, guest, draft, send, yes, page };
}
const kinds = async (of: { kind: string }[] | Promise<{ kind: string }[]>) => (await of).map((m) => m.kind);

describe('a client who answers', () => {
	test('seen once, asked and answered, a yes with an extra: each is told, nothing of the owner’s is', async () => {
		const { repos, guest, yes, page } = await sent();
		await guest.sentQuotes.seen('token-1', at(1));
		await guest.sentQuotes.seen('token-1', at(2));
		expect((await repos.quotes.find('q'))!.state).toBe('seen');
		await answerQuote(guest, 'token-1', { event: 'asked', text: 'In blue?' }, desk(3));
		await repos.quoteLife.happen('q', 'answered', at(4), { text: 'Of course.' });
		expect((await page())!.talk.map((t) => t.text)).toEqual(['In blue?', 'Of course.']);
		const before = (await page())!.chosen.total.minor;
		expect(await yes({ ticked: [1] })).toBe('done');
		const after = (await page())!;
		expect(after.chosen.total.minor).toBeGreaterThan(before);
		expect(after).toMatchObject({ state: 'accepted', yes: { name: 'Ada Reed' }, due: { kind: 'deposit' } });
		expect(JSON.stringify(after)).not.toMatch(/margin|profit|cost"|versionId|quoteId/i);
		expect((await repos.quoteLife.events('q')).map((e) => e.event)).toEqual(['issued', 'seen', 'asked', 'answered', 'accepted']); // prettier-ignore
		expect(await kinds(repos.papers.messages('q'))).toEqual(['confirmation']);
	});
	test('a yes twice is one yes, one paper and one message', async () => {
		const { repos, yes } = await sent();
		expect([await yes(), await yes({ ticked: [1] })]).toEqual(['done', 'already']);
		const { chosen } = (await orderOf(repos, 'q'))!;
		expect(chosen.lines).toHaveLength(1);
		expect((await repos.papers.of('q')).map((p) => p.frozen.kind)).toEqual(['confirmation']);
		expect(await repos.papers.messages('q')).toHaveLength(1);
	});
	test('what cannot be said is refused, and nothing happens', async () => {
		const { repos, guest, yes } = await sent();
		expect(await yes({}, 'token-0')).toBe('missing');
		expect(await yes({ ticked: [0] })).toEqual({ refused: expect.stringContaining('extras') });
		expect(await yes({ level: 'Best' })).toEqual({ refused: expect.stringContaining('one level') });
		expect(await yes()).toBe('done');
		const late = await sent();
		const month = { ...desk(), now: at(24 * 40) };
		expect(await answerQuote(late.guest, 'token-1', { event: 'accepted', name: 'Ada', choice: NOTHING_CHOSEN }, month)).toBe('lapsed'); // prettier-ignore
		await late.repos.quoteLife.happen('q', 'cancelled', NOW);
		expect(await late.yes()).toBe('cancelled');
		expect(await orderOf(late.repos, 'q')).toBeUndefined();
		expect(await repos.papers.of('q')).toHaveLength(1);
		expect(guest).toBeDefined();
	});
});

describe('a quote that is written anew', () => {
	test('the first stays as it was and cannot be answered; the second can, and says what changed', async () => {
		const { repos, draft, send, yes, page } = await sent();
		const first = (await page())!.frozen;
		expect(await repos.quoteLife.happen('q', 'revised', NOW)).toBe(true);
		expect((await repos.quotes.find('q'))!.state).toBe('draft');
		expect(await yes()).toBe('old');
		const { clientId, ...rest } = draft;
		expect(clientId).toBe('c1');
		const lines = rest.lines.map((l) => ({ ...l, quantity: 2 }));
		expect(await repos.quotes.save('q', { ...rest, lines, client: 'Tidewick Library' }, { baseRevision: 1, saveId: 'save-1', newId: 'x' })).toBe('saved'); // prettier-ignore
		expect(await send()).toBe('sent');
		expect((await page())!.frozen).toEqual(first);
		expect(await yes()).toBe('old');
		expect(await yes({}, 'token-2')).toBe('done');
		const issues = await repos.quoteLife.issues('q');
		expect(issues.map((i) => [i.number, i.frozen.number, i.frozen.revision ?? 1])).toEqual([
			[1, 1, 1],
			[2, 1, 2]
		]);
	});
	test('left as it was sent, it is what it was', async () => {
		const { repos, yes } = await sent();
		await yes();
		await repos.quoteLife.happen('q', 'revised', NOW);
		expect(await repos.quoteLife.happen('q', 'revision dropped', NOW)).toBe(true);
		expect((await repos.quotes.find('q'))!.state).toBe('accepted');
		const fresh = await tempStudio();
		expect(await fresh.repos.quoteLife.happen('q', 'revision dropped', NOW)).toBe(false);
	});
	test('a copy is a draft of its own, on no day, its extras still extras', async () => {
		const place = { photo: 'p', width: 10, height: 10, from: [0, 0], to: [0, 1], mm: 2000, pieces: [{ line: 'l1', x: 0.5, y: 0.9, turned: false }] } as const; // prettier-ignore
		const { repos } = await sent({ ...ADD_ON, place });
		expect(await copyQuote(repos, 'q', { id: 'copy' }, NOW)).toBe('copy');
		await copyQuote(repos, 'q', { id: 'copy' }, NOW);
		const copy = (await repos.quotes.find('copy'))!;
		expect(copy).toMatchObject({
			number: 2,
			state: 'draft',
			eventDate: null,
			clientName: 'Tidewick Library'
		});
		expect(copy.terms.about).toEqual({ [copy.lines[1]!.id]: { addOn: true } });
		expect(copy.terms.place!.pieces.map((p) => p.line)).toEqual([copy.lines[0]!.id]);
		expect(await copyQuote(repos, 'nowhere', { id: 'other' }, NOW)).toBeUndefined();
	});
});

describe('paying', () => {
	const due = async (repos: Parameters<typeof orderOf>[0]) => (await orderOf(repos, 'q'))!.dues.next!;
	test('turned down, then paid; the same press again is the same payment; then the rest', async () => {
		const { repos, yes } = await sent();
		expect(await payOrder(repos, 'q', { key: 'early-0', kind: 'deposit', minor: 1, answer: 'paid' }, desk())).toBe('no order'); // prettier-ignore
		await yes();
		const next = await due(repos);
		expect(await payOrder(repos, 'q', { key: 'press-1', ...next, answer: 'failed' }, desk())).toMatchObject({ state: 'failed' }); // prettier-ignore
		expect(await due(repos)).toEqual(next);
		for (let i = 0; i < 2; i++)
			expect(await payOrder(repos, 'q', { key: 'press-2', ...next, answer: 'paid' }, desk(1))).toMatchObject({ state: 'paid' }); // prettier-ignore
		expect(await payOrder(repos, 'q', { key: 'press-3', ...next, answer: 'paid' }, desk(2))).toBe(
			'wrong amount'
		);
		const rest = await due(repos);
		const { chosen } = (await orderOf(repos, 'q'))!;
		expect(next.minor + rest.minor).toBe(chosen.total.minor);
		expect(await payOrder(repos, 'q', { key: 'press-4', ...rest, minor: rest.minor - 1, answer: 'paid' }, desk(3))).toBe('wrong amount'); // prettier-ignore
		await payOrder(repos, 'q', { key: 'press-5', ...rest, answer: 'paid' }, desk(4));
		expect(await payOrder(repos, 'q', { key: 'press-6', ...rest, answer: 'paid' }, desk(5))).toBe('all paid');
		const receipts = (await repos.papers.of('q')).filter((p) => p.frozen.kind === 'receipt');
		expect(receipts.map((r) => [r.frozen.number, r.frozen.payable.minor, r.frozen.paid.minor])).toEqual([
			[1, next.minor, 0],
			[2, rest.minor, next.minor]
		]);
	});
	test('a late one holds back others until the bank answers, once', async () => {
		const { repos, yes } = await sent();
		await yes();
		const next = await due(repos);
		await payOrder(repos, 'q', { key: 'press-1', ...next, answer: 'late' }, desk());
		expect((await orderOf(repos, 'q'))!.dues.next).toBeNull();
		expect(await payOrder(repos, 'q', { key: 'press-2', ...next, answer: 'paid' }, desk())).toBe(
			'on its way'
		);
		expect(await settlePayment(repos, 'q', 'press-1', 'paid', desk(1))).toMatchObject({ state: 'paid' });
		expect(await settlePayment(repos, 'q', 'press-1', 'failed', desk(2))).toBeUndefined();
		expect((await orderOf(repos, 'q'))!.dues.paid).toBe(next.minor);
	});
	test('a bank that says no lets another try', async () => {
		const { repos, yes } = await sent();
		await yes();
		const next = await due(repos);
		await payOrder(repos, 'q', { key: 'press-1', ...next, answer: 'late' }, desk());
		await settlePayment(repos, 'q', 'press-1', 'failed', desk(1));
		expect(await due(repos)).toEqual(next);
	});
	test('the database refuses to change or lose what was paid, made or posted', async () => {
		const { db, repos, yes } = await sent();
		await yes();
		await payOrder(repos, 'q', { key: 'press-1', ...(await due(repos)), answer: 'paid' }, desk());
		for (const sql of [
			'UPDATE payment SET minor = 1',
			"UPDATE payment SET state = 'failed'",
			'DELETE FROM payment',
			"UPDATE paper SET kind = 'invoice'",
			'DELETE FROM paper',
			"UPDATE message SET subject = ''",
			'DELETE FROM message'
		])
			// prettier-ignore
			await expect(db.client.execute(sql), sql).rejects.toThrow(/never/);
	});
});

describe('papers', () => {
	test('an invoice is one until it is taken back; numbers of each kind have no gaps', async () => {
		const { repos, yes } = await sent();
		expect(await invoiceOrder(repos, 'q', desk())).toBeUndefined();
		await yes();
		const first = (await invoiceOrder(repos, 'q', desk(1)))!;
		expect((await invoiceOrder(repos, 'q', desk(2)))!.id).toBe(first.id);
		expect(first.frozen).toMatchObject({ number: 1, due: '2027-05-18', client: { address: '1 Quay Row' } });
		const credit = (await creditInvoice(repos, first.id, desk(3)))!;
		expect((await creditInvoice(repos, first.id, desk(4)))!.id).toBe(credit.id);
		expect(credit.frozen).toMatchObject({
			kind: 'credit note',
			number: 1,
			about: 'INV-0001',
			total: first.frozen.total
		});
		expect((await invoiceOrder(repos, 'q', desk(5)))!.frozen.number).toBe(2);
		expect(await creditInvoice(repos, credit.id, desk(6))).toBeUndefined();
	});
	test('lines sum to the net, net and tax to the total, total less what was paid to what is left', async () => {
		const { repos, yes } = await sent({
			...ADD_ON,
			tax: '77/10',
			discount: { kind: 'percent', percent: '10' }
		});
		await yes({ ticked: [1] });
		await payOrder(
			repos,
			'q',
			{ key: 'press-1', ...(await orderOf(repos, 'q'))!.dues.next!, answer: 'paid' },
			desk()
		);
		const { frozen } = (await invoiceOrder(repos, 'q', desk(1)))!;
		const lines = frozen.lines.reduce((a, l) => a + l.net.minor, 0);
		expect(lines - frozen.discount.minor).toBe(frozen.net.minor);
		expect(frozen.net.minor + frozen.tax.minor).toBe(frozen.total.minor);
		expect(frozen.total.minor - frozen.paid.minor).toBe(frozen.payable.minor);
		expect(frozen.paid.minor).toBeGreaterThan(0);
	});
});

describe('a client who pays no tax', () => {
	test('is charged none, from the draft to the invoice, and every paper says why', async () => {
		const { repos, yes, page, draft } = await sent({ ...ADD_ON, tax: '7' });
		const taxed = (await page())!.frozen;
		expect(taxed.tax.minor).toBeGreaterThan(0);
		await repos.clients.change('c1', { name: 'Tidewick Library', email: '', phone: '', details: { exempt: 'a public library' } }); // prettier-ignore
		await repos.quotes.create('free', { ...draft, lines: draft.lines.map((l) => ({ ...l, id: `free-${l.id}` })), terms: { ...draft.terms, about: {} } }, NOW); // prettier-ignore
		expect(await sendQuote(repos, { id: 'free', token: 'token-free', evenUnknown: true, now: NOW })).toBe(
			'sent'
		);
		const { frozen } = (await repos.quotes.find('free'))!.issued!;
		expect(frozen).toMatchObject({
			tax: { minor: 0 },
			total: frozen.net,
			taxPercent: '0',
			exempt: 'a public library'
		});
		await repos.quoteLife.happen('free', 'accepted', NOW);
		const paper = (await invoiceOrder(repos, 'free', desk()))!.frozen;
		expect(paper).toMatchObject({ tax: { minor: 0 }, exempt: 'a public library' });
		// What was sent before stays as it was sent.
		await yes();
		expect((await orderOf(repos, 'q'))!.chosen.tax).toEqual(taxed.tax);
	});
});

describe('messages, read by a parser of their own', () => {
	test('the confirmation: whom from and to, the link, the day as a calendar file that another program reads', async () => {
		const { repos, yes } = await sent({
			...ADD_ON,
			occasion: 'Réading — day',
			venue: 'Tidewick, 1 Quay; Row'
		});
		await yes();
		const [message] = await repos.papers.messages('q');
		const mail = await simpleParser(message!.mime);
		expect(mail.from?.value[0]).toMatchObject({ name: 'Puddlelark Balloons' });
		expect(mail.to).toMatchObject({
			value: [{ address: 'desk@tidewick.example', name: 'Tidewick Library' }]
		});
		expect([mail.subject, mail.date]).toEqual(['Confirmed: Réading — day', NOW]);
		expect(mail.text).toContain(LINK);
		expect(mail.html).toContain(`<a href="${LINK}">`);
		expect(mail.attachments.map((a) => a.contentType)).toEqual(['text/calendar', 'application/pdf']);
		const [event] = new ICAL.Component(ICAL.parse(mail.attachments[0]!.content.toString())).getAllSubcomponents('vevent'); // prettier-ignore
		const read = new ICAL.Event(event!);
		expect([read.startDate.toString(), read.startDate.isDate, read.location]).toEqual(['2027-06-12', true, 'Tidewick, 1 Quay; Row']); // prettier-ignore
	});
	test('a client’s name full of breaks and marks adds no header and no mark to the page', async () => {
		const { repos, yes } = await sent();
		const name = 'Ada\r\nBcc: all@example.com <script>alert(1)</script>';
		await repos.quotes.find('q');
		await repos.clients.change('c1', { name, email: 'ada@example.com', phone: '', details: {} });
		await yes();
		const [message] = await repos.papers.messages('q');
		const mail = await simpleParser(message!.mime);
		expect(mail.bcc).toBeUndefined();
		expect(String(mail.html)).not.toContain('<script>');
	});
});
