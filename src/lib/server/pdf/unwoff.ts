import { inflateSync } from 'node:zlib';

/**
 * The font inside a WOFF 1.0 file, as it was before it was packed: the same tables, uncompressed, in an sfnt wrapper.
 * Source: W3C Recommendation "WOFF File Format 1.0" (2012), sections 3 to 5.
 * @throws {Error} for a file that is no WOFF 1.0
 */
export function unwoff(woff: Buffer): Buffer {
	if (woff.toString('latin1', 0, 4) !== 'wOFF') throw new Error('not a WOFF 1.0 file');
	const count = woff.readUInt16BE(12);
	const tables = Array.from({ length: count }, (_, i) => {
		const at = 44 + 20 * i;
		const [offset, packed, length] = [4, 8, 12].map((by) => woff.readUInt32BE(at + by)) as [number, number, number]; // prettier-ignore
		const data = woff.subarray(offset, offset + packed);
		return {
			tag: woff.subarray(at, at + 4),
			sum: woff.readUInt32BE(at + 16),
			data: packed < length ? inflateSync(data) : data
		};
	});
	const header = Buffer.alloc(12 + 16 * count);
	woff.copy(header, 0, 4, 8);
	const power = 2 ** Math.floor(Math.log2(count));
	header.writeUInt16BE(count, 4);
	header.writeUInt16BE(power * 16, 6);
	header.writeUInt16BE(Math.log2(power), 8);
	header.writeUInt16BE(count * 16 - power * 16, 10);
	let offset = header.length;
	const bodies = tables.map(({ tag, sum, data }, i) => {
		const at = 12 + 16 * i;
		tag.copy(header, at);
		header.writeUInt32BE(sum, at + 4);
		header.writeUInt32BE(offset, at + 8);
		header.writeUInt32BE(data.length, at + 12);
		const padded = Buffer.concat([data, Buffer.alloc((4 - (data.length % 4)) % 4)]);
		offset += padded.length;
		return padded;
	});
	return Buffer.concat([header, ...bodies]);
}
