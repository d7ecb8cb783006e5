import { expect, test, vi } from 'vitest';
import { owner } from '../../../../tests/kit/temp-db.ts';
import type { Database } from '../db/client.ts';
import { memoOf } from './memo.ts';

const memo = () => memoOf({ client: {} } as Database, owner);
const named = (n: number, stamp = '1') => ({ name: `n${n}`, stamp });

test('what was made at a stamp is made once, and anew at another; a database handed on in another wrapping is the same', async () => {
	const db = { client: {} } as Database;
	const make = vi.fn(async () => 7);
	for (const wrapped of [db, { ...db }]) expect(await memoOf(wrapped, owner).take('a', '1', make)).toBe(7);
	expect(make).toHaveBeenCalledTimes(1);
	await memoOf(db, owner).take('a', '2', make);
	expect(make).toHaveBeenCalledTimes(2);
	expect(memoOf(db, owner).cached('a', '1')).toBeUndefined();
});
test('of several only the missing are made, together and in their order', async () => {
	const own = memo();
	await own.take('n1', '1', async () => 'before');
	const make = vi.fn((missing: readonly { name: string }[]) => missing.map(async (m) => `made ${m.name}`));
	const wanted = [named(0), named(1), named(2)];
	expect(await own.takeAll(wanted, make)).toEqual(['made n0', 'before', 'made n2']);
	expect(await own.takeAll(wanted, make)).toEqual(['made n0', 'before', 'made n2']);
	expect(make.mock.calls.map(([missing]) => missing.length)).toEqual([2, 0]);
});
test('more than it can hold are all there for whoever asked for them', async () => {
	const own = memo();
	const many = Array.from({ length: 6000 }, (_, n) => named(n));
	const make = (missing: readonly { name: string }[]) => missing.map(async (m) => m.name);
	for (const wanted of [many, many.slice(3000), many])
		expect(await own.takeAll(wanted, make)).toEqual(wanted.map((w) => w.name));
});
test('a maker that fails, or finds nothing, leaves nothing behind', async () => {
	const own = memo();
	await expect(own.take('a', '1', () => Promise.reject(new Error('gone')))).rejects.toThrow('gone');
	expect(await own.take('a', '1', async () => undefined)).toBeUndefined();
	expect(await own.take('a', '1', async () => 'here')).toBe('here');
});
