<script lang="ts">
	import type { SubmitFunction } from '@sveltejs/kit';
	import { enhance } from '$app/forms';
	import { formatMoney, money } from '$lib/core/money/money.ts';
	import { dayWords } from '$lib/core/quote/day-words.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	/** One list is sent at a time: pressed twice it is sent once, and what is pressed next is not held up. */
	let sending = $state(false);
	const send: SubmitFunction = () => {
		sending = true;
		return async ({ update }) => {
			await update();
			sending = false;
		};
	};
	const buying = $derived(data.buying);
	const sum = (minor: number) => formatMoney(money(Math.round(minor), buying.currency));
	const day = (of: string) => dayWords(of, data);
	const pieces = (n: number, unit: string) => `${Math.ceil(n)}${unit === 'piece' ? '' : ` ${unit}`}`;
	const seen = (lines: (typeof buying.lists)[number]['lines']) =>
		lines.map((l) => `${l.packs}×${l.pack}`).join(' ');
	const file = (supplier: string, as: 'csv' | 'pdf') =>
		`/jobs/buying/list?${new URLSearchParams({ supplier, until: data.until, as })}`;
	const isProved = $derived(buying.bound !== null && buying.cost.net - buying.bound < 1);
	const isNothing = $derived(
		buying.lists.length + buying.late.length + buying.unsold.length + buying.unlisted.length === 0
	);
	const paid = $derived(buying.cost.goods + buying.cost.shipping);
</script>

<svelte:head><title>Shopping · Jobs · Bright Tally</title></svelte:head>
<main class="mx-auto grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-5 px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-end gap-x-5 gap-y-2 pt-4">
		<h1 class="text-[25px]">Shopping</h1>
		<form class="no-print flex items-end gap-2">
			<label class="grid gap-1 text-[13px] font-medium text-muted"
				>for all jobs until
				<input class="control" type="date" name="until" defaultValue={data.until} min={data.today} /></label
			>
			<Button type="submit">Show</Button>
		</form>
		<p class="no-print ml-auto flex gap-x-4 pb-1.5">
			<a class="quiet-link" href="/stockroom/orders">On order</a>
			<a class="quiet-link" href="/jobs">Jobs</a>
		</p>
	</header>
	<p class="text-muted">
		{#if buying.jobs.length === 0}No job is between today and {day(data.until)}.{:else}
			{buying.jobs.length === 1 ? '1 job' : `${buying.jobs.length} jobs`}:
			{#each buying.jobs as job, i (job.id)}{i > 0 ? '; ' : ''}<a class="quiet-link" href="/jobs/{job.id}"
					>{job.says}, {day(job.day)}</a
				>{/each}. What is on the shelf and on its way is taken off.
		{/if}
	</p>
	{#if form && 'trouble' in form && form.trouble}<Notice level="watch" live>{form.trouble}</Notice>{/if}
	{#if form && 'ordered' in form}<Notice level="good" live
			>{form.ordered}: ordered. It stands under On order, and on the shelf once you say that it came.</Notice
		>{/if}
	{#if buying.late.length > 0}
		<section aria-label="Too late">
			<Notice level="bad"
				>{buying.late.length === 1 ? 'One thing comes' : `${buying.late.length} things come`} too late, though the
				soonest is chosen: ask for express, build later, or take what could stand in.</Notice
			>
			<ul class="mt-1 border-t border-line bg-paper">
				{#each buying.late as late (late.name + late.by)}
					<li
						class="grid grid-cols-[1fr_auto] gap-x-4 border-b border-line px-4 py-1.5 max-sm:grid-cols-1 max-sm:px-2"
					>
						<span><b>{late.pieces} × {late.name}</b></span>
						<span class="text-[13.5px]">wanted {day(late.by)}, here {day(late.arrives)}</span>
						{#if late.instead.length > 0}<span class="col-span-full text-[13.5px] text-muted"
								>could stand in: {late.instead.join('; ')}</span
							>{/if}
					</li>
				{/each}
			</ul>
		</section>
	{/if}
	{#each buying.unsold as line (line.name + line.by)}
		<Notice level="watch"
			>{line.pieces} × {line.name} are short by {day(line.by)}, and no supplier has a pack of it.
			{line.instead.length > 0 ? `Could stand in: ${line.instead.join('; ')}.` : ''}</Notice
		>
	{/each}
	{#each buying.unlisted as line (line.label)}
		<Notice level="watch"
			>{line.pieces} × {line.label} are not in the Stockroom, so nobody knows where to buy them.</Notice
		>
	{/each}
	{#if isNothing && buying.jobs.length > 0}<p class="py-8 text-center text-muted">
			Nothing is to be bought: all of it is on the shelf or on its way.
		</p>{/if}
	{#each buying.lists as list (list.supplier)}
		<section aria-label={list.name}>
			<header class="flex flex-wrap items-baseline gap-x-4 gap-y-1 pb-1">
				<h2 class="text-[19px]">{list.name}</h2>
				<p class="text-[13.5px] text-muted">
					here on {day(list.arrives)} if it is ordered today{list.isLeadKnown
						? ''
						: ' (its days are not known: a week is reckoned)'}
				</p>
				<p class="no-print ml-auto flex gap-x-4 text-[13.5px]">
					<a class="quiet-link" href={file(list.supplier, 'pdf')}>PDF</a>
					<a class="quiet-link" href={file(list.supplier, 'csv')}>CSV</a>
				</p>
			</header>
			<ul class="border-t-2 border-ink bg-paper">
				{#each list.lines as line (line.pack)}
					<li
						class="grid grid-cols-[60px_1fr_110px] items-baseline gap-x-4 border-b border-line px-4 py-2 max-sm:gap-x-2 max-sm:px-2"
					>
						<b class="figures text-right">{line.packs} ×</b>
						<span class="min-w-0"
							><a class="font-semibold hover:underline" href="/stockroom/{line.material}">{line.name}</a>,
							pack of {line.count}
							{line.unit === 'piece' ? '' : line.unit}
							<span class="block text-[13px] text-muted"
								>{pieces(line.needed, line.unit)} needed, {pieces(line.onHand, line.unit)} on the shelf{line.coming >
								0
									? `, ${pieces(line.coming, line.unit)} on the way`
									: ''} · for {line.for.join('; ')}</span
							></span
						>
						<span class="figures text-right">{line.minor === null ? 'not known' : sum(line.minor)}</span>
					</li>
				{/each}
				<li class="grid grid-cols-[1fr_110px] gap-x-4 px-4 py-1.5 max-sm:px-2">
					<span class="text-right text-muted">goods</span><span class="figures border-t border-ink text-right"
						>{list.unpriced.length > 0 ? 'at least ' : ''}{sum(list.goods)}</span
					>
					<span class="text-right text-muted"
						>sending{list.shipping === 0 && list.freeFrom !== null
							? ', free from ' + sum(list.freeFrom)
							: ''}</span
					><span class="figures text-right">{list.shipping === null ? 'not known' : sum(list.shipping)}</span>
				</li>
			</ul>
			<form method="post" action="?/order&until={data.until}" class="no-print pt-2" use:enhance={send}>
				<input type="hidden" name="id" value="{data.fresh}-{list.supplier.slice(0, 12)}" />
				<input type="hidden" name="supplier" value={list.supplier} />
				<input type="hidden" name="name" value={list.name} />
				<input type="hidden" name="seen" value={seen(list.lines)} />
				<Button kind="strong" type="submit" disabled={sending}>I have ordered this from {list.name}</Button>
			</form>
		</section>
	{/each}
	{#if buying.lists.length > 0}
		<p class="border-t border-line pt-3" data-name="proof">
			<b class="figures">{sum(paid)}</b> in all; what is left over is worth about
			<span class="figures">{sum(buying.cost.left)}</span>.
			{#if isProved}No cheaper way has everything here in time: proved.
			{:else if buying.bound !== null}At most {sum(buying.cost.net - buying.bound)} could be saved by another way.
			{:else}The solver had no time to prove it: this is each material where it is cheapest by itself.{/if}
			<span class="block text-[13.5px] text-muted"
				>A piece left over is reckoned at half of what it costs: it is used another day. Prices are those of
				the packs in the Stockroom.</span
			>
		</p>
	{/if}
</main>
