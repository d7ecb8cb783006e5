<script lang="ts">
	import Orders from '$lib/features/stockroom/Orders.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>On order · Stockroom · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[1236px] px-[22px] pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 py-3">
		<p><a class="quiet-link" href="/stockroom">Stockroom</a></p>
		<h1 class="text-[25px]">On order</h1>
		<p class="text-muted">What came goes onto the shelf with what it cost.</p>
	</header>
	{#if data.orders.length === 0}
		<p class="py-10 text-center text-muted">
			Nothing is on order. Orders are written down at each material; <a
				class="quiet-link"
				href="/stockroom?low=1">what is to be ordered again</a
			>.
		</p>
	{:else}
		<div class="border-t-2 border-ink bg-paper px-4">
			<Orders orders={data.orders} named refused={form?.came} />
		</div>
	{/if}
</main>
