<script lang="ts">
	import { tick } from 'svelte';
	import { enhance } from '$app/forms';
	import { formatMoney } from '$lib/core/money/money.ts';
	import ClientPaper from '$lib/features/quotes/ClientPaper.svelte';
	import QuoteBuilder from '$lib/features/quotes/QuoteBuilder.svelte';
	import { percentText } from '$lib/features/bench/tape-words.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const quote = $derived(data.quote);
	let sending = $state<HTMLFormElement>();
	let even = $state(false);
	let builder = $state<QuoteBuilder>();
	async function send(meant: boolean) {
		even = meant;
		await tick();
		sending?.requestSubmit();
	}
</script>

<svelte:head><title>Quote {quote.number} · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[1180px] px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 py-4">
		<h1 class="text-[25px]">Quote {quote.number}</h1>
		<p class="font-semibold">{quote.state}</p>
		<p class="ml-auto"><a class="quiet-link" href="/quotes">all quotes</a></p>
	</header>
	{#if form?.trouble}
		<div class="mb-4 flex flex-wrap items-center gap-3">
			<Notice level="watch" live
				>{form.trouble}{#if form.even}&nbsp;{builder?.missing()}{/if}</Notice
			>
			{#if form.even}<Button onclick={() => builder?.send(true)}>Send it all the same</Button>{/if}
		</div>
	{/if}
	<form method="post" action="?/send" bind:this={sending} use:enhance hidden>
		<input name="even" value={even ? 'yes' : 'no'} />
	</form>
	{#if quote.state === 'draft'}
		<QuoteBuilder bind:this={builder} {data} onsend={send} />
	{:else if quote.issued}
		{@const { frozen, owner } = quote.issued}
		<section class="mb-6 grid gap-3 border-y border-line bg-paper px-5 py-4">
			<p>
				The client’s link: <a class="figures quiet-link break-all" href={data.link} data-name="client-link"
					>{data.link}</a
				>
			</p>
			<p class="figures text-[13.5px]" data-name="owner-margin">
				cost {formatMoney(owner.cost)}{owner.unknown.length > 0 ? ' + ?' : ''} · margin {percentText(
					owner.margin
				)} · profit {formatMoney(owner.profit)} (for you only)
			</p>
			<form method="post" action="?/decide" class="flex flex-wrap gap-2" use:enhance>
				<Button type="submit" name="answer" value="accepted" disabled={quote.state === 'accepted'}
					>They said yes</Button
				>
				<Button type="submit" name="answer" value="declined" disabled={quote.state === 'declined'}
					>They said no</Button
				>
				{#if quote.state !== 'sent'}<Button kind="word" type="submit" name="answer" value="answer taken back"
						>No answer yet</Button
					>{/if}
				<Button kind="word" href="{data.link}/quote.pdf">PDF</Button>
			</form>
		</section>
		<ClientPaper {frozen} photos="/photo" />
	{/if}
</main>
