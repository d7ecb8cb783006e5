<script lang="ts">
	import { printMoney } from '$lib/core/units/print-number.ts';
	import { enhance } from '$app/forms';
	import { KIND_WORDS } from '$lib/core/materials/material.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import ColoursField from '$lib/features/by-hand/ColoursField.svelte';
	import { MOST_ASSORTED } from '$lib/core/materials/material-form.ts';
	import Meant from '$lib/features/stockroom/Meant.svelte';
	import MaterialFields from '$lib/features/stockroom/MaterialFields.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import TextField from '$lib/ui/field/TextField.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	let editing = $state<string | null>(null);
	/** The forms for what is new are open. */
	let adding = $state<boolean>();
	/** Materials that were added: the form begins anew after each. */
	let added = $state(0);
	const typed = $derived((form?.add?.typed ?? {}) as Record<string, string>);
	const errors = $derived((form?.add?.errors ?? {}) as Record<string, string>);
	/** Colours of an assorted bag; nothing said yet is what was sent before. */
	let parts = $state<readonly string[] | null>(null);
	const assorted = $derived(parts ?? (form?.colour?.of ?? '').split(',').filter(Boolean));
	const ASSORTED = { kind: 'colours', label: 'An assorted bag of', most: MOST_ASSORTED, start: 0 } as const;
	const priceText = (minor: number | null) => printMoney(minor, { decimal: data.decimal });
</script>

{#snippet line(label: string, name: string, placeholder = '')}
	<TextField {label} {name} value={typed[name]} error={errors[name]} {placeholder} />
{/snippet}

<svelte:head><title>Stockroom · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[1236px] px-[22px] pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-center gap-4 py-3">
		<h1 class="text-[25px]">Stockroom</h1>
		<p class="text-muted">
			{data.rows.length === data.all
				? `${data.all} materials`
				: `${data.rows.length} of ${data.all} materials`}
		</p>
		<form class="flex gap-2">
			<input
				class="control"
				name="search"
				value={data.search}
				placeholder="name or kind"
				aria-label="Search the Stockroom"
			/><Button type="submit">Find</Button>
		</form>
	</header>
	<p class="mb-3 flex flex-wrap gap-x-5">
		<a class="quiet-link" href="/stockroom/things">What comes back: pieces and who has them</a>
		<a class="quiet-link" href="/stockroom/cut">To cut, and offcuts on the shelf</a>
		<a class="quiet-link" href="/stockroom/suppliers">Suppliers</a>
		<a class="quiet-link" href="/stockroom/count">Count what is there</a>
		<a class="quiet-link" href="/stockroom/list">Bring in a price list</a>
		<a class="quiet-link" href="/stockroom/stock.csv" download>The Stockroom as CSV</a>
	</p>
	{#if form?.added}<Notice level="good" live>{form.added} is in the Stockroom.</Notice>{/if}
	{#if form?.addedColour}<Notice level="good" live>{form.addedColour} is a colour now.</Notice>{/if}
	<details
		class="mb-3 border border-line bg-paper px-4 py-2"
		bind:open={() => adding ?? Object.keys(errors).length > 0, (open) => (adding = open)}
	>
		<summary class="cursor-pointer font-semibold">Add a material</summary>
		<form
			method="post"
			action="?/add"
			class="mt-3 grid grid-cols-4 gap-3 pb-2 max-md:grid-cols-2"
			use:enhance={({ formElement }) =>
				async ({ update, result }) => {
					await update({ reset: false });
					if (result.type !== 'success') return;
					formElement.reset();
					added++;
				}}
		>
			<input type="hidden" name="id" value={data.fresh} />
			{#key added}<MaterialFields {typed} {errors} colours={data.colours} />{/key}
			<Field label="Supplier" error={errors.supplier}>
				{#snippet children(attributes)}
					<select {...attributes} name="supplier" class="control"
						>{#each data.suppliers as supplier (supplier.id)}<option
								value={supplier.id}
								selected={typed.supplier === supplier.id}>{supplier.name}</option
							>{/each}</select
					>
				{/snippet}
			</Field>
			{@render line('Pieces in a pack', 'count', '100')}
			{@render line('Pack price (blank: not known)', 'price', '16.50')}
			{@render line('Deposit on a pack, comes back', 'deposit', '60.00')}
			<p><Button kind="strong" type="submit">Add</Button></p>
		</form>
		<form
			method="post"
			action="?/colour"
			class="grid grid-cols-4 items-end gap-3 border-t border-line py-3 max-md:grid-cols-2"
			use:enhance={() =>
				async ({ update, result }) => {
					await update({ reset: false });
					if (result.type === 'success') parts = [];
				}}
		>
			<Field label="New colour" error={form?.colour?.trouble}>
				{#snippet children(attributes)}<input
						{...attributes}
						name="name"
						class="control"
						value={form?.colour?.name ?? ''}
						placeholder="harbour blue"
						autocomplete="off"
					/>{/snippet}
			</Field>
			<div>
				<input type="hidden" name="of" value={assorted.join(',')} />
				<ColoursField
					field={ASSORTED}
					none="one colour by itself"
					value={assorted}
					data={{ settings: data.settings, materials: [], colours: data.colours.filter((c) => !c.of) }}
					onset={(of) => (parts = of)}
				/>
				{#if form?.colour?.assorted}<p class="text-[13px] text-bad" role="alert">
						{form.colour.assorted}
					</p>{/if}
			</div>
			<Field label="How it looks"
				>{#snippet children(attributes)}<input
						{...attributes}
						type="color"
						name="hex"
						value={form?.colour?.hex || '#2c6e91'}
						class="control h-9 w-20 p-1!"
					/>{/snippet}</Field
			>
			<p><Button type="submit">Add the colour</Button></p>
		</form>
	</details>
	{#if data.rows.length === 0}
		<p class="py-14 text-center text-muted">
			{data.all === 0
				? 'Nothing in the Stockroom yet. Add the first material above.'
				: 'No material answers to that.'}
		</p>
	{:else}
		<div class="overflow-x-auto">
			<table>
				<thead
					><tr
						><th>material</th><th class="wide">kind</th><th class="n wide">bag</th><th class="n wide">loss</th
						><th class="n">on hand</th><th class="wider">supplier</th><th class="n wide">pack</th><th
							class="n">pack price</th
						><th class="n">one</th><th></th></tr
					></thead
				>
				<tbody>
					{#each data.rows as row (row.id)}
						{@const trouble = form?.pack && form.pack.pack === row.pack?.id ? form.pack : null}
						<tr>
							<td
								>{#if row.hex}<span class="dot" style:background={row.hex}></span>{/if}<a
									class="hover:underline"
									href="/stockroom/{row.id}">{row.name}</a
								>{#if row.retired}<span class="text-muted"> (retired)</span>{/if}</td
							>
							<td class="wide text-muted">{KIND_WORDS[row.kind]}</td>
							<td class="n wide">{row.nominal}</td>
							<td class="n wide"
								>{row.loss}{#if row.learned}<form
										method="post"
										action="?/loss"
										class="text-[12.6px]"
										use:enhance
									>
										<input type="hidden" name="material" value={row.id} />
										<input type="hidden" name="share" value={row.learned.share} />
										<span class="text-muted" title={row.learned.counted}>counted: {row.learned.text}</span>
										{#if row.learned.isNews}<button
												type="submit"
												class="quiet-link"
												aria-label="Count {row.name} with it">use it</button
											>{/if}
									</form>{/if}</td
							>
							<td class="n" class:text-watch={row.isLow}>{row.onHand ?? ''}{row.isLow ? ' low' : ''}</td>
							<td class="wider text-muted"
								>{row.pack?.supplier ?? ''}{row.packs > 1 ? ` +${row.packs - 1}` : ''}</td
							>
							{#if row.pack && (editing === row.id || trouble)}
								<td colspan="4">
									<form
										method="post"
										action="?/pack"
										class="flex flex-wrap items-start justify-end gap-2 whitespace-normal"
										use:enhance={() =>
											async ({ update, result }) => {
												await update({ reset: false });
												if (result.type === 'success') editing = null;
											}}
									>
										<input type="hidden" name="pack" value={row.pack.id} />
										<Field label="Pieces" error={trouble?.errors.count}
											>{#snippet children(attributes)}<input
													{...attributes}
													name="count"
													class="control figures w-20 text-right"
													value={trouble?.count ?? row.pack!.count}
												/>{/snippet}</Field
										>
										<Field label="Price" error={trouble?.errors.price} hint="blank: not known"
											>{#snippet children(attributes)}<input
													{...attributes}
													name="price"
													class="control figures w-28 text-right"
													value={trouble?.price ?? priceText(row.pack!.priceMinor)}
												/>{/snippet}</Field
										>
										<Field label="Deposit" error={trouble?.errors.deposit} hint="blank: none"
											>{#snippet children(attributes)}<input
													{...attributes}
													name="deposit"
													class="control figures w-24 text-right"
													value={trouble?.deposit ?? priceText(row.pack!.depositMinor ?? null)}
												/>{/snippet}</Field
										>
										<span class="pt-5"><Button type="submit">Save</Button></span>
										<Meant asks={trouble?.asks} words="Save" />
									</form>
								</td>
							{:else}
								<td class="n wide">{row.pack?.count ?? ''}</td>
								<td class="n"
									>{row.pack?.priceMinor == null ? 'not known' : priceText(row.pack.priceMinor)}</td
								>
								<td class="n">{row.each ?? '—'}{row.uses ? ' a use' : ''}</td>
								<td class="text-right"
									><button
										type="button"
										class="quiet-link text-[13px]"
										aria-label="Change the pack of {row.name}"
										onclick={() => (editing = row.id)}>change</button
									></td
								>
							{/if}
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
	{/if}
</main>

<style>
	table {
		width: 100%;
		border-top: 2px solid var(--ink);
		background: var(--paper);
	}
	th,
	td {
		border-bottom: 1px solid var(--line);
		padding: 4px 8px;
		text-align: left;
		white-space: nowrap;
	}
	.n {
		text-align: right;
		font-family: var(--font-mono);
		font-size: 12.6px;
		font-variant-numeric: tabular-nums;
	}
	th,
	th.n {
		font: 500 13px/1.4 var(--font-text);
		color: var(--muted);
	}
	/* Name and prices are the last to go. */
	@media (max-width: 900px) {
		.wider {
			display: none;
		}
	}
	@media (max-width: 640px) {
		.wide {
			display: none;
		}
		th,
		td {
			padding: 6px 5px;
		}
		td:first-child {
			white-space: normal;
		}
	}
	.dot {
		display: inline-block;
		width: 11px;
		height: 11px;
		margin-right: 8px;
		border: 1px solid rgb(27 35 51 / 0.25);
		border-radius: 50%;
		vertical-align: -1px;
	}
</style>
