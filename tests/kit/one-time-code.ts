import { createHmac } from 'node:crypto';

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

/** Base 32 as in RFC 4648 6, without padding. */
export function fromBase32(text: string): Buffer {
	let bits = '';
	for (const letter of text.replace(/=+$/, '')) bits += LETTERS.indexOf(letter).toString(2).padStart(5, '0');
	return Buffer.from((bits.match(/.{8}/g) ?? []).map((b) => parseInt(b, 2)));
}

/** The code of a moment, by RFC 6238 over RFC 4226 5.3, with SHA-1 and 30 s. @param at seconds */
export function codeAt(key: Buffer, at: number, digits = 6): string {
	const counter = Buffer.alloc(8);
	counter.writeBigUInt64BE(BigInt(Math.floor(at / 30)));
	const mac = createHmac('sha1', key).update(counter).digest();
	const offset = mac.at(-1)! & 0xf;
	const number = mac.readUInt32BE(offset) & 0x7fffffff;
	return String(number % 10 ** digits).padStart(digits, '0');
}
