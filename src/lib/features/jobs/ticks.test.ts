import fc from 'fast-check';
import { expect, test } from 'vitest';
import { Ticks, type SendTicks, type Tick } from './ticks.svelte.ts';

const store = () => {
	const kept = new Map<string, string>();
	return {
		kept,
		getItem: (key: string) => kept.get(key) ?? null,
		setItem: (key: string, value: string) => void kept.set(key, value),
		removeItem: (key: string) => void kept.delete(key)
	};
};
const tick = (key: string, on = true): Tick => ({ list: 'pull', key, on });

test('what is ticked without a line is shown, kept over a reload and sent in its order when there is one', async () => {
	const own = store();
	let line = false;
	const sent: Tick[] = [];
	const send: SendTicks = (ticks) => {
		if (!line) return Promise.resolve('later');
		sent.push(...ticks);
		return Promise.resolve('done');
	};
	const before = new Ticks('q', [{ list: 'pull', key: 'old' }], send, own);
	before.put(tick('a'));
	before.put(tick('b'));
	before.put(tick('a', false));
	before.put(tick('old', false));
	await before.flush();
	expect([before.isOn('pull', 'a'), before.isOn('pull', 'b'), before.waits]).toEqual([false, true, 3]);
	const after = new Ticks('q', [{ list: 'pull', key: 'old' }], send, own);
	expect([after.isOn('pull', 'b'), after.isOn('pull', 'old'), after.waits]).toEqual([true, false, 3]);
	expect(new Ticks('other', [], send, own).waits).toBe(0);
	line = true;
	await after.flush();
	expect(sent).toEqual([tick('b'), tick('a', false), tick('old', false)]);
	expect([after.waits, own.kept.size]).toEqual([0, 0]);
});

test('what is pressed while others are on their way goes after them', async () => {
	const sent: Tick[][] = [];
	let answer: (outcome: 'done') => void = () => {};
	const send: SendTicks = (ticks) => {
		sent.push([...ticks]);
		return new Promise((resolve) => (answer = resolve));
	};
	const ticks = new Ticks('q', [], send, store());
	ticks.put(tick('a'));
	ticks.put(tick('a', false));
	answer('done');
	await new Promise(setImmediate);
	expect(sent).toEqual([[tick('a')], [tick('a', false)]]);
	answer('done');
	await new Promise(setImmediate);
	expect([ticks.waits, ticks.isOn('pull', 'a')]).toEqual([0, false]);
});

test('ticks that are not taken are said, and hold nothing up', async () => {
	const ticks = new Ticks('q', [], () => Promise.resolve('refused'), store());
	ticks.put(tick('a'));
	await new Promise(setImmediate);
	expect([ticks.refused, ticks.waits]).toEqual([true, 0]);
});

test('what was kept and cannot be read is nothing; without room it goes on', async () => {
	const own = store();
	own.setItem('ticks/q', '[{"list":1}, "x"');
	expect(new Ticks('q', [], () => Promise.resolve('later'), own).waits).toBe(0);
	const full = { ...store(), setItem: () => { throw new Error('full'); } }; // prettier-ignore
	const ticks = new Ticks('q', [], () => Promise.resolve('later'), full);
	ticks.put(tick('a'));
	await ticks.flush();
	expect(ticks.isOn('pull', 'a')).toBe(true);
});

test('two phones that were away: the server ends as the last of each says, whatever the line does', async () => {
	const press = fc.record({ key: fc.constantFrom('a', 'b', 'c'), on: fc.boolean(), line: fc.boolean() });
	await fc.assert(
		fc.asyncProperty(fc.array(press, { maxLength: 20 }), async (presses) => {
			const server = new Set<string>();
			let line = true;
			const send: SendTicks = (ticks) => {
				if (!line) return Promise.resolve('later');
				for (const t of ticks) if (t.on) server.add(t.key); else server.delete(t.key); // prettier-ignore
				return Promise.resolve('done');
			};
			const ticks = new Ticks('q', [], send, store());
			for (const { key, on, line: there } of presses) {
				line = there;
				ticks.put(tick(key, on));
				await ticks.flush();
			}
			line = true;
			await ticks.flush();
			for (const key of ['a', 'b', 'c']) expect(server.has(key)).toBe(ticks.isOn('pull', key));
			expect(ticks.waits).toBe(0);
		})
	);
});
