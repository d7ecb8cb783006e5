<script lang="ts">
	import { enhance } from '$app/forms';
	import { SETTLE_FIELD } from '$lib/core/job/read-settled.ts';
	import { LEFT_OUT } from '$lib/core/quote/own-slots.ts';
	import { overNewer } from '$lib/features/jobs/over-newer.ts';
	import { askBeforeLeaving, unsaved } from '$lib/features/shell/unsaved.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	askBeforeLeaving();
	const page = $derived(data.page);
	interface Said {
		typed?: Record<string, string>;
		errors?: Record<string, string>;
		trouble?: string;
		kept?: boolean;
	}
	const said = $derived((form ?? {}) as Said);
	const typed = $derived(said.typed ?? {});
	const errors = $derived(said.errors ?? {});
	const colours = $derived(new Map(page.colours.map((c) => [c.id, c.name])));
	const called = (colour: string) =>
		colour === ''
			? 'open'
			: colour === LEFT_OUT
				? LEFT_OUT
				: (colours.get(colour) ?? 'a colour that is gone');
	const value = (field: string, now: string) => typed[field] ?? now;
</script>

<svelte:head><title>What is open · {page.client} · Jobs · Bright Tally</title></svelte:head>

{#snippet wrong(field: string)}
	{#if errors[field]}<p class="text-[13px] text-bad" role="alert">{errors[field]}</p>{/if}
{/snippet}

<main class="mx-auto grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-6 px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 gap-y-1 pt-4">
		<h1 class="text-[25px] break-words">What is open for {page.client}</h1>
		<p class="text-muted">{[page.occasion, `no. ${page.number}`].filter(Boolean).join(' · ')}</p>
		<p class="ml-auto"><a class="quiet-link" href="/jobs/{page.id}">The job</a></p>
	</header>
	<div class="grid gap-2 empty:hidden" aria-live="polite">
		{#if said.trouble}<Notice level="watch">{said.trouble}</Notice>{/if}
		{#if said.kept}<Notice level="good">Settled: plan, lists and shopping go by it from now on.</Notice>{/if}
		{#if Object.keys(errors).length > 0}<Notice level="bad"
				>Not kept yet: look at the fields that say why. What you chose is all there.</Notice
			>{/if}
		{#if page.isCounted}<Notice level="watch"
				>This job was counted back already: its count stays as it is.</Notice
			>{/if}
	</div>
	<section
		class="grid gap-2 border-t-2 border-ink bg-paper px-5 py-4 max-sm:px-3"
		aria-label="Against the quote"
	>
		<header class="flex flex-wrap items-baseline gap-x-5 gap-y-1">
			<h2 class="text-[17px]">Against the quote</h2>
			{#if page.cost}
				<p>
					Cost <span class="figures">{page.cost.before} → <b data-name="cost">{page.cost.after}</b></span>
					{#if !page.cost.isSame}<span class="figures text-muted" data-name="more">({page.cost.by})</span
						>{/if}
				</p>
				{#if page.cost.unknown.length > 0}<p class="text-watch">
						no price is known of {page.cost.unknown.join(', ')}: it costs more than that
					</p>{/if}
				{#if page.cost.marginAfter}<p>
						margin <span class="figures">{page.cost.marginBefore} → <b>{page.cost.marginAfter}</b></span>
					</p>{/if}
			{/if}
			<p class="text-muted">{page.open === 0 ? 'nothing is open' : `${page.open} still open`}</p>
		</header>
		{#if page.changes.length === 0}<p class="text-muted">Nothing is otherwise than on the quote.</p>
		{:else}
			<ul>
				{#each page.changes as change (change.key)}
					<li class="flex flex-wrap items-baseline gap-x-4 border-t border-line py-1">
						<span>{change.label}</span>
						<span class="figures">{change.was} → {change.is}{change.unit && ` ${change.unit}`}</span>
						{#if change.trouble}<b class="text-[13px] text-bad">{change.trouble}</b>{/if}
						<span class="figures ml-auto text-muted">{change.by}</span>
					</li>
				{/each}
			</ul>
			{#if page.cost}<p class="text-[13.5px] text-muted">
					What was agreed is still charged. To charge more, write the <a
						class="quiet-link"
						href="/quotes/{page.id}">quote</a
					> anew.
				</p>{/if}
		{/if}
	</section>
	{#key page.revision}
		<form method="post" class="grid gap-5" {@attach unsaved} use:enhance={overNewer()}>
			<input type="hidden" name="revision" value={page.revision} />
			{#each page.lines as line (line.id)}
				<fieldset
					class={[
						'grid gap-3 border-t-2 border-ink bg-paper px-5 py-4 max-sm:px-3',
						!line.isOn && 'opacity-75'
					]}
					disabled={!data.maySettle}
				>
					<legend class="sr-only">{line.quantity} × {line.name}</legend>
					<div class="flex flex-wrap items-baseline gap-x-5 gap-y-1">
						<h2 class="text-[17px]">{line.quantity} × {line.name}</h2>
						<label class="flex min-h-[34px] items-center gap-1.5">
							<select class="control" name={SETTLE_FIELD.on(line.id)} aria-label="{line.name}, on the job">
								{#each [['yes', 'on the job'], ['no', 'not on the job']] as [of, says] (of)}<option
										value={of}
										selected={value(SETTLE_FIELD.on(line.id), line.isOn ? 'yes' : 'no') === of}>{says}</option
									>{/each}
							</select>
							{#if line.isOn !== line.wasOn}<span class="text-[13px] text-muted"
									>{line.wasOn ? 'it was on the quote' : 'it was not chosen'}</span
								>{/if}
						</label>
						{#if line.grounds.length > 0}
							<label class="flex min-h-[34px] items-center gap-1.5"
								>stands on
								<select class="control" name={SETTLE_FIELD.ground(line.id)}>
									{#if line.groundWas === ''}<option value="">as usual</option>{/if}
									{#each line.grounds as ground (ground)}<option
											value={ground}
											selected={value(SETTLE_FIELD.ground(line.id), line.ground) === ground}>{ground}</option
										>{/each}
								</select>
							</label>
						{/if}
					</div>
					{#if line.slots.length > 0}
						<div class="grid grid-cols-[repeat(auto-fill,minmax(230px,1fr))] gap-x-5 gap-y-3">
							{#each line.slots as slot (slot.id)}
								{@const field = SETTLE_FIELD.slot(line.id, slot.id)}
								<label class="grid gap-0.5">
									<span class="text-[13px] text-muted"
										>{slot.name}{slot.now === '' ? ': open' : ''}{#if slot.now !== slot.was}<span>
												, {called(slot.was)} on the quote</span
											>{/if}</span
									>
									<select class="control" name={field} aria-label="{slot.name} of {line.name}">
										{#if slot.was === ''}<option value="">open</option>{/if}
										{#each page.colours as colour (colour.id)}<option
												value={colour.id}
												selected={value(field, slot.now) === colour.id}>{colour.name}</option
											>{/each}
										<option value={LEFT_OUT} selected={value(field, slot.now) === LEFT_OUT}>left out</option>
									</select>
									{@render wrong(field)}
								</label>
							{/each}
						</div>
					{/if}
					{#each line.parts as part (part.id)}
						{@const field = SETTLE_FIELD.count(line.id, part.id)}
						{@const colour = SETTLE_FIELD.part(line.id, part.id)}
						<div class="flex flex-wrap items-baseline gap-x-3 gap-y-1">
							<label class="flex flex-wrap items-baseline gap-x-2"
								><span>{part.isInfill ? 'Infill' : ''} {part.label}</span>
								<input
									class="control figures w-20 text-right"
									name={field}
									aria-label="How many {part.label}{part.isInfill ? ' a foot' : ''}, {line.name}"
									aria-invalid={Boolean(errors[field])}
									inputmode="decimal"
									autocomplete="off"
									defaultValue={value(field, part.count)}
								/></label
							>
							<span class="text-muted"
								>{part.isInfill ? 'a foot' : 'in all'}{part.range ? `; ${part.range} on the quote` : ''}</span
							>
							{#if part.isColourOpen}
								<select class="control" name={colour} aria-label="Colour of {part.label}, {line.name}">
									<option value="">its colour is open</option>
									{#each line.slots as slot (slot.id)}<option
											value={slot.id}
											selected={value(colour, part.slot) === slot.id}>as {slot.name}</option
										>{/each}
								</select>
							{/if}
							{@render wrong(field)}
							{@render wrong(colour)}
						</div>
					{/each}
				</fieldset>
			{/each}
			{#if data.maySettle}<p><Button kind="strong" type="submit">Settle it</Button></p>{/if}
		</form>
	{/key}
</main>
