<script lang="ts">
	import { glanceOf, type Offer } from '../../core/quote/offers.ts';
	import type { QuoteTerms } from '../../core/quote/quote.ts';
	import GlanceTable from './GlanceTable.svelte';

	interface Props {
		offers: readonly Offer[];
		terms: QuoteTerms;
	}
	let { offers, terms }: Props = $props();
	const glance = $derived(glanceOf(offers, terms));
</script>

{#if glance.length > 0}
	<section class="grid gap-1" aria-label="What may be chosen, for you only">
		<h2 class="text-base">What may be chosen, for you only</h2>
		<GlanceTable {glance} />
	</section>
{/if}
