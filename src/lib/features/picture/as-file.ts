import type { DrawList } from '../../core/scene/draw-list.ts';
import { boxHeight, inOrder } from '../../core/scene/svg.ts';
import { stampDisc, stampTube } from './stamp.ts';

/** Pixels of the longer side of a picture taken away. */
const LONG_SIDE = 1600;
const EDGE = 40;

/**
 * A picture as a PNG on white: the same draw list, stamped at the size it is wanted in.
 * @returns undefined where the browser cannot paint it
 */
export async function pictureAsPng(list: DrawList): Promise<Blob | undefined> {
	const plan = list.view === 'plan';
	const tall = plan ? 2 * list.halfWidth : boxHeight(list);
	const scale = (LONG_SIDE - 2 * EDGE) / Math.max(1, tall, 2 * list.halfWidth);
	const width = Math.ceil(2 * list.halfWidth * scale) + 2 * EDGE;
	const height = Math.ceil(tall * scale) + 2 * EDGE;
	const canvas = new OffscreenCanvas(width, height);
	const context = canvas.getContext('2d');
	if (!context) return undefined;
	context.fillStyle = '#ffffff';
	context.fillRect(0, 0, width, height);
	const floor = plan ? height / 2 : height - EDGE;
	const ground = {
		across: (x: number) => width / 2 + x * scale,
		up: (y: number) => floor - y * scale,
		scale
	};
	for (const thing of inOrder(list)) {
		if ('tube' in thing) stampTube(context, thing.tube, ground, thing.tube.width * scale);
		else stampDisc(context, thing.disc, list.paints[thing.disc.paint]!, ground);
	}
	return canvas.convertToBlob({ type: 'image/png' }).catch(() => undefined);
}

/** Hands a file to the person, under a name. */
export function saveAs(blob: Blob, name: string) {
	const link = document.createElement('a');
	link.href = URL.createObjectURL(blob);
	link.download = name;
	link.click();
	setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
