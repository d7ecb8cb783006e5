<script lang="ts">
	import { enhance } from '$app/forms';
	import { printSpell } from '$lib/core/job/counted.ts';
	import { eventDay, PLACE_FIELDS } from '$lib/core/job/job.ts';
	import { placeLabel } from '$lib/core/job/read-days.ts';
	import JobDays from '$lib/features/jobs/JobDays.svelte';
	import { overNewer } from '$lib/features/jobs/over-newer.ts';
	import { askBeforeLeaving, unsaved } from '$lib/features/shell/unsaved.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	askBeforeLeaving();
	const job = $derived(data.job);
	const typed = $derived(form && 'typed' in form ? (form.typed as Record<string, string>) : undefined);
	const errors = $derived(form && 'errors' in form ? (form.errors as Record<string, string>) : undefined);
	/** What was typed about the place and not taken. */
	const ofPlace = $derived(typed && 'address' in typed ? typed : undefined);
	const hours = (n: number) => printSpell(n * 60);
	const about = (piece: (typeof job.pieces)[number]) =>
		[piece.colourway, piece.size, piece.tall, `${piece.balloons} balloons`].filter(Boolean).join(' · ');
	const planOf = (piece: (typeof job.pieces)[number]) =>
		`?${new URLSearchParams({ quantity: String(piece.quantity), ...(piece.colour ? { colourway: piece.colour } : {}), ...(piece.sizeId ? { size: piece.sizeId } : {}) })}`; // prettier-ignore
</script>

<svelte:head><title>{job.client} · Jobs · Bright Tally</title></svelte:head>
<main class="mx-auto grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-7 px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 gap-y-2 pt-4">
		<h1 class="text-[25px] break-words">{job.client}</h1>
		<p class="text-muted">{job.occasion || 'no occasion'} · no. {job.number}</p>
		<p class="ml-auto flex flex-wrap items-center gap-x-4 gap-y-1">
			<a class="quiet-link" href="/jobs">Jobs</a>
			<a class="quiet-link" data-goes="books" href="/quotes/{job.id}">The quote</a>
			<Button kind={job.isOver ? 'strong' : undefined} href="/jobs/{job.id}/count"
				>{job.isCounted ? 'What it came to' : 'Count it back'}</Button
			>
			<a class="quiet-link" href="/jobs/{job.id}/settle"
				>{job.open > 0 ? `Settle ${job.open} open` : 'Settle'}</a
			>
			<a class="quiet-link" href="/jobs/{job.id}/photos">Photos</a>
			<Button href="/jobs/{job.id}/tally">Build and count</Button>
			<Button kind={job.isOver ? undefined : 'strong'} href="/jobs/{job.id}/lists">Lists</Button>
		</p>
	</header>
	<div class="grid gap-2 empty:hidden">
		{#if form && 'trouble' in form && form.trouble}<Notice level="watch" live>{form.trouble}</Notice>{/if}
		{#if form && 'saved' in form}<Notice level="good" live>Saved.</Notice>{/if}
		{#if job.isRevised}<Notice level="watch"
				>Its quote is being written anew: what is built is as it stands there now.</Notice
			>{/if}
		{#if job.allergies}<Notice level="watch">Allergies: {job.allergies}</Notice>{/if}
		{#each job.findings as finding, i (i)}<Notice level={finding.level}>{finding.say}</Notice>{/each}
	</div>
	<section aria-label="Days">
		<header class="flex flex-wrap items-end gap-x-4 gap-y-1 pb-1">
			<h2 class="text-[17px]">Days</h2>
			<p class="text-[13.5px] text-muted">
				{job.isUsual ? 'as they usually come: nothing is said yet · ' : ''}building takes
				<span class="figures">{hours(job.hours.build)}</span> by the clock, standing it up
				<span class="figures">{hours(job.hours.setUp)}</span>, taking it down
				<span class="figures">{hours(job.hours.strike)}</span>
			</p>
		</header>
		<JobDays
			days={job.days}
			people={job.people}
			dates={data.dates}
			revision={job.revision}
			mayChange={data.mayChange}
			fresh={data.fresh}
			typed={typed && 'stage' in typed ? typed : undefined}
			{errors}
		/>
		{#if data.mayChange}
			<form
				method="post"
				action="?/move"
				class="flex flex-wrap items-end gap-2 pt-3"
				{@attach unsaved}
				use:enhance={overNewer()}
			>
				<input type="hidden" name="revision" value={job.revision} />
				<Field label="The event moves to" error={errors?.to}>
					{#snippet children(attributes)}<input
							{...attributes}
							class="control"
							type="date"
							name="to"
							defaultValue={typed && 'to' in typed && !('stage' in typed)
								? typed.to
								: (eventDay(job.days) ?? '')}
						/>{/snippet}
				</Field>
				<Button type="submit">Move it all</Button>
			</form>
			<form method="post" action="?/again" class="pt-3">
				<input type="hidden" name="id" value={data.fresh} />
				<Button type="submit">The same for next year</Button>
			</form>
		{/if}
	</section>
	<section aria-label="What is built">
		<h2 class="pb-1 text-[17px]">What is built</h2>
		<ul class="border-t-2 border-ink bg-paper">
			{#each job.pieces as piece (piece.id)}
				<li class="flex flex-wrap items-baseline gap-x-4 border-b border-line px-4 py-2">
					<b>{piece.quantity} × {piece.name}</b>
					<span class="text-[13.5px] text-muted">{about(piece)}</span>
					{#if piece.design}<span class="ml-auto flex gap-x-4 text-[13.5px]"
							><a class="quiet-link" href="/bench/{piece.design}/plan{planOf(piece)}">Plan</a><a
								class="quiet-link"
								href="/bench/{piece.design}/sheet{planOf(piece)}">Shop sheet</a
							></span
						>{/if}
				</li>
			{/each}
			{#each job.typed as line, i (i)}
				<li class="border-b border-line px-4 py-2">{line.quantity} × {line.label}</li>
			{/each}
		</ul>
		<p class="pt-1 text-[13.5px] text-muted">{job.balloons} balloons and {job.spares} spares in all.</p>
	</section>
	<section aria-label="The place">
		<h2 class="pb-1 text-[17px]">The place</h2>
		{#key job.revision}
			<form method="post" action="?/place" class="grid gap-3" {@attach unsaved} use:enhance={overNewer()}>
				<input type="hidden" name="revision" value={job.revision} />
				<div class="grid grid-cols-2 gap-x-5 gap-y-3 max-sm:grid-cols-1">
					{#each PLACE_FIELDS as name (name)}
						<Field label={placeLabel(name)} error={errors?.[name]}>
							{#snippet children(attributes)}<input
									{...attributes}
									class="control w-full"
									type={name === 'phone' ? 'tel' : 'text'}
									{name}
									readonly={!data.mayChange}
									defaultValue={ofPlace?.[name] ?? job.place[name]}
									autocomplete="off"
								/>{/snippet}
						</Field>
					{/each}
				</div>
				<Field label="Note" error={errors?.note}>
					{#snippet children(attributes)}<textarea
							{...attributes}
							class="control w-full"
							name="note"
							rows="3"
							readonly={!data.mayChange}
							defaultValue={ofPlace?.note ?? job.note}></textarea>{/snippet}
				</Field>
				{#if data.mayChange}<p><Button kind="strong" type="submit">Save the place</Button></p>{/if}
			</form>
		{/key}
	</section>
</main>
