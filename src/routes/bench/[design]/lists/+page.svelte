<script lang="ts">
	import CutList from '$lib/features/lists/CutList.svelte';
	import HowMany from '$lib/features/lists/HowMany.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data } = $props();
	const ROLE: Record<string, string> = {
		'taken along': 'taken along, charged only if used',
		reused: 'reused',
		'by-product': 'left over by the work',
		'from leftovers': 'of what the work leaves over'
	};
	const METHOD = { hole: 'hole', strokes: 'count strokes', eye: 'by eye' };
</script>

<svelte:head><title>Lists for {data.name} · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-4xl px-6 py-5">
	<header class="flex flex-wrap items-end gap-x-6 gap-y-2">
		<div>
			<h1 class="text-2xl">{data.quantity} × {data.name}</h1>
			<p class="text-muted">
				{data.colourway}{data.size ? `, ${data.size}` : ''} · {data.balloons} balloons and {data.spares} spares
			</p>
		</div>
		<HowMany asked={data} word="Count"><Button onclick={() => print()}>Print</Button></HowMany>
	</header>
	{#each data.findings as say (say)}<div class="mt-2"><Notice level="bad">{say}</Notice></div>{/each}
	{#if data.toBuy.length === 0}
		<p class="mt-8 text-muted">
			Nothing in this design yet. Say its layers on the Bench and they are counted here.
		</p>
	{:else}
		<section class="list">
			<h2>To buy</h2>
			{#if data.spares > 0}
				<p class="mb-1 text-[13px] text-muted">
					Spares are taken along for what may be lost and are not charged; those that survive go back to
					stock.
				</p>
			{/if}
			<table>
				<thead
					><tr
						><th>material</th><th class="n">used</th><th class="n">spares</th><th class="n">to buy</th><th
							class="n wide">likely back</th
						><th class="wide">packs</th><th class="tickbox">got</th></tr
					></thead
				>
				<tbody>
					{#each data.toBuy as line (line.key)}
						<tr>
							<td
								>{#if line.material}<a
										class="hover:underline"
										data-goes="books"
										href="/stockroom/{line.material}">{line.label}</a
									>{:else}{line.label}{/if}{#if line.status === 'unlisted'}<span class="text-watch">
										(not in the Stockroom)</span
									>{/if}{#if ROLE[line.role]}<span class="text-muted">
										({ROLE[line.role]})</span
									>{/if}{#if line.estimate}<span class="text-muted">
										(estimated, {line.estimate})</span
									>{/if}{#each line.either as other (other)}<span class="block text-muted">{other}</span
									>{/each}</td
							>
							<td class="n">{line.used}</td>
							<td class="n">{line.returns ? '' : line.spares}</td>
							<td class="n"
								><b
									>{line.role === 'by-product'
										? 'left over'
										: line.role === 'from leftovers'
											? 'from what is left over'
											: line.returns || line.role === 'reused'
												? 'from the shelf'
												: line.toBuy}</b
								></td
							>
							<td class="n wide text-muted">{line.returns || line.spares === 0 ? '' : line.back}</td>
							<td class="figures wide text-[12.6px]">{line.packs}</td>
							<td class="tickbox"><span></span></td>
						</tr>
					{/each}
				</tbody>
			</table>
		</section>
		{#each data.cuts as { tube, problem } (tube)}
			<section class="list" aria-label="To cut of {tube}">
				<h2>To cut of {tube}</h2>
				<CutList {problem} currency={data.currency} />
				<p class="text-[13.5px]"><a class="quiet-link" href="/bench/{data.id}/sheet">Shop sheet</a></p>
			</section>
		{/each}
		<section class="list second">
			<h2>To inflate</h2>
			<table>
				<thead
					><tr
						><th class="n">count</th><th class="n">bag</th><th class="n">size to</th><th>how</th><th
							>colour</th
						><th class="wide">for</th><th class="tickbox">done</th></tr
					></thead
				>
				<tbody>
					{#each data.toInflate as line (line.key)}
						<tr>
							<td class="n"><b>{line.count}</b></td>
							{#if line.byLook}
								<td colspan="2">{line.bag}</td>
								<td>{line.size}{line.gas === 'helium' ? ', helium' : ''}</td>
							{:else}
								<td class="n">{line.bag}</td>
								<td class="n"><b>{line.size}</b></td>
								<td>{METHOD[line.method]}{line.gas === 'helium' ? ', helium' : ''}</td>
							{/if}
							<td><span class="dot" style:background={line.hex ?? 'transparent'}></span> {line.colour}</td>
							<td class="wide text-muted">{line.where}</td>
							<td class="tickbox"><span></span></td>
						</tr>
					{/each}
				</tbody>
			</table>
			<p class="mt-2 text-[13px] text-muted">
				Spares are inflated last. Sizes in inches; by eye is good to about half an inch.
			</p>
		</section>
	{/if}
</main>

<style>
	.list {
		margin-top: 22px;
		overflow-x: auto;
	}
	h2 {
		font-size: 18px;
		margin-bottom: 6px;
	}
	table {
		width: 100%;
		background: var(--paper);
		border-top: 2px solid var(--ink);
	}
	th,
	td {
		padding: 5px 10px;
		text-align: left;
		border-bottom: 1px solid var(--line);
	}
	th {
		font-weight: 500;
		font-size: 13px;
		color: var(--muted);
	}
	.n {
		text-align: right;
		font-family: var(--font-mono);
		font-variant-numeric: tabular-nums;
		white-space: nowrap;
	}
	.tickbox {
		width: 44px;
	}
	.tickbox span {
		display: block;
		width: 15px;
		height: 15px;
		border: 1px solid var(--muted);
	}
	.dot {
		display: inline-block;
		width: 10px;
		height: 10px;
		border-radius: 50%;
		border: 1px solid rgb(27 35 51 / 0.25);
	}
	@media (max-width: 640px) {
		th,
		td {
			padding: 5px 6px;
		}
		td:not(.n):first-child {
			min-width: 128px;
		}
		td.n b {
			white-space: normal;
		}
		/* On paper all of it; on a phone what is ticked off. */
		.wide {
			display: none;
		}
		.tickbox {
			width: 30px;
		}
	}
	@media print {
		.second {
			break-before: page;
		}
	}
</style>
