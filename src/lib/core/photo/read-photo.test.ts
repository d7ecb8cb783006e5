import exifr from 'exifr';
import jpegJs from 'jpeg-js';
import { PNG } from 'pngjs';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { LARGEST_PHOTO, readPhoto } from './read-photo.ts';

const { encode, decode } = jpegJs;
const [W, H] = [48, 32];
/** A picture with something to see in it: every pixel says where it is. */
const pixels = Buffer.from(Array.from({ length: W * H * 4 }, (_, i) => (i % 4 === 3 ? 255 : (i * 7) % 251)));
const plain = new Uint8Array(encode({ data: pixels, width: W, height: H }, 90).data);

/** An Exif block as a phone writes it: maker, turn, and where it was taken. Big-endian, by hand. */
function exif(turn: number): Uint8Array {
	const ascii = (text: string) => [...Buffer.from(text, 'latin1'), 0];
	const n16 = (n: number) => [n >> 8, n & 255];
	const n32 = (n: number) => [...n16(n >>> 16), ...n16(n & 65_535)];
	const entry = (tag: number, type: number, count: number, value: number[]) => [...n16(tag), ...n16(type), ...n32(count), ...value]; // prettier-ignore
	const maker = ascii('Spyglass 9');
	const gps = 8 + 2 + 3 * 12 + 4 + maker.length;
	const degrees = gps + 2 + 4 * 12 + 4;
	const tiff = [
		0x4d, 0x4d, 0, 42, ...n32(8),
		...n16(3),
		...entry(0x010f, 2, maker.length, n32(8 + 2 + 3 * 12 + 4)),
		...entry(0x0112, 3, 1, [...n16(turn), 0, 0]),
		...entry(0x8825, 4, 1, n32(gps)),
		...n32(0), ...maker,
		...n16(4),
		...entry(1, 2, 2, [...ascii('N'), 0, 0]), ...entry(2, 5, 3, n32(degrees)),
		...entry(3, 2, 2, [...ascii('W'), 0, 0]), ...entry(4, 5, 3, n32(degrees + 24)),
		...n32(0),
		...[50, 1, 20, 1, 0, 1, 5, 1, 10, 1, 0, 1].flatMap(n32)
	]; // prettier-ignore
	const body = [...Buffer.from('Exif\0\0', 'latin1'), ...tiff];
	return Uint8Array.from([0xff, 0xe1, ...n16(body.length + 2), ...body]);
}
const comment = Uint8Array.from([0xff, 0xfe, 0, 8, ...Buffer.from('secret')]);
const withBlocks = (...blocks: Uint8Array[]) =>
	Uint8Array.from([...plain.subarray(0, 2), ...blocks.flatMap((b) => [...b]), ...plain.subarray(2)]);
const read = (bytes: Uint8Array) => {
	const done = readPhoto(bytes);
	if (!done.ok) throw new Error(done.say);
	return done.photo;
};

describe('a JPEG', () => {
	test('keeps its picture, pixel for pixel, and loses place, camera and comment (read by an independent library)', async () => {
		const phone = withBlocks(exif(1), comment);
		const before = (await exifr.parse(Buffer.from(phone), { gps: true })) as Record<string, unknown>;
		expect(before).toMatchObject({ Make: 'Spyglass 9', latitude: expect.closeTo(50 + 1 / 3, 6) as number });
		const { type, width, height, bytes } = read(phone);
		expect([type, width, height]).toEqual(['image/jpeg', W, H]);
		expect(await exifr.parse(Buffer.from(bytes), { gps: true, xmp: true, iptc: true })).toBeUndefined();
		expect(Buffer.from(bytes).includes('secret')).toBe(false);
		expect(decode(bytes).data.equals(decode(plain).data)).toBe(true);
	});
	test.each([3, 6, 8])('turned by the camera (%i) stays turned, and nothing else is said', async (turn) => {
		const { width, height, bytes } = read(withBlocks(exif(turn)));
		expect([width, height]).toEqual(turn >= 5 ? [H, W] : [W, H]);
		expect(await exifr.orientation(Buffer.from(bytes))).toBe(turn);
		expect(Object.keys((await exifr.parse(Buffer.from(bytes))) as object)).toEqual(['Orientation']);
	});
	test('loses what hangs on behind its end', () => {
		const { bytes } = read(Uint8Array.from([...plain, ...Buffer.from('a film of the same moment')]));
		expect(bytes.length).toBe(plain.length);
	});
	test('that ends in the middle is damaged', () => {
		expect(readPhoto(plain.subarray(0, plain.length - 400))).toMatchObject({ ok: false });
	});
});

describe('a PNG', () => {
	const image = new PNG({ width: W, height: H });
	pixels.copy(image.data);
	const png = new Uint8Array(PNG.sync.write(image));
	const crcTable = (bytes: Uint8Array) => {
		let c = 0xffffffff;
		for (const b of bytes) {
			c ^= b;
			for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
		}
		return (c ^ 0xffffffff) >>> 0;
	};
	const chunk = (name: string, text: string) => {
		const body = Buffer.concat([Buffer.from(name), Buffer.from(text, 'latin1')]);
		const out = Buffer.alloc(body.length + 8);
		out.writeUInt32BE(text.length, 0);
		body.copy(out, 4);
		out.writeUInt32BE(crcTable(body), body.length + 4);
		return out;
	};
	test('keeps its picture and loses its texts', () => {
		const said = Uint8Array.from([
			...png.subarray(0, 33),
			...chunk('tEXt', 'Author\0somebody'),
			...png.subarray(33)
		]);
		const { type, width, height, bytes } = read(said);
		expect([type, width, height]).toEqual(['image/png', W, H]);
		expect(Buffer.from(bytes).includes('somebody')).toBe(false);
		expect(PNG.sync.read(Buffer.from(bytes)).data.equals(pixels)).toBe(true);
	});
	test('with one bit turned is damaged', () => {
		const broken = Uint8Array.from(png);
		broken[50]! ^= 1;
		expect(readPhoto(broken)).toMatchObject({ ok: false });
	});
});

test.each<[string, Uint8Array, RegExp]>([
	['nothing', new Uint8Array(), /empty/],
	['words', new Uint8Array(Buffer.from('not a photo')), /no photo/],
	[
		'words called a JPEG',
		new Uint8Array(Buffer.from('\xff\xd8\xff and then words', 'latin1')),
		/damaged|no photo/
	],
	['another kind', new Uint8Array(Buffer.from('GIF89a......')), /JPEG or a PNG/],
	['a phone’s own kind', new Uint8Array(Buffer.from('\0\0\0\x18ftypheic....')), /Send it as JPEG/],
	['eleven megabytes', new Uint8Array(LARGEST_PHOTO + 1), /10\.0 MB\. At most 10 MB/]
])('%s is refused in words', (_, bytes, words) => {
	const done = readPhoto(bytes);
	expect(done.ok).toBe(false);
	expect(done.ok ? '' : done.say).toMatch(words);
});
test('whatever is sent, an answer comes and never a fault (property)', () => {
	const any = fc.uint8Array({ maxLength: 300 });
	const cut = fc.tuple(fc.nat(plain.length - 1), fc.nat(255)).map(([at, value]) => {
		const bytes = Uint8Array.from(plain);
		bytes[at] = value;
		return bytes;
	});
	const started = any.map((b) => Uint8Array.from([0xff, 0xd8, 0xff, 0xe1, ...b]));
	fc.assert(fc.property(fc.oneof(any, cut, started), (bytes) => typeof readPhoto(bytes).ok === 'boolean'));
});
