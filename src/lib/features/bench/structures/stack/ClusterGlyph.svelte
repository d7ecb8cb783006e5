<script lang="ts">
	import { OPEN_HEX } from '../../../../core/materials/material.ts';
	import type { Catalogue } from '../../../../core/materials/catalogue.ts';
	import type { Colourway } from '../../../../core/document/slot.ts';
	import type { Layer } from '../../../../core/structures/stack/document.ts';
	import { shade } from '../../../../core/scene/shade.ts';
	import { resolveSize } from '../../../../core/sizing/resolve.ts';
	import { slotOfPlace } from '../../../../core/structures/stack/place.ts';

	interface Props {
		layer: Layer;
		row: number;
		colourway: Colourway | undefined;
		catalogue: Catalogue;
		/** px a millimetre: the same for every row, so that proportions are read at a glance. */
		scale: number;
	}
	let { layer, row, colourway, catalogue, scale }: Props = $props();
	const id = $props.id();
	const OPEN = { hex: OPEN_HEX, finish: 'matte' as const };
	const OVERLAP = 0.78;

	const balls = $derived.by(() => {
		let x = 0;
		return layer.clusters.flatMap((cluster) =>
			cluster.places.map((place, index) => {
				const r = (resolveSize(place.size, place.nominal).assumed * scale) / 2;
				const slot = slotOfPlace(cluster, index, { layer, row, ringOfRow: 0, ringOfStack: row });
				const own = catalogue.colours.get(colourway?.fills[slot] ?? '') ?? OPEN;
				// An assorted bag by one of its colours after the other.
				const colour = 'of' in own && own.of ? { ...own, hex: own.of[index % own.of.length]!.hex } : own;
				const at = x + r;
				x += 2 * r * OVERLAP;
				return { x: at, r, key: `${colour.hex}/${colour.finish}`, hex: colour.hex, finish: colour.finish };
			})
		);
	});
	const paints = $derived([...new Map(balls.map((b) => [b.key, b])).values()]);
	const width = $derived(Math.max(0, ...balls.map((b) => b.x + b.r)));
</script>

<svg width={132} height="44" viewBox="{width / 2 - 66} -22 132 44" aria-hidden="true">
	<defs>
		{#each paints as paint, index (paint.key)}
			<radialGradient id="{id}-{index}" cx="0.5" cy="0.5" r="0.62" fx="0.34" fy="0.3">
				{#each shade(paint.hex, paint.finish) as stop, s (s)}<stop
						offset={stop.at}
						stop-color={stop.hex}
					/>{/each}
			</radialGradient>
		{/each}
	</defs>
	{#each balls as ball, index (index)}
		<circle
			cx={ball.x}
			cy="0"
			r={ball.r}
			stroke="var(--rim)"
			fill="url(#{id}-{paints.findIndex((p) => p.key === ball.key)})"
		/>
	{/each}
</svg>
