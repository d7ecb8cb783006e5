<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import type { Colour } from '../../core/materials/material.ts';
	import Swatch from './Swatch.svelte';

	interface Props {
		/** Its swatch; null is another one to be picked. */
		colour: Colour | undefined | null;
		name: string;
	}
	let { colour, name }: Props = $props();
</script>

<span class="name">
	{#if colour === null}<Plus size={15} />{:else}<Swatch {colour} size={20} />{/if}
	{name}
</span>

<style>
	.name {
		display: flex;
		align-items: center;
		gap: 7px;
		min-height: 34px;
		padding: 0 9px 0 6px;
	}
	@media (pointer: coarse) {
		.name {
			min-height: 44px;
		}
	}
</style>
