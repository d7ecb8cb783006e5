import jpeg from 'jpeg-js';
import { PNG } from 'pngjs';

/** Most pixels of a picture: a large phone's, and no more. */
const MOST_PIXELS = 40_000_000;
/** Most memory a JPEG may take while it is decoded, MB. */
const MOST_MEMORY = 400;

export const TOO_LARGE =
	'That picture has too many pixels to be shown on papers. Send a smaller one: phones offer a size when sharing.';
export const DAMAGED = 'That picture is damaged: it cannot be shown whole. Save it again, or take it anew.';

export interface Uploaded {
	readonly bytes: Uint8Array;
	readonly type: 'image/png' | 'image/jpeg';
}

/** Width times height by the head of a PNG, before anything is unpacked; nothing for other files. */
function pixelsOfPng(bytes: Uint8Array): number {
	const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
	return bytes.length < 26 ? 0 : view.getUint32(16) * view.getUint32(20);
}

/**
 * Decodes a whole picture: what is taken in can be shown on every page and paper. Runs on a thread of the pool, whose limits
 * of time and memory hold for what no limit of pixels stops.
 * @returns nothing where it can be shown, else a sentence that says what to do
 */
export function checkPicture({ bytes, type }: Uploaded): string {
	if (type === 'image/png' && pixelsOfPng(bytes) > MOST_PIXELS) return TOO_LARGE;
	const buffer = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
	try {
		if (type === 'image/png') PNG.sync.read(buffer);
		else
			jpeg.decode(buffer, {
				maxResolutionInMP: MOST_PIXELS / 1e6,
				maxMemoryUsageInMB: MOST_MEMORY,
				useTArray: true,
				tolerantDecoding: false
			});
		return '';
	} catch (cause) {
		const why = cause instanceof Error ? cause.message : String(cause);
		return /resolution|memory/i.test(why) ? TOO_LARGE : DAMAGED;
	}
}
