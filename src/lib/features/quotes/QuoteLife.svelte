<script lang="ts">
	import { enhance } from '$app/forms';
	import { dayWords } from '../../core/quote/day-words.ts';
	import { percentText } from '../bench/tape-words.ts';
	import Button from '../../ui/button/Button.svelte';
	import GlanceTable from './GlanceTable.svelte';
	import type { DateStyle } from '../../core/workspace/formats.ts';
	import type { QuoteLifeView } from '../../core/quote/life-view.ts';

	interface Props {
		life: QuoteLifeView;
		quote: string;
		/** How days are written here. */
		dates: DateStyle;
		/** An id for what is written next: pressed twice it is one. */
		fresh: string;
		/** An answer that could not be taken, and why. */
		typed?: string;
		say?: string;
	}
	let { life, quote, dates, fresh, typed = '', say = '' }: Props = $props();
	const day = (at: string) => dayWords(at.slice(0, 10), { dates });
	let copied = $state('');
	/** Taking the link back is asked once more. */
	let asksEnd = $state(false);
	async function copy(what: string, text: string) {
		await navigator.clipboard.writeText(text).then(
			() => (copied = `${what} copied`),
			() => (copied = 'Copying is not allowed here: mark it and copy it yourself.')
		);
	}
</script>

<section class="part" aria-label="The client’s page">
	<h2>The client’s page</h2>
	<p>
		<a class="figures quiet-link break-all" href="{life.link}?look" data-name="client-link">{life.link}</a>
	</p>
	{#if life.linkEnded}
		<p class="font-semibold text-watch">
			Taken back on {dayWords(life.linkEnded, { dates })}: it opens nothing. Write the quote anew and send it,
			and there is another link.
		</p>
	{:else}
		<div class="flex flex-wrap items-center gap-x-4 text-[13.5px]">
			<span>Opens until {dayWords(life.linkUntil, { dates })}, for whoever has it.</span>
			{#if asksEnd}
				<form method="post" action="?/endLink" class="flex gap-3" use:enhance>
					<button class="quiet-link min-h-[34px] font-semibold text-bad"
						>Take it back: nobody opens it again</button
					>
					<button type="button" class="quiet-link" onclick={() => (asksEnd = false)}>Keep it</button>
				</form>
			{:else}<button type="button" class="quiet-link min-h-[34px]" onclick={() => (asksEnd = true)}
					>Take the link back</button
				>{/if}
		</div>
	{/if}
	<details class="text-[13.5px]">
		<summary class="min-h-[30px] cursor-pointer"
			>{life.looks.many === 0
				? 'No client has opened it yet'
				: life.looks.many === 1
					? 'Opened once'
					: `Opened ${life.looks.many} times`}</summary
		>
		<ul>
			{#each life.looks.newest as look, i (i)}
				<li>{dayWords(look.at, { dates })}: the {look.what === 'page' ? 'page' : 'PDF'}, on {look.device}</li>
			{:else}<li class="text-muted">Looking at it yourself is not counted.</li>{/each}
		</ul>
	</details>
	<p class="flex flex-wrap gap-2">
		<Button onclick={() => copy('Link', life.link)}>Copy the link</Button>
		<Button onclick={() => copy('Text', life.copy)}>Copy a text with it</Button>
		<Button kind="word" href="{life.link}/quote.pdf">PDF</Button>
		<Button kind="word" href="/quotes/{quote}/file?as=csv">CSV</Button>
		<Button kind="word" href="/quotes/{quote}/file?as=json">JSON</Button>
		<span class="self-center text-[13px] text-muted" role="status">{copied}</span>
	</p>
	<p class="text-[13.5px]">
		{#if life.client.email}E-mails go to {life.client.email}.{:else}No e-mail address is known, so e-mails
			only wait in the outbox.{/if}
		<a class="quiet-link" href="/clients/{life.client.id}">The client’s card</a>
	</p>
	{#if life.client.latex}<p class="text-watch">Allergies: {life.client.latex}</p>{/if}
	{#if life.due}<p class="font-semibold text-watch" data-name="due">{life.due}</p>{/if}
	{#if life.isAsked !== null}
		<blockquote class="border-l-2 border-ink pl-3 break-words whitespace-pre-line">{life.isAsked}</blockquote>
		<form method="post" action="?/answer" class="grid gap-2" use:enhance>
			<input type="hidden" name="id" value={fresh} />
			<textarea
				class="control w-full"
				name="text"
				rows="3"
				aria-label="Your answer"
				aria-invalid={say !== ''}
				value={typed}></textarea>
			{#if say}<p class="text-[13px] text-bad" role="alert">{say}</p>{/if}
			<p><Button type="submit">Answer</Button></p>
		</form>
	{/if}
	{#if !life.isRevising}
		<form method="post" action="?/remind" use:enhance>
			<input type="hidden" name="id" value={fresh} /><Button kind="word" type="submit"
				>Write a reminder</Button
			>
		</form>
	{/if}
</section>

{#if life.glance.length > 0}
	<section class="part" aria-label="What may be chosen, for you only">
		<h2>What may be chosen, for you only</h2>
		<GlanceTable glance={life.glance} />
	</section>
{/if}

{#if life.order}
	<section class="part" aria-label="The order">
		<h2>The order</h2>
		{#if life.order.level}<p><b>{life.order.level}</b></p>{/if}
		<ul>
			{#each life.order.chosen as line, i (i)}<li>{line}</li>{/each}
		</ul>
		<p class="figures" data-name="order-sums">
			total {life.order.total} · paid {life.order.paid} · left {life.order.left}
		</p>
		{#if life.order.next}<p>Next: the {life.order.next.kind}, {life.order.next.amount}.</p>{/if}
		{#each life.order.payments as payment (payment.id)}
			<form method="post" action="?/settle" class="flex flex-wrap items-center gap-2" use:enhance>
				<input type="hidden" name="payment" value={payment.id} />
				<span class="figures">{day(payment.at)}</span><span
					>{payment.kind}, {payment.amount}: {payment.state}</span
				>
				{#if payment.state === 'late'}
					<Button type="submit" name="state" value="paid">It has come</Button>
					<Button type="submit" name="state" value="failed">It was turned down</Button>
				{/if}
			</form>
		{/each}
	</section>
{/if}

{#if life.papers.length > 0 || life.order}
	<section class="part" aria-label="Papers">
		<h2>Papers</h2>
		{#each life.papers as paper (paper.id)}
			<div class="flex flex-wrap items-baseline gap-x-3">
				<span class="figures text-[13.5px]">{day(paper.at)}</span>
				<a class="quiet-link" href="/quotes/{quote}/paper/{paper.id}">{paper.title}</a>
				<span class="figures">{paper.amount}</span>
				<a class="quiet-link text-[13px]" href="/quotes/{quote}/paper/{paper.id}?as=csv">CSV</a>
				<a class="quiet-link text-[13px]" href="/quotes/{quote}/paper/{paper.id}?as=json">JSON</a>
				{#if paper.kind === 'invoice' || paper.kind === 'credit note'}<a
						class="quiet-link text-[13px]"
						href="/quotes/{quote}/paper/{paper.id}?as=xml">UBL</a
					>{/if}
				{#if paper.canCredit}
					<form method="post" action="?/credit" use:enhance>
						<input type="hidden" name="paper" value={paper.id} />
						<Button kind="word" type="submit">Take it back with a credit note</Button>
					</form>
				{/if}
			</div>
		{/each}
		{#if life.order}
			<form method="post" action="?/invoice" use:enhance>
				<Button type="submit">Write the invoice</Button>
			</form>
		{/if}
	</section>
{/if}

<section class="part" aria-label="Outbox">
	<h2>Outbox</h2>
	<p class="text-[13px] text-muted">
		A simulated post: messages are written whole and kept here, nothing is sent out.
	</p>
	{#each life.messages as message (message.id)}
		<p class="flex flex-wrap items-baseline gap-x-3">
			<span class="figures text-[13.5px]">{day(message.at)}</span>
			<a class="quiet-link" href="/quotes/{quote}/post/{message.id}">{message.subject}</a>
			<span class="text-[13px] text-muted">{message.recipient || 'no address yet'}</span>
		</p>
	{:else}<p class="text-muted">Nothing yet.</p>{/each}
</section>

{#if life.revisions.length > 1}
	<section class="part" aria-label="Revisions">
		<h2>Revisions</h2>
		{#each life.revisions as revision (revision.number)}
			<h3>
				Revision {revision.number}, {day(revision.at)}: <span class="figures">{revision.total}</span>
				<span class="text-[13px] text-muted">margin {percentText(revision.margin)}, for you only</span>
			</h3>
			{#each revision.changes as change, i (i)}
				<p class="text-[13.5px]">
					<b>{change.what}</b>: {change.before || 'not there'} → {change.after || 'taken out'}
				</p>
			{/each}
		{/each}
	</section>
{/if}

<section class="part" aria-label="What happened">
	<h2>What happened</h2>
	{#each life.events as event, i (i)}
		<p class="text-[13.5px]">
			<span class="figures">{day(event.at)}</span>
			{event.what}{#if event.text}: <span class="break-words whitespace-pre-line">{event.text}</span>{/if}
		</p>
	{/each}
</section>

<style>
	.part {
		display: grid;
		gap: 8px;
		min-width: 0;
		border-top: 1px solid var(--line);
		padding: 12px 0 16px;
	}
	h2 {
		font-size: 17px;
	}
	h3 {
		font-size: 14.5px;
	}
</style>
