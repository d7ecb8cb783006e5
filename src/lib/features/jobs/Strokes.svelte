<script lang="ts">
	interface Props {
		/** How many are done. */
		count: number;
	}
	let { count }: Props = $props();
	/** More than these are told by the figure alone. */
	const MOST = 300;
	const shown = $derived(Math.min(count, MOST));
	const fives = $derived(Array.from({ length: Math.ceil(shown / 5) }, (_, i) => Math.min(5, shown - i * 5)));
</script>

<!-- Four upright strokes, the fifth across them. -->
<div class="flex flex-wrap justify-center gap-x-4 gap-y-2" aria-hidden="true">
	{#each fives as strokes, i (i)}
		<svg
			viewBox="0 0 34 28"
			height="34"
			width="41"
			fill="none"
			stroke="currentColor"
			stroke-width="2.6"
			stroke-linecap="round"
		>
			{#each Array.from({ length: Math.min(4, strokes) }, (_, s) => s) as s (s)}<path
					d="M{6 + s * 7} 4v20"
				/>{/each}
			{#if strokes === 5}<path d="M1 22 32 6" stroke="var(--marker)" stroke-width="3.4" />{/if}
		</svg>
	{/each}
</div>
