import { readFileSync } from 'node:fs';
import { PNG } from 'pngjs';
import jpeg from 'jpeg-js';
import { expect, test } from 'vitest';
import { checkPicture, DAMAGED, TOO_LARGE } from './check-picture.ts';

const png = (width: number, height: number): Buffer => {
	const image = new PNG({ width, height });
	for (let i = 0; i < image.data.length; i++) image.data[i] = (i * 37) % 256;
	return PNG.sync.write(image);
};
const small = png(12, 9);
const photo = jpeg.encode({ width: 16, height: 12, data: Buffer.alloc(16 * 12 * 4, 120) }, 80).data;

test('whole pictures are taken in, a phone’s photo too', () => {
	expect(checkPicture({ bytes: small, type: 'image/png' })).toBe('');
	expect(checkPicture({ bytes: photo, type: 'image/jpeg' })).toBe('');
	expect(
		checkPicture({ bytes: readFileSync('scripts/demo/photos/lighthouse-column.jpg'), type: 'image/jpeg' })
	).toBe('');
});
test('a PNG of a few bytes whose picture cannot be unpacked is refused: no paper ever meets it', () => {
	// Signature and head of a real one, then data that is no deflate stream.
	const broken = Buffer.from(small);
	const at = broken.indexOf('IDAT') + 4;
	broken.fill(0xff, at, at + 20);
	expect(checkPicture({ bytes: broken, type: 'image/png' })).toBe(DAMAGED);
	expect(checkPicture({ bytes: small.subarray(0, 60), type: 'image/png' })).toBe(DAMAGED);
	expect(checkPicture({ bytes: photo.subarray(0, 40), type: 'image/jpeg' })).toBe(DAMAGED);
});
test('a picture that would unpack to gigabytes is refused by its head', () => {
	const bomb = Buffer.from(small);
	bomb.writeUInt32BE(60_000, 16);
	bomb.writeUInt32BE(60_000, 20);
	expect(checkPicture({ bytes: bomb, type: 'image/png' })).toBe(TOO_LARGE);
});
