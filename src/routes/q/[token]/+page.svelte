<script lang="ts">
	import { formatMoney } from '$lib/core/money/money.ts';
	import { markOf } from '$lib/core/workspace/mark.ts';
	import { dayWords } from '$lib/core/quote/day-words.ts';
	import ClientChoices from '$lib/features/quotes/ClientChoices.svelte';
	import ClientPaper from '$lib/features/quotes/ClientPaper.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const { frozen } = $derived(data);
	const mark = $derived(markOf(frozen.business));
	const SAYS: Record<string, string> = {
		accepted: 'You said yes. Thank you!',
		declined: 'You said no to this offer.',
		lapsed: 'This offer has lapsed.',
		cancelled: 'This offer was taken back.'
	};
	const isOpen = $derived(
		!data.isOld && (data.state === 'sent' || data.state === 'seen' || data.state === 'draft')
	);
	const canAnswer = $derived(isOpen || (!data.isOld && data.state === 'declined'));
	const hasChoice = $derived((frozen.offers?.length ?? 0) > 0);
	const say = $derived((where: string) =>
		form && 'wrong' in form && form.wrong === where ? form.say : undefined
	);
	const typed = $derived((field: 'name' | 'question') => (form && field in form ? String((form as Record<string, unknown>)[field] ?? '') : '')); // prettier-ignore
	/** A choice that was sent and not taken stays as it was. */
	const choice = $derived(form && 'choice' in form ? (form.choice as typeof data.choice) : data.choice);
	const chosen = $derived(form && 'chosen' in form ? (form.chosen as typeof data.chosen) : data.chosen);
	const offersLevel = (level: string | null) =>
		(frozen.offers?.length ?? 0) < 2 || frozen.offers!.some((o) => o.level === level);
	const isLevelOpen = $derived(form && 'choice' in form ? !offersLevel(choice.level) : data.isLevelOpen);
</script>

<svelte:head
	><script src="/client-page.js" defer></script><title
		>{frozen.occasion || 'Quote'} · {frozen.business.name}</title
	></svelte:head
>
<main class="mx-auto max-w-4xl px-5 pt-5 pb-12">
	<header class="mb-4 flex flex-wrap items-baseline gap-x-4 gap-y-1">
		<p class="flex items-center gap-2 font-head text-lg font-bold">
			{#if mark}<span
					class="inline-grid h-8 min-w-8 place-items-center rounded-control px-1.5 text-[14px]"
					style:background={mark.ground}
					style:color={mark.ink}
					aria-hidden="true">{mark.letters}</span
				>{/if}{frozen.business.name}
		</p>
		{#if data.isOld}<p class="text-watch">This offer was written anew since. Ask us for the new link.</p>
		{:else if SAYS[data.state]}<p class="text-muted">{SAYS[data.state]}</p>{/if}
		<p class="no-print ml-auto"><a class="quiet-link" href="/q/{data.token}/quote.pdf">as a PDF</a></p>
	</header>
	{#if say('answer')}<div class="mb-4"><Notice level="watch" live>{say('answer')}</Notice></div>{/if}
	{#if data.thanks}
		<section class="part mb-6" aria-label="Thank you">
			<h2>Thank you, {data.yes?.name || frozen.client.name}</h2>
			<p>
				{frozen.occasion || 'The day'} is over, and it was a pleasure{frozen.venue
					? ` to build for you at ${frozen.venue}`
					: ''}.{data.thanks.pictures.length > 0 ? ' This is how it stood.' : ''}
			</p>
			{#if data.thanks.pictures.length > 0}
				<div class="mt-3 grid grid-cols-[repeat(auto-fill,minmax(240px,1fr))] gap-4">
					{#each data.thanks.pictures as picture (picture.id)}
						<figure>
							<img
								class="w-full"
								src="/q/{data.token}/thanks/{picture.id}"
								alt={picture.caption || 'How it stood'}
								width={picture.width}
								height={picture.height}
								loading="lazy"
							/>
							{#if picture.caption}<figcaption class="text-[13.5px] text-muted">
									{picture.caption}
								</figcaption>{/if}
						</figure>
					{/each}
				</div>
			{/if}
		</section>
	{/if}
	<ClientPaper {frozen} chosen={data.chosen} photos="/q/{data.token}/photo" places="/q/{data.token}/place">
		{#if data.yes}
			<section class="part" aria-label="Your order">
				<h2>{data.thanks ? 'Your order' : `Thank you, ${data.yes.name || frozen.client.name}`}</h2>
				<p>You said yes on {dayWords(data.yes.at, frozen.formats)}.</p>
				{#if frozen.eventDate && !data.thanks}<p>
						<a class="quiet-link" href="/q/{data.token}/the-day.ics"
							>Put {dayWords(frozen.eventDate, frozen.formats)} into your calendar</a
						>
					</p>{/if}
				{#each data.papers as paper (paper.id)}
					<p><a class="quiet-link" href="/q/{data.token}/paper/{paper.id}">{paper.name}</a></p>
				{/each}
			</section>
		{/if}
		{#if data.money}
			<section class="part no-print" id="pay" aria-label="Paying">
				<h2>Paying</h2>
				{#if data.money.paid}<p data-name="paid">
						Paid so far: <b class="figures">{data.money.paid}</b>
					</p>{/if}
				{#if data.money.late}<p role="status">
						A payment of {data.money.late} is on its way: your bank has not answered yet. Nothing more is to be
						done.
					</p>{/if}
				{#if say('pay')}<Notice level="watch" live>{say('pay')}</Notice>{/if}
				{#if data.money.isPaid}<p>All is paid. Thank you!</p>
				{:else if data.due}
					<form method="post" action="?/pay" class="grid gap-3">
						<input type="hidden" name="key" value={data.key} />
						<input type="hidden" name="kind" value={data.due.kind} />
						<input type="hidden" name="minor" value={data.due.minor} />
						<p>
							{data.due.kind === 'deposit' ? 'The deposit, to hold the date' : 'What is left'}:
							<b class="figures" data-name="due">{data.due.amount}</b>
						</p>
						<fieldset>
							<legend class="text-[13px] text-muted"
								>A simulated payment service stands here: no card is asked for, nothing is charged.</legend
							>
							{#each [['paid', 'a card that works'], ['failed', 'a card that is turned down'], ['late', 'a bank that answers later']] as [value, label], i (value)}
								<label class="flex min-h-11 items-center gap-2"
									><input type="radio" name="card" {value} checked={i === 0} />{label}</label
								>
							{/each}
						</fieldset>
						<p><Button kind="strong" type="submit">Pay {data.due.amount}</Button></p>
					</form>
				{/if}
			</section>
		{/if}

		{#if canAnswer}
			<section class="part no-print" aria-label="Your answer">
				<form method="post" action="?/accept" class="grid gap-1" data-total="/q/{data.token}/total">
					{#if hasChoice}
						<ClientChoices {frozen} {choice} open={isLevelOpen} />
						<p class="text-bad" role="alert" data-name="choice-trouble">{say('choice') ?? data.refused}</p>
						<p class="flex flex-wrap items-baseline gap-x-4" aria-live="polite" data-name="live-total">
							<span
								>As chosen: <b class="figures text-lg" data-name="as-chosen"
									>{isLevelOpen ? '—' : formatMoney(chosen.total, frozen.formats)}</b
								></span
							>
							<Button kind="word" type="submit" formmethod="get" formaction="/q/{data.token}" formnovalidate
								>What it comes to</Button
							>
						</p>
					{/if}
					<h2>Say yes</h2>
					<Field label="Your name" error={say('name')}>
						{#snippet children(attributes)}<input
								{...attributes}
								class="control w-full max-w-sm"
								name="name"
								autocomplete="name"
								value={typed('name')}
							/>{/snippet}
					</Field>
					<p class="mt-2"><Button kind="strong" type="submit">Yes, please</Button></p>
				</form>
				{#if data.state !== 'declined'}
					<details class="mt-5">
						<summary class="cursor-pointer text-muted">No, thank you</summary>
						<form method="post" action="?/decline" class="mt-2 grid gap-2">
							<Field label="Tell us why, if you like"
								>{#snippet children(attributes)}<textarea
										{...attributes}
										class="control w-full max-w-lg"
										name="reason"
										rows="2"
										maxlength="1000"></textarea>{/snippet}</Field
							>
							<p><Button type="submit">We say no</Button></p>
						</form>
					</details>
				{/if}
			</section>
		{/if}
		<section class="part no-print" id="talk" aria-label="Questions">
			<h2>Questions</h2>
			{#each data.talk as { event, text, at }, i (i)}
				<p class={event === 'asked' ? '' : 'border-l-2 border-line pl-3'}>
					<span class="text-[13px] text-muted"
						>{event === 'asked' ? 'You' : frozen.business.name}, {dayWords(at, frozen.formats)}</span
					><br /><span class="break-words whitespace-pre-line">{text}</span>
				</p>
			{/each}
			{#if !data.isOld && data.state !== 'cancelled' && data.state !== 'lapsed'}
				<form method="post" action="?/ask" class="mt-2 grid gap-2">
					<Field label="Ask us something" error={say('question')}
						>{#snippet children(attributes)}<textarea
								{...attributes}
								class="control w-full max-w-lg"
								name="question"
								rows="2"
								value={typed('question')}></textarea>{/snippet}</Field
					>
					<p><Button type="submit">Ask</Button></p>
				</form>
			{/if}
		</section>
	</ClientPaper>
</main>

<style>
	.part {
		margin-top: 26px;
		display: grid;
		gap: 8px;
		border-top: 1px solid var(--line);
		padding-top: 14px;
	}
	h2 {
		font-size: 18px;
	}
</style>
