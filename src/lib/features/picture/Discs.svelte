<script lang="ts">
	import type { DrawList } from '../../core/scene/draw-list.ts';
	import { shade } from '../../core/scene/shade.ts';

	interface Props {
		list: DrawList;
		/** Row whose balls stand out; the others step back. */
		lit?: number | null;
	}
	let { list, lit = null }: Props = $props();
	const id = $props.id();
</script>

<!-- Balls of a draw list in millimetres, y upwards from the floor at 0. The parent sets scale and place. -->
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
{#each list.discs as disc, index (index)}
	<circle
		cx={disc.x}
		cy={-disc.y}
		r={disc.r}
		stroke="var(--rim)"
		vector-effect="non-scaling-stroke"
		fill="url(#{id}-{disc.paint})"
		opacity={lit === null || lit === disc.row ? 1 : 0.35}
	/>
{/each}
