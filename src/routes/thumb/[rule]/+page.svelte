<script lang="ts">
	import { CALCULATORS } from '$lib/core/thumb/calculators.ts';
	import RuleOfThumb from '$lib/features/thumb/RuleOfThumb.svelte';

	let { data } = $props();
	const rule = $derived(CALCULATORS.find((c) => c.id === data.rule)!);
</script>

<svelte:head><title>{rule.name} · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-5xl px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-5 py-3">
		<h1 class="text-[25px]">{rule.name}</h1>
		<p class="text-muted">{rule.asks}</p>
		<a class="quiet-link ml-auto" href="/thumb">all rules of thumb</a>
	</header>
	{#key rule.id}<RuleOfThumb {rule} style={{ decimal: data.decimal }} />{/key}
</main>
