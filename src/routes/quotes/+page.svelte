<script lang="ts">
	import Pager from '$lib/ui/pager/Pager.svelte';
	import SearchBox from '$lib/ui/search/SearchBox.svelte';
	import { enhance } from '$app/forms';
	import { formatMoney, money } from '$lib/core/money/money.ts';
	import { dayWords } from '$lib/core/quote/day-words.ts';
	import { minorText } from '$lib/features/pricing/study-words.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';

	let { data, form } = $props();
	/** The same list with something else of it asked for. */
	const listWith = (change: Record<string, string>) => {
		const away = data.away ? 'yes' : '';
		const asked = { search: data.search, state: data.state, month: data.month, away, ...change };
		return `?${new URLSearchParams(Object.entries(asked).filter(([, v]) => v !== ''))}`;
	};
	const pageAt = (page: number) => listWith({ page: String(page) });
	const monthWords = (month: string) => dayWords(`${month}-01`).replace(/^\w+, (\w+) \d+,/, '$1');
	const isOpen = (state: string) => state === 'sent' || state === 'seen';
	const chanceText = (row: { state: string; isKnown: boolean }) =>
		isOpen(row.state) ? `${Math.round(100 * (row.isKnown ? data.chance.known : data.chance.fresh))} %` : '';
	/** What a draft comes to now; without lines or a price nothing. */
	const sumOf = (sums: Record<string, number>, id: string) =>
		sums[id] === undefined ? '—' : formatMoney(money(sums[id], data.currency));
	const groups = $derived(
		[
			{ name: 'Next', rows: data.rows.filter((r) => r.eventDate !== null && r.eventDate >= data.today) },
			{ name: 'No date yet', rows: data.rows.filter((r) => r.eventDate === null) },
			{
				name: 'Past',
				rows: data.rows.filter((r) => r.eventDate !== null && r.eventDate < data.today)
			}
		].filter((g) => g.rows.length > 0)
	);
</script>

<svelte:head><title>Quotes · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-6xl px-6 pb-10 max-sm:px-3">
	<header class="flex flex-wrap items-end gap-x-6 gap-y-3 py-4">
		<h1 class="text-[25px]">Quotes</h1>
		<a class="quiet-link self-end pb-1.5" href="/clients">Clients</a>
		<form class="flex items-end gap-2" role="search">
			<SearchBox value={data.search} label="Search the quotes" placeholder="client, occasion, number" />
			<Button type="submit">Find</Button>
			<span class="self-center text-[13px] text-muted"
				>{data.all === 1 ? '1 quote' : `${data.all} quotes`}</span
			>
		</form>
		<form
			method="post"
			action="?/create"
			class="ml-auto flex flex-wrap items-end gap-2"
			use:enhance={() =>
				({ update }) =>
					update({ reset: false })}
		>
			<input type="hidden" name="id" value={data.fresh} />
			{#if data.chosen}
				<input type="hidden" name="with" value={data.chosen.design} />
				<input type="hidden" name="colourway" value={data.colourway} />
				<input type="hidden" name="size" value={data.size} />
				<p class="self-center text-muted">with 1 × {data.chosen.name}, for</p>
			{/if}
			<Field label="Client" error={form?.trouble}>
				{#snippet children(attributes)}
					<input
						{...attributes}
						name="client"
						class="control w-64"
						list="clients"
						value={form?.client ?? ''}
						autocomplete="off"
					/>
				{/snippet}
			</Field>
			<datalist id="clients"
				>{#each data.clients as client (client)}<option value={client}></option>{/each}</datalist
			>
			<Button kind="strong" type="submit">New quote</Button>
		</form>
	</header>
	{#if data.year.won > 0}
		<p class="pb-2 text-[13.5px]" data-name="year">
			The last twelve months: {data.year.won} of {data.year.answered} won,
			<b class="figures">{minorText(data.year.net)}</b>
			in {Math.round(data.year.hours)} hours; an hour of yours earned
			<b class="figures">{minorText(data.year.ownHour)}</b>.
		</p>
	{/if}
	{#if data.due.length > 0 && !data.search && !data.state && !data.month && !data.away}
		<section class="mb-5" aria-label="To do">
			<h2 class="mb-1 text-base">To do</h2>
			<ul class="border-t-2 border-ink bg-paper">
				{#each data.due as row (row.id)}
					<li class="border-b border-line">
						<a class="flex flex-wrap gap-x-4 px-4 py-2 hover:bg-tint" href="/quotes/{row.id}"
							><b>{row.clientName}</b>
							<span class="text-muted">{row.occasion || 'no occasion yet'} · no. {row.number}</span>
							<span class="text-watch sm:ml-auto">{row.due}</span></a
						>
					</li>
				{/each}
			</ul>
			{#if data.moreDue > 0}<p class="mt-1 text-[13px] text-muted">and {data.moreDue} more below.</p>{/if}
		</section>
	{/if}
	{#if data.months.length > 0}
		<nav class="mb-5 grid grid-cols-6 gap-2 max-sm:grid-cols-2" aria-label="Months ahead">
			{#each data.months as month (month.month)}
				<a
					class="border border-line bg-paper px-3 py-2 text-[13px] hover:border-ink"
					class:chosen={data.month === month.month}
					aria-current={data.month === month.month ? 'true' : undefined}
					href={listWith({ month: data.month === month.month ? '' : month.month })}
				>
					<b>{monthWords(month.month)}</b><br />
					{month.won} won <span class="figures">{formatMoney(money(month.wonTotal, data.currency))}</span><br
					/>
					<span class="text-muted"
						>{month.open} open
						<span class="figures">{formatMoney(money(month.openTotal, data.currency))}</span></span
					>
				</a>
			{/each}
		</nav>
	{/if}
	<p class="mb-3 flex flex-wrap gap-x-4 gap-y-1 text-[13.5px]">
		{#each ['', ...data.states] as state (state)}
			<a
				class={data.state === state ? 'font-semibold' : 'quiet-link'}
				aria-current={data.state === state ? 'true' : undefined}
				href={listWith({ state })}>{state || 'all'}</a
			>
		{/each}
		<a
			class="{data.away ? 'font-semibold' : 'quiet-link'} sm:ml-auto"
			aria-current={data.away ? 'true' : undefined}
			href={listWith({ away: data.away ? '' : 'yes' })}
			>{data.away ? 'put away: back to the others' : 'put away'}</a
		>
	</p>
	{#each groups as group (group.name)}
		<section class="mb-7">
			<h2 class="mb-1 text-base text-muted">{group.name}</h2>
			<ul class="border-t-2 border-ink bg-paper">
				{#each group.rows as row (row.id)}
					<li class="border-b border-line">
						<a
							href="/quotes/{row.id}"
							class="grid grid-cols-[150px_1fr_90px_70px_64px_110px] items-baseline gap-4 px-4 py-2.5 hover:bg-tint max-sm:grid-cols-[auto_1fr_auto] max-sm:gap-x-3 max-sm:gap-y-0"
						>
							<span class="figures text-[13.5px] whitespace-nowrap max-sm:order-2"
								>{row.eventDate ? dayWords(row.eventDate, data) : '—'}</span
							>
							<span class="min-w-0 max-sm:order-1 max-sm:col-span-3"
								><b>{row.clientName}</b>
								<span class="text-muted"
									>{row.occasion || 'no occasion yet'} · no. {row.number}, {row.lineCount}
									{row.lineCount === 1 ? 'line' : 'lines'}</span
								></span
							>
							<span class="state {row.state} max-sm:order-3">{row.state}</span>
							<span class="figures text-right text-[13px] max-sm:hidden" title="margin, for you only"
								>{row.margin === null ? '' : `${row.margin.toFixed(1)} %`}</span
							>
							<span
								class="figures text-right text-[13px] text-muted max-sm:hidden"
								title="chance of a yes, by what such clients answered before">{chanceText(row)}</span
							>
							<span class="figures text-right max-sm:order-4"
								>{#if row.frozenTotal !== null}{formatMoney(
										money(row.frozenTotal, data.currency)
									)}{:else}{#await data.sums}…{:then sums}{sumOf(sums, row.id)}{/await}{/if}</span
							>
						</a>
					</li>
				{/each}
			</ul>
		</section>
	{:else}
		<div class="py-20 text-center">
			<p class="text-lg">
				{data.search
					? `No quote for “${data.search}”.`
					: data.away
						? 'No quote is put away.'
						: 'No quotes yet.'}
			</p>
			{#if !data.away}<p class="text-muted">
					Type a client’s name above, or press “Quote this” on a design’s Bench.
				</p>{/if}
		</div>
	{/each}
	<Pager page={data.page} pages={data.pages} label="Pages of quotes" href={pageAt} />
</main>

<style>
	.chosen {
		border-color: var(--ink);
		background: var(--tint);
	}
	.state {
		font-weight: 600;
	}
	.accepted {
		color: var(--good);
	}
	.declined,
	.lapsed,
	.cancelled,
	.draft {
		color: var(--muted);
	}
</style>
