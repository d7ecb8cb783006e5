<script lang="ts">
	import type { Snippet } from 'svelte';

	interface Props {
		src: string;
		alt: string;
		/** Pixels of the photo: what is drawn over it is measured in them. */
		width: number;
		height: number;
		children: Snippet;
	}
	let { src, alt, width, height, children }: Props = $props();
</script>

<!-- The photo is what it was; what stands in it is drawn over it. -->
<div class="frame">
	<img {src} {alt} {width} {height} />
	<svg viewBox="0 0 {width} {height}">{@render children()}</svg>
</div>

<style>
	.frame {
		position: relative;
	}
	img {
		display: block;
		width: 100%;
		height: auto;
	}
	svg {
		position: absolute;
		inset: 0;
		width: 100%;
		height: 100%;
	}
</style>
