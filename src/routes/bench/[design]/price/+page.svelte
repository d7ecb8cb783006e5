<script lang="ts">
	import { enhance } from '$app/forms';
	import { tick } from 'svelte';
	import { catalogue } from '$lib/core/materials/catalogue.ts';
	import type { PriceMethod } from '$lib/core/pricing/methods.ts';
	import { plainTerms, priceQuote } from '$lib/core/quote/quote.ts';
	import { termsFor } from '$lib/core/tally/tally.ts';
	import PriceStudy from '$lib/features/pricing/PriceStudy.svelte';
	import HowMany from '$lib/features/lists/HowMany.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const { rates } = $derived(data.settings);
	const studied = $derived.by(() => {
		const library = new Map(data.library);
		return {
			items: [
				{
					id: data.asked.id,
					recipe: data.recipe,
					colourway: data.asked.colourwayId,
					size: data.asked.sizeId || null,
					quantity: data.asked.quantity,
					way: null
				}
			],
			// Priced as its own job: what it says of itself stands for the work around it too.
			terms: plainTerms({ ...rates, price: termsFor(data.recipe, rates) }),
			context: {
				catalogue: catalogue(data.materials, data.colours),
				rates,
				library: (id: string) => library.get(id)
			}
		};
	});
	const priced = $derived(priceQuote(studied.items, studied.terms, studied.context));
	let sending = $state<HTMLFormElement>();
	let method = $state<PriceMethod>('margin');
	let id = $state('');
	async function pick(next: PriceMethod) {
		method = next;
		id = crypto.randomUUID();
		await tick();
		sending?.requestSubmit();
	}
</script>

<svelte:head><title>Price of {data.asked.name} · Bright Tally</title></svelte:head>
<main class="mx-auto grid grid-cols-[minmax(0,1fr)] max-w-[1180px] gap-6 px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-end gap-x-5 gap-y-1 pt-4">
		<div>
			<h1 class="text-[25px]">{data.asked.name}</h1>
			<p class="text-muted">
				{data.asked.quantity === 1 ? 'one' : data.asked.quantity} as a job by itself: {priced.job.job.template
					.name}
			</p>
		</div>
		<HowMany asked={data.asked} word="Price so many" />
	</header>
	{#if form?.saved}<Notice level="good" live>The design is priced so from now on.</Notice>{/if}
	{#if form?.trouble}<Notice level="bad" live>{form.trouble}</Notice>{/if}
	<form method="post" bind:this={sending} use:enhance hidden>
		<input name="method" value={method} /><input name="id" value={id} />
	</form>
	{#if priced.price.status === 'priced'}
		<PriceStudy charged={data.charged} {studied} {priced} method={studied.terms.method} onpick={pick} />
	{:else}
		<Notice level="watch">No price comes of the way it is priced by. Choose another on the Bench.</Notice>
	{/if}
</main>
