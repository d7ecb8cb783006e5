<script lang="ts">
	import { enhance } from '$app/forms';
	import { MOST_COSTS } from '$lib/core/job/counted.ts';
	import { COUNT_FIELD } from '$lib/core/job/read-counted.ts';
	import { CAUSE_WORDS, LOSS_CAUSES } from '$lib/core/stock/ledger.ts';
	import CameTo from '$lib/features/jobs/CameTo.svelte';
	import { overNewer } from '$lib/features/jobs/over-newer.ts';
	import { askBeforeLeaving, unsaved } from '$lib/features/shell/unsaved.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
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
	const typed = $derived(said.typed ?? page.typed);
	const errors = $derived(said.errors ?? {});
	/** Who is written down besides those who are usually on it. */
	let joined = $state<string[]>([]);
	const people = $derived([...page.people, ...page.others.filter((p) => joined.includes(p.id))]);
	const columns = $derived([...people, { id: '', name: people.length > 0 ? 'others' : 'everybody' }]);
	const others = $derived(page.others.filter((p) => !people.some((own) => own.id === p.id)));
	let more = $state(0);
	const costs = $derived(Math.min(MOST_COSTS, Math.max(1, page.costs) + more));
	const used = $derived(page.lines.filter((l) => !l.isBack));
	const backs = $derived(page.lines.filter((l) => l.isBack));
	let whole = $state<HTMLFormElement>();
	let outcome = $state<HTMLElement>();
	// What it came to stands above all that was typed.
	$effect(() => {
		if (said.kept) outcome?.scrollIntoView({ block: 'start' });
	});

	/** Fills what is blank with what was reckoned: then only what was otherwise is typed. */
	function asReckoned() {
		for (const input of whole?.querySelectorAll<HTMLInputElement>('[data-reckoned]') ?? []) {
			if (input.value.trim() !== '') continue;
			input.value = input.dataset.reckoned!;
			input.dispatchEvent(new Event('input', { bubbles: true }));
		}
	}
</script>

<svelte:head><title>Count back {page.client} · Jobs · Bright Tally</title></svelte:head>

{#snippet cell(name: string, label: string, width: string, extra: Record<string, string> = {})}
	<input
		class={['control figures text-right', width]}
		{name}
		aria-label={label}
		aria-invalid={Boolean(errors[name])}
		autocomplete="off"
		readonly={!data.mayCount}
		defaultValue={typed[name] ?? ''}
		{...extra}
	/>{#if errors[name]}<p class="text-[13px] whitespace-normal text-bad" role="alert">{errors[name]}</p>{/if}
{/snippet}
{#snippet why(line: (typeof page.lines)[number])}
	{@const name = COUNT_FIELD.cause(line.id)}
	<select class="control max-w-44" {name} aria-label="Why, {line.label}" disabled={!data.mayCount}>
		<option value=""></option>
		{#each LOSS_CAUSES as cause (cause)}<option value={cause} selected={typed[name] === cause}
				>{CAUSE_WORDS[cause]}</option
			>{/each}
	</select>
{/snippet}

<main class="mx-auto grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-7 px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 gap-y-2 pt-4">
		<h1 class="text-[25px] break-words">Count back {page.client}</h1>
		<p class="text-muted">
			{[page.occasion, page.day, `no. ${page.number}`].filter(Boolean).join(' · ')}
		</p>
		<p class="ml-auto flex flex-wrap items-center gap-x-4">
			<a class="quiet-link" href="/jobs/{page.id}">The job</a>
		</p>
	</header>
	<div class="grid gap-2 empty:hidden" bind:this={outcome}>
		{#if said.trouble}<Notice level="watch" live>{said.trouble}</Notice>{/if}
		{#if said.kept}<Notice level="good" live>The count is kept, and the shelf says the same.</Notice>{/if}
		{#if Object.keys(errors).length > 0}<Notice level="bad" live
				>Not kept yet: look at the fields that say why. What you typed is all there.</Notice
			>{/if}
		{#each page.alone as piece (piece.name)}<Notice level="watch"
				>{piece.name} was counted back by itself on {piece.day}, and what it took went off the shelf then.
				Counted here as well it goes off twice: leave it out here, or
				<a class="quiet-link" href="/stockroom/count">count the shelf</a> afterwards.</Notice
			>{/each}
		{#if page.isTallied}<Notice level="watch">What was counted at the bench is filled in below.</Notice>{/if}
	</div>
	{#if page.came}<CameTo came={page.came} quoted={page.quoted} />{/if}
	{#key page.revision}
		<form
			method="post"
			class="grid grid-cols-[minmax(0,1fr)] gap-7"
			bind:this={whole}
			{@attach unsaved}
			use:enhance={overNewer()}
		>
			<input type="hidden" name="revision" value={page.revision} />
			<section aria-label="What it took">
				<header class="flex flex-wrap items-end gap-x-4 gap-y-1 pb-1">
					<h2 class="text-[17px]">What it took</h2>
					<p class="text-[13.5px] text-muted">
						{page.counted ? `counted on ${page.counted} · ` : ''}a blank is not counted; what was lost is part
						of what it took
					</p>
					{#if data.mayCount && used.length > 0}<span class="ml-auto"
							><Button type="button" onclick={asReckoned}>All else as reckoned</Button></span
						>{/if}
				</header>
				<div class="overflow-x-auto">
					<table class="w-full min-w-[600px] border-t-2 border-ink bg-paper">
						<thead
							><tr class="text-left text-[13px] text-muted"
								><th>used up</th><th class="n">reckoned</th><th class="n">took in all</th><th class="n"
									>of it lost</th
								><th>why</th></tr
							></thead
						>
						<tbody>
							{#each used as line (line.id)}
								<tr>
									<td>{line.label}</td>
									<td class="n"
										>{line.reckoned}{line.unit && ` ${line.unit}`}{#if line.expected}<span class="text-muted"
												>{` + ${line.expected} lost`}</span
											>{/if}</td
									>
									<td class="n"
										>{@render cell(COUNT_FIELD.took(line.id), `Took, ${line.label}`, 'w-24', {
											inputmode: 'decimal',
											'data-reckoned': line.reckoned
										})}</td
									>
									<td class="n"
										>{@render cell(COUNT_FIELD.lost(line.id), `Lost, ${line.label}`, 'w-16', {
											inputmode: 'numeric',
											placeholder: '0'
										})}</td
									>
									<td>{@render why(line)}</td>
								</tr>
							{/each}
						</tbody>
						{#if backs.length > 0}
							<thead
								><tr class="text-left text-[13px] text-muted"
									><th>comes home</th><th class="n">went along</th><th></th><th class="n"
										>did not come home</th
									><th>why</th></tr
								></thead
							>
							<tbody>
								{#each backs as line (line.id)}
									<tr>
										<td>{line.label}</td>
										<td class="n">{line.reckoned}{line.unit && ` ${line.unit}`}</td>
										<td></td>
										<td class="n"
											>{@render cell(COUNT_FIELD.lost(line.id), `Did not come home, ${line.label}`, 'w-16', {
												inputmode: 'numeric',
												'data-reckoned': '0'
											})}</td
										>
										<td>{@render why(line)}</td>
									</tr>
								{/each}
							</tbody>
						{/if}
					</table>
				</div>
			</section>
			<section aria-label="How long it took">
				<header class="flex flex-wrap items-end gap-x-4 gap-y-1 pb-1">
					<h2 class="text-[17px]">How long it took</h2>
					<p class="text-[13.5px] text-muted">hours and minutes of each: 2:30, 2.5 h or 150 min</p>
					{#if data.mayCount && others.length > 0}<select
							class="control ml-auto"
							aria-label="Somebody else was there"
							onchange={(e) => {
								joined.push(e.currentTarget.value);
								e.currentTarget.value = '';
							}}
							><option value="">Somebody else was there</option>{#each others as person (person.id)}<option
									value={person.id}>{person.name}</option
								>{/each}</select
						>{/if}
				</header>
				<div class="overflow-x-auto">
					<table class="w-full min-w-[480px] border-t-2 border-ink bg-paper">
						<thead
							><tr class="text-left text-[13px] text-muted"
								><th>work</th><th class="n">reckoned</th>{#each columns as person (person.id)}<th class="n"
										>{person.name}</th
									>{/each}</tr
							></thead
						>
						<tbody>
							{#each page.phases as row (row.phase)}
								<tr>
									<td>{row.label}</td>
									<td class="n">{row.reckoned}</td>
									{#each columns as person (person.id)}
										<td class="n"
											>{@render cell(
												COUNT_FIELD.time(row.phase, person.id),
												`${row.label}, ${person.name}`,
												'w-20'
											)}</td
										>
									{/each}
								</tr>
							{/each}
						</tbody>
					</table>
				</div>
			</section>
			<section aria-label="The way, and what turned up" class="grid gap-3">
				<h2 class="text-[17px]">The way, and what turned up</h2>
				<div class="w-48">
					<Field label="Miles driven in all" error={errors.miles}>
						{#snippet children(attributes)}<input
								{...attributes}
								class="control figures w-24 text-right"
								name="miles"
								inputmode="decimal"
								readonly={!data.mayCount}
								defaultValue={typed.miles ?? ''}
							/>{/snippet}
					</Field>
				</div>
				{#each Array.from({ length: costs }, (_, i) => i) as i (i)}
					<div class="flex flex-wrap gap-3">
						<Field label="Paid besides, for" error={errors[COUNT_FIELD.cost(i)]}>
							{#snippet children(attributes)}<input
									{...attributes}
									class="control w-64"
									name={COUNT_FIELD.cost(i)}
									readonly={!data.mayCount}
									defaultValue={typed[COUNT_FIELD.cost(i)] ?? ''}
								/>{/snippet}
						</Field>
						<Field label="How much" error={errors[COUNT_FIELD.paid(i)]}>
							{#snippet children(attributes)}<input
									{...attributes}
									class="control figures w-28 text-right"
									name={COUNT_FIELD.paid(i)}
									inputmode="decimal"
									readonly={!data.mayCount}
									defaultValue={typed[COUNT_FIELD.paid(i)] ?? ''}
								/>{/snippet}
						</Field>
					</div>
				{/each}
				{#if data.mayCount && costs < MOST_COSTS}<p>
						<button type="button" class="quiet-link text-[13.5px]" onclick={() => more++}>One more</button>
					</p>{/if}
				<Field label="Note" error={errors.note} hint="What went differently, for the next time">
					{#snippet children(attributes)}<textarea
							{...attributes}
							class="control w-full max-w-xl"
							name="note"
							rows="2"
							readonly={!data.mayCount}
							defaultValue={typed.note ?? ''}></textarea>{/snippet}
				</Field>
				<label class="flex items-center gap-2 text-[14px]"
					><input
						type="checkbox"
						name="leftOut"
						value="yes"
						disabled={!data.mayCount}
						defaultChecked={typed.leftOut !== undefined}
					/> A bad day, no measure for others: learn nothing from it</label
				>
				{#if data.mayCount}<p><Button kind="strong" type="submit">Keep the count</Button></p>{/if}
			</section>
		</form>
	{/key}
</main>

<style>
	th,
	td {
		padding: 4px 10px;
		border-bottom: 1px solid var(--line);
		vertical-align: middle;
	}
	td:first-child {
		min-width: 130px;
	}
	th {
		font-weight: 500;
	}
	.n {
		text-align: right;
		white-space: nowrap;
	}
	td.n {
		font-family: var(--font-mono);
		font-variant-numeric: tabular-nums;
	}
</style>
