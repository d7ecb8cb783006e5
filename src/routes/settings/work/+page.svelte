<script lang="ts">
	import { enhance } from '$app/forms';
	import { askBeforeLeaving, unsaved } from '$lib/features/shell/unsaved.ts';
	import SizingWays from '$lib/features/timing/SizingWays.svelte';
	import Stopwatch from '$lib/features/timing/Stopwatch.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	askBeforeLeaving();
	const typed = $derived((form && 'typed' in form ? form.typed : {}) as Record<string, string>);
	const values = $derived({ ...data.values, ...typed } as Record<string, string>);
	const started = $derived(JSON.stringify(form && 'started' in form ? form.started : data.values));
	const errors = $derived((form && 'errors' in form ? form.errors : {}) as Record<string, string>);
	const wrong = $derived(Object.entries(errors).filter(([, say]) => say));
	/** A kind of job more than there are, once it is asked for. */
	let more = $state(0);
	const jobs = $derived([
		...data.jobs,
		...Array.from({ length: more }, (_, i) => ({ id: `new-${i}`, name: '' }))
	]);
	const tasks = $derived(data.groups.flatMap((g) => g.tasks));
	const say = (seconds: number) =>
		(seconds >= 10 ? seconds.toFixed(1) : seconds.toFixed(2)).replace(/\.?0+$/, '');
</script>

{#snippet cell(name: string, label: string, wide = 'w-20')}
	<input
		class="control figures {wide} min-h-8! py-0! text-right"
		{name}
		inputmode="decimal"
		aria-label={label}
		aria-invalid={errors[name] !== undefined}
		value={values[name] ?? ''}
		autocomplete="off"
	/>
{/snippet}
{#snippet word(name: string, label: string, placeholder = '')}
	<input
		class="control w-full min-w-0"
		{name}
		aria-label={label}
		aria-invalid={errors[name] !== undefined}
		{placeholder}
		value={values[name] ?? ''}
		autocomplete="off"
	/>
{/snippet}

<svelte:head><title>Work and people · Bright Tally</title></svelte:head>
<main class="mx-auto grid max-w-4xl grid-cols-[minmax(0,1fr)] gap-7 px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 pt-3">
		<h1 class="text-[25px]">Work and people</h1>
		<a class="quiet-link ml-auto" href="/settings">Settings</a>
	</header>
	{#if form && 'saved' in form}<Notice level="good" live
			>Saved. Designs and drafts count with it from now on.</Notice
		>{/if}
	<Stopwatch
		tasks={tasks.map((t) => t.task)}
		trouble={form && 'timing' in form ? (form.timing ?? '') : ''}
		timed={form && 'timed' in form ? (form.timed ?? '') : ''}
	/>
	<form
		method="post"
		action="?/save"
		class="grid grid-cols-[minmax(0,1fr)] gap-7"
		{@attach unsaved}
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<input type="hidden" name="started" value={started} />
		<section class="grid grid-cols-[minmax(0,1fr)] gap-2" aria-label="What each thing takes">
			<h2 class="text-base">What each thing takes</h2>
			<label class="flex items-center gap-2 text-[13.5px]"
				><input type="checkbox" name="twoAtOnce" value="yes" checked={values.twoAtOnce === 'yes'} />We fill
				two at once and tie them together
				<span class="text-muted">(sizing and tying take two thirds)</span></label
			>
			<SizingWays told={data.told} {values} {errors} />
			<div class="relative overflow-x-auto">
				<table class="w-full text-[13.5px]">
					<thead>
						<tr
							><th scope="col">task</th><th scope="col">one takes</th><th scope="col">a batch, s</th><th
								scope="col">yours, timed</th
							><th scope="col">counts as</th></tr
						>
					</thead>
					{#each data.groups as { group, tasks: own } (group)}
						<tbody>
							<tr><th scope="rowgroup" colspan="5" class="group">{group}</th></tr>
							{#each own as one (one.task)}
								<tr>
									<th scope="row">{one.task}</th>
									<td
										>{@render cell(`seconds-${one.task}`, `${one.task}: one takes`)}
										<span class="unit">{one.unit}</span></td
									>
									<td>{@render cell(`batch-${one.task}`, `${one.task}: a batch`, 'w-16')}</td>
									<td class="figures">{one.timed > 0 ? `${say(one.mean)} s, ${one.timed} ×` : '—'}</td>
									<td class="figures"
										><b>{say(one.seconds)} s</b>
										<span class="unit">± {Math.round(one.spread * 100)} %</span></td
									>
								</tr>
								{#if errors[`seconds-${one.task}`] ?? errors[`batch-${one.task}`]}
									<tr
										><td colspan="5" class="text-bad"
											><p role="alert">{errors[`seconds-${one.task}`] ?? errors[`batch-${one.task}`]}</p></td
										></tr
									>
								{/if}
							{/each}
						</tbody>
					{/each}
				</table>
			</div>
		</section>
		<section class="grid grid-cols-[minmax(0,1fr)] gap-2" aria-label="Kinds of job">
			<h2 class="text-base">Kinds of job</h2>
			<p class="text-[13px] text-muted">
				What a job takes around its pieces, in minutes. A quote starts from the usual one; a name taken away
				takes the kind away.
			</p>
			<div class="grid grid-cols-2 gap-x-5 gap-y-2 sm:w-2/3">
				<label class="grid text-[13px]"
					><span class="text-muted">The van, a mile</span>{@render cell('van', 'The van, a mile')}</label
				>
				<label class="grid text-[13px]"
					><span class="text-muted">Miles an hour on your roads</span>{@render cell(
						'mph',
						'Miles an hour'
					)}</label
				>
			</div>
			<label class="flex items-center gap-2 text-[13.5px]"
				>Hours on the road are
				<select class="control" name="travel" value={values.travel}
					><option value="paid">paid</option><option value="unpaid">not paid</option></select
				></label
			>
			{#each ['van', 'mph'] as name (name)}{#if errors[name]}<p class="text-[13px] text-bad" role="alert">
						{errors[name]}
					</p>{/if}{/each}
			{#each jobs as job, i (job.id)}
				<details
					class="border-t border-line pt-2"
					open={wrong.some(([name]) => name.includes(`-${i}`) && !name.startsWith('person'))}
				>
					<summary class="cursor-pointer font-semibold">{job.name || 'another kind of job'}</summary>
					<div class="mt-2 grid grid-cols-3 gap-x-5 gap-y-2 max-sm:grid-cols-2">
						<label class="grid text-[13px]"
							><span class="text-muted">Called</span>{@render word(`job-${i}`, `Kind of job ${i + 1}`)}</label
						>
						<label class="grid text-[13px]"
							><span class="text-muted">The pieces are</span>
							<select class="control" name="left-{i}" value={values[`left-${i}`] ?? 'set up and struck'}
								>{#each data.leftAs as left (left)}<option>{left}</option>{/each}</select
							></label
						>
						<label class="flex items-end gap-2 pb-1.5 text-[13.5px]"
							><input type="radio" name="usual" value={job.id} checked={values.usual === job.id} />the usual
							one</label
						>
						{#each [['miles', 'Miles, one way'], ['trips', 'Times there and back'], ['goers', 'How many go']] as [name, label] (name)}
							<label class="grid text-[13px]"
								><span class="text-muted">{label}</span>{@render cell(
									`${name}-${i}`,
									`${label}, ${job.name || 'another kind of job'}`
								)}</label
							>
						{/each}
						{#each data.minuted as { task, phase } (task)}
							<label class="grid text-[13px]"
								><span class="text-muted">{task} <span class="whitespace-nowrap">({phase})</span></span
								>{@render cell(
									`m-${i}-${task}`,
									`${task}, minutes, ${job.name || 'another kind of job'}`
								)}</label
							>
						{/each}
						<label class="col-span-full grid text-[13px]"
							><span class="text-muted">Paid besides</span>{@render word(
								`lines-${i}`,
								`Paid besides, ${job.name || 'another kind of job'}`,
								'parking 8.00; the tip 5.00'
							)}</label
						>
					</div>
					{#each wrong.filter(([name]) => name.endsWith(`-${i}`) || name.startsWith(`m-${i}-`)) as [name, sentence] (name)}
						<p class="text-[13px] text-bad" role="alert">{sentence}</p>
					{/each}
				</details>
			{/each}
			<p>
				<Button kind="word" disabled={jobs.length >= 20} onclick={() => (more += 1)}>Add a kind of job</Button
				>
			</p>
		</section>
		<section class="grid grid-cols-[minmax(0,1fr)] gap-2" aria-label="People">
			<h2 class="text-base">People</h2>
			<p class="text-[13px] text-muted">
				What an hour of each costs, with what comes on top, and how long they take: 1 is your own pace. With
				nobody ticked as usual an hour costs what Settings say.
			</p>
			<label class="flex flex-wrap items-center gap-2 text-[13.5px]"
				>Where several work together, each does of what they do alone{@render cell(
					'together',
					'What each does together, per cent',
					'w-16'
				)}%</label
			>
			{#if errors.together}<p class="text-[13px] text-bad" role="alert">{errors.together}</p>{/if}
			<div class="relative overflow-x-auto">
				<table class="w-full text-[13.5px]">
					<thead
						><tr
							><th scope="col">name</th><th scope="col">an hour</th><th scope="col">on top, %</th><th
								scope="col">pace</th
							><th scope="col">is the owner</th><th scope="col">usually there</th></tr
						></thead
					>
					<tbody>
						{#each Array.from({ length: data.people + 1 }, (_, i) => i) as i (i)}
							<tr>
								<td
									>{@render word(
										`person-${i}`,
										`Person ${i + 1}`,
										i === data.people ? 'somebody else' : ''
									)}</td
								>
								<td>{@render cell(`wage-${i}`, `Wage of person ${i + 1}`)}</td>
								<td>{@render cell(`onCosts-${i}`, `On top for person ${i + 1}`, 'w-16')}</td>
								<td>{@render cell(`pace-${i}`, `Pace of person ${i + 1}`, 'w-16')}</td>
								<td
									><input
										type="checkbox"
										name="owner-{i}"
										value="yes"
										aria-label="Person {i + 1} is the owner"
										checked={values[`owner-${i}`] === 'yes'}
									/></td
								>
								<td
									><input
										type="checkbox"
										name="crew-{i}"
										value="yes"
										aria-label="Person {i + 1} is usually there"
										checked={values[`crew-${i}`] === 'yes'}
									/></td
								>
							</tr>
							{#each ['person', 'wage', 'onCosts', 'pace'] as name (name)}{#if errors[`${name}-${i}`]}
									<tr><td colspan="6" class="text-bad"><p role="alert">{errors[`${name}-${i}`]}</p></td></tr
									>{/if}{/each}
						{/each}
					</tbody>
				</table>
			</div>
		</section>
		<section class="grid grid-cols-[minmax(0,1fr)] gap-2" aria-label="Rate card">
			<h2 class="text-base">Rate card, and how each kind is priced</h2>
			<div class="grid gap-1.5">
				{#each data.card as kind (kind)}
					<p class="flex flex-wrap items-center gap-3">
						<span class="w-24">{kind}</span>{@render cell(`card-${kind}`, `Rate of a ${kind}`)}
						<select
							class="control"
							name="cardBy-{kind}"
							aria-label="What a {kind} is sold by"
							value={values[`cardBy-${kind}`]}
							>{#each data.cardBy as by (by)}<option value={by}>a {by}</option>{/each}</select
						>
						<select
							class="control"
							name="wayOf-{kind}"
							aria-label="How a {kind} is priced"
							value={values[`wayOf-${kind}`]}
							><option value="">priced as usual</option
							>{#each data.methods as [method, called] (method)}<option value={method}>{called}</option
								>{/each}</select
						>
					</p>
					{#if errors[`card-${kind}`]}<p class="text-[13px] text-bad" role="alert">
							{errors[`card-${kind}`]}
						</p>{/if}
				{/each}
			</div>
		</section>
		<section class="grid grid-cols-[minmax(0,1fr)] gap-2" aria-label="Rules of an order">
			<h2 class="text-base">Rules of an order</h2>
			<p class="text-[13px] text-muted">
				Each is a line of the tape with what it leaves, what makes it more before what makes it less. Of
				several of a kind the closest holds. A rule of no kind is taken away.
			</p>
			{#each Array.from({ length: data.rules + 1 }, (_, i) => i) as i (i)}
				<div class="grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)_auto] items-center gap-3 sm:w-3/4">
					<select class="control" name="rule-{i}" aria-label="Rule {i + 1}" value={values[`rule-${i}`] ?? ''}>
						<option value="">{i === data.rules ? 'another rule' : 'no rule'}</option>
						{#each data.ruleKinds as { kind, called, asks, way } (kind)}<option value={kind}
								>{called}: {asks} ({way === 'more' ? '+' : '−'})</option
							>{/each}
					</select>
					{@render word(`when-${i}`, `Rule ${i + 1} holds for`)}
					<span>{@render cell(`by-${i}`, `Rule ${i + 1}, per cent`, 'w-16')} %</span>
				</div>
				{#each [`when-${i}`, `by-${i}`] as name (name)}{#if errors[name]}<p
							class="text-[13px] text-bad"
							role="alert"
						>
							{errors[name]}
						</p>{/if}{/each}
			{/each}
		</section>
		<div class="grid gap-3">
			{#if wrong.length > 0}
				<Notice level="bad" live
					>Not saved yet: {wrong.length === 1
						? 'one field needs another answer'
						: `${wrong.length} fields need another answer`}.</Notice
				>
			{/if}
			<p><Button kind="strong" type="submit">Save</Button></p>
		</div>
	</form>
	<section class="grid grid-cols-[minmax(0,1fr)] gap-2" aria-label="Standards as a file">
		<h2 class="text-base">Standards as a file</h2>
		<form
			method="post"
			action="?/bring"
			enctype="multipart/form-data"
			class="flex flex-wrap items-center gap-3 text-[13.5px]"
			use:enhance
		>
			<a class="quiet-link" href="/settings/standards.csv" download>take them away</a>
			<label>or bring one <input type="file" name="file" accept=".csv,text/csv" class="ml-1" /></label>
			<Button type="submit">Bring it</Button>
		</form>
		<p class="text-[13.5px]" aria-live="polite">
			{#if form && 'file' in form}<span class="text-bad">{form.file}</span>
			{:else if form && 'brought' in form}{form.brought === 1
					? 'One standard was changed.'
					: `${form.brought} standards were changed.`}{/if}
		</p>
	</section>
	{#if tasks.some((t) => t.timings.length > 0)}
		<section class="grid grid-cols-[minmax(0,1fr)] gap-2" aria-label="Timed builds">
			<h2 class="text-base">Timed builds</h2>
			{#each tasks.filter((t) => t.timings.length > 0) as one (one.task)}
				<h3 class="text-[13.5px] font-semibold">{one.task}</h3>
				<ul class="grid gap-1">
					{#each one.timings as timing, at (at)}
						<li class="flex flex-wrap items-center gap-x-3 text-[13.5px]" class:text-muted={timing.out}>
							<span class="figures">{timing.day}</span>
							<span class="figures">{timing.count} in {say(timing.seconds)} s</span>
							<span class="figures">{say(timing.seconds / timing.count)} s each</span>
							<form method="post" action="?/out" use:enhance>
								<input type="hidden" name="task" value={one.task} /><input
									type="hidden"
									name="at"
									value={at}
								/>
								<Button kind="word" type="submit"
									>{timing.out ? 'take it back in' : 'a bad day: leave it out'}</Button
								>
							</form>
						</li>
					{/each}
				</ul>
			{/each}
		</section>
	{/if}
</main>

<style>
	th,
	td {
		padding: 3px 10px 3px 0;
		border-bottom: 1px solid var(--line);
		text-align: left;
		font-weight: 400;
	}
	thead th {
		color: var(--muted);
		font-size: 12.6px;
	}
	.group {
		padding-top: 10px;
		font-weight: 700;
	}
	.unit {
		color: var(--muted);
		font-size: 12.6px;
	}
</style>
