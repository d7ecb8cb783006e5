<script lang="ts">
	import QuickPrice from '$lib/features/quick/QuickPrice.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>Quick price · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-md px-4 pb-12">
	<h1 class="py-3 text-[25px]">Quick price</h1>
	{#if data.designs.length > 0}
		<QuickPrice {data} clients={data.clients} fresh={data.fresh} failed={form ?? undefined} />
	{:else}
		<p class="text-muted">
			No design has been kept yet. <a class="quiet-link" href="/new">Make one</a>, press Keep, and it can be
			priced here.
		</p>
	{/if}
</main>
