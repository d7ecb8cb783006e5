import { beforeEach, expect, test, vi } from 'vitest';
import { settings } from '../../../../scripts/demo/settings.ts';
import { colours, design, materials, rates } from '../../../../tests/kit/studio.ts';
import { QuoteDraft, type QuoteData } from './quote-draft.svelte.ts';
import type { RawQuote } from '../../core/quote/read-form.ts';
import { dayWords, longDayWords } from './day-words.ts';

const column = design('column', '4 11 at 9 white x6');
const store = new Map<string, string>();
let sent: { saveId: string; baseRevision: number; raw: RawQuote }[] = [];
let answer: () => Promise<Response>;

beforeEach(() => {
	vi.useFakeTimers();
	store.clear();
	sent = [];
	answer = async () => new Response(JSON.stringify({ revision: sent.at(-1)!.baseRevision + 1 }));
	vi.stubGlobal('localStorage', {
		getItem: (k: string) => store.get(k) ?? null,
		setItem: (k: string, v: string) => void store.set(k, v),
		removeItem: (k: string) => void store.delete(k)
	});
	vi.stubGlobal('fetch', (_: string, init: { body: string }) => {
		sent.push(JSON.parse(init.body));
		return answer();
	});
});

const data: QuoteData = {
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
	expect([draft.state, draft.revision, store.size]).toEqual(['saved', 4, 0]);
});
test('a field that cannot be read holds back only itself: the others are saved, the typing stays over a closed tab', async () => {
	const draft = new QuoteDraft(data);
	const before = draft.priced.subtotal.minor;
	draft.raw.margin = 'lots';
	draft.raw.occasion = 'Reading day';
	draft.changeLine('l', { quantity: 'two' });
	expect(await draft.flush()).toBe(false);
	expect([draft.state, draft.priced.subtotal.minor]).toEqual(['fields', before]);
	expect(sent.map((s) => s.raw)).toMatchObject([
		{ margin: '50', occasion: 'Reading day', lines: [{ quantity: '2' }] }
	]);
	draft.changeLine('l', { quantity: '2' });
	expect(draft.priced.subtotal.minor).toBe(before);
	await draft.flush();
	const again = new QuoteDraft({ ...data, quote: { ...data.quote, revision: draft.revision } });
	again.restore();
	expect(again.raw.margin).toBe('lots');
	const elsewhere = new QuoteDraft({ ...data, quote: { ...data.quote, revision: 9 } });
	elsewhere.restore();
	expect(elsewhere.raw.margin).toBe('50');
});
test('a save whose answer was lost is asked again as it was, then what was typed since', async () => {
	const draft = new QuoteDraft(data);
	answer = () => Promise.reject(new Error('lost'));
	draft.raw.occasion = 'first';
	draft.touch();
	await draft.flush();
	expect(draft.state).toBe('offline');
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
	expect([draft.state, draft.revision]).toEqual(['saved', 5]);
});
test('a page that is left sends what is not saved yet', () => {
	const draft = new QuoteDraft(data);
	draft.leave();
	expect(sent).toEqual([]);
	draft.raw.note = 'the last word';
	draft.touch();
	draft.leave();
	expect(sent.map((s) => s.raw.note)).toEqual(['the last word']);
});
test('a server that is away is tried again; one that refuses is quoted', async () => {
	const draft = new QuoteDraft(data);
	answer = () => Promise.reject(new Error('away'));
	draft.touch();
	await draft.flush();
	expect(draft.state).toBe('offline');
	answer = async () =>
		new Response(JSON.stringify({ message: 'This quote has been sent.' }), { status: 409 });
	await vi.advanceTimersByTimeAsync(3100);
	expect([draft.state, draft.refusal]).toEqual(['refused', 'This quote has been sent.']);
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
