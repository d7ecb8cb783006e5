<script lang="ts">
	import { enhance } from '$app/forms';
	import Swatch from '$lib/features/colours/Swatch.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const errors = $derived(form?.errors ?? {});
	/** Counts of others that were said. */
	const known = $derived<Record<string, string>>(form?.seen ?? {});
	/** Typed on this sheet so far. */
	let begun = $state<Record<string, boolean>>({});
	/** Groups opened and closed by hand. */
	let opened = $state<Record<string, boolean>>({});
	const many = $derived(Object.values(begun).filter(Boolean).length);
</script>

<svelte:head><title>Count · Stockroom · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[820px] px-[22px] pb-28 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 py-3">
		<p><a class="quiet-link" href="/stockroom">Stockroom</a></p>
		<h1 class="text-[25px]">Count what is there</h1>
		<p class="w-full text-muted">
			Type what is on the shelf, like 34 or 2 bags and 34; 0 is none. A blank is not counted.
		</p>
	</header>
	{#if form?.counted}<Notice level="good" live
			>{form.counted} counted, {form.differed === 0
				? 'all as they should be'
				: `${form.differed} differed`}.</Notice
		>{/if}
	<form
		method="post"
		action="?/save"
		use:enhance={() =>
			async ({ update, result }) => {
				await update({ reset: result.type === 'success' });
				if (result.type === 'success') begun = {};
			}}
	>
		<input type="hidden" name="id" value={data.fresh} />
		{#each data.groups as group (group.kind)}
			<details
				class="border-b border-line bg-paper"
				bind:open={
					() =>
						opened[group.kind] ?? (group === data.groups[0] || group.rows.some((r) => errors[`at.${r.id}`])),
					(is) => (opened[group.kind] = is)
				}
			>
				<summary class="min-h-11 cursor-pointer px-3 py-2.5 font-semibold"
					>{group.words} <span class="font-normal text-muted">{group.rows.length}</span></summary
				>
				<ul>
					{#each group.rows as row (row.id)}
						{@const error = errors[`at.${row.id}`]}
						<li
							class="grid grid-cols-[auto_1fr_minmax(96px,132px)] items-center gap-x-3 border-t border-line px-3 py-1.5"
						>
							<input type="hidden" name="seen.{row.id}" value={known[row.id] ?? row.seen} />
							<Swatch colour={row.colour ?? undefined} size={16} />
							<label for="at-{row.id}" class="min-w-0"
								>{row.name}<span class="block text-[13px] text-muted"
									>{row.should === null ? 'never counted' : `should be ${row.should}`}{row.last
										? `, counted ${row.last}`
										: ''}{row.pack && row.pack > 1 ? `, bag of ${row.pack}` : ''}</span
								></label
							>
							<input
								id="at-{row.id}"
								name="at.{row.id}"
								class="control figures min-h-11 w-full"
								inputmode="text"
								autocomplete="off"
								placeholder={row.unit === 'piece' ? '' : row.unit}
								value={form?.typed?.[`at.${row.id}`] ?? ''}
								aria-invalid={Boolean(error)}
								oninput={(e) => (begun[row.id] = e.currentTarget.value.trim() !== '')}
							/>
							{#if error}<p class="col-span-full text-[13px] text-bad" role="alert">{error}</p>{/if}
						</li>
					{/each}
				</ul>
			</details>
		{/each}
		<div class="fixed inset-x-0 bottom-0 border-t border-line bg-paper px-4 py-2.5">
			<p class="mx-auto flex max-w-[820px] flex-wrap items-center gap-4">
				<Button kind="strong" type="submit">Write the count down</Button>
				<span class="text-muted">{many} counted</span>
				{#if errors.sheet}<span class="text-[13px] text-bad" role="alert">{errors.sheet}</span>{/if}
			</p>
		</div>
	</form>
</main>
