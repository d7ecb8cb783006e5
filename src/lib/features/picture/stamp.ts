import type { Disc } from '../../core/scene/draw-list.ts';
import { ropeStrokes, type RopeStroke } from '../../core/scene/rope.ts';
import { TUBE_HEX, type Tube } from '../../core/scene/tubes.ts';
import { sprite, type Stamp } from './sprites.ts';

type Canvas = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;

/** Where millimetres of a picture lie on a canvas, device pixels. */
export interface Ground {
	readonly across: (x: number) => number;
	readonly up: (y: number) => number;
	/** Device pixels a millimetre. */
	readonly scale: number;
}

/** Draws a pole or a line. @param thickness device pixels */
export function stampTube(
	context: Canvas,
	{ x1, y1, x2, y2, hex = TUBE_HEX }: Tube,
	{ across, up }: Ground,
	thickness: number
) {
	context.globalAlpha = 1;
	context.strokeStyle = hex;
	context.lineWidth = thickness;
	context.beginPath();
	context.moveTo(across(x1), up(y1));
	context.lineTo(across(x2), up(y2));
	context.stroke();
}

/** Draws something long: stroke over stroke, round at its ends and bends. */
function stampRope(
	context: Canvas,
	path: readonly number[],
	strokes: readonly RopeStroke[],
	{ across, up, thick }: Ground & { thick: number }
) {
	context.lineCap = 'round';
	context.lineJoin = 'round';
	for (const { hex, width, towards } of strokes) {
		context.strokeStyle = hex;
		context.lineWidth = thick * width;
		const moved = thick * towards;
		context.beginPath();
		for (let i = 0; i < path.length; i += 2)
			context.lineTo(across(path[i]!) - moved, up(path[i + 1]!) - moved);
		if (path.length === 2) context.lineTo(across(path[0]!) - moved, up(path[1]!) - moved);
		context.stroke();
	}
	context.lineCap = 'butt';
}

/** Stamps a balloon: a copy where it is looked at straight, narrower along its lean where it is not. */
export function stampDisc(
	context: Canvas,
	{ x, y, r, outline, flat = 1, lean = 0, path }: Omit<Disc, 'paint' | 'row'>,
	paint: Omit<Stamp, 'outline'>,
	ground: Ground
) {
	const { across, up, scale } = ground;
	const { hex, finish } = paint;
	if (path) {
		stampRope(context, path, ropeStrokes(hex, finish), { ...ground, thick: Math.max(1, 2 * r * scale) });
		return;
	}
	const stamp = sprite({ hex, finish, outline }, r * scale);
	const half = stamp.width / 2;
	if (flat === 1) {
		// On whole pixels stamping is a copy.
		context.drawImage(stamp, Math.round(across(x) - half), Math.round(up(y) - half));
		return;
	}
	context.save();
	context.translate(across(x), up(y));
	context.rotate(-lean);
	context.scale(flat, 1);
	context.rotate(lean);
	context.drawImage(stamp, -half, -half);
	context.restore();
}
