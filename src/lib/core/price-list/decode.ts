import { got, refuse, type Parsed } from '../errors.ts';

/** Encodings a list may be read in. */
export const ENCODINGS = [
	'utf-8',
	'windows-1252',
	'utf-16le',
	'utf-16be',
	'iso-8859-2',
	'macintosh'
] as const;
export type Encoding = (typeof ENCODINGS)[number];

/** Most that is read, bytes. */
export const MOST_BYTES = 12 * 1024 * 1024;

const begins = (bytes: Uint8Array, ...with_: number[]) => with_.every((b, i) => bytes[i] === b);

/** UTF-16 without a mark has a zero at every other place of plain text. */
function zerosAt(bytes: Uint8Array, odd: 0 | 1): boolean {
	const some = Math.min(bytes.length, 400);
	let zeros = 0;
	for (let i = odd; i < some; i += 2) if (bytes[i] === 0) zeros++;
	return some > 3 && zeros > some * 0.3;
}

/** What a file is written in: by its mark, by its zeros, else UTF-8 where it is that, else as Western Windows writes. */
export function encodingOf(bytes: Uint8Array): Encoding {
	if (begins(bytes, 0xff, 0xfe) || zerosAt(bytes, 1)) return 'utf-16le';
	if (begins(bytes, 0xfe, 0xff) || zerosAt(bytes, 0)) return 'utf-16be';
	try {
		new TextDecoder('utf-8', { fatal: true }).decode(bytes);
		return 'utf-8';
	} catch {
		return 'windows-1252';
	}
}

/**
 * The text of a list as a file holds it. @param encoding as she says; nothing is found out
 * @returns the text without its mark, or a sentence where it is no text
 */
export function decodeList(
	bytes: Uint8Array,
	encoding?: Encoding
): Parsed<{ readonly text: string; readonly encoding: Encoding }> {
	if (bytes.length === 0) return refuse('missing', 'The file is empty. Choose another.');
	if (bytes.length > MOST_BYTES)
		return refuse('too-big', `That file has ${Math.ceil(bytes.length / 1024 / 1024)} MB; at most 12 are read. Split it, or leave out the columns that are not needed.`); // prettier-ignore
	if (begins(bytes, 0x50, 0x4b, 3, 4) || begins(bytes, 0xd0, 0xcf, 0x11, 0xe0))
		return refuse('refused', 'This is a spreadsheet’s own file. Save it as CSV there, or copy its rows and paste them below.'); // prettier-ignore
	const used = encoding ?? encodingOf(bytes);
	const text = new TextDecoder(used).decode(bytes);
	const odd = (text.slice(0, 4000).match(/[\0-\x08\x0e-\x1f\ufffd]/g) ?? []).length;
	if (begins(bytes, 0x25, 0x50, 0x44, 0x46) || odd > Math.min(text.length, 4000) * 0.02)
		return refuse('refused', 'This is no list of text: a picture, a paper or a program. Choose a CSV file.');
	return got({ text, encoding: used });
}
