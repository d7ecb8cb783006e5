<script lang="ts">
	import SearchBox from '$lib/ui/search/SearchBox.svelte';
	import Button from '$lib/ui/button/Button.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Shelf labels · Stockroom · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[1236px] px-[22px] pb-12 max-sm:px-3">
	<header class="no-print flex flex-wrap items-baseline gap-x-4 py-3">
		<p><a class="quiet-link" href="/stockroom">Stockroom</a></p>
		<h1 class="text-[25px]">Shelf labels</h1>
		<p class="text-muted">
			{data.labels.length === data.many ? data.many : `The first ${data.labels.length} of ${data.many}`}
			{data.many === 1 ? 'label' : 'labels'}; a scanner reads the bars at the Stockroom’s code field.
		</p>
		<form class="flex w-full flex-wrap items-center gap-2">
			<SearchBox value={data.search} label="Whose labels" placeholder="name" />
			<select class="control" name="kind" aria-label="Kind" value={data.kind ?? ''}>
				<option value="">every kind</option>
				{#each data.kinds as each (each.kind)}<option value={each.kind}>{each.words}</option>{/each}
			</select>
			<Button type="submit">Show these</Button>
			<Button onclick={() => print()}>Print</Button>
		</form>
	</header>
	{#if data.labels.length === 0}<p class="py-10 text-center text-muted">No material answers to that.</p>{/if}
	<ul class="grid grid-cols-4 gap-2 max-md:grid-cols-2 print:grid-cols-3">
		{#each data.labels as label (label.id)}
			<li class="break-inside-avoid border border-line bg-white p-2 text-black">
				<p class="flex items-start gap-2 text-[13px] leading-tight font-semibold">
					{#if label.hex}<span
							class="mt-0.5 block h-3.5 w-3.5 flex-none rounded-full border border-line"
							style:background={label.hex}
						></span>{/if}{label.name}
				</p>
				<img class="mt-1 h-9 w-full object-contain object-left" src={label.bars} alt="Bars of {label.code}" />
				<p class="figures text-[12.6px]">{label.code}</p>
			</li>
		{/each}
	</ul>
</main>
