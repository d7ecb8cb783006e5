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
		/** Said to screen readers. */
		label: string;
	}
	let { list, known = true, lit = null, label }: Props = $props();

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
	const balls = $derived(
		lit === null ? list.discs : list.discs.map((disc) => ({ ...disc, faint: disc.row !== lit }))
	);
</script>

<div
	class="relative h-full w-full"
	bind:clientWidth={width}
	bind:clientHeight={height}
	role="img"
	aria-label={label}
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
		{#if front && list.discs.length > 0}
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
		{:else if list.discs.length > 0}
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
	.dim {
		font: 400 12.6px var(--font-mono);
		fill: var(--muted);
	}
</style>
