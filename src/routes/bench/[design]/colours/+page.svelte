<script lang="ts">
	import CostCard from '$lib/features/shelf/CostCard.svelte';
	import MiniPicture from '$lib/features/picture/MiniPicture.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data } = $props();
	const HEIGHT = 330;
	const scale = $derived(
		(HEIGHT - 6) / Math.max(1500, ...data.colourways.map((c) => c.picture?.height ?? 0))
	);
</script>

<svelte:head><title>Colourways of {data.name} · Bright Tally</title></svelte:head>
<main class="px-[22px] pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-5 gap-y-1 py-4">
		<h1 class="text-[25px]">{data.name}</h1>
		<p class="text-muted">
			{data.colourways.length === 1 ? 'one colourway' : `${data.colourways.length} colourways`} side by side
		</p>
		<a class="quiet-link ml-auto" href="/bench/{data.id}">back to the Bench</a>
	</header>
	<ul class="ways">
		{#each data.colourways as way (way.id)}
			<li>
				<div class="picture"><MiniPicture list={way.picture} {scale} height={HEIGHT} /></div>
				<h2>{way.name}</h2>
				<CostCard cost={way.cost} margin={way.margin} price={way.price} />
				<ul class="colours">
					{#each way.colours as colour (colour.slot)}
						<li>
							<span class="dot" style:background={colour.hex ?? 'transparent'}></span>{colour.slot}: {colour.colour}
						</li>
					{/each}
				</ul>
				{#each way.missing as say (say)}<div class="mt-1"><Notice level="watch">{say}</Notice></div>{/each}
			</li>
		{/each}
	</ul>
</main>

<style>
	.ways {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
		row-gap: 28px;
	}
	.ways > li {
		padding-right: 20px;
	}
	.picture {
		display: grid;
		justify-items: center;
		align-items: end;
		height: 338px;
		margin-right: -20px;
		border-bottom: 2px solid var(--ink);
		overflow: hidden;
	}
	h2 {
		margin-top: 8px;
		font-size: 16px;
	}
	.colours {
		margin-top: 6px;
		font-size: 13px;
		color: var(--muted);
	}
	.dot {
		display: inline-block;
		width: 10px;
		height: 10px;
		margin-right: 6px;
		border: 1px solid rgb(27 35 51 / 0.25);
		border-radius: 50%;
	}
</style>
