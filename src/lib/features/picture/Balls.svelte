<script lang="ts">
	import type { Attachment } from 'svelte/attachments';
	import type { Finish } from '../../core/materials/material.ts';
	import { inSight } from './in-sight.ts';
	import { sprite } from './sprites.ts';

	export interface Ball {
		readonly x: number;
		readonly y: number;
		readonly r: number;
		readonly paint: number;
		/** Steps back behind those that are looked at. */
		readonly faint?: boolean;
	}
	interface Props {
		/** Back to front, in units of the picture, y upwards. */
		balls: readonly Ball[];
		paints: readonly { readonly hex: string; readonly finish: Finish }[];
		/** CSS pixels. */
		width: number;
		height: number;
		/** Where the picture's origin stands, CSS pixels from the top left, and CSS pixels a unit. */
		at: { readonly x: number; readonly y: number };
		scale: number;
	}
	let { balls, paints, width, height, at, scale }: Props = $props();

	/** Under so many all are drawn: looking which are hidden would cost more than it saves. */
	const MANY = 400;
	/** What is stepped back lets through what is behind it, so nothing is left out then. */
	const shown = $derived.by(() => {
		if (balls.length < MANY || balls.some((b) => b.faint)) return balls;
		const discs = balls.map(({ x, y, r, paint }) => ({
			x: at.x + x * scale,
			y: at.y - y * scale,
			r: r * scale,
			clear: paints[paint]!.finish === 'see-through'
		}));
		return inSight(discs, width, height).map((i) => balls[i]!);
	});

	const draw: Attachment<HTMLCanvasElement> = (canvas) => {
		const dense = Math.min(3, window.devicePixelRatio || 1);
		const [w, h] = [Math.round(width * dense), Math.round(height * dense)];
		if (canvas.width !== w) canvas.width = w;
		if (canvas.height !== h) canvas.height = h;
		const context = canvas.getContext('2d')!;
		context.clearRect(0, 0, w, h);
		for (const { x, y, r, paint, faint } of shown) {
			const { hex, finish } = paints[paint]!;
			const stamp = sprite(hex, finish, r * scale * dense);
			const half = stamp.width / 2;
			context.globalAlpha = faint ? 0.35 : 1;
			context.drawImage(
				stamp,
				Math.round((at.x + x * scale) * dense - half),
				Math.round((at.y - y * scale) * dense - half)
			);
		}
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
