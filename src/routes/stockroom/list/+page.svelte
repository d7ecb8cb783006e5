<script lang="ts">
	import { enhance } from '$app/forms';
	import { onDestroy } from 'svelte';
	import { KIND_WORDS, MATERIAL_KINDS, type MaterialKind } from '$lib/core/materials/material.ts';
	import { ENCODINGS, type Encoding } from '$lib/core/price-list/decode.ts';
	import { printMoney } from '$lib/core/units/print-number.ts';
	import ListColumns from '$lib/features/stockroom/list/ListColumns.svelte';
	import ListRows from '$lib/features/stockroom/list/ListRows.svelte';
	import { PriceListRead } from '$lib/features/stockroom/list/price-list.svelte.ts';
	import Meant from '$lib/features/stockroom/Meant.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	let supplier = $state('');
	let whose = $state<HTMLSelectElement>();
	let named = $state('');
	let kind = $state<MaterialKind | ''>('');
	let takeNew = $state(true);
	let pasted = $state('');
	let sending = $state(false);
	/** What is asked is asked of the list as it is shown: another choice takes it away. */
	let asked = $state.raw<{ say: string; about: string } | undefined>();
	const list = new PriceListRead(() => ({
		supplier: supplier || null,
		numbers: {
			kind: kind || null,
			style: { decimal: data.settings.decimal },
			currency: data.settings.rates.currency
		},
		saved: data.saved[supplier] ?? {}
	}));
	onDestroy(() => list.close());
	/** Takes a list; what was picked before the page could hear of it is heard now. */
	function take(from: File | string) {
		supplier = whose?.value ?? supplier;
		asked = undefined;
		void list.take(from);
	}
	const again = () => {
		asked = undefined;
		list.match();
	};
	const money = (minor: number | null) => printMoney(minor, { decimal: data.settings.decimal });
	const many = $derived(
		list.counts ? list.counts.changes + list.counts.another + (takeNew ? list.counts.new : 0) : 0
	);
</script>

<svelte:head><title>Bring in a price list · Stockroom · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[1236px] px-[22px] pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 py-3">
		<p><a class="quiet-link" href="/stockroom">Stockroom</a></p>
		<h1 class="text-[25px]">Bring in a price list</h1>
		<p class="w-full text-muted">
			A supplier’s list as CSV, or rows copied from a spreadsheet. Nothing is changed before you have seen
			what it would do.
		</p>
	</header>
	{#if form?.brought}<div class="mb-2">
			<Notice level="good" live
				>{form.brought} {form.brought === 1 ? 'row is' : 'rows are'} brought in.</Notice
			>
		</div>{/if}
	{#if form?.undone}<div class="mb-2"><Notice level="good" live>{form.undone}</Notice></div>{/if}
	<div class="grid grid-cols-3 items-start gap-3 border border-line bg-paper p-4 max-md:grid-cols-1">
		<Field label="Whose list is it?">
			{#snippet children(attributes)}<select
					{...attributes}
					class="control w-full"
					name="supplier"
					form="bring"
					bind:this={whose}
					bind:value={supplier}
					onchange={() => (list.table ? list.read() : undefined)}
				>
					<option value="">a new supplier</option>
					{#each data.suppliers as each (each.id)}<option value={each.id}>{each.name}</option>{/each}
				</select>{/snippet}
		</Field>
		{#if supplier === ''}
			<Field label="Name of the new supplier">
				{#snippet children(attributes)}<input
						{...attributes}
						class="control w-full"
						name="named"
						form="bring"
						bind:value={named}
						maxlength="80"
						autocomplete="off"
					/>{/snippet}
			</Field>
		{/if}
		<Field label="The list, as CSV">
			{#snippet children(attributes)}<input
					{...attributes}
					type="file"
					class="control w-full"
					accept=".csv,.tsv,.txt,text/csv,text/plain,text/tab-separated-values"
					onchange={(e) => {
						const file = e.currentTarget.files?.[0];
						e.currentTarget.value = '';
						if (file) take(file);
					}}
				/>{/snippet}
		</Field>
		<details class="col-span-full">
			<summary class="cursor-pointer font-medium">Or paste rows from a spreadsheet</summary>
			<textarea
				class="control figures mt-2 h-28 w-full"
				aria-label="Rows from a spreadsheet, with their headings"
				placeholder="code&#9;name&#9;pack&#9;price"
				bind:value={pasted}></textarea>
			<p class="mt-2">
				<Button type="button" onclick={() => take(pasted)}>Read these rows</Button>
			</p>
		</details>
	</div>
	{#if list.trouble}<div class="py-2"><Notice level="bad" live>{list.trouble}</Notice></div>{/if}
	{#if list.progress}
		<p class="flex items-center gap-3 py-3" role="status">
			<progress max={list.progress.of || undefined} value={list.progress.of ? list.progress.done : undefined}
			></progress>
			{list.progress.of ? `${list.progress.done} of ${list.progress.of} rows` : 'Reading the list'}<Button
				type="button"
				onclick={() => list.stop()}>Stop</Button
			>
		</p>
	{/if}
	{#if list.table}
		<section aria-labelledby="columns" class="pt-4">
			<h2 id="columns" class="pb-1 text-[17px] font-semibold">Which column is what</h2>
			<p class="flex flex-wrap items-center gap-3 pb-2 text-muted">
				<span>{list.file}, {list.table.many} {list.table.many === 1 ? 'row' : 'rows'}</span>
				{#if list.table.encoding}<label
						>written in <select
							class="control"
							value={list.table.encoding}
							onchange={(e) => list.read(e.currentTarget.value as Encoding)}
							>{#each ENCODINGS as each (each)}<option value={each}>{each}</option>{/each}</select
						></label
					>{/if}
				<label
					>what is new and says no kind is <select class="control" bind:value={kind} onchange={again}>
						<option value="">left out</option>
						{#each MATERIAL_KINDS as each (each)}<option value={each}>{KIND_WORDS[each]}</option>{/each}
					</select></label
				>
			</p>
			<ListColumns {list} />
		</section>
		<section aria-labelledby="rows" class="pt-4">
			<h2 id="rows" class="text-[17px] font-semibold">What would come of it</h2>
			<ListRows {list} {money} />
		</section>
		{#if list.counts}
			<form
				id="bring"
				method="post"
				action="?/bring"
				enctype="multipart/form-data"
				class="grid gap-3 pt-4"
				use:enhance={({ formData, submitter }) => {
					formData.set('text', list.text);
					formData.set('columns', JSON.stringify(list.columns));
					if (submitter instanceof HTMLButtonElement && submitter.name === 'meant')
						formData.set('meant', submitter.value);
					sending = true;
					return async ({ update, result }) => {
						await update({ reset: false });
						sending = false;
						const said = result.type === 'failure' ? (result.data as { asks?: typeof asked }) : undefined;
						asked = said?.asks;
						if (result.type === 'success') {
							pasted = '';
							list.stop();
						}
					};
				}}
			>
				<input type="hidden" name="id" value={data.fresh} />
				<input type="hidden" name="kind" value={kind} />
				<input type="hidden" name="file" value={list.file} />
				{#if list.counts.new > 0}
					<label class="flex items-center gap-2"
						><input
							type="checkbox"
							name="takeNew"
							bind:checked={takeNew}
							onchange={() => (asked = undefined)}
						/>
						take the {list.counts.new} new {list.counts.new === 1 ? 'one' : 'ones'} too</label
					>
				{/if}
				{#if form?.trouble}<p class="text-bad" role="alert">{form.trouble}</p>{/if}
				{#if asked}<Meant asks={asked} words="Bring it in" />
				{:else}<p>
						<Button kind="strong" type="submit" disabled={many === 0 || sending}
							>{sending
								? 'Working it out'
								: `See what the ${many} ${many === 1 ? 'row' : 'rows'} would move`}</Button
						>
					</p>{/if}
			</form>
		{/if}
	{/if}
	{#if data.last.length > 0}
		<section aria-labelledby="before" class="pt-6">
			<h2 id="before" class="text-[17px] font-semibold">Lists that were brought in</h2>
			<ul class="mt-1 border-t-2 border-ink bg-paper">
				{#each data.last as each (each.id)}
					<li class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line px-3 py-2">
						<span class="figures">{each.day}</span>
						<span>{each.supplier}</span>
						<span class="text-muted"
							>{each.file}: {each.changed} changed, {each.added} added{each.undone
								? '; taken back'
								: ''}</span
						>
						{#if !each.undone}<form method="post" action="?/undo" use:enhance class="ml-auto">
								<input type="hidden" name="list" value={each.id} />
								<Button type="submit" aria-label="Take back {each.file} of {each.day}">Take it back</Button>
							</form>{/if}
					</li>
				{/each}
			</ul>
		</section>
	{/if}
</main>
