<script lang="ts">
	import { enhance } from '$app/forms';
	import { formatMoney, money } from '$lib/core/money/money.ts';
	import { dayWords } from '$lib/core/quote/day-words.ts';
	import { askBeforeLeaving, unsaved } from '$lib/features/shell/unsaved.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	askBeforeLeaving();
	const typed = $derived((form && 'typed' in form ? form.typed : {}) as Record<string, string>);
	const values = $derived({ ...data.values, ...typed } as Record<string, string>);
	const errors = $derived((form && 'errors' in form ? form.errors : {}) as Record<string, string>);
	const started = $derived(JSON.stringify(form && 'started' in form ? form.started : data.values));
	/** What the two cards say of the same field. */
	const both = $derived(
		data.merge
			? [{ name: 'email', label: 'E-mail' }, { name: 'phone', label: 'Telephone' }, ...data.fields].flatMap((f) => {
					const [mine, theirs] = [data.values[f.name] ?? '', data.merge!.values[f.name] ?? ''];
					return mine || theirs ? [{ label: f.label, kept: theirs || mine, lost: theirs && mine && theirs !== mine ? mine : '' }] : [];
				})
			: []
	); // prettier-ignore
</script>

{#snippet line(name: string, label: string, type = 'text')}
	<Field {label} error={errors[name]}>
		{#snippet children(attributes)}<input
				{...attributes}
				class="control w-full"
				{type}
				{name}
				value={values[name] ?? ''}
				autocomplete="off"
			/>{/snippet}
	</Field>
{/snippet}

<svelte:head><title>{data.client.name} · Bright Tally</title></svelte:head>
<main class="mx-auto grid max-w-4xl grid-cols-[minmax(0,1fr)] gap-6 px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 pt-4">
		<h1 class="text-[25px] break-words">{data.client.name}</h1>
		<a class="quiet-link ml-auto" href="/clients">Clients</a>
	</header>
	{#if form && 'saved' in form}<Notice level="good" live>Saved.</Notice>{/if}
	{#if form && 'trouble' in form}<Notice level="watch" live>{form.trouble}</Notice>{/if}
	{#if data.values.allergies}<Notice level="watch">Allergies: {data.values.allergies}</Notice>{/if}
	<form
		method="post"
		action="?/save"
		class="grid gap-3"
		{@attach unsaved}
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<input type="hidden" name="started" value={started} />
		<div class="grid grid-cols-3 gap-x-5 gap-y-3 max-sm:grid-cols-1">
			{@render line('name', 'Name')}
			{@render line('email', 'E-mail', 'email')}
			{@render line('phone', 'Telephone', 'tel')}
		</div>
		<div class="grid grid-cols-2 gap-x-5 gap-y-3 max-sm:grid-cols-1">
			{#each data.fields as field (field.name)}{@render line(field.name, field.label)}{/each}
		</div>
		<p><Button kind="strong" type="submit">Save</Button></p>
	</form>
	<section aria-label="Quotes">
		<h2 class="mb-1 text-base">Quotes</h2>
		<ul class="border-t-2 border-ink bg-paper">
			{#each data.quotes as quote (quote.id)}
				<li class="border-b border-line">
					<a
						class="grid grid-cols-[150px_1fr_100px_110px] gap-4 px-4 py-2 hover:bg-tint max-sm:grid-cols-[1fr_auto] max-sm:gap-y-0"
						href="/quotes/{quote.id}"
						><span class="figures text-[13.5px]"
							>{quote.eventDate ? dayWords(quote.eventDate, data) : '—'}</span
						>
						<span>{quote.occasion || 'no occasion yet'}, no. {quote.number}</span>
						<b>{quote.state}</b>
						<span class="figures text-right"
							>{quote.paid > 0 ? `paid ${formatMoney(money(quote.paid, data.currency))}` : '—'}</span
						></a
					>
				</li>
			{:else}<li class="px-4 py-3 text-muted">No quotes.</li>{/each}
		</ul>
	</section>
	<section class="grid gap-2 border-t border-line pt-3" aria-label="The same client twice">
		<h2 class="text-base">The same client twice?</h2>
		<form class="flex flex-wrap items-end gap-2">
			<select class="control" name="merge" aria-label="Is really">
				{#each data.others as other (other.id)}<option value={other.id} selected={data.merge?.id === other.id}
						>{other.name}{other.email ? `, ${other.email}` : ''}</option
					>{/each}
			</select>
			<Button type="submit" disabled={data.others.length === 0}>Look at both</Button>
		</form>
		{#if data.merge}
			<form method="post" action="?/merge" class="grid gap-1 border border-line bg-paper p-3" use:enhance>
				<input type="hidden" name="into" value={data.merge.id} />
				<p>
					{data.quotes.length === 1 ? '1 quote' : `${data.quotes.length} quotes`} of {data.client.name} will be
					those of
					<b>{data.merge.name}</b>, who has {data.merge.quotes}. What was sent keeps the name it was sent
					with.
				</p>
				{#each both as field (field.label)}
					<p class="text-[13.5px]">
						{field.label}: {field.kept}{#if field.lost}<span class="text-muted">, not {field.lost}</span>{/if}
					</p>
				{/each}
				<p><Button type="submit">Make them one</Button></p>
			</form>
		{/if}
	</section>
	<section class="grid gap-2 border-t border-line pt-3" aria-label="What the law asks for">
		<h2 class="text-base">What the law asks for</h2>
		<p>
			<a class="quiet-link" href="/clients/{data.client.id}/card.json">All that is kept of them, as a file</a>
		</p>
		<form method="post" action="?/forget" class="flex flex-wrap items-center gap-3" use:enhance>
			<label class="flex min-h-9 items-center gap-2"
				><input type="checkbox" name="sure" value="yes" />Forget name, address and all notes; papers that were
				sent stay</label
			>
			<Button type="submit">Forget them</Button>
		</form>
	</section>
</main>
