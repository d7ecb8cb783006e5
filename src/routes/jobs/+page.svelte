<script lang="ts">
	import Pager from '$lib/ui/pager/Pager.svelte';
	import SearchBox from '$lib/ui/search/SearchBox.svelte';
	import { goto } from '$app/navigation';
	import type { CalendarEntry } from '$lib/core/job/calendar.ts';
	import { dayWords } from '$lib/core/quote/day-words.ts';
	import JobCalendar from '$lib/features/jobs/JobCalendar.svelte';
	import Button from '$lib/ui/button/Button.svelte';

	let { data } = $props();
	const at = (change: Record<string, string>) => {
		const asked = { search: data.search, past: data.past ? 'yes' : '', ...change };
		return `/jobs?${new URLSearchParams(Object.entries(asked).filter(([, v]) => v !== ''))}`;
	};
	async function entries(from: string, to: string): Promise<readonly CalendarEntry[]> {
		const answer = await fetch(`/jobs/events.json?${new URLSearchParams({ from, to })}`);
		if (!answer.ok) throw new Error('not read');
		return (await answer.json()) as readonly CalendarEntry[];
	}
</script>

<svelte:head><title>Jobs · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-6xl px-6 pb-10 max-sm:px-3">
	<header class="flex flex-wrap items-end gap-x-6 gap-y-3 py-4">
		<h1 class="text-[25px]">Jobs</h1>
		<form class="flex items-end gap-2" role="search">
			{#if data.past}<input type="hidden" name="past" value="yes" />{/if}
			<SearchBox
				value={data.search}
				label="Search the jobs"
				placeholder="client, occasion, place, number"
				width="w-56"
			/>
			<Button type="submit">Find</Button>
		</form>
		<p class="ml-auto flex flex-wrap items-center gap-x-4 gap-y-2 pb-1">
			<a class="quiet-link" href="/jobs/plan">Build plan</a>
			<a class="quiet-link" data-goes="books" href="/jobs/buying">Shopping</a>
			<a class="quiet-link" href="/jobs/calendar">Other calendars</a>
			<Button kind="strong" href="/jobs/day/today">What is on today</Button>
		</p>
	</header>
	{#if !data.search && !data.past}
		<section class="mb-6" aria-label="Calendar">
			<JobCalendar today={data.today} firstDay={data.firstDay} {entries} onopen={(href) => void goto(href)} />
		</section>
	{/if}
	<p class="mb-2 flex flex-wrap items-baseline gap-x-4 text-[13.5px]">
		<a
			class={data.past ? 'quiet-link' : 'font-semibold'}
			aria-current={data.past ? undefined : 'true'}
			href={at({ past: '' })}>ahead</a
		>
		<a
			class={data.past ? 'font-semibold' : 'quiet-link'}
			aria-current={data.past ? 'true' : undefined}
			href={at({ past: 'yes' })}>over</a
		>
		<span class="text-muted">{data.all === 1 ? '1 job' : `${data.all} jobs`}</span>
	</p>
	<ul class="border-t-2 border-ink bg-paper">
		{#each data.rows as row (row.id)}
			<li class="border-b border-line">
				<a
					href="/jobs/{row.id}"
					class="grid grid-cols-[150px_1fr_auto] items-baseline gap-x-4 px-4 py-2.5 hover:bg-tint max-sm:grid-cols-[1fr_auto] max-sm:gap-y-0"
				>
					<span class="figures text-[13.5px] whitespace-nowrap"
						>{row.day ? dayWords(row.day, data) : 'no day yet'}</span
					>
					<span class="min-w-0 max-sm:order-3 max-sm:col-span-2"
						><b>{row.client}</b>
						<span class="text-muted"
							>{[row.occasion, row.venue].filter(Boolean).join(', ') || 'no occasion'} · no. {row.number}</span
						></span
					>
					<span class="text-[13px] text-muted"
						>{row.isRevised
							? 'quote is written anew'
							: data.past
								? row.isCounted
									? 'counted back'
									: 'to count back'
								: row.isSaid
									? ''
									: 'days as usual'}</span
					>
				</a>
			</li>
		{:else}
			<li class="border-b border-line px-4 py-8 text-center text-muted">
				{data.search
					? `No job for “${data.search}”.`
					: data.past
						? 'No job is over yet.'
						: 'No job is ahead. A quote with a yes becomes one by itself.'}
			</li>
		{/each}
	</ul>
	<Pager
		page={data.page}
		pages={data.pages}
		label="Pages of jobs"
		href={(page) => at({ page: String(page) })}
	/>
</main>
