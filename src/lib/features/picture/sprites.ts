import { strokesOf, type Outline } from '../../core/scene/outlines.ts';
import { shade } from '../../core/scene/shade.ts';
import type { Finish } from '../../core/materials/material.ts';

/** A ball drawn once, at one size, to be stamped many times. Sizes are whole device pixels. */
export type Sprite = ImageBitmap;

/** What a stamp shows. */
export interface Stamp {
	readonly hex: string;
	readonly finish: Finish;
	/** Undefined for a ball. */
	readonly outline?: Outline | undefined;
}

/** A hair round every ball, so that none melts into a light ground or a dark one. */
const RIM = 'rgb(128 134 146 / 0.3)';
const MOST = 600;
const sprites = new Map<string, Sprite>();

/**
 * The stamp of a ball in a colour and finish: drawn at the very size it is stamped in, so that stamping is a copy.
 * @param radius device pixels, above 0
 */
export function sprite(stamp: Stamp, radius: number): Sprite {
	const r = Math.max(1, Math.round(radius * 2) / 2);
	const key = `${stamp.hex}/${stamp.finish}/${stamp.outline ?? ''}/${r}`;
	const cached = sprites.get(key);
	if (cached) return cached;
	if (sprites.size >= MOST) sprites.clear();
	const made = paint(stamp, r);
	sprites.set(key, made);
	return made;
}

function paint({ hex, finish, outline }: Stamp, r: number): Sprite {
	const size = Math.ceil(2 * r) + 2;
	const canvas = new OffscreenCanvas(size, size);
	const context = canvas.getContext('2d')!;
	const c = size / 2;
	// The light stands up and to the left, as everywhere balls are drawn.
	const light = context.createRadialGradient(c - 0.32 * r, c - 0.4 * r, 0, c, c, 1.24 * r);
	for (const stop of shade(hex, finish)) light.addColorStop(stop.at, stop.hex);
	context.globalAlpha = finish === 'see-through' ? 0.86 : 1;
	context.beginPath();
	if (outline) trace(context, outline, c, r);
	else context.arc(c, c, r, 0, 2 * Math.PI);
	context.fillStyle = light;
	context.fill();
	context.globalAlpha = 1;
	context.strokeStyle = RIM;
	context.stroke();
	// A bitmap is stamped as it is; a canvas would be looked at for changes at every stamp.
	return canvas.transferToImageBitmap();
}

function trace(context: OffscreenCanvasRenderingContext2D, outline: Outline, c: number, r: number) {
	const x = (v: number) => c + v * r;
	const y = (v: number) => c - v * r;
	strokesOf(outline).forEach((stroke, i) => {
		const [a, b, p, q, s, t] = stroke;
		if (p !== undefined) context.bezierCurveTo(x(a), y(b), x(p), y(q!), x(s!), y(t!));
		else if (i === 0) context.moveTo(x(a), y(b));
		else context.lineTo(x(a), y(b));
	});
	context.closePath();
}
