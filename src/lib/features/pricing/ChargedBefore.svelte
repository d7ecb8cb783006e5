<script lang="ts">
	import type { PricedQuote } from '../../core/quote/quote.ts';
	import { OUTCOMES, toldBy, type Charged } from '../../core/study/charged.ts';
	import Scatter from '../../ui/chart/Scatter.svelte';
	import { percentText } from '../bench/tape-words.ts';
	import { minorText } from './study-words.ts';

	interface Props {
		charged: readonly Charged[];
		priced: PricedQuote;
	}
	let { charged, priced }: Props = $props();
	const told = $derived(charged.filter((c) => c.perHour !== undefined && c.perFoot !== undefined));
	const series = $derived(
		OUTCOMES.map((outcome) => ({
			name: outcome,
			points: told
				.filter((c) => c.outcome === outcome)
				.map((c) => [c.perHour! / 100, c.perFoot! / 100, `no. ${c.number}, ${c.client}`] as const)
		})).filter((s) => s.points.length > 0)
	);
	const mine = $derived(
		priced.price.status === 'priced' ? toldBy({ net: priced.price.net.minor, ...priced.effort }) : undefined
	);
	const here = $derived(
		mine?.perHour !== undefined && mine.perFoot !== undefined
			? ([mine.perHour / 100, mine.perFoot / 100] as const)
			: undefined
	);
	/** Where the one in hand stands, in words. */
	const words = $derived.by(() => {
		const hours = charged.flatMap((c) => (c.outcome === 'won' && c.perHour !== undefined ? [c.perHour] : []));
		if (mine?.perHour === undefined || hours.length < 3) return '';
		const less = hours.filter((h) => h < mine.perHour!).length;
		return `This one takes ${minorText(mine.perHour)} an hour of everybody’s: more than ${less} of the ${hours.length} you won.`;
	});
</script>

{#if words}<p class="text-[13.5px]">{words}</p>{/if}
{#if told.length > 1}
	<Scatter
		label="Quotes by what they took an hour and a foot"
		across="price an hour of everybody’s"
		up="price a foot"
		{series}
		{here}
	/>
{/if}
<details>
	<summary class="cursor-pointer py-1 text-[13.5px] font-semibold">All of them, as figures</summary>
	<div class="relative overflow-x-auto">
		<table class="w-full text-[13.5px]">
			<thead
				><tr
					><th scope="col">quote</th><th scope="col">day</th><th scope="col">how it ended</th><th scope="col"
						>price</th
					><th scope="col">margin</th><th scope="col">an hour</th><th scope="col">a foot</th></tr
				></thead
			>
			<tbody>
				{#each charged as one (one.id)}
					<tr>
						<th scope="row"><a class="quiet-link" href="/quotes/{one.id}">{one.number}</a> {one.client}</th>
						<td class="figures">{one.day ?? '—'}</td>
						<td>{one.outcome}</td>
						<td class="figures text-right">{minorText(one.net)}</td>
						<td class="figures text-right">{percentText(one.margin)}</td>
						<td class="figures text-right">{minorText(one.perHour)}</td>
						<td class="figures text-right">{minorText(one.perFoot)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
</details>

<style>
	th,
	td {
		padding: 3px 10px 3px 0;
		border-bottom: 1px solid var(--line);
		text-align: left;
		font-weight: 400;
	}
	.text-right,
	thead th:nth-child(n + 4) {
		text-align: right;
	}
	thead th {
		color: var(--muted);
		font-size: 12.6px;
	}
</style>
