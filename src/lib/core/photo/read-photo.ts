/** Kinds of photo that every browser and a PDF show. */
export const PHOTO_TYPES = ['image/jpeg', 'image/png'] as const;
export type PhotoType = (typeof PHOTO_TYPES)[number];

/** Bytes; 10 MB. */
export const LARGEST_PHOTO = 10 * 1024 * 1024;
/** Pixels; more is no photo of a camera, and would fill the memory of a phone. */
export const MOST_PIXELS = 100_000_000;

/** A photo as it may be kept: what it is by its bytes, without what the camera wrote beside the picture. */
export interface Photo {
	readonly type: PhotoType;
	/** Pixels, as it is looked at: turned where the camera said so. */
	readonly width: number;
	readonly height: number;
	readonly bytes: Uint8Array;
}
export type ReadPhoto =
	{ readonly ok: true; readonly photo: Photo } | { readonly ok: false; readonly say: string };

const no = (say: string): ReadPhoto => ({ ok: false, say });
const NOT_A_PHOTO = 'That is no photo this page can read. Choose a JPEG or a PNG.';
const DAMAGED = 'This photo is damaged: it ends in the middle. Take it from the camera again.';

/**
 * Reads a photo by its own bytes, whatever it is called, and takes out of it what is no picture: place, camera, time,
 * thumbnails, comments, texts. Of a JPEG the turn the camera noted is kept, for without it the picture lies on its side.
 *
 * JPEG: markers of ITU-T T.81 annex B; the turn is tag 0x0112 of the Exif 2.3 block. PNG: chunks of the W3C PNG
 * specification, third edition, with their CRC checked. From memory, both.
 */
export function readPhoto(bytes: Uint8Array): ReadPhoto {
	if (bytes.length === 0) return no('That file is empty. Choose a photo.');
	if (bytes.length > LARGEST_PHOTO)
		return no(
			`That photo has ${(bytes.length / 1024 / 1024).toFixed(1)} MB. At most 10 MB can be kept: send a smaller one.`
		);
	if (bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff) return jpeg(bytes);
	if (PNG_SIGNATURE.every((b, i) => bytes[i] === b)) return png(bytes);
	const text = String.fromCharCode(...bytes.subarray(0, 16));
	if (/ftyp(heic|heix|hevc|mif1|msf1|avif)/.test(text))
		return no(
			'This is a phone’s own kind of photo that browsers do not show. Send it as JPEG: phones offer that when sharing.'
		);
	if (/^GIF8|^RIFF....WEBP/s.test(text)) return no('Choose a JPEG or a PNG: other kinds cannot be printed.');
	return no(NOT_A_PHOTO);
}

function sized(type: PhotoType, width: number, height: number, parts: readonly Uint8Array[]): ReadPhoto {
	if (width === 0 || height === 0) return no(NOT_A_PHOTO);
	if (width * height > MOST_PIXELS) return no('That picture has too many pixels. Send a smaller one.');
	return { ok: true, photo: { type, width, height, bytes: joined(parts) } };
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
	const all = new Uint8Array(parts.reduce((a, p) => a + p.length, 0));
	let at = 0;
	for (const part of parts) {
		all.set(part, at);
		at += part.length;
	}
	return all;
}

const be16 = (bytes: Uint8Array, at: number) => (bytes[at]! << 8) | bytes[at + 1]!;
const be32 = (bytes: Uint8Array, at: number) => be16(bytes, at) * 65_536 + be16(bytes, at + 2);

/** Segments kept of a JPEG: all but APP1 to APP15 (14 says how colours are coded and stays) and comments. */
const isKept = (marker: number) => (marker < 0xe1 || marker > 0xef || marker === 0xee) && marker !== 0xfe;
const FRAMES = new Set([0xc0, 0xc1, 0xc2, 0xc3, 0xc5, 0xc6, 0xc7, 0xc9, 0xca, 0xcb, 0xcd, 0xce, 0xcf]);

function jpeg(bytes: Uint8Array): ReadPhoto {
	const parts: Uint8Array[] = [bytes.subarray(0, 2)];
	let turn = 1;
	let size: [number, number] | undefined;
	let scanned = false;
	let at = 2;
	for (;;) {
		while (bytes[at] === 0xff && bytes[at + 1] === 0xff) at++;
		if (bytes[at] !== 0xff || at + 2 > bytes.length) return no(DAMAGED);
		const marker = bytes[at + 1]!;
		// What a phone hangs on behind the end mark is not the picture.
		if (marker === 0xd9) break;
		const length = at + 4 > bytes.length ? 0 : be16(bytes, at + 2);
		if (length < 2 || at + 2 + length > bytes.length) return no(DAMAGED);
		if (marker === 0xe1) turn = exifTurn(bytes.subarray(at + 4, at + 2 + length)) ?? turn;
		if (FRAMES.has(marker) && length >= 8) size = [be16(bytes, at + 7), be16(bytes, at + 5)];
		const end = marker === 0xda ? scanEnd(bytes, at + 2 + length) : at + 2 + length;
		scanned ||= marker === 0xda;
		if (isKept(marker)) parts.push(bytes.subarray(at, end));
		at = end;
	}
	if (!scanned) return no(NOT_A_PHOTO);
	parts.push(bytes.subarray(at, at + 2));
	if (!size) return no(NOT_A_PHOTO);
	if (turn !== 1) parts.splice(1, 0, turnBlock(turn));
	const [width, height] = turn >= 5 ? [size[1], size[0]] : size;
	return sized('image/jpeg', width, height, parts);
}

/** Where a scan ends: at the next marker that is neither a stuffed zero nor a restart; the end of the file without one. */
function scanEnd(bytes: Uint8Array, from: number): number {
	for (let at = from; at + 1 < bytes.length; at++) {
		const next = bytes[at + 1]!;
		if (bytes[at] === 0xff && next !== 0 && next !== 0xff && (next < 0xd0 || next > 0xd7)) return at;
	}
	return bytes.length;
}

/** The turn of an Exif block, 1 to 8; undefined where it says none. */
function exifTurn(block: Uint8Array): number | undefined {
	if (String.fromCharCode(...block.subarray(0, 4)) !== 'Exif' || block.length < 20) return undefined;
	const tiff = block.subarray(6);
	const little = tiff[0] === 0x49;
	const n16 = (at: number) => (little ? tiff[at]! | (tiff[at + 1]! << 8) : be16(tiff, at));
	const n32 = (at: number) => (little ? n16(at) + n16(at + 2) * 65_536 : be32(tiff, at));
	const directory = n32(4);
	if (directory + 2 > tiff.length) return undefined;
	for (let i = 0; i < n16(directory); i++) {
		const entry = directory + 2 + 12 * i;
		if (entry + 12 > tiff.length) return undefined;
		if (n16(entry) !== 0x0112) continue;
		const turn = n16(entry + 8);
		return turn >= 1 && turn <= 8 ? turn : undefined;
	}
	return undefined;
}

/** An Exif block that says how the picture is turned, and nothing else. */
function turnBlock(turn: number): Uint8Array {
	return Uint8Array.from([
		0xff, 0xe1, 0, 34, 0x45, 0x78, 0x69, 0x66, 0, 0, 0x4d, 0x4d, 0, 42, 0, 0, 0, 8, 0, 1, 1, 0x12, 0, 3, 0, 0, 0, 1, 0,
		turn, 0, 0, 0, 0, 0, 0
	]); // prettier-ignore
}

const PNG_SIGNATURE = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];
/** What a PNG needs to look as it does. */
const CHUNKS = new Set([
	'IHDR',
	'PLTE',
	'IDAT',
	'IEND',
	'tRNS',
	'gAMA',
	'cHRM',
	'sRGB',
	'iCCP',
	'sBIT',
	'pHYs'
]);

function png(bytes: Uint8Array): ReadPhoto {
	const parts: Uint8Array[] = [bytes.subarray(0, 8)];
	let size: [number, number] | undefined;
	let pictured = false;
	for (let at = 8; ;) {
		if (at + 12 > bytes.length) return no(DAMAGED);
		const length = be32(bytes, at);
		const name = String.fromCharCode(...bytes.subarray(at + 4, at + 8));
		const end = at + 12 + length;
		if (end > bytes.length) return no(DAMAGED);
		if (crc(bytes.subarray(at + 4, end - 4)) !== be32(bytes, end - 4)) return no(DAMAGED);
		if (name === 'IHDR') size = [be32(bytes, at + 8), be32(bytes, at + 12)];
		pictured ||= name === 'IDAT' && length > 0;
		if (CHUNKS.has(name)) parts.push(bytes.subarray(at, end));
		if (name === 'IEND') break;
		at = end;
	}
	return size && pictured ? sized('image/png', size[0], size[1], parts) : no(NOT_A_PHOTO);
}

let table: Uint32Array | undefined;
/** CRC-32 as PNG has it, polynomial 0xEDB88320. */
function crc(bytes: Uint8Array): number {
	table ??= Uint32Array.from({ length: 256 }, (_, n) => {
		let c = n;
		for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
		return c;
	});
	let c = 0xffffffff;
	for (const byte of bytes) c = table[(c ^ byte) & 0xff]! ^ (c >>> 8);
	return (c ^ 0xffffffff) >>> 0;
}
