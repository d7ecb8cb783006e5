import { readFileSync } from 'node:fs';
import { describe, expect, onTestFinished, test } from 'vitest';
import { PIECE, sendInPieces } from '../../features/studio-file/send-in-pieces.ts';
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
	test('sent over a connection that is lost now and then, it arrives whole and once', async () => {
		const own = uploads();
		const whole = bytes(2 * PIECE + 1234);
		let asked = 0;
		const send = (async (address: string, { body }: { body: Blob }) => {
			const from = Number(new URL(address, 'http://studio.example').searchParams.get('from'));
			const lost = ++asked % 3;
			if (lost === 1) throw new TypeError('the connection is gone');
			const here = own.take(owner, 'file-one', from, new Uint8Array(await body.arrayBuffer()));
			// It came, and the answer was lost.
			if (lost === 2) throw new TypeError('the connection is gone');
			return Response.json({ here });
		}) as unknown as typeof fetch;
		const told: number[] = [];
		await sendInPieces(new Blob([whole]), '/piece', 'file-one', (n) => told.push(n), send);
		expect(told.at(-1)).toBe(whole.length);
		expect(Buffer.compare(readFileSync(own.find(owner, 'file-one')!), whole)).toBe(0);
	}, 20_000);
	test('what is refused is said; what never answers ends in a sentence', async () => {
		const answer = (status: number, body: object) => (() => Promise.resolve(Response.json(body, { status }))) as unknown as typeof fetch; // prettier-ignore
		const sent = (send: typeof fetch) =>
			sendInPieces(new Blob([bytes(5)]), '/piece', 'file-one', () => undefined, send);
		await expect(sent(answer(413, { message: 'That file is too large.' }))).rejects.toThrow(
			'That file is too large.'
		);
		await expect(sent(answer(503, {}))).rejects.toThrow('does not answer');
	}, 20_000);
});
