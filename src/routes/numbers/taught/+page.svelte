<script lang="ts">
	import { enhance } from '$app/forms';
	import Button from '$lib/ui/button/Button.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const { lessons, others, leftOut } = $derived(data.page);
	let outcome = $state<HTMLElement>();
	// What was pressed may be far below what is said of it, and gone.
	$effect(() => {
		if (form) outcome?.scrollIntoView({ block: 'center' });
	});
</script>

<svelte:head><title>What jobs taught · Numbers · Bright Tally</title></svelte:head>
<main class="mx-auto grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-5 px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 gap-y-1 pt-4">
		<h1 class="text-[25px]">What jobs taught</h1>
		<p class="text-muted">how long work takes, beside what your standards say</p>
		<p class="ml-auto"><a class="quiet-link" href="/numbers">Numbers</a></p>
	</header>
	<p class="max-w-3xl">
		A figure counts how many times as long it took: 1.10 is a tenth longer. What was only reckoned weighs as
		much as six jobs, so that one bad day moves little. Nothing changes until you take it: then drafts and
		designs are reckoned with it. What was sent stays as it is. What is lost is taught material by material,
		in the
		<a class="quiet-link" href="/stockroom">Stockroom</a>.
	</p>
	<div aria-live="polite" class="grid gap-2 empty:hidden" bind:this={outcome}>
		{#if form?.trouble}<Notice level="watch">{form.trouble}</Notice>
		{:else if form?.taken}<Notice level="good">From now on it is reckoned with that.</Notice>
		{:else if form?.made}<Notice level="good"
				>Version {form.made.version} of {form.made.name} takes what jobs took. The one before is under its
				<a class="quiet-link" href="/bench/{form.made.design}/versions">versions</a>.</Notice
			>
		{:else if form?.gone}<Notice level="good">Back to what your standards say.</Notice>
		{:else if form?.leftOut}<Notice level="good"
				>Done: the figures below are without it, or with it again.</Notice
			>{/if}
	</div>
	{#each lessons as lesson (lesson.key)}
		<section
			class="grid gap-2 border-t-2 border-ink bg-paper px-5 py-4 max-sm:px-3"
			aria-label={lesson.about}
		>
			<header class="flex flex-wrap items-baseline gap-x-5 gap-y-1">
				<h2 class="text-[17px] first-letter:uppercase">{lesson.about}</h2>
				<p class="figures" data-name="change">{lesson.before} → <b>{lesson.after}</b></p>
				<p class="text-[13.5px] text-muted">
					two hours: <span class="figures">{lesson.example}</span>; rests on {lesson.jobs}
					{lesson.jobs === 1 ? 'job' : 'jobs'}, with nine chances in ten
					<span class="figures">{lesson.range}</span>
				</p>
				{#if data.mayTake}
					<div class="ml-auto flex gap-2">
						{#if lesson.isNews}<form method="post" action="?/take" use:enhance>
								<input type="hidden" name="key" value={lesson.key} />
								<Button kind="strong" type="submit">Reckon with {lesson.after}</Button>
							</form>{/if}
						{#if lesson.used}<form method="post" action="?/back" use:enhance>
								<input type="hidden" name="key" value={lesson.key} />
								<Button type="submit">Back to 1</Button>
							</form>{/if}
					</div>
				{/if}
			</header>
			{#if lesson.says}<p>{lesson.says}</p>{/if}
			{#if lesson.used}<p class="text-[13.5px] text-muted">
					In use since {lesson.used.day}, taken from {lesson.used.jobs}
					{lesson.used.jobs === 1 ? 'job' : 'jobs'}.
				</p>{/if}
			<details>
				<summary class="cursor-pointer text-[13.5px]">The jobs it rests on</summary>
				<div class="overflow-x-auto">
					<table class="mt-1 w-full text-[13.5px]">
						<thead
							><tr class="text-left text-muted"
								><th scope="col">Job</th><th scope="col" class="text-right">Reckoned</th><th
									scope="col"
									class="text-right">Took</th
								><th scope="col" class="text-right">Times the standard</th>{#if data.mayTake}<th scope="col"
										><span class="sr-only">Leave it out</span></th
									>{/if}</tr
							></thead
						>
						<tbody>
							{#each lesson.seen as seen (seen.job)}
								<tr class="border-t border-line">
									<th scope="row" class="py-1 text-left font-normal"
										><a class="hover:underline" href="/jobs/{seen.job}/count">{seen.day}</a></th
									>
									<td class="figures text-right">{seen.reckoned}</td>
									<td class="figures text-right">{seen.real}</td>
									<td class="figures text-right">{seen.times}</td>
									{#if data.mayTake}<td class="pl-4 text-right"
											><form method="post" action="?/out" use:enhance>
												<input type="hidden" name="job" value={seen.job} /><input
													type="hidden"
													name="out"
													value="yes"
												/><button class="quiet-link" aria-label="Leave {seen.day} out: it was a bad day"
													>a bad day: leave it out</button
												>
											</form></td
										>{/if}
								</tr>
							{/each}
						</tbody>
					</table>
				</div>
			</details>
		</section>
	{:else}
		<Notice level="good"
			>No hours of a job were written down yet. Count a job back, with who worked how long: it is told here.</Notice
		>
	{/each}
	{#if data.counts.length > 0}
		<header>
			<h2 class="pt-2 text-[19px]">How many balloons go on a garland</h2>
			<p class="max-w-3xl">
				From jobs that were this design alone, built from its last kept version; what was lost is left out.
				Sizes that rows take as well are not told apart. Taken over it is a new version of the design, and the
				one before stays under its versions.
			</p>
		</header>
		{#each data.counts as taught (taught.design)}
			<section
				class="grid gap-2 border-t-2 border-ink bg-paper px-5 py-4 max-sm:px-3"
				aria-label="Balloons of {taught.name}"
			>
				<header class="flex flex-wrap items-baseline gap-x-5 gap-y-1">
					<h3 class="text-[17px]">
						<a class="hover:underline" href="/bench/{taught.design}">{taught.name}</a>
					</h3>
					<p class="text-[13.5px] text-muted">
						{#each taught.jobs as { job, day }, i (job)}{i > 0 ? ' · ' : 'rests on '}<a
								class="quiet-link"
								href="/jobs/{job}/count">{day}</a
							>{/each}
					</p>
					{#if data.mayTake && taught.isNews}
						<form method="post" action="?/counts" class="ml-auto" use:enhance>
							<input type="hidden" name="design" value={taught.design} />
							<input type="hidden" name="id" value={data.fresh} />
							<Button kind="strong" type="submit">Make it a new version</Button>
						</form>
					{/if}
				</header>
				<ul class="grid gap-1">
					{#each taught.sizes as size (size.size)}
						<li class="flex flex-wrap items-baseline gap-x-5">
							<span class="min-w-16">{size.size} in</span>
							<span class="figures">{size.before} → <b>{size.after}</b></span>
							<span class="text-[13.5px] text-muted"
								>for one; <span class="figures">{size.times}</span> times what it says, with nine chances in
								ten
								<span class="figures">{size.range}</span></span
							>
						</li>
					{/each}
				</ul>
			</section>
		{/each}
	{/if}
	{#if others.length > 0}
		<section class="grid gap-1" aria-label="In use, and told by no job any more">
			<h2 class="text-[17px]">In use, and told by no job any more</h2>
			{#each others as other (other.key)}
				<form method="post" action="?/back" class="flex flex-wrap items-baseline gap-x-4" use:enhance>
					<input type="hidden" name="key" value={other.key} />
					<span>{other.about}: <b class="figures">{other.times}</b>, since {other.day}</span>
					<Button type="submit">Back to 1</Button>
				</form>
			{/each}
		</section>
	{/if}
	{#if leftOut.length > 0}
		<section class="grid gap-1" aria-label="Days left out">
			<h2 class="text-[17px]">Days left out</h2>
			{#each leftOut as { job, says } (job)}
				<form method="post" action="?/out" class="flex flex-wrap items-baseline gap-x-4" use:enhance>
					<input type="hidden" name="job" value={job} /><input type="hidden" name="out" value="no" />
					<a class="hover:underline" href="/jobs/{job}/count">{says}</a>
					{#if data.mayTake}<button class="quiet-link" aria-label="Take {says} in again"
							>take it in again</button
						>{/if}
				</form>
			{/each}
		</section>
	{/if}
</main>
