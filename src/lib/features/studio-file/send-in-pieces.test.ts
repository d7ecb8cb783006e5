import { describe, expect, test } from 'vitest';
import { PIECE, sendInPieces } from './send-in-pieces.ts';

const bytes = (n: number) => Uint8Array.from({ length: n }, (_, i) => i % 251);

describe('a file in pieces', () => {
	test('sent over a connection that is lost now and then, it arrives whole and once', async () => {
		const whole = bytes(2 * PIECE + 1234);
		let there = new Uint8Array(0);
		let asked = 0;
		const send = (async (address: string, { body }: { body: Blob }) => {
			const from = Number(new URL(address, 'http://studio.example').searchParams.get('from'));
			const lost = ++asked % 3;
			if (lost === 1) throw new TypeError('the connection is gone');
			if (from === there.length)
				there = new Uint8Array([...there, ...new Uint8Array(await body.arrayBuffer())]);
			// It came, and the answer was lost.
			if (lost === 2) throw new TypeError('the connection is gone');
			return Response.json({ here: there.length });
		}) as unknown as typeof fetch;
		const told: number[] = [];
		await sendInPieces(new Blob([whole]), '/piece', 'file-one', (n) => told.push(n), send);
		expect(told.at(-1)).toBe(whole.length);
		expect(Buffer.compare(there, whole)).toBe(0);
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
