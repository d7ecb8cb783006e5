<script lang="ts">
	import type { Attachment } from 'svelte/attachments';
	import type { Finish } from '../../core/materials/material.ts';
	import type { Disc } from '../../core/scene/draw-list.ts';
	import { TUBE_HEX, type Tube } from '../../core/scene/tubes.ts';
	import { inSight } from './in-sight.ts';
	import { sprite } from './sprites.ts';

	export interface Ball extends Pick<Disc, 'x' | 'y' | 'r' | 'paint' | 'outline' | 'flat' | 'lean'> {
		/** Steps back behind those that are looked at. */
		readonly faint?: boolean;
	}
	interface Props {
		/** Back to front, in units of the picture, y upwards. */
		balls: readonly Ball[];
		paints: readonly { readonly hex: string; readonly finish: Finish }[];
		/** Poles and sticks, each with how many balls are drawn before it. */
		tubes?: readonly Tube[];
		/** CSS pixels. */
		width: number;
		height: number;
		/** Where the picture's origin stands, CSS pixels from the top left, and CSS pixels a unit. */
		at: { readonly x: number; readonly y: number };
		scale: number;
	}
	let { balls, paints, tubes = [], width, height, at, scale }: Props = $props();

	/** Under so many all are drawn: looking which are hidden would cost more than it saves. */
	const MANY = 400;
	/** Which balls are drawn, back to front. What is stepped back lets through what is behind it: nothing is left out then. */
	const shown = $derived.by((): readonly number[] | null => {
		if (balls.length < MANY || balls.some((b) => b.faint)) return null;
		const discs = balls.map(({ x, y, r, paint, outline }) => ({
			x: at.x + x * scale,
			y: at.y - y * scale,
			r: r * scale,
			// An outline covers less than its round.
			clear: outline !== undefined || paints[paint]!.finish === 'see-through'
		}));
		return inSight(discs, width, height);
	});

	const draw: Attachment<HTMLCanvasElement> = (canvas) => {
		const dense = Math.min(3, window.devicePixelRatio || 1);
		const [w, h] = [Math.round(width * dense), Math.round(height * dense)];
		if (canvas.width !== w) canvas.width = w;
		if (canvas.height !== h) canvas.height = h;
		const context = canvas.getContext('2d')!;
		context.clearRect(0, 0, w, h);
		const [across, up] = [
			(x: number) => (at.x + x * scale) * dense,
			(y: number) => (at.y - y * scale) * dense
		];
		let next = 0;
		const upTo = (count: number) => {
			for (; next < tubes.length && tubes[next]!.before <= count; next++) {
				const { x1, y1, x2, y2, width: thick } = tubes[next]!;
				context.globalAlpha = 1;
				context.strokeStyle = TUBE_HEX;
				context.lineWidth = Math.max(2, thick * scale) * dense;
				context.beginPath();
				context.moveTo(across(x1), up(y1));
				context.lineTo(across(x2), up(y2));
				context.stroke();
			}
		};
		const put = (i: number) => {
			const { x, y, r, paint, faint, outline, flat = 1, lean = 0 } = balls[i]!;
			if (next < tubes.length) upTo(i);
			const { hex, finish } = paints[paint]!;
			const stamp = sprite({ hex, finish, outline }, r * scale * dense);
			const half = stamp.width / 2;
			context.globalAlpha = faint ? 0.35 : 1;
			if (flat === 1) {
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
		};
		if (shown) for (const i of shown) put(i);
		else for (let i = 0; i < balls.length; i++) put(i);
		upTo(Infinity);
	};
</script>

<canvas
	{@attach draw}
	style:width="{width}px"
	style:height="{height}px"
	data-balls={balls.length}
	aria-hidden="true"
></canvas>

<style>
	canvas {
		display: block;
	}
</style>
