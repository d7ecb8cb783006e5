<script lang="ts">
	import type { DrawList } from '../../core/scene/draw-list.ts';
	import Discs from './Discs.svelte';

	interface Props {
		list: DrawList | null;
		/** px a millimetre: one scale for all that stand on one floor. */
		scale: number;
		/** px */
		height: number;
	}
	let { list, scale, height }: Props = $props();
	const width = $derived(Math.max(60, (list?.halfWidth ?? 0) * 2 * scale + 12));
</script>

<!-- Never wider than what it stands in. -->
<svg {width} {height} viewBox="0 0 {width} {height}" aria-hidden="true" class="block h-auto max-w-full">
	{#if list}
		<g transform="translate({width / 2} {height - 1}) scale({scale})">
			<Discs {list} top={list.height} />
		</g>
	{/if}
</svg>
