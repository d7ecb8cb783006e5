import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { unwoff } from './unwoff.ts';

const file = createRequire(import.meta.url).resolve('@fontsource/instrument-sans/files/instrument-sans-latin-400-normal.woff'); // prettier-ignore

/** Sum of a table's words, modulo 2³². Source: OpenType 1.9, "Calculating checksums"; `head` is summed with its own sum as 0. */
function checksum(table: Buffer, tag: string): number {
	const data = Buffer.concat([table, Buffer.alloc((4 - (table.length % 4)) % 4)]);
	if (tag === 'head') data.writeUInt32BE(0, 8);
	let sum = 0;
	for (let at = 0; at < data.length; at += 4) sum = (sum + data.readUInt32BE(at)) >>> 0;
	return sum;
}

test('every table is there, where the wrapper says, with the checksum the font was made with', () => {
	const woff = readFileSync(file);
	const font = unwoff(woff);
	// The size that the file says the font had.
	expect(font.length).toBe(woff.readUInt32BE(16));
	const count = font.readUInt16BE(4);
	expect(count).toBe(woff.readUInt16BE(12));
	for (let i = 0; i < count; i++) {
		const at = 12 + 16 * i;
		const tag = font.toString('latin1', at, at + 4);
		const [sum, offset, length] = [4, 8, 12].map((by) => font.readUInt32BE(at + by));
		expect([tag, checksum(font.subarray(offset, offset! + length!), tag)]).toEqual([tag, sum]);
	}
});
test('another file is refused', () => expect(() => unwoff(Buffer.alloc(64))).toThrow(/no.* WOFF/));
