<script lang="ts">
	import ClientPaper from '$lib/features/quotes/ClientPaper.svelte';

	let { data } = $props();
	const ANSWER: Record<string, string> = {
		accepted: 'You said yes. Thank you!',
		declined: 'You said no to this offer.',
		lapsed: 'This offer has lapsed.'
	};
</script>

<svelte:head><title>{data.frozen.occasion || 'Quote'} · {data.frozen.business.name}</title></svelte:head>
<main class="mx-auto max-w-4xl px-5 pt-5 pb-12">
	<header class="mb-4 flex flex-wrap items-baseline gap-x-4 gap-y-1">
		<p class="font-head text-lg font-bold">{data.frozen.business.name}</p>
		{#if ANSWER[data.state]}<p class="text-muted">{ANSWER[data.state]}</p>{/if}
		<p class="no-print ml-auto"><a class="quiet-link" href="/q/{data.token}/quote.pdf">as a PDF</a></p>
	</header>
	<ClientPaper frozen={data.frozen} photos="/q/{data.token}/photo" />
</main>
