<script lang="ts">
	interface Props {
		/** Colours that are compared, edge to edge. */
		hexes: readonly (string | null)[];
	}
	let { hexes }: Props = $props();
</script>

<span class="flex" aria-hidden="true">
	{#each hexes as hex, index (index)}<span class="h-5 w-5 border border-line" style:background={hex}
		></span>{/each}
</span>
