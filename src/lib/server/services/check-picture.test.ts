import { readFileSync } from 'node:fs';
import { PNG } from 'pngjs';
import jpeg from 'jpeg-js';
import { expect, test } from 'vitest';
import { readPhoto } from '../../core/photo/read-photo.ts';
import { checkPicture, DAMAGED, TOO_LARGE } from './check-picture.ts';

const png = (width: number, height: number): Buffer => {
	const image = new PNG({ width, height });
	for (let i = 0; i < image.data.length; i++) image.data[i] = (i * 37) % 256;
	return PNG.sync.write(image);
};
const small = png(12, 9);
const photo = jpeg.encode({ width: 16, height: 12, data: Buffer.alloc(16 * 12 * 4, 120) }, 80).data;

test('whole pictures are taken in, a phone’s photo too', async () => {
	expect(await checkPicture(small, 'image/png')).toBe('');
	expect(await checkPicture(photo, 'image/jpeg')).toBe('');
	expect(await checkPicture(readFileSync('scripts/demo/photos/lighthouse-column.jpg'), 'image/jpeg')).toBe(
		''
	);
});
test('a PNG of a few bytes whose picture cannot be unpacked is refused: no paper ever meets it', async () => {
	// Signature and head of a real one, then data that is no deflate stream.
	const broken = Buffer.from(small);
	const at = broken.indexOf('IDAT') + 4;
	broken.fill(0xff, at, at + 20);
	expect(await checkPicture(broken, 'image/png')).toBe(DAMAGED);
	expect(await checkPicture(small.subarray(0, 60), 'image/png')).toBe(DAMAGED);
	expect(await checkPicture(photo.subarray(0, 40), 'image/jpeg')).toBe(DAMAGED);
});
test('a picture that would unpack to gigabytes is refused by its head', async () => {
	const bomb = Buffer.from(small);
	bomb.writeUInt32BE(60_000, 16);
	bomb.writeUInt32BE(60_000, 20);
	expect(await checkPicture(bomb, 'image/png')).toBe(TOO_LARGE);
});
test('mutated pictures (seeded): each is taken in or refused in words, and nothing ends or hangs', async () => {
	let seed = 11;
	const next = (n: number) => (seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648) % n;
	const said = new Set<string>();
	for (let i = 0; i < 30; i++) {
		const [bytes, type] = i % 2 ? [Buffer.from(photo), 'image/jpeg' as const] : [Buffer.from(small), 'image/png' as const]; // prettier-ignore
		for (let k = 0; k <= next(6); k++) bytes[next(bytes.length)] = next(256);
		// What the reader refuses never comes so far.
		if (!readPhoto(bytes).ok) continue;
		said.add(await checkPicture(bytes, type));
	}
	for (const words of said) expect(['', DAMAGED, TOO_LARGE]).toContain(words);
}, 60_000);
