<script lang="ts">
	import { onDestroy } from 'svelte';
	import type { PricedQuote } from '../../core/quote/quote.ts';
	import type { Rates } from '../../core/cost/rates.ts';
	import { riskOf } from '../../core/study/risk.ts';
	import { rational } from '../../core/units/rational.ts';
	import Button from '../../ui/button/Button.svelte';
	import { RiskStudy } from './risk-study.svelte.ts';
	import { riskWords } from './study-words.ts';

	interface Props {
		priced: PricedQuote;
		rates: Rates;
	}
	let { priced, rates }: Props = $props();
	const target = $derived(rational(priced.terms.margin).valueOf());
	const study = new RiskStudy();
	$effect(() => study.ask(riskOf(priced, rates, target)));
	onDestroy(() => study.stop());
</script>

<div class="grid gap-1.5 text-[13.5px]" data-name="how-sure">
	{#if study.risk}
		<div class:text-muted={study.isStale} aria-live="polite">
			{#each riskWords(study.risk, target) as words (words)}<p>{words}</p>{/each}
		</div>
	{/if}
	{#if study.share !== null}
		<p class="flex items-center gap-3 text-muted">
			<progress value={study.share} aria-label="How sure it is: worked out so far"></progress>
			<Button kind="word" onclick={() => study.cancel()}>stop</Button>
		</p>
	{:else if study.failed}
		<p class="text-watch">It could not be worked out here. Reload the page to try again.</p>
	{:else if study.risk === null}
		<p class="text-muted">Put something on it first.</p>
	{/if}
	<p class="text-[12.6px] text-muted">
		10,000 jobs like this one with losses that come in bad bags, minutes as unsure as your standards and
		garlands between the counts of the three schools. Costs nobody knows are not in it.
	</p>
</div>
