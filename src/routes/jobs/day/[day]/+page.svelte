<script lang="ts">
	import { onMount } from 'svelte';
	import { keepPage } from '$lib/features/jobs/keep-page.ts';
	import { PLACE_FIELDS, STAGE_WORDS } from '$lib/core/job/job.ts';
	import { placeLabel, printHour } from '$lib/core/job/read-days.ts';
	import { longDayWords } from '$lib/core/quote/day-words.ts';

	let { data } = $props();
	onMount(() => void keepPage());
	const hours = (from: number | null, to: number | null) =>
		from === null ? '' : `${printHour(from)}${to === null ? '' : `–${printHour(to)}`}`;
	const digits = (phone: string) => phone.replace(/[^\d+]/g, '');
</script>

<svelte:head><title>{longDayWords(data.day, data)} · Jobs · Bright Tally</title></svelte:head>
<main class="mx-auto grid max-w-2xl grid-cols-[minmax(0,1fr)] gap-4 px-6 pb-12 max-sm:px-3">
	<header class="grid gap-1 pt-4">
		<h1 class="text-[25px]">{longDayWords(data.day, data)}</h1>
		<nav class="flex flex-wrap gap-x-5" aria-label="Other days">
			<a class="quiet-link min-h-[44px] content-center" href="/jobs/day/{data.before}">the day before</a>
			{#if data.day !== data.today}<a class="quiet-link min-h-[44px] content-center" href="/jobs/day/today"
					>today</a
				>{/if}
			<a class="quiet-link min-h-[44px] content-center" href="/jobs/day/{data.after}">the day after</a>
			<a class="quiet-link ml-auto min-h-[44px] content-center" href="/jobs">Jobs</a>
		</nav>
	</header>
	{#each data.others as other, i (i)}
		<p class="border-y border-dashed border-line px-4 py-2">
			<span class="figures">{hours(other.fromMinute, other.toMinute)}</span>
			{other.title} <span class="text-muted">({other.calendar})</span>
		</p>
	{/each}
	{#each data.stops as { stop, who, job } (`${job?.id}/${stop.id}`)}
		{#if job}
			<article class="grid gap-2 border-t-2 border-ink bg-paper px-4 py-3">
				<h2 class="flex flex-wrap items-baseline gap-x-3 text-[19px]">
					<span class="figures">{hours(stop.from, stop.to) || 'hours open'}</span>
					{STAGE_WORDS[stop.stage]}
				</h2>
				<p>
					<a class="quiet-link text-[17px] font-semibold" href="/jobs/{job.id}">{job.client}</a>
					<span class="text-muted">{job.occasion}</span>
				</p>
				{#if stop.note}<p>{stop.note}</p>{/if}
				{#if stop.stage !== 'event'}<p>
						<span class="text-muted">Who:</span>
						{who.join(', ') || 'nobody yet'}
					</p>{/if}
				{#if job.allergies}<p class="text-watch">Allergies: {job.allergies}</p>{/if}
				{#if stop.stage !== 'build'}
					<dl class="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
						{#each PLACE_FIELDS.filter((f) => f !== 'phone' && job.place[f]) as name (name)}
							<dt class="text-[13.5px] text-muted">{placeLabel(name)}</dt>
							<dd class="break-words">{job.place[name]}</dd>
						{/each}
					</dl>
					{#if digits(job.place.phone)}<p>
							<a
								class="inline-flex min-h-[44px] items-center rounded-control border border-ink px-4 font-semibold"
								href="tel:{digits(job.place.phone)}"
								>Call {job.place.contact || job.client}: {job.place.phone}</a
							>
						</p>{/if}
				{/if}
				{#if stop.stage === 'drive' || stop.stage === 'build' || stop.stage === 'set up'}
					<p>
						<span class="text-muted">{stop.stage === 'build' ? 'Built:' : 'In the van:'}</span>
						{job.load.join('; ')}
					</p>
				{/if}
				<p class="flex gap-x-5">
					<a class="quiet-link min-h-[44px] content-center" href="/jobs/{job.id}/lists">Lists</a>
				</p>
				{#if job.note}<p class="whitespace-pre-line text-muted">{job.note}</p>{/if}
			</article>
		{/if}
	{:else}<p class="py-8 text-center text-muted">Nothing of a job is on this day.</p>{/each}
</main>
