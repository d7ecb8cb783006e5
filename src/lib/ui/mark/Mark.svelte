<script lang="ts">
	interface Props {
		/** px */
		height?: number;
	}
	let { height = 26 }: Props = $props();
</script>

<!-- Four upright strokes and a slanting string that ends in a small round balloon. -->
<svg viewBox="0 0 34 28" {height} width={(height * 34) / 28} aria-hidden="true">
	<g fill="none" stroke="currentColor" stroke-width="2.6" stroke-linecap="round">
		<path d="M6 5v19M13 5v19M20 5v19M27 5v19" />
		<path d="M2 21 29 7" />
	</g>
	<circle cx="30.4" cy="5" r="3.2" fill="var(--marker)" stroke="currentColor" stroke-width="1.6" />
</svg>
