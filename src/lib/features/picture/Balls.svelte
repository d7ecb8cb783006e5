<script lang="ts">
	import type { Attachment } from 'svelte/attachments';
	import type { Finish } from '../../core/materials/material.ts';
	import type { Disc } from '../../core/scene/draw-list.ts';
	import type { Tube } from '../../core/scene/tubes.ts';
	import { inSight } from './in-sight.ts';
	import { stampDisc, stampTube } from './stamp.ts';

	export interface Ball extends Pick<Disc, 'x' | 'y' | 'r' | 'paint' | 'outline' | 'flat' | 'lean' | 'path'> {
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
		const discs = balls.map(({ x, y, r, paint, outline, path }) => ({
			x: at.x + x * scale,
			y: at.y - y * scale,
			r: (r + reachOf(x, y, path)) * scale,
			// An outline covers less than its round.
			clear: outline !== undefined || path !== undefined || paints[paint]!.finish === 'see-through'
		}));
		return inSight(discs, width, height);
	});

	/** How far the ends of something long are from its middle. */
	function reachOf(x: number, y: number, path: readonly number[] = []): number {
		let most = 0;
		for (let i = 0; i < path.length; i += 2)
			most = Math.max(most, Math.hypot(path[i]! - x, path[i + 1]! - y));
		return most;
	}

	const draw: Attachment<HTMLCanvasElement> = (canvas) => {
		const dense = Math.min(3, window.devicePixelRatio || 1);
		const [w, h] = [Math.round(width * dense), Math.round(height * dense)];
		if (canvas.width !== w) canvas.width = w;
		if (canvas.height !== h) canvas.height = h;
		const context = canvas.getContext('2d')!;
		context.clearRect(0, 0, w, h);
		const ground = {
			across: (x: number) => (at.x + x * scale) * dense,
			up: (y: number) => (at.y - y * scale) * dense,
			scale: scale * dense
		};
		let next = 0;
		const upTo = (count: number) => {
			for (; next < tubes.length && tubes[next]!.before <= count; next++) {
				const tube = tubes[next]!;
				stampTube(context, tube, ground, Math.max(2, tube.width * scale) * dense);
			}
		};
		const put = (i: number) => {
			const ball = balls[i]!;
			if (next < tubes.length) upTo(i);
			context.globalAlpha = ball.faint ? 0.35 : 1;
			stampDisc(context, ball, paints[ball.paint]!, ground);
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
