import { readFileSync } from 'node:fs';
import { describe, expect, onTestFinished, test } from 'vitest';
import { owner } from '../../../../tests/kit/temp-db.ts';
import { openUploads } from './uploads.ts';

const bytes = (n: number) => Uint8Array.from({ length: n }, (_, i) => i % 251);
function uploads(most?: number) {
	const own = openUploads(most);
	onTestFinished(() => own.close());
	return own;
}

describe('a file in pieces', () => {
	test('a piece that came already, or comes too early, is not taken; the answer says where to go on', () => {
		const own = uploads();
		expect(own.take(owner, 'file-one', 0, bytes(10))).toBe(10);
		expect(own.take(owner, 'file-one', 0, bytes(10))).toBe(10);
		expect(own.take(owner, 'file-one', 40, bytes(10))).toBe(10);
		expect(own.take(owner, 'file-one', 10, bytes(5))).toBe(15);
		expect(readFileSync(own.find(owner, 'file-one')!)).toHaveLength(15);
	});
	test('one each: the next takes the place of the one before; nobody finds another’s; too large is refused', () => {
		const own = uploads(20);
		const other = { ...owner, workspace: 'elsewhere' };
		own.take(owner, 'file-one', 0, bytes(10));
		expect(own.find(other, 'file-one')).toBeUndefined();
		own.take(owner, 'file-two', 0, bytes(20));
		expect(own.find(owner, 'file-one')).toBeUndefined();
		expect(own.take(owner, 'file-two', 20, bytes(1))).toBeUndefined();
		own.drop(owner);
		expect(own.find(owner, 'file-two')).toBeUndefined();
	});
});
