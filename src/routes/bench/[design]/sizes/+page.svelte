<script lang="ts">
	import { MEASURE_WORDS } from '$lib/core/document/measure.ts';
	import { formatHours } from '$lib/core/labour/standards.ts';
	import { formatMoney } from '$lib/core/money/money.ts';
	import { formatFeet, type Millimetres } from '$lib/core/units/length.ts';
	import { leastText, mostText, percentText } from '$lib/features/bench/tape-words.ts';
	import MiniPicture from '$lib/features/picture/MiniPicture.svelte';

	let { data } = $props();
	const HEIGHT = 260;
	const scale = $derived((HEIGHT - 6) / Math.max(1500, ...data.sizes.map((s) => s.picture?.height ?? 0)));
	/** All sizes are said of the same. */
	const of = $derived(data.sizes[0]?.of ?? 'over all');
	const feet = (mm: number | null) => (mm === null ? '—' : formatFeet(mm as Millimetres));
</script>

<svelte:head><title>Sizes of {data.name} · Bright Tally</title></svelte:head>
<main class="px-[22px] pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-5 gap-y-1 py-4">
		<h1 class="text-[25px]">{data.name}</h1>
		<p class="text-muted">
			{data.sizes.length === 1 ? 'one size' : `${data.sizes.length} sizes`} side by side, {data.colourway}
		</p>
		<a class="quiet-link ml-auto" href="/bench/{data.id}">back to the Bench</a>
	</header>
	<div class="overflow-x-auto">
		<table>
			<thead>
				<tr class="pictures">
					<td></td>
					{#each data.sizes as size (size.id)}
						<td><MiniPicture list={size.picture} {scale} height={HEIGHT} /></td>
					{/each}
				</tr>
				<tr>
					<td></td>
					{#each data.sizes as size (size.id)}<th scope="col">{size.name}</th>{/each}
				</tr>
			</thead>
			<tbody class="figures">
				{#snippet line(name: string, of: (size: (typeof data.sizes)[number]) => string, strong = false)}
					<tr class:strong>
						<th scope="row">{name}</th>
						{#each data.sizes as size (size.id)}<td>{of(size)}</td>{/each}
					</tr>
				{/snippet}
				{@render line(`height, ${MEASURE_WORDS[of]}`, (s) => feet(s.height))}
				{#if of !== 'over all'}{@render line('over all', (s) => feet(s.overall))}{/if}
				{@render line('balloons', (s) => String(s.balloons))}
				{@render line('build time', (s) => formatHours(s.seconds))}
				{@render line(
					'cost',
					(s) => `${formatMoney(s.cost.known)}${s.cost.unknown.length > 0 ? ' + ?' : ''}`
				)}
				{@render line('leaves for the job', (s) => mostText(percentText(s.margin), s.cost.unknown))}
				{@render line(
					'price',
					(s) => (s.price ? leastText(formatMoney(s.price), s.cost.unknown) : '—'),
					true
				)}
			</tbody>
			<tbody>
				<tr class="notes">
					<th scope="row">what had to change</th>
					{#each data.sizes as size (size.id)}
						<td
							>{#each size.notes as note (note)}<p>{note}</p>{:else}nothing{/each}</td
						>
					{/each}
				</tr>
			</tbody>
		</table>
	</div>
	{#if data.sizes.length === 1}
		<p class="mt-4 text-muted">
			Type “size small 4 ft” on the Bench’s entry line, or open the sizes there, and they stand here beside
			each other.
		</p>
	{/if}
</main>

<style>
	table {
		border-collapse: collapse;
		background: var(--paper);
	}
	.pictures td {
		vertical-align: bottom;
		border-bottom: 2px solid var(--ink);
		background: var(--page);
	}
	.pictures td :global(svg) {
		margin-left: auto;
	}
	th,
	td {
		padding: 5px 18px;
		text-align: right;
		min-width: 150px;
	}
	th[scope='col'] {
		font-family: var(--font-head);
		font-size: 16px;
		padding-top: 10px;
	}
	th[scope='row'] {
		text-align: left;
		font: 400 14px var(--font-text);
		color: var(--muted);
		min-width: 120px;
	}
	tbody tr {
		border-top: 1px solid var(--line);
	}
	.strong td {
		font-weight: 600;
		border-top: 1px solid var(--ink);
		border-bottom: 3px double var(--ink);
	}
	.notes td {
		max-width: 220px;
		font-size: 13px;
		color: var(--muted);
		vertical-align: top;
	}
</style>
