<script lang="ts">
	import { dayWords } from '$lib/core/quote/day-words.ts';

	let { data } = $props();
	const { message } = $derived(data);
</script>

<svelte:head><title>{message.subject} · Bright Tally</title></svelte:head>
<main class="mx-auto grid max-w-3xl gap-4 px-6 pt-4 pb-12 max-sm:px-3">
	<p><a class="quiet-link" href="/quotes/{data.quote}">back to the quote</a></p>
	<h1 class="text-[22px]">{message.subject}</h1>
	<dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-[13.5px]">
		<dt class="text-muted">From</dt>
		<dd>{message.from}</dd>
		<dt class="text-muted">To</dt>
		<dd>{message.to || 'no address yet'}</dd>
		<dt class="text-muted">On</dt>
		<dd>{dayWords(message.sentAt.toISOString().slice(0, 10), data)}</dd>
		{#if message.attachments.length > 0}<dt class="text-muted">Attached</dt>
			<dd>{message.attachments.join(', ')}</dd>{/if}
	</dl>
	<div class="border-y border-line bg-paper px-5 py-4 break-words whitespace-pre-line" data-name="mail">
		{message.text}
	</div>
	<p>
		<a class="quiet-link" href="/quotes/{data.quote}/message/{message.id}">As a file for a mail program</a>
	</p>
</main>
