import 'fake-indexeddb/auto';
import { beforeEach, expect, test, vi } from 'vitest';
import { design } from '../../../../tests/kit/studio.ts';
import { openDB } from 'idb';
import { Keeper } from './keeper.ts';
import { saveWords } from './save-words.ts';
import { Autosave } from './autosave.svelte.ts';

const recipe = design('column', '4 11 at 9 white');
const named = (name: string) => ({ ...recipe, name });
/** A design of each test's own. */
let d = '';
let tests = 0;
const store = new Map<string, string>();
const beacons: { url: string; body: string }[] = [];
let sent: { saveId: string; baseRevision: number; recipe: { name: string } }[] = [];
let answers: (() => Promise<Response> | Response)[] = [];
const json =
	(body: object, status = 200) =>
	() =>
		new Response(JSON.stringify(body), { status });

const saverOf = (about: string, revision: number) =>
	new Autosave<{ readonly recipe: { readonly name: string } }>({
		about,
		url: `/bench/${about}/save`,
		revision
	});

beforeEach(() => {
	vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
	d = `design-${tests++}`;
	store.clear();
	[sent, answers, beacons.length] = [[], [], 0];
	vi.stubGlobal('sessionStorage', {
		getItem: (k: string) => store.get(k) ?? null,
		setItem: (k: string, v: string) => void store.set(k, v),
		removeItem: (k: string) => void store.delete(k)
	});
	vi.stubGlobal('navigator', {
		sendBeacon: (url: string, blob?: Blob) => beacons.push({ url, body: String(blob) })
	});
	vi.stubGlobal('fetch', async (_: string, init: { body: string }) => {
		sent.push(JSON.parse(init.body));
		return (answers.shift() ?? json({ revision: sent.at(-1)!.baseRevision + 1 }))();
	});
});

test('typing on is one save of the last state, and the next starts from the revision it was given', async () => {
	const saver = saverOf(d, 7);
	for (const name of ['a', 'ab', 'abc']) saver.want({ recipe: named(name) });
	expect(saver.state).toBe('waiting');
	await vi.runAllTimersAsync();
	expect(sent.map((s) => [s.baseRevision, s.recipe.name])).toEqual([[7, 'abc']]);
	expect(saver.state).toBe('saved');
	saver.want({ recipe: named('next') });
	await saver.flush();
	expect(sent.at(-1)).toMatchObject({ baseRevision: 8 });
});
test('an answer that was lost: the same save goes again under its id', async () => {
	const saver = saverOf(d, 1);
	answers = [() => Promise.reject(new Error('gone'))];
	saver.want({ recipe: named('a') });
	await saver.flush();
	expect(saver.state).toBe('offline');
	await vi.runAllTimersAsync();
	expect(saver.state).toBe('saved');
	expect(sent).toHaveLength(2);
	expect(sent[1]!.saveId).toBe(sent[0]!.saveId);
});
test('a stale save stops saving, shows theirs, and goes on from theirs once she has chosen', async () => {
	const saver = saverOf(d, 1);
	answers = [json({ message: 'no', theirs: { recipe: named('theirs'), revision: 5 } }, 409)];
	saver.want({ recipe: named('mine') });
	await saver.flush();
	expect(saver.state).toBe('stale');
	expect(saver.theirs?.recipe.name).toBe('theirs');
	saver.want({ recipe: named('mine, more') });
	await vi.runAllTimersAsync();
	expect(sent).toHaveLength(1);
	expect((await saver.leftOver()).map((l) => l.recipe.name)).toEqual(['mine, more']);
	saver.settle();
	saver.want({ recipe: named('mine, chosen') });
	await saver.flush();
	expect(sent.at(-1)).toMatchObject({ baseRevision: 5, recipe: { name: 'mine, chosen' } });
	expect(await saver.leftOver()).toEqual([]);
});
test('a refused save says the server’s words and loses nothing', async () => {
	const saver = saverOf(d, 1);
	answers = [json({ message: 'name: Give it a name.' }, 400)];
	saver.want({ recipe: named('') });
	await saver.flush();
	expect([saver.state, saver.refusal]).toEqual(['refused', 'name: Give it a name.']);
	saver.want({ recipe: named('b') });
	await saver.flush();
	expect(saver.state).toBe('saved');
});
test('what is refused is sent no more, but what was typed since then is', async () => {
	const saver = saverOf(d, 1);
	let refuse = () => {};
	answers = [() => new Promise<Response>((done) => (refuse = () => done(json({ message: 'blank' }, 400)())))];
	saver.want({ recipe: named('') });
	const done = saver.flush();
	await vi.waitFor(() => expect(sent).toHaveLength(1), 20_000);
	saver.want({ recipe: named('b') });
	refuse();
	await done;
	expect(saver.state).toBe('saved');
	expect(sent.at(-1)).toMatchObject({ baseRevision: 1, recipe: { name: 'b' } });
});
test('leaving with a save on its way leaves the newer one behind it, following it', async () => {
	const saver = saverOf(d, 1);
	answers = [() => new Promise<Response>(() => {})];
	saver.want({ recipe: named('first') });
	void saver.flush();
	await Promise.resolve();
	saver.want({ recipe: named('second') });
	saver.leave({ keep: true });
	const [left] = await saver.leftOver();
	expect(left).toMatchObject({ baseRevision: 1, after: sent[0]!.saveId, recipe: { name: 'second' } });
	expect(beacons).toHaveLength(1);
});
test('what an earlier visit left is handed over; where the server went on, theirs is the newer', async () => {
	const left = { saveId: 'save-left', baseRevision: 3, recipe: named('left') };
	expect(await saverOf(d, 3).resume(left)).toBe(true);
	answers = [json({ revision: 4 })];
	const late = saverOf(d, 9);
	expect(await late.resume(left)).toBe(false);
	expect(late.revision).toBe(9);
});
test('every step is written down as it is made; once it is saved nothing is left', async () => {
	const saver = saverOf(d, 1);
	answers = [() => Promise.reject(new Error('gone')), () => Promise.reject(new Error('gone'))];
	for (const name of ['a', 'ab']) saver.want({ recipe: named(name) });
	// The tab is gone before anything was sent.
	expect(await saver.leftOver()).toMatchObject([{ baseRevision: 1, recipe: { name: 'ab' } }]);
	await saver.flush();
	expect([saver.state, saver.keptHere]).toEqual(['offline', true]);
	await vi.advanceTimersByTimeAsync(3100);
	await vi.advanceTimersByTimeAsync(3100);
	await saver.flush();
	expect(saver.state).toBe('saved');
	expect(await saver.leftOver()).toEqual([]);
});
test('two tabs keep theirs apart; one that is gone is taken over, one that is open is not', async () => {
	const other = new Keeper<string>(d);
	await other.put('of this tab');
	const db = await openDB('bright-tally', 1);
	for (const tab of ['gone', 'open'])
		await db.put('unsaved', { about: d, tab, at: tab === 'gone' ? 1 : 2, value: `of a tab that is ${tab}` });
	vi.stubGlobal('navigator', {
		locks: { query: () => Promise.resolve({ held: [{ name: 'bright-tally:tab:open' }] }) }
	});
	expect(await other.takeOver()).toEqual(['of a tab that is gone', 'of this tab']);
	await other.dropGone('of a tab that is gone');
	await other.drop();
	expect(await other.takeOver()).toEqual([]);
});
test('a store without room is said, and “saved” only when it is', async () => {
	const saver = saverOf(d, 1);
	const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
		throw new DOMException('full', 'QuotaExceededError');
	});
	answers = [() => Promise.reject(new Error('gone'))];
	saver.want({ recipe: named('a') });
	await saver.flush();
	await vi.waitFor(() => expect(saver.keptHere).toBe(false), 20_000);
	expect(saveWords(saver, 'working copy')).toMatch(/no room to keep it, so leave this page open/);
	put.mockRestore();
	await vi.advanceTimersByTimeAsync(3100);
	await saver.flush();
	expect(saveWords(saver, 'working copy')).toBe('working copy saved');
});
