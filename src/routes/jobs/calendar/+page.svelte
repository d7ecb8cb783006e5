<script lang="ts">
	import { enhance } from '$app/forms';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const plural = (n: number) => (n === 1 ? '1 event' : `${n} events`);
</script>

<svelte:head><title>Other calendars · Jobs · Bright Tally</title></svelte:head>
<main class="mx-auto grid max-w-3xl gap-6 px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 pt-4">
		<p><a class="quiet-link" href="/jobs">Jobs</a></p>
		<h1 class="text-[25px]">Other calendars</h1>
	</header>
	<section class="grid gap-2">
		<h2 class="text-[17px]">Take the jobs along</h2>
		<p class="text-muted">
			Every day of every job, from three months back to two years ahead, for the calendar on your phone. Take
			it again when something has moved: what is there already is brought up to date.
		</p>
		<p><Button href="/jobs/jobs.ics">Download the jobs (.ics)</Button></p>
	</section>
	<section class="grid gap-2">
		<h2 class="text-[17px]">Bring another one in</h2>
		<p class="text-muted">
			Holidays, fairs, your own days off: they stand beside the jobs. Brought in again under the same name, a
			calendar takes the place of what it was.
		</p>
		{#if form && 'brought' in form && form.brought}
			<Notice level="good" live
				>{plural(form.brought.many)} of “{form.brought.calendar}” {form.brought.many === 1 ? 'is' : 'are'} in the
				calendar now.{form.brought.left > 0
					? ` ${plural(form.brought.left)} could not be taken.`
					: ''}</Notice
			>
		{:else if form && 'removed' in form}
			<Notice level="good" live>“{form.removed}” is out of the calendar.</Notice>
		{/if}
		<form
			method="post"
			action="?/bring"
			enctype="multipart/form-data"
			class="flex flex-wrap items-start gap-3"
			use:enhance
		>
			<Field label="Calendar file (.ics)" error={form && 'say' in form ? form.say : undefined}>
				{#snippet children(attributes)}<input
						{...attributes}
						class="control"
						type="file"
						name="file"
						accept=".ics,text/calendar"
					/>{/snippet}
			</Field>
			<Field label="Name" hint="blank: as the file calls it">
				{#snippet children(attributes)}<input
						{...attributes}
						class="control w-52"
						name="name"
						maxlength="60"
						defaultValue={form && 'name' in form ? form.name : ''}
						autocomplete="off"
					/>{/snippet}
			</Field>
			<p class="pt-[22px]"><Button kind="strong" type="submit">Bring it in</Button></p>
		</form>
		<ul class="border-t-2 border-ink bg-paper">
			{#each data.calendars as calendar (calendar.name)}
				<li class="flex items-baseline gap-4 border-b border-line px-4 py-2">
					<b>{calendar.name}</b> <span class="text-muted">{plural(calendar.many)}</span>
					<form method="post" action="?/remove" class="ml-auto" use:enhance>
						<input type="hidden" name="calendar" value={calendar.name} />
						<button class="quiet-link" aria-label="Take out {calendar.name}">take out</button>
					</form>
				</li>
			{:else}<li class="border-b border-line px-4 py-3 text-muted">
					No other calendar is brought in.
				</li>{/each}
		</ul>
	</section>
</main>
