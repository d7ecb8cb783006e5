<script lang="ts">
	import { enhance } from '$app/forms';
	import { CONDITIONS } from '$lib/core/owned/owned.ts';
	import { dayWords } from '$lib/core/quote/day-words.ts';
	import { printMoney } from '$lib/core/units/print-number.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const adding = $derived((form?.add?.typed ?? {}) as Record<string, string>);
	const addErrors = $derived((form?.add?.errors ?? {}) as Record<string, string>);
	let editing = $state<string | null>(null);
	const open = $derived(editing ?? form?.change?.thing ?? null);
	/** What was typed of a piece and could not be kept, and why; of another nothing. */
	const changed = (id: string) => (form?.change?.thing === id ? form.change : null);
	const typedOf = (id: string, name: string) =>
		(changed(id)?.typed as Record<string, string> | undefined)?.[name];
	const errorOf = (id: string, name: string) =>
		(changed(id)?.errors as Record<string, string> | undefined)?.[name];
	const money = (minor: number | null) => printMoney(minor, { decimal: data.decimal });
	/** `12` of the month, with its name on the first of each. */
	const short = (day: string, i: number) =>
		i === 0 || day.endsWith('-01')
			? dayWords(day).replace(/^\w+, (\w+ \d+),.*$/, '$1')
			: String(Number(day.slice(8)));
	const span = (from: string, to: string) =>
		from === to ? `on ${dayWords(from)}` : `from ${dayWords(from)} to ${dayWords(to)}`;
	const about = ['place', 'note', 'hire', 'deposit'] as const;
	const LABELS = { place: 'Where it is', note: 'Note', hire: 'Hired out for', deposit: 'Deposit' };
</script>

{#snippet conditions(value: string, name: string, attributes: Record<string, unknown>)}
	<select {...attributes} {name} class="control w-full min-w-0">
		{#each CONDITIONS as one (one)}<option value={one} selected={one === value}>{one}</option>{/each}
	</select>
{/snippet}

<svelte:head><title>What comes back · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[1236px] px-[22px] pb-12 max-sm:px-3">
	<header class="py-3">
		<h1 class="text-[25px]">What comes back</h1>
		<p class="text-muted">
			Stands, hoops, frames and weights, piece by piece: who has them when, and what is wanted twice. A piece
			is out from the day before a job to the day after.
		</p>
	</header>
	{#if form?.added}<Notice level="good" live>{form.added}: written down.</Notice>{/if}
	{#if form?.changed}<Notice level="good" live>{form.changed} is changed.</Notice>{/if}
	{#each data.conflicts as c (`${c.thing}/${c.from}`)}
		<div class="mb-2">
			<Notice level="watch">
				<b>{c.wanted} × {c.thing}</b> are wanted {span(c.from, c.to)}, and there {c.have === 1 ? 'is' : 'are'}
				{c.have}: {#each c.by as b, i (b.quote)}{i > 0 ? '; ' : ''}<a
						class="quiet-link"
						href="/quotes/{b.quote}">{b.count} for {b.says}</a
					>{b.firm ? '' : ', offered'}{/each}.
				{c.canWait.every((b) => !b.firm)
					? `Not agreed yet, so it can wait: ${c.canWait.map((b) => b.says).join('; ')}.`
					: c.by.length === 1
						? 'That one job alone wants more than there are.'
						: `All of it is agreed; last to leave is ${c.canWait.map((b) => b.says).join('; ')}.`}
				{c.standIns.length > 0
					? `Could stand in: ${c.standIns.join('; ')}.`
					: 'Nothing here could stand in: hire one, buy one, or change a date.'}
			</Notice>
		</div>
	{/each}
	<section class="mb-6" aria-label="Who has what">
		<h2 class="flex flex-wrap items-baseline gap-4 text-[18px]">
			Who has what <span class="text-[14px] font-normal"
				><a class="quiet-link" href="?from={data.earlier}">two weeks earlier</a> ·
				<a class="quiet-link" href="?from={data.later}">two weeks later</a></span
			>
		</h2>
		{#if data.rows.length === 0}
			<p class="text-muted">Nothing that comes back is written down or booked yet.</p>
		{:else}
			<!-- What is only read out is held in it too: else it makes the page wider than a phone. -->
			<div class="relative overflow-x-auto">
				<table class="w-full border-collapse text-[13.5px]">
					<thead
						><tr
							><th class="py-1 pr-3 text-left">thing</th><th class="px-2 text-right">there are</th>
							{#each data.days as day, i (day)}<th class="px-1 text-right font-normal whitespace-nowrap"
									>{short(day, i)}</th
								>{/each}</tr
						></thead
					>
					<tbody>
						{#each data.rows as row (row.id)}
							<tr class="border-t border-line">
								<td class="min-w-[130px] py-1 pr-3">{row.name}</td>
								<td class="figures px-2 text-right">{row.have ?? 'not counted'}</td>
								{#each row.wanted as { count, by }, i (i)}
									<td
										class="figures px-1 text-right"
										class:short={row.have !== null && count > row.have}
										class:out={count > 0}
										title={by.join('\n')}
										>{#if count > 0}{count}<span class="sr-only"
												>{row.have !== null && count > row.have ? ', more than there are' : ''}: {by.join(
													'; '
												)}</span
											>{/if}</td
									>
								{/each}
							</tr>
						{/each}
					</tbody>
				</table>
			</div>
		{/if}
		{#if data.uncounted.length > 0}
			<p class="mt-1 text-[13.5px] text-muted">
				Not counted yet, so nothing is said of them: {data.uncounted.join('; ')}.
			</p>
		{/if}
	</section>
	<section class="mb-6" aria-label="Write pieces down">
		<h2 class="text-[18px]">Write pieces down</h2>
		{#if data.back.length === 0}
			<p class="text-muted">
				Nothing in the Stockroom comes back yet. Say its uses <a class="quiet-link" href="/stockroom">there</a
				>.
			</p>
		{:else}
			<form
				method="POST"
				action="?/add"
				use:enhance
				class="grid grid-cols-1 items-start gap-3 sm:grid-cols-3 lg:grid-cols-[2fr_1fr_1fr_1fr_1fr_1fr_auto]"
			>
				<input type="hidden" name="id" value={data.fresh} />
				<Field label="Thing" error={addErrors.material}>
					{#snippet children(attributes)}<select
							{...attributes}
							name="material"
							class="control w-full min-w-0"
						>
							{#each data.back as [id, name] (id)}<option value={id} selected={adding.material === id}
									>{name}</option
								>{/each}
						</select>{/snippet}
				</Field>
				<Field label="How many" error={addErrors.count}>
					{#snippet children(attributes)}<input
							{...attributes}
							name="count"
							class="control figures w-full"
							inputmode="numeric"
							value={adding.count ?? '1'}
						/>{/snippet}
				</Field>
				<Field label="They are">
					{#snippet children(attributes)}{@render conditions(
							adding.condition ?? 'good',
							'condition',
							attributes
						)}{/snippet}
				</Field>
				{#each ['place', 'hire', 'deposit'] as const as name (name)}
					<Field label={LABELS[name]} error={addErrors[name]}>
						{#snippet children(attributes)}<input
								{...attributes}
								{name}
								class="control w-full"
								value={adding[name] ?? ''}
								autocomplete="off"
							/>{/snippet}
					</Field>
				{/each}
				<p class="lg:pt-[22px]"><Button type="submit" kind="strong">Write down</Button></p>
			</form>
		{/if}
	</section>
	<section aria-label="Pieces">
		<h2 class="text-[18px]">Pieces</h2>
		<ul>
			{#each data.owned as piece (piece.id)}
				<li class="border-t border-line py-1.5">
					<div class="flex flex-wrap items-baseline gap-x-4">
						<b>{piece.name}</b>
						<span class:text-watch={piece.condition !== 'good'}>{piece.condition}</span>
						<span class="text-muted">{piece.place}</span>
						<span class="grow text-muted">{piece.note}</span>
						{#if piece.hireMinor !== null}<span class="figures">hire {money(piece.hireMinor)}</span>{/if}
						{#if piece.depositMinor !== null}<span class="figures">deposit {money(piece.depositMinor)}</span
							>{/if}
						<button
							class="quiet-link text-[13.5px] pointer-coarse:min-h-[44px]"
							aria-expanded={open === piece.id}
							onclick={() => (editing = open === piece.id ? '' : piece.id)}>change</button
						>
					</div>
					{#if open === piece.id}
						<form
							method="POST"
							action="?/change"
							use:enhance={() =>
								async ({ result, update }) => {
									await update({ reset: false });
									if (result.type === 'success') editing = '';
								}}
							class="mt-2 grid grid-cols-1 items-start gap-3 sm:grid-cols-3 lg:grid-cols-7"
						>
							<input type="hidden" name="thing" value={piece.id} />
							<Field label="What is written on it" error={errorOf(piece.id, 'name')}>
								{#snippet children(attributes)}<input
										{...attributes}
										name="name"
										class="control w-full"
										value={typedOf(piece.id, 'name') ?? piece.name}
									/>{/snippet}
							</Field>
							<Field label="It is">
								{#snippet children(attributes)}{@render conditions(
										typedOf(piece.id, 'condition') ?? piece.condition,
										'condition',
										attributes
									)}{/snippet}
							</Field>
							{#each about as name (name)}
								<Field label={LABELS[name]} error={errorOf(piece.id, name)}>
									{#snippet children(attributes)}<input
											{...attributes}
											{name}
											class="control w-full"
											value={typedOf(piece.id, name) ??
												(name === 'hire'
													? money(piece.hireMinor)
													: name === 'deposit'
														? money(piece.depositMinor)
														: piece[name])}
											autocomplete="off"
										/>{/snippet}
								</Field>
							{/each}
							<p class="flex gap-3 lg:pt-[22px]">
								<Button type="submit">Change</Button><button
									class="quiet-link text-[13.5px]"
									formaction="?/remove"
									type="submit">it was never there</button
								>
							</p>
						</form>
					{/if}
				</li>
			{/each}
		</ul>
	</section>
</main>

<style>
	.out {
		background: var(--line);
	}
	.short {
		background: var(--bad);
		color: var(--paper);
		font-weight: 700;
	}
</style>
