<script lang="ts">
	import type { DrawList } from '../../core/scene/draw-list.ts';
	import { pathOf } from '../../core/scene/outlines.ts';
	import { ropePath, ropeStrokes } from '../../core/scene/rope.ts';
	import { shade } from '../../core/scene/shade.ts';
	import { inOrder, placing } from '../../core/scene/svg.ts';

	interface Props {
		list: DrawList;
		/** Tubes are cut off here, mm over the floor. */
		top?: number;
	}
	let { list, top }: Props = $props();
	const id = $props.id();
	const things = $derived(inOrder(list, top));
</script>

<!-- Balls and tubes of a draw list in millimetres, y upwards from the floor at 0. The parent sets scale and place. -->
<defs>
	{#each list.paints as paint, index (index)}
		<radialGradient id="{id}-{index}" cx="0.5" cy="0.5" r="0.62" fx="0.34" fy="0.3">
			{#each shade(paint.hex, paint.finish) as stop, s (s)}
				<stop
					offset={stop.at}
					stop-color={stop.hex}
					stop-opacity={paint.finish === 'see-through' ? 0.86 : 1}
				/>
			{/each}
		</radialGradient>
	{/each}
</defs>
{#each things as thing, index (index)}
	{#if 'tube' in thing}
		{@const { x1, y1, x2, y2, width, hex } = thing.tube}
		<path d="M{x1} {-y1}L{x2} {-y2}" stroke={hex ?? 'var(--muted)'} stroke-width={width} />
	{:else if thing.disc.path}
		{@const { hex, finish } = list.paints[thing.disc.paint]!}
		{#each ropeStrokes(hex, finish) as stroke, s (s)}
			<path
				d={ropePath(thing.disc.path, 2 * thing.disc.r * stroke.towards)}
				fill="none"
				stroke={stroke.hex}
				stroke-width={2 * thing.disc.r * stroke.width}
				stroke-linecap="round"
				stroke-linejoin="round"
			/>
		{/each}
	{:else if thing.disc.outline}
		<path
			d={pathOf(thing.disc.outline, thing.disc.r)}
			transform={placing(thing.disc)}
			stroke="var(--rim)"
			vector-effect="non-scaling-stroke"
			fill="url(#{id}-{thing.disc.paint})"
		/>
	{:else}
		<circle
			cx={thing.disc.x}
			cy={-thing.disc.y}
			r={thing.disc.r}
			stroke="var(--rim)"
			vector-effect="non-scaling-stroke"
			fill="url(#{id}-{thing.disc.paint})"
		/>
	{/if}
{/each}
