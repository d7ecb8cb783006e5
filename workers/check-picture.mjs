/**
 * Decodes a whole picture, on a thread of its own: what can be decoded here can be shown on every page and paper. The
 * thread has its limits of memory and time; the picture has one of pixels.
 */
import { parentPort, workerData } from 'node:worker_threads';
import jpeg from 'jpeg-js';
import { PNG } from 'pngjs';

const { bytes, type } = workerData;
const buffer = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
try {
	const picture =
		type === 'image/png'
			? PNG.sync.read(buffer)
			: jpeg.decode(buffer, {
					maxResolutionInMP: 40,
					maxMemoryUsageInMB: 400,
					useTArray: true,
					tolerantDecoding: false
				});
	parentPort.postMessage({ ok: true, width: picture.width, height: picture.height });
} catch (error) {
	parentPort.postMessage({ ok: false, why: error instanceof Error ? error.message : String(error) });
}
