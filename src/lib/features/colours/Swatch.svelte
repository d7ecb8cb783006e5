<script lang="ts">
	import type { Colour } from '../../core/materials/material.ts';

	interface Props {
		/** Without one it is open. */
		colour: Pick<Colour, 'hex' | 'of'> | undefined;
		/** px */
		size?: number;
	}
	let { colour, size = 30 }: Props = $props();
	/** An assorted bag is a pie of its colours. */
	function lookOf({ hex, of }: Pick<Colour, 'hex' | 'of'>): string {
		if (!of) return hex;
		const all = of.reduce((a, p) => a + p.parts, 0);
		let from = 0;
		const slices = of.map(({ hex: own, parts }) => {
			const to = from + (360 * parts) / all;
			const slice = `${own} ${from}deg ${to}deg`;
			from = to;
			return slice;
		});
		return `conic-gradient(${slices.join(', ')})`;
	}
</script>

<span
	class="block flex-none rounded-full border border-line"
	class:open={!colour}
	style:width="{size}px"
	style:height="{size}px"
	style:background={colour && lookOf(colour)}
></span>

<style>
	.open {
		border-style: dashed;
		border-color: var(--muted);
	}
</style>
