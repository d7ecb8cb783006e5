<script lang="ts">
	import type { DrawList } from '../../core/scene/draw-list.ts';
	import { formatFeet, type Millimetres } from '../../core/units/length.ts';
	import { boxHeight, uprightsOf } from '../../core/scene/svg.ts';
	import Balls from './Balls.svelte';
	import Person from './Person.svelte';

	interface Props {
		list: DrawList;
		/** False where a size is not known: the height prints as a dash. */
		known?: boolean;
		lit?: number | null;
		/** False where it is looked at from above: heights are then not what they look. */
		level?: boolean;
		/** Dragging turns and tilts it: degrees since the last word. */
		onturn?: (turn: number, tilt: number) => void;
		/** A press on a balloon: the row it belongs to, -1 for none. */
		onpick?: (row: number) => void;
		/** Said to screen readers. */
		label: string;
	}
	let { list, known = true, lit = null, level = true, onturn, onpick, label }: Props = $props();

	let width = $state(480);
	let height = $state(640);
	const PERSON = 1676.4; // 5′ 6″
	const front = $derived(list.view !== 'plan');
	/** What has to fit, mm: the piece, the person beside it, and air above. */
	const tall = $derived(front ? Math.max(PERSON, boxHeight(list)) : 2 * list.halfWidth);
	const wide = $derived(2 * list.halfWidth + (front ? 900 : 0));
	const uprights = $derived(uprightsOf(list));
	const scale = $derived(Math.min((height - 92) / Math.max(1, tall), (width - 90) / Math.max(1, wide), 1));
	const floor = $derived(front ? height - 56 : height / 2);
	const centre = $derived(front ? width * 0.42 : width / 2);
	const left = $derived(Math.max(34, centre - list.halfWidth * scale - 74));
	const personAt = $derived(Math.min(width - 40, centre + list.halfWidth * scale + 300 * scale + 30));
	const top = $derived(floor - list.height * scale);
	/** A pointer that went down on the picture, until it comes up. */
	let drag: { x: number; y: number; moved: boolean } | null = null;
	let waiting: { turn: number; tilt: number } | null = null;
	/** Degrees a pixel: a drag across the picture is about half a turn. */
	const PER_PIXEL = 0.5;
	function down(event: PointerEvent & { currentTarget: HTMLElement }) {
		if (!onturn || event.button !== 0) return;
		drag = { x: event.clientX, y: event.clientY, moved: false };
		event.currentTarget.setPointerCapture(event.pointerId);
	}
	function move({ clientX, clientY }: PointerEvent) {
		if (!drag || !onturn) return;
		const [dx, dy] = [clientX - drag.x, clientY - drag.y];
		if (!drag.moved && Math.hypot(dx, dy) < 4) return;
		drag = { x: clientX, y: clientY, moved: true };
		// Several moves may come before the next frame: they are one turn.
		if (!waiting) requestAnimationFrame(flush);
		waiting = { turn: (waiting?.turn ?? 0) - dx * PER_PIXEL, tilt: (waiting?.tilt ?? 0) + dy * PER_PIXEL };
	}
	function flush() {
		if (waiting) onturn?.(waiting.turn, waiting.tilt);
		waiting = null;
	}
	function up(event: PointerEvent & { currentTarget: HTMLElement }) {
		const pressed = drag && !drag.moved;
		drag = null;
		if (!pressed || !onpick) return;
		const box = event.currentTarget.getBoundingClientRect();
		const [x, y] = [(event.clientX - box.left - centre) / scale, (floor - (event.clientY - box.top)) / scale];
		onpick(list.discs.findLast((d) => Math.hypot(d.x - x, d.y - y) < d.r)?.row ?? -1);
	}
	const balls = $derived(
		lit === null ? list.discs : list.discs.map((disc) => ({ ...disc, faint: disc.row !== lit }))
	);
</script>

<div
	class="relative h-full w-full"
	bind:clientWidth={width}
	bind:clientHeight={height}
	class:turns={onturn !== undefined}
	role="img"
	aria-label={label}
	onpointerdown={down}
	onpointermove={move}
	onpointerup={up}
	onpointercancel={() => (drag = null)}
>
	<svg {width} {height} class="absolute inset-0" aria-hidden="true">
		{#if front}
			<ellipse
				cx={centre}
				cy={floor}
				rx={list.halfWidth * scale * 1.2}
				ry="9"
				fill="var(--ink)"
				opacity="0.09"
			/>
			<line x1="18" x2={width - 18} y1={floor} y2={floor} stroke="var(--line)" stroke-width="1.5" />
			<g transform="translate({personAt} {floor}) scale({scale})"><Person /></g>
			<text x={personAt} y={floor + 18} class="dim" text-anchor="middle">5′ 6″</text>
			{#each uprights as upright, index (index)}
				<rect
					x={centre + upright.x * scale - 3}
					y={floor - (upright.from + upright.height) * scale}
					width="6"
					height={upright.height * scale}
					rx="2"
					fill="var(--muted)"
				/>
			{/each}
		{/if}
		{#if front && level && list.discs.length > 0}
			<g stroke="var(--muted)" fill="none">
				<path d="M{left - 5} {top}h10M{left} {top}V{floor}M{left - 5} {floor}h10" />
			</g>
			<text
				class="dim"
				text-anchor="middle"
				transform="translate({left - 9} {(top + floor) / 2}) rotate(-90)"
			>
				{known ? `${formatFeet(list.height as Millimetres)} overall` : '— overall'}
			</text>
		{:else if !front && list.discs.length > 0}
			<text class="dim" x={width / 2} y={height - 40} text-anchor="middle"
				>{formatFeet((2 * list.halfWidth) as Millimetres)} wide</text
			>
		{/if}
	</svg>
	<div class="absolute inset-0">
		<Balls {balls} paints={list.paints} {width} {height} at={{ x: centre, y: floor }} {scale} />
	</div>
</div>

<style>
	.turns {
		cursor: grab;
		touch-action: pan-y;
	}
	.dim {
		font: 400 12.6px var(--font-mono);
		fill: var(--muted);
	}
</style>
