<script lang="ts">
	import type { Attachment } from 'svelte/attachments';
	import type { Finish } from '../../core/materials/material.ts';
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

	const draw: Attachment<HTMLCanvasElement> = (canvas) => {
		const dense = Math.min(3, window.devicePixelRatio || 1);
		const [w, h] = [Math.round(width * dense), Math.round(height * dense)];
		if (canvas.width !== w) canvas.width = w;
		if (canvas.height !== h) canvas.height = h;
		const context = canvas.getContext('2d')!;
		context.clearRect(0, 0, w, h);
		for (const { x, y, r, paint, faint } of balls) {
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
