<script lang="ts">
	import { printSpell } from '$lib/core/job/counted.ts';
	import { printHour } from '$lib/core/job/read-days.ts';
	import { dayWords } from '$lib/core/quote/day-words.ts';
	import PlanChart from '$lib/features/jobs/PlanChart.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data } = $props();
	const FIELDS = [
		['hours', 'Hours a day at the bench'],
		['benches', 'Places at the bench'],
		['cylinders', 'Cylinders']
	] as const;
	const found = $derived(data.found);
	const names = $derived(new Map(found?.people.map((p) => [p.id, p.name])));
	const jobs = $derived(new Map(found?.jobs.map((j) => [j.id, j.says])));
	const words = (day: string) => dayWords(day, data);
	const spell = (minutes: number) =>
		minutes >= 1440 ? `${Math.floor(minutes / 1440)} d ${printSpell(minutes % 1440)}` : printSpell(minutes);
	const first = $derived(found?.plan.tasks[0]);
</script>

<svelte:head><title>Build plan · Jobs · Bright Tally</title></svelte:head>
<main class="mx-auto grid max-w-6xl grid-cols-[minmax(0,1fr)] gap-5 px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 gap-y-1 pt-4">
		<h1 class="text-[25px]">Build plan</h1>
		<p class="text-muted">as late as it can be, so that what is blown up is fresh</p>
		<p class="ml-auto"><a class="quiet-link" href="/jobs">Jobs</a></p>
	</header>
	<form class="flex flex-wrap items-end gap-x-4 gap-y-3" aria-label="What is planned with">
		<Field label="Jobs until">
			{#snippet children(attributes)}<input
					{...attributes}
					class="control"
					type="date"
					name="until"
					defaultValue={data.until}
				/>{/snippet}
		</Field>
		{#each FIELDS as [name, label] (name)}
			<Field {label} error={data.errors[name]}>
				{#snippet children(attributes)}<input
						{...attributes}
						class="control figures w-20 text-right"
						{name}
						inputmode="decimal"
						defaultValue={data.typed[name]}
						autocomplete="off"
					/>{/snippet}
			</Field>
		{/each}
		{#if data.everybody.length > 0}
			<fieldset class="grid gap-1">
				<legend class="text-[13px] text-muted">Who builds</legend>
				<div class="flex flex-wrap gap-x-4">
					{#each data.everybody as { id, name } (id)}
						<label class="flex min-h-[34px] items-center gap-1.5"
							><input
								type="checkbox"
								name="person"
								value={id}
								defaultChecked={data.ticked.includes(id)}
							/>{name}</label
						>
					{/each}
				</div>
				{#if data.errors.people}<p class="text-[13px] text-bad" role="alert">{data.errors.people}</p>{/if}
			</fieldset>
		{/if}
		<Button kind="strong" type="submit">Plan it</Button>
	</form>
	{#if found}
		<div class="grid gap-2 empty:hidden" aria-live="polite">
			{#if found.plan.tasks.length === 0}
				<Notice level="good">Nothing is to be built until then.</Notice>
			{:else if found.plan.misses === 0}
				<Notice level="good"
					>It all fits. The first of it begins on {words(first!.day)} at {printHour(first!.from)}.</Notice
				>
			{:else}
				<Notice level="bad"
					>It does not fit: {spell(found.plan.short)} of work would begin too early, the worst by {Number.isFinite(
						found.plan.misses
					)
						? spell(found.plan.misses)
						: 'more than anybody has hours for'}.
					{found.plan.proved
						? 'No plan does better with these hands and hours.'
						: `A better plan may be there, but none that misses by less than ${spell(found.plan.bound)}.`}</Notice
				>
				{#each found.ways as way (way.say)}
					<Notice level="watch"
						>{way.say}: {way.misses === 0
							? 'then it fits.'
							: `then it misses by ${spell(way.misses)}.`}</Notice
					>
				{:else}
					<Notice level="watch"
						>Neither one more pair of hands, nor longer days, nor more room alone makes it better. Move a job,
						or build less.</Notice
					>
				{/each}
			{/if}
		</div>
		{#if found.plan.tasks.length > 0}
			<PlanChart days={found.days} {names} {jobs} dayWords={words} />
			<section aria-label="Jobs that are built">
				<h2 class="pb-1 text-[17px]">What is built</h2>
				<ul class="border-t-2 border-ink bg-paper">
					{#each found.jobs as job (job.id)}
						<li class="flex flex-wrap items-baseline gap-x-4 border-b border-line px-4 py-2">
							<a class="font-semibold hover:underline" href="/jobs/{job.id}">{job.says}</a>
							<span class="text-[13.5px] text-muted"
								>leaves on {words(job.leaves.day)} at {printHour(job.leaves.minute)}</span
							>
							<span class="figures ml-auto text-[13.5px]">{printSpell(job.minutes)} of work</span>
						</li>
					{/each}
				</ul>
			</section>
			<details>
				<summary class="cursor-pointer">Step by step</summary>
				<div class="overflow-x-auto">
					<table class="mt-2 w-full min-w-[640px] border-t-2 border-ink bg-paper text-[13.5px]">
						<thead
							><tr class="text-left text-muted"
								><th>day</th><th>hours</th><th>who</th><th>what</th><th>piece</th><th>job</th></tr
							></thead
						>
						<tbody>
							{#each found.plan.tasks as task (`${task.job}/${task.task}`)}
								<tr>
									<td class="whitespace-nowrap">{words(task.day)}</td>
									<td class="figures whitespace-nowrap"
										>{printHour(task.from)}–{task.endDay === task.day
											? ''
											: `${words(task.endDay)} `}{printHour(task.to)}</td
									>
									<td>{names.get(task.person)}</td>
									<td
										>{task.text}{#if task.trouble}<b class="text-bad"
												>{task.trouble === 'past' ? ' That day is over.' : ' Too early for it to keep.'}</b
											>{/if}</td
									>
									<td>{task.piece}</td>
									<td>{jobs.get(task.job)}</td>
								</tr>
							{/each}
						</tbody>
					</table>
				</div>
			</details>
		{/if}
	{/if}
</main>

<style>
	th,
	td {
		padding: 3px 10px;
		border-bottom: 1px solid var(--line);
		vertical-align: top;
	}
	th {
		font-weight: 500;
	}
</style>
