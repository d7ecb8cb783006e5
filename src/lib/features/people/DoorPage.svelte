<script lang="ts">
	import type { Snippet } from 'svelte';
	import Mark from '../../ui/mark/Mark.svelte';

	interface Props {
		title: string;
		/** A word under it. */
		lead?: string;
		children: Snippet;
	}
	let { title, lead = '', children }: Props = $props();
</script>

<svelte:head><title>{title} · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[400px] px-5 pt-[9vh] pb-12">
	<p class="flex items-center gap-2.5 pb-7 font-head text-[18px] font-bold"><Mark /> Bright Tally</p>
	<h1 class="text-[28px] leading-tight">{title}</h1>
	{#if lead}<p class="pt-1.5 text-muted">{lead}</p>{/if}
	<div class="pt-5">{@render children()}</div>
</main>
