<script lang="ts">
	import { formatAmount } from '../../core/money/money.ts';
	import type { Earnings } from '../../core/pricing/earnings.ts';
	import { METHODS, type PriceMethod } from '../../core/pricing/methods.ts';
	import { wayText } from '../../core/pricing/price-tape.ts';
	import type { Priced } from '../../core/pricing/price.ts';
	import { waysBeside } from '../../core/pricing/ways.ts';
	import type { PricedQuote } from '../../core/quote/quote.ts';
	import Button from '../../ui/button/Button.svelte';
	import { changeText, percentText } from '../bench/tape-words.ts';
	import { minorText } from './study-words.ts';

	interface Props {
		priced: PricedQuote;
		/** The method in hand where all of it is priced by one. */
		method: PriceMethod | null;
		onpick: (method: PriceMethod) => void;
	}
	let { priced, method, onpick }: Props = $props();
	const ways = $derived(waysBeside(priced.order, priced.terms, priced.effort, priced.price));
	const WHY = {
		'margin-too-high': 'no price leaves that margin',
		'markup-too-low': 'no price comes of that markup',
		'no-card': 'the rate card says nothing of such a piece'
	} as const;
</script>

{#snippet figures(price: Priced, earnings: Earnings | null)}
	<td class="money" data-name="price">{formatAmount(price.said)}</td>
	<td class="money">{percentText(price.margin)}</td>
	<td class="money">{percentText(price.markup)}</td>
	<td class="money" data-name="hour">{minorText(earnings?.ownHour)}</td>
	<td class="money">{minorText(earnings?.perFoot)}</td>
	<td class="money">{minorText(earnings?.perBalloon)}</td>
{/snippet}

<div class="relative overflow-x-auto">
	<table class="w-full text-[13.5px]">
		<caption class="sr-only">Ways of pricing beside each other</caption>
		<thead>
			<tr>
				<th scope="col">priced by</th><th scope="col">price</th><th scope="col">margin</th><th scope="col"
					>markup</th
				><th scope="col">an hour of yours</th><th scope="col">a foot</th><th scope="col">a balloon</th><th
					scope="col">to this</th
				><td></td>
			</tr>
		</thead>
		<tbody>
			{#if priced.price.status === 'priced'}
				<tr class="in-hand" data-name="in-hand">
					<th scope="row">as it stands</th>
					{@render figures(priced.price, priced.earnings)}
					<td class="money">—</td><td></td>
				</tr>
			{/if}
			{#each ways as way (way.method)}
				<tr data-name={way.method}>
					<th scope="row">{wayText(way.way)}</th>
					{#if way.price}
						{@render figures(way.price, way.earnings)}
						<td class="money">{way.away === undefined ? '—' : changeText(way.away / 100, 2)}</td>
						<td class="use">
							{#if method === way.method}<span class="text-muted">in use</span>
							{:else}<Button kind="word" onclick={() => onpick(way.method)}
									>use<span class="sr-only"> {METHODS[way.method].called}</span></Button
								>{/if}
						</td>
					{:else}
						<td colspan="8" class="text-muted">{way.refused ? WHY[way.refused] : ''}</td>
					{/if}
				</tr>
			{/each}
		</tbody>
	</table>
</div>

<style>
	th,
	td {
		padding: 2px 8px 2px 0;
		border-bottom: 1px solid var(--line);
		text-align: left;
		font-weight: 400;
		white-space: nowrap;
	}
	thead th {
		color: var(--muted);
		font-size: 12.6px;
	}
	thead th:not(:first-child) {
		text-align: right;
	}
	.money {
		text-align: right;
		font-family: var(--font-mono);
		font-variant-numeric: tabular-nums;
	}
	.use {
		text-align: right;
		padding-right: 0;
	}
	.in-hand th,
	.in-hand td {
		font-weight: 700;
		border-bottom: 2px solid var(--ink);
	}
</style>
