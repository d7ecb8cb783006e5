<script lang="ts">
	import ChangeList from '$lib/features/changes/ChangeList.svelte';
	import { tick } from 'svelte';
	import { enhance } from '$app/forms';
	import { formatMoney, money } from '$lib/core/money/money.ts';
	import ClientPaper from '$lib/features/quotes/ClientPaper.svelte';
	import QuoteBuilder from '$lib/features/quotes/QuoteBuilder.svelte';
	import QuoteLife from '$lib/features/quotes/QuoteLife.svelte';
	import { percentText } from '$lib/features/bench/tape-words.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const quote = $derived(data.quote);
	const life = $derived(data.life);
	const answer = $derived(form && 'answer' in form ? { typed: form.answer, say: form.say } : {});
	let sending = $state<HTMLFormElement>();
	let even = $state(false);
	/** Deleting is asked once more. */
	let deleting = $state(false);
	let builder = $state<QuoteBuilder>();
	async function send(meant: boolean) {
		even = meant;
		await tick();
		sending?.requestSubmit();
	}
</script>

<svelte:head><title>Quote {quote.number} · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[1180px] px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 gap-y-2 py-4">
		<h1 class="text-[25px]">Quote {quote.number}</h1>
		<p class="font-semibold" data-name="state">
			{life?.isRevising ? `revision ${life.revision + 1}, being written` : quote.state}{quote.isAway
				? ', put away'
				: ''}
		</p>
		<form method="post" action="?/copy" class="ml-auto">
			<input type="hidden" name="id" value={data.fresh} /><Button kind="word" type="submit"
				>Copy for another date</Button
			>
		</form>
		<form method="post" action={quote.isAway ? '?/out' : '?/away'} use:enhance>
			<Button kind="word" type="submit">{quote.isAway ? 'Take it out again' : 'Put it away'}</Button>
		</form>
		{#if quote.state === 'draft' && !life}
			{#if deleting}
				<form method="post" action="?/remove" class="flex items-center gap-3" use:enhance>
					<input type="hidden" name="sure" value="yes" />
					<button class="quiet-link min-h-[34px] font-semibold text-bad">Delete for good</button>
					<button type="button" class="quiet-link" onclick={() => (deleting = false)}>Keep it</button>
				</form>
			{:else}<Button kind="word" onclick={() => (deleting = true)}>Delete</Button>{/if}
		{/if}
		{#if quote.lines.length > 0}<p>
				<a class="quiet-link" href="/stockroom/cut?quote={quote.id}">to cut</a>
			</p>{/if}
		<p><a class="quiet-link" href="/quotes">all quotes</a></p>
	</header>
	{#if quote.state !== 'declined' && quote.state !== 'cancelled'}
		{#await data.twice then twice}
			{#each twice as say (say)}<div class="mb-2"><Notice level="watch">{say}</Notice></div>{/each}
		{/await}
	{/if}
	{#if quote.state === 'draft'}
		{#await data.lessons then lessons}
			{#if lessons.length > 0}<div class="mb-2" data-lesson>
					<Notice level="watch"
						>{lessons.join(' ')} <a class="quiet-link" href="/numbers/taught">What jobs taught</a></Notice
					>
				</div>{/if}
		{/await}
	{/if}
	{#if form && 'trouble' in form && form.trouble}
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
		{#if life}
			<form
				method="post"
				action="?/drop"
				class="mb-4 flex flex-wrap items-center gap-3 border-y border-line bg-paper px-5 py-3"
				use:enhance
			>
				<p>
					The client has revision {life.revision}, {life.revisions[0]?.total}, and cannot answer it while this
					one is written.
				</p>
				<Button kind="word" type="submit">Leave it as it was sent</Button>
			</form>
		{/if}
		{#key quote.id}<QuoteBuilder bind:this={builder} {data} onsend={send} />{/key}
		{#if life}<div class="mt-8 max-w-3xl">
				<QuoteLife {life} quote={quote.id} dates={data.dates} fresh={data.fresh} {...answer} />
			</div>{/if}
	{:else if quote.issued && life}
		{@const { frozen, owner } = quote.issued}
		<section class="mb-4 grid gap-3 border-y border-line bg-paper px-5 py-4" aria-label="Their answer">
			<p class="figures text-[13.5px]" data-name="owner-margin">
				cost {formatMoney(owner.cost)}{owner.unknown.length > 0 ? ' + ?' : ''} · margin {percentText(
					owner.margin
				)} · profit {formatMoney(owner.profit)} (for you only)
				{#await data.today then now}
					{#if now}<br />at today’s prices cost {formatMoney(money(now.cost, frozen.total.currency))} · margin {percentText(
							now.margin
						)}{/if}
				{/await}
			</p>
			<form method="post" action="?/decide" class="flex flex-wrap items-center gap-2" use:enhance>
				<Button type="submit" name="answer" value="accepted" disabled={quote.state === 'accepted'}
					>They said yes</Button
				>
				<Button type="submit" name="answer" value="declined" disabled={quote.state === 'declined'}
					>They said no</Button
				>
				<input
					class="control w-52"
					name="reason"
					aria-label="Why"
					placeholder="why, if they said"
					maxlength="1000"
					list="reasons"
					autocomplete="off"
				/>
				<datalist id="reasons"
					>{#each ['too dear', 'another date', 'somebody else', 'event called off', 'no answer'] as reason (reason)}<option
							value={reason}
						></option>{/each}</datalist
				>
				{#if quote.state === 'accepted' || quote.state === 'declined' || quote.state === 'cancelled'}<Button
						kind="word"
						type="submit"
						name="answer"
						value="answer taken back">No answer yet</Button
					>{/if}
				{#if quote.state !== 'cancelled'}<Button kind="word" type="submit" name="answer" value="cancelled"
						>Cancel it</Button
					>{/if}
			</form>
			<form method="post" action="?/revise" use:enhance>
				<Button type="submit">Write it anew</Button>
				<span class="text-[13px] text-muted"
					>What was sent stays as it was; a new link goes out with revision {life.revision + 1}.</span
				>
			</form>
		</section>
		<div class="grid gap-x-10 lg:grid-cols-[minmax(0,1fr)_340px]">
			<ClientPaper {frozen} chosen={life.chosen} photos="/photo" places="/quotes/{quote.id}/place" />
			<div><QuoteLife {life} quote={quote.id} dates={data.dates} fresh={data.fresh} {...answer} /></div>
		</div>
	{/if}
	{#if data.changes.length > 0}
		<details class="no-print mt-8 max-w-3xl">
			<summary class="min-h-[34px] cursor-pointer font-semibold">Who did what</summary>
			<ChangeList changes={data.changes} named={false} />
		</details>
	{/if}
</main>
