<script lang="ts">
	import { formatAmount } from '../../core/money/money.ts';
	import { priceQuote, type PricedQuote } from '../../core/quote/quote.ts';
	import {
		atLevers,
		LEVER_IDS,
		LEVERS,
		whatItHangsOn,
		type Moved,
		type LeverId,
		type Studied
	} from '../../core/study/levers.ts';
	import Button from '../../ui/button/Button.svelte';
	import { percentText } from '../bench/tape-words.ts';

	interface Props {
		studied: Studied;
		priced: PricedQuote;
	}
	let { studied, priced }: Props = $props();
	/** Worked out once nothing is typed any more: typing goes first. */
	let moves = $state.raw<Moved[]>([]);
	const QUIET = 150;
	$effect(() => {
		const [asked, price] = [studied, priced];
		const soon = setTimeout(() => (moves = whatItHangsOn(asked, price)), QUIET);
		return () => clearTimeout(soon);
	});
	/** Margin moves by so many points at most: the width of the chart. */
	const widest = $derived(Math.max(0.1, ...moves.flatMap((m) => [m.marginLess, m.marginMore].map((v) => Math.abs((v ?? 0) - (priced.price.status === 'priced' ? (priced.price.margin ?? 0) : 0)))))); // prettier-ignore
	const now = $derived(priced.price.status === 'priced' ? (priced.price.margin ?? 0) : 0);
	const part = (margin: number | undefined) => (margin === undefined ? 0 : (50 * (margin - now)) / widest);

	/** How far each is slid, per cent of what it is. Never saved. */
	let slid = $state<Partial<Record<LeverId, number>>>({});
	const isSlid = $derived(Object.values(slid).some((v) => v !== 100));
	const after = $derived.by(() => {
		if (!isSlid) return null;
		const by = Object.fromEntries(Object.entries(slid).map(([id, percent]) => [id, percent / 100]));
		const { items, terms, context } = atLevers(studied, by);
		return priceQuote(items, terms, context, studied.facts);
	});
	/** What is left at the price as it stands, with what is slid. */
	const held = $derived.by(() => {
		if (!after || priced.price.status !== 'priced') return null;
		const { net, profit } = priced.price;
		const left = profit.minor - (after.cost.known.minor - priced.cost.known.minor);
		return { left, margin: net.minor === 0 ? undefined : (100 * left) / net.minor };
	});
	const shown = $derived(LEVER_IDS.filter((id) => moves.some((m) => m.id === id)));
</script>

<div class="grid gap-5 lg:grid-cols-2">
	<table class="w-full self-start text-[13.5px]">
		<caption class="mb-1 text-left text-[13px] text-muted"
			>Margin at this price, if one of them is less or more</caption
		>
		<thead class="sr-only"><tr><th>what</th><th>with less</th><th>change</th><th>with more</th></tr></thead>
		<tbody>
			{#each moves as move (move.id)}
				{@const [low, high] = [part(move.marginMore), part(move.marginLess)]}
				<tr data-name={move.id}>
					<th scope="row" class="py-1 pr-2 text-left font-normal"
						>{move.called} <span class="text-muted whitespace-nowrap">{move.swing}</span></th
					>
					<td class="figures w-16 text-right">{percentText(move.marginMore)}</td>
					<td class="w-[34%] px-2">
						<span class="track" aria-hidden="true"
							><span class="bar worse" style="left: {50 + Math.min(low, 0)}%; width: {Math.abs(low)}%"
							></span><span class="bar" style="left: 50%; width: {Math.max(high, 0)}%"></span></span
						>
					</td>
					<td class="figures w-16">{percentText(move.marginLess)}</td>
				</tr>
			{/each}
		</tbody>
	</table>
	<div class="grid content-start gap-2">
		<p class="text-[13px] text-muted">Slide one to see; nothing is saved.</p>
		{#each shown as id (id)}
			<label class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)_52px] items-center gap-2 text-[13.5px]"
				><span>{LEVERS[id].called}</span>
				<input
					type="range"
					min="0"
					max="200"
					step="5"
					value={slid[id] ?? 100}
					oninput={(e) => (slid = { ...slid, [id]: Number(e.currentTarget.value) })}
				/>
				<span class="figures text-right">{slid[id] ?? 100} %</span></label
			>
		{/each}
		<p class="min-h-[3.2em] text-[13.5px]" aria-live="polite" data-name="slid">
			{#if held && after?.price.status === 'priced'}
				The same price leaves <b class="figures">{percentText(held.margin)}</b>; priced anew it is
				<b class="figures">{formatAmount(after.price.said)}</b>.
				<Button kind="word" onclick={() => (slid = {})}>as it is</Button>
			{/if}
		</p>
	</div>
</div>

<style>
	.track {
		position: relative;
		display: block;
		height: 12px;
		background: linear-gradient(var(--line), var(--line)) center / 1px 100% no-repeat;
	}
	.bar {
		position: absolute;
		top: 1px;
		bottom: 1px;
		background: var(--muted);
	}
	.bar.worse {
		background: var(--ink);
	}
	input[type='range'] {
		accent-color: var(--ink);
		width: 100%;
	}
</style>
