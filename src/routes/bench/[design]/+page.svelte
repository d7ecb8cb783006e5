<script lang="ts">
	import { goto } from '$app/navigation';
	import BenchView from '$lib/features/bench/BenchView.svelte';

	let { data } = $props();
</script>

<svelte:head><title>{data.recipe.name} · Bright Tally</title></svelte:head>
<main>
	{#key data.id}
		<BenchView {data} onquote={(design) => goto(`/quotes?with=${design}`)} />
	{/key}
</main>
