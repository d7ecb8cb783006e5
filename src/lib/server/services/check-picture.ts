import { Worker } from 'node:worker_threads';
import { beside } from '../beside.ts';

/** Most pixels of a picture: a large phone's, and no more. */
const MOST_PIXELS = 40_000_000;
/** Longest a picture is decoded, ms, and the memory it may take, MB. */
const LIMITS = { time: 15_000, memory: 700 } as const;

export const TOO_LARGE =
	'That picture has too many pixels to be shown on papers. Send a smaller one: phones offer a size when sharing.';
export const DAMAGED = 'That picture is damaged: it cannot be shown whole. Save it again, or take it anew.';

/** Width times height by the head of a PNG, before anything is unpacked; nothing for other files. */
function pixelsOfPng(bytes: Uint8Array): number {
	const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
	return bytes.length < 26 ? 0 : view.getUint32(16) * view.getUint32(20);
}

/**
 * Decodes a whole picture on a thread of its own, within limits of pixels, memory and time: what is taken in can be shown
 * on every page and paper, and no picture ends or holds up the server.
 * @returns nothing where it can be shown, else a sentence that says what to do
 */
export async function checkPicture(bytes: Uint8Array, type: 'image/png' | 'image/jpeg'): Promise<string> {
	if (type === 'image/png' && pixelsOfPng(bytes) > MOST_PIXELS) return TOO_LARGE;
	const worker = new Worker(beside('workers/check-picture.mjs'), {
		workerData: { bytes, type },
		resourceLimits: { maxOldGenerationSizeMb: LIMITS.memory }
	});
	return new Promise<string>((resolve) => {
		const end = (said: string) => {
			clearTimeout(timer);
			void worker.terminate();
			resolve(said);
		};
		const timer = setTimeout(() => end(TOO_LARGE), LIMITS.time);
		worker.once('message', (m: { ok: boolean; why?: string }) =>
			end(m.ok ? '' : /resolution|memory/i.test(m.why ?? '') ? TOO_LARGE : DAMAGED)
		);
		worker.once('error', (cause: { code?: string }) =>
			end(cause.code === 'ERR_WORKER_OUT_OF_MEMORY' ? TOO_LARGE : DAMAGED)
		);
		worker.once('exit', () => end(DAMAGED));
	});
}
