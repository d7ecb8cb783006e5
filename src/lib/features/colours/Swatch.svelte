<script lang="ts">
	import { lookOf } from './look-of.ts';
	import type { Colour } from '../../core/materials/material.ts';

	interface Props {
		/** Without one it is open. */
		colour: Pick<Colour, 'hex' | 'of'> | undefined;
		/** px */
		size?: number;
	}
	let { colour, size = 30 }: Props = $props();
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
