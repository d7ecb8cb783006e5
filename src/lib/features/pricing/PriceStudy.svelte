<script lang="ts">
	import { formatAmount } from '../../core/money/money.ts';
	import type { Charged } from '../../core/study/charged.ts';
	import type { PriceMethod } from '../../core/pricing/methods.ts';
	import type { PricedQuote } from '../../core/quote/quote.ts';
	import type { Studied } from '../../core/study/levers.ts';
	import ChargedBefore from './ChargedBefore.svelte';
	import HangsOn from './HangsOn.svelte';
	import HowSure from './HowSure.svelte';
	import { minorText } from './study-words.ts';
	import WaysTable from './WaysTable.svelte';

	interface Props {
		studied: Studied;
		/** What was charged before. */
		charged: readonly Charged[];
		priced: PricedQuote;
		method: PriceMethod | null;
		onpick: (method: PriceMethod) => void;
	}
	let { studied, charged, priced, method, onpick }: Props = $props();
	const { earnings, effort } = $derived(priced);
</script>

{#if priced.price.status === 'priced' && earnings}
	<p class="text-[14px]" data-name="earns">
		An hour of yours earns <b class="figures">{minorText(earnings.ownHour)}</b> here, {effort.ownHours.toFixed(
			1
		)} hours in all. Below <b class="figures">{formatAmount(earnings.breakEven)}</b> it costs you money; it
		brings
		<b class="figures">{formatAmount(earnings.contribution)}</b>
		towards wages and overhead, <b class="figures">{minorText(earnings.contributionPerHour)}</b> an hour of everybody’s.
	</p>
{/if}
<section class="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-2" aria-label="Ways to price">
	<h2 class="text-base">Ways to price</h2>
	<WaysTable {priced} {method} {onpick} />
</section>
<section class="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-2" aria-label="What it hangs on">
	<h2 class="text-base">What it hangs on</h2>
	<HangsOn {studied} {priced} />
</section>
<section class="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-2" aria-label="How sure it is">
	<h2 class="text-base">How sure it is</h2>
	<HowSure {priced} rates={studied.context.rates} />
</section>
{#if charged.length > 0}
	<section class="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-2" aria-label="What you charged before">
		<h2 class="text-base">What you charged before</h2>
		<ChargedBefore {charged} {priced} />
	</section>
{/if}
