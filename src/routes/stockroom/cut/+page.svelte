<script lang="ts">
	import { enhance } from '$app/forms';
	import { afterSheets } from '$lib/core/cutting/after-sheets.ts';
	import { afterCut } from '$lib/core/cutting/after-cut.ts';
	import { formatInches, um } from '$lib/core/units/length.ts';
	import PlateList from '$lib/features/lists/PlateList.svelte';
	import CutList from '$lib/features/lists/CutList.svelte';
	import { dayWords } from '$lib/core/quote/day-words.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const typed = $derived((form?.put?.typed ?? {}) as Record<string, string>);
	const errors = $derived((form?.put?.errors ?? {}) as Record<string, string>);
	const inch = (length: number) => `${formatInches(um(length))} in`;
	interface OnShelf {
		readonly length: number;
		readonly wide: number;
		readonly count: number;
	}
	const sizeOf = ({ length, wide }: Pick<OnShelf, 'length' | 'wide'>) =>
		wide === 0 ? inch(length) : `${formatInches(um(length))} by ${inch(wide)}`;
	const words = (all: readonly OnShelf[]) => all.map((o) => `${o.count} × ${sizeOf(o)}`).join(', ');
	/** As they lie on the shelf. */
	const sticks = (all: ReturnType<typeof afterCut>['used']) => all.map((o) => ({ ...o, wide: 0 }));
	const rests = (all: ReturnType<typeof afterSheets>['used']) =>
		all.map(({ wide, deep, count }) => ({ length: wide, wide: deep, count }));
</script>

<svelte:head><title>To cut · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[1000px] px-[22px] pb-12 max-sm:px-3">
	<header class="py-3">
		<h1 class="text-[25px]">To cut</h1>
		<p class="text-muted">
			Tick jobs: their frames and plates are cut together, first out of what lies on the shelf. One design by
			itself is cut from its lists.
		</p>
	</header>
	{#if form?.said}<Notice level="good" live>{form.said}</Notice>{/if}
	{#if form?.trouble}<Notice level="bad" live>{form.trouble}</Notice>{/if}
	<form method="GET" class="mb-5 border border-line bg-paper px-4 py-3">
		{#if data.jobs.length === 0}
			<p class="text-muted">No job with a day in the next months is offered or agreed yet.</p>
		{:else}
			<ul class="grid gap-1 sm:grid-cols-2">
				{#each data.jobs as job (job.id)}
					<li>
						<label class="flex min-h-[32px] items-center gap-2 pointer-coarse:min-h-[44px]"
							><input type="checkbox" name="quote" value={job.id} checked={job.ticked} />
							{dayWords(job.day)} · {job.number}, {job.client}{job.firm ? '' : ', offered'}</label
						>
					</li>
				{/each}
			</ul>
			<p class="mt-2"><Button type="submit" kind="strong">Cut these together</Button></p>
		{/if}
	</form>
	{#if data.ticked > 0 && data.lists.length === 0 && data.sheets.length === 0}
		<p class="mb-5">Nothing in these jobs is cut of tube or sheets.</p>
	{/if}
	{#each data.lists as { material, tube, problem } (`${tube}/${problem.stock[0]?.length}`)}
		<section class="mb-6" aria-label="To cut of {tube}">
			<h2 class="text-[18px]">{tube}</h2>
			<CutList {problem} currency={data.currency}>
				{#snippet children(plan)}
					{@const after = afterCut(problem, plan)}
					{@render cut(material, sticks(after.used), sticks(after.left), 'of a foot or more')}
				{/snippet}
			</CutList>
		</section>
	{/each}
	{#each data.sheets as { material, stuff, ...list } (stuff)}
		<section class="mb-6" aria-label="To cut of {stuff}">
			<h2 class="text-[18px]">{stuff}</h2>
			<PlateList {list} currency={data.currency} style={{ decimal: data.decimal }}>
				{#snippet children(plan)}
					{@const after = afterSheets(plan)}
					{@render cut(material, rests(after.used), rests(after.left), 'of a square foot or more')}
				{/snippet}
			</PlateList>
		</section>
	{/each}
	<section aria-label="On the shelf">
		<h2 class="text-[18px]">On the shelf</h2>
		{#if data.shelf.length === 0}<p class="text-muted">No offcuts yet.</p>{/if}
		<ul>
			{#each data.shelf as { material, tube, length, wide, count } (`${material}/${length}/${wide}`)}
				<li class="flex flex-wrap items-center gap-3 border-b border-line py-1">
					<span class="figures min-w-[105px] sm:min-w-[150px]">{count} × {sizeOf({ length, wide })}</span
					><span class="grow">{tube}</span>
					<form method="POST" action="?/take" use:enhance>
						<input type="hidden" name="material" value={material} /><input
							type="hidden"
							name="length"
							value={length}
						/><input type="hidden" name="wide" value={wide} /><Button type="submit" kind="word"
							>take one off</Button
						>
					</form>
				</li>
			{/each}
		</ul>
		<form
			method="POST"
			action="?/put"
			use:enhance
			class="mt-3 grid items-start gap-3 sm:grid-cols-[minmax(0,2fr)_1fr_1fr_1fr_auto]"
		>
			<Field label="Tube or sheet" error={errors.material}>
				{#snippet children(attributes)}<select {...attributes} name="material" class="control w-full min-w-0">
						{#each data.stuff as [id, name] (id)}<option value={id} selected={typed.material === id}
								>{name}</option
							>{/each}
					</select>{/snippet}
			</Field>
			<Field label="How long, in" error={errors.length}>
				{#snippet children(attributes)}<input
						{...attributes}
						name="length"
						class="control figures w-full"
						value={typed.length ?? ''}
						placeholder="31"
						autocomplete="off"
					/>{/snippet}
			</Field>
			<Field label="How wide, of a sheet" error={errors.wide}>
				{#snippet children(attributes)}<input
						{...attributes}
						name="wide"
						class="control figures w-full"
						value={typed.wide ?? ''}
						autocomplete="off"
					/>{/snippet}
			</Field>
			<Field label="How many" error={errors.count}>
				{#snippet children(attributes)}<input
						{...attributes}
						name="count"
						class="control figures w-full"
						inputmode="numeric"
						value={typed.count ?? '1'}
						autocomplete="off"
					/>{/snippet}
			</Field>
			<p class="sm:pt-[22px]"><Button type="submit">Put on the shelf</Button></p>
		</form>
	</section>
</main>

{#snippet cut(material: string | null, used: readonly OnShelf[], left: readonly OnShelf[], useful: string)}
	{#if material !== null}
		<form method="POST" action="?/cut" use:enhance class="mt-2 flex flex-wrap items-center gap-3">
			<input type="hidden" name="done" value={JSON.stringify({ material, used, left })} />
			<Button type="submit">It is cut</Button>
			<span class="text-[13.5px] text-muted">
				{used.length > 0 ? `Takes ${words(used)} off the shelf. ` : ''}{left.length > 0
					? `Puts ${words(left)} on it.`
					: `Leaves nothing ${useful}.`}
			</span>
		</form>
	{/if}
{/snippet}
