import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { beforeEach, expect, test, vi } from 'vitest';
import { settings } from '../../../../scripts/demo/settings.ts';
import { colours, design, materials, rates } from '../../../../tests/kit/studio.ts';
import { QuoteDraft, type QuoteData } from './quote-draft.svelte.ts';
import type { RawQuote } from '../../core/quote/read-form.ts';
import { dayWords, longDayWords } from '../../core/quote/day-words.ts';

const column = design('column', '4 11 at 9 white x6');
const store = new Map<string, string>();
/** What lies in the browser's store. */
const stored = async () => (await openDB('bright-tally', 1)).getAll('unsaved');
const beacons: string[] = [];
let sent: { saveId: string; baseRevision: number; raw: RawQuote }[] = [];
let answer: () => Promise<Response>;

beforeEach(() => {
	vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
	store.clear();
	beacons.length = 0;
	sent = [];
	answer = async () => new Response(JSON.stringify({ revision: sent.at(-1)!.baseRevision + 1 }));
	vi.stubGlobal('sessionStorage', {
		getItem: (k: string) => store.get(k) ?? null,
		setItem: (k: string, v: string) => void store.set(k, v),
		removeItem: (k: string) => void store.delete(k)
	});
	vi.stubGlobal('navigator', {
		sendBeacon: (_: string, blob: Blob) => {
			void blob.text().then((text) => beacons.push(text));
			return true;
		}
	});
	vi.stubGlobal('fetch', (_: string, init: { body: string }) => {
		sent.push(JSON.parse(init.body));
		return answer();
	});
});

/** A quote of each test's own. */
let quotes = 0;
let data: QuoteData;
beforeEach(() => (data = { ...DATA, quote: { ...DATA.quote, id: `q${quotes++}` } }));
const DATA: QuoteData = {
	book: { today: '2026-11-30', won: {}, taken: {} },
	quote: {
		id: 'q',
		clientName: 'Tidewick Library',
		eventDate: '2027-06-12',
		zone: 'America/New_York',
		revision: 3,
		lines: [{ id: 'l', versionId: 'd.1', colourwayId: null, sizeId: null, quantity: 2, way: null }],
		terms: {
			occasion: '',
			venue: '',
			setting: 'indoor',
			deliveryMinor: 2550,
			deliveryCostMinor: null,
			method: 'margin',
			margin: '50',
			markup: '100',
			rush: '0',
			discount: { kind: 'percent', percent: '25/2' },
			tax: '0',
			deposit: '0',
			validDays: 14,
			note: ''
		}
	},
	offered: [{ versionId: 'd.2', design: 'd', name: 'column' }],
	recipes: [
		['d.1', column],
		['d.2', { ...column, name: 'column, newer' }]
	],
	library: [],
	settings: { ...settings, rates },
	materials,
	colours
};

test('shows what is stored as it would be typed', () => {
	expect(new QuoteDraft(data).raw).toMatchObject({
		delivery: '25.50',
		deliveryCost: '',
		discount: '12.5',
		margin: '50'
	});
});
test('typing is saved once it rests, on the revision it started from; the price moves at once', async () => {
	const draft = new QuoteDraft(data);
	const before = draft.priced.subtotal.minor;
	draft.changeLine('l', { quantity: '4' });
	expect(draft.priced.subtotal.minor).toBeGreaterThan(before);
	draft.raw.client = 'Somebody else';
	draft.touch();
	await vi.runAllTimersAsync();
	expect(sent.map((s) => [s.baseRevision, s.raw.client])).toEqual([[3, 'Somebody else']]);
	expect([draft.saver.state, draft.revision]).toEqual(['saved', 4]);
	await vi.waitFor(async () => expect(await stored()).toEqual([]), 20_000);
});
test('a field that cannot be read holds back only itself: the others are saved, the typing stays over a closed tab', async () => {
	const draft = new QuoteDraft(data);
	const before = draft.priced.subtotal.minor;
	draft.raw.margin = 'lots';
	draft.raw.occasion = 'Reading day';
	draft.changeLine('l', { quantity: 'two' });
	expect(await draft.flush()).toBe(false);
	expect([draft.unread, draft.priced.subtotal.minor]).toEqual([true, before]);
	expect(sent.map((s) => s.raw)).toMatchObject([
		{ margin: '50', occasion: 'Reading day', lines: [{ quantity: '2' }] }
	]);
	draft.changeLine('l', { quantity: '2' });
	expect(draft.priced.subtotal.minor).toBe(before);
	await draft.flush();
	await draft.saver.leftOver();
	const again = new QuoteDraft({ ...data, quote: { ...data.quote, revision: draft.revision } });
	await again.restore();
	expect(again.raw.margin).toBe('lots');
	const elsewhere = new QuoteDraft({ ...data, quote: { ...data.quote, revision: 9 } });
	await elsewhere.restore();
	expect(elsewhere.raw.margin).toBe('50');
});
test('a save whose answer was lost is asked again as it was, then what was typed since', async () => {
	const draft = new QuoteDraft(data);
	answer = () => Promise.reject(new Error('lost'));
	draft.raw.occasion = 'first';
	draft.touch();
	await draft.flush();
	expect(draft.saver.state).toBe('offline');
	draft.raw.occasion = 'second';
	draft.touch();
	answer = async () => new Response(JSON.stringify({ revision: sent.at(-1)!.baseRevision + 1 }));
	await vi.runAllTimersAsync();
	expect(sent.map((s) => [s.baseRevision, s.raw.occasion])).toEqual([
		[3, 'first'],
		[3, 'first'],
		[4, 'second']
	]);
	expect(sent[0]!.saveId).toBe(sent[1]!.saveId);
	expect([draft.saver.state, draft.revision]).toEqual(['saved', 5]);
});
test('a page that is left sends what is not saved yet, and only what the server takes', async () => {
	const draft = new QuoteDraft(data);
	draft.leave();
	draft.raw.note = 'the last word';
	draft.touch();
	draft.leave();
	await vi.waitFor(() => expect(beacons).toHaveLength(1), 20_000);
	const body = JSON.parse(beacons[0]!) as { raw: RawQuote };
	expect([Object.keys(body).sort(), body.raw.note]).toEqual([
		['baseRevision', 'raw', 'saveId'],
		'the last word'
	]);
});
test('a tab that closed while a save was on its way: the next takes up what was typed after it', async () => {
	const draft = new QuoteDraft(data);
	answer = () => new Promise<Response>(() => {});
	draft.raw.occasion = 'first';
	draft.touch();
	void draft.flush();
	await vi.waitFor(() => expect(sent).toHaveLength(1), 20_000);
	draft.raw.occasion = 'first, and second';
	draft.touch();
	await draft.saver.leftOver();
	// The first had arrived after all.
	const again = new QuoteDraft({ ...data, quote: { ...data.quote, revision: 4 } });
	answer = async () => new Response(JSON.stringify({ revision: 5 }));
	await again.restore();
	expect(again.raw.occasion).toBe('first, and second');
	// What she has begun to type is not written over.
	const begun = new QuoteDraft({ ...data, quote: { ...data.quote, revision: 4 } });
	const restoring = begun.restore();
	begun.raw.occasion = 'typed meanwhile';
	begun.touch();
	await restoring;
	expect(begun.raw.occasion).toBe('typed meanwhile');
});
test('a server that is away is tried again; one that refuses is quoted', async () => {
	const draft = new QuoteDraft(data);
	answer = () => Promise.reject(new Error('away'));
	draft.touch();
	await draft.flush();
	expect(draft.saver.state).toBe('offline');
	answer = async () =>
		new Response(JSON.stringify({ message: 'This quote has been sent.' }), { status: 409 });
	await vi.advanceTimersByTimeAsync(3100);
	expect([draft.saver.state, draft.saver.refusal]).toEqual(['refused', 'This quote has been sent.']);
});
test('lines are added and taken out, and a newer kept version is offered', async () => {
	const draft = new QuoteDraft(data);
	expect(draft.newer('d.1')).toBe('d.2');
	expect(draft.newer('d.2')).toBeNull();
	expect(await draft.addLine('d.2')).toBe('');
	expect(draft.raw.lines).toHaveLength(2);
	expect(draft.priced.lines.map((l) => l.item.recipe.name)).toEqual(['column', 'column, newer']);
	draft.removeLine('l');
	expect(draft.raw.lines.map((l) => l.versionId)).toEqual(['d.2']);
});
test('a calendar day reads the same wherever the reader is', () => {
	expect(dayWords('2027-06-12')).toBe('Sat, Jun 12, 2027');
	expect(longDayWords('2027-01-01')).toBe('Friday, January 1, 2027');
});
