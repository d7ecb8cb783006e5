<script lang="ts">
	import { CALCULATORS, RULES } from '$lib/core/calculators/calculators.ts';
	import PipeCutting from '$lib/features/calculators/PipeCutting.svelte';
	import SheetCutting from '$lib/features/calculators/SheetCutting.svelte';
	import RuleOfThumb from '$lib/features/calculators/RuleOfThumb.svelte';

	let { data } = $props();
	const rule = $derived(RULES.find((c) => c.id === data.rule)!);
	const calculator = $derived(CALCULATORS.find((c) => c.id === data.rule));
	const style = $derived({ decimal: data.decimal });
</script>

<svelte:head><title>{rule.name} · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-5xl px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-5 py-3">
		<h1 class="text-[25px]">{rule.name}</h1>
		<p class="text-muted">{rule.asks}</p>
		<a class="quiet-link ml-auto" href="/thumb">all rules of thumb</a>
	</header>
	{#key rule.id}
		{#if calculator}<RuleOfThumb rule={calculator} {style} />{:else if rule.id === 'sheets'}<SheetCutting
				currency={data.currency}
				{style}
			/>{:else}<PipeCutting currency={data.currency} {style} />{/if}
	{/key}
</main>
