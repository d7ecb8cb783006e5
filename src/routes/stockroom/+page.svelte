<script lang="ts">
	import { printMoney } from '$lib/core/units/print-number.ts';
	import { enhance } from '$app/forms';
	import { afterNavigate, goto } from '$app/navigation';
	import { page } from '$app/state';
	import { printView, readView, type SortedBy, type StockView } from '$lib/core/stock/view.ts';
	import { askedRows } from '$lib/features/stockroom/table/stock-table.ts';
	import StockTable from '$lib/features/stockroom/table/StockTable.svelte';
	import ViewBar from '$lib/features/stockroom/table/ViewBar.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import ColoursField from '$lib/features/by-hand/ColoursField.svelte';
	import { MOST_ASSORTED } from '$lib/core/materials/material-form.ts';
	import MaterialFields from '$lib/features/stockroom/MaterialFields.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import TextField from '$lib/ui/field/TextField.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	/** The way it is looked at is its address: it can be kept, sent and gone back to. */
	let view = $state.raw(readView(page.url.searchParams));
	afterNavigate(({ type }) => {
		if (type !== 'goto') view = readView(page.url.searchParams);
	});
	function see(change: Partial<StockView>) {
		view = { ...view, ...change };
		const query = printView(view);
		void goto(`/stockroom${query ? `?${query}` : ''}`, {
			replaceState: true,
			keepFocus: true,
			noScroll: true
		});
	}
	/** Up, down, and as the trade lists them. */
	const next = (by: SortedBy): StockView['sort'] => (view.sort?.by !== by ? { by, down: false } : view.sort.down ? null : { by, down: true }); // prettier-ignore
	const many = $derived(askedRows(data.rows, view).length);
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
			{many === data.rows.length ? `${many} materials` : `${many} of ${data.rows.length} materials`}
		</p>
	</header>
	<p class="mb-3 flex flex-wrap gap-x-5">
		<a class="quiet-link" href="/stockroom/things">What comes back</a>
		<a class="quiet-link" href="/stockroom/cut">To cut, and offcuts</a>
		<a class="quiet-link" href="/stockroom/suppliers">Suppliers</a>
		<a class="quiet-link" href="/stockroom/count">Count what is there</a>
		<a class="quiet-link" href="/stockroom/orders">On order</a>
		<a class="quiet-link" href="/stockroom/labels">Shelf labels</a>
		<a class="quiet-link" href="/stockroom/colours">Colours side by side</a>
		<a class="quiet-link" href="/stockroom/list">Bring in a price list</a>
		<a class="quiet-link" href="/stockroom/stock.csv" download>All of it as CSV</a>
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
		<p class="py-14 text-center text-muted">Nothing in the Stockroom yet. Add the first material above.</p>
	{:else}
		<ViewBar
			{view}
			rows={data.rows}
			suppliers={data.suppliers}
			views={data.views}
			trouble={form?.viewTrouble}
			onview={see}
		/>
		{#if many === 0}<p class="py-10 text-center text-muted">No material answers to that.</p>
		{:else}<StockTable
				rows={data.rows}
				{view}
				trouble={form?.pack ?? null}
				asked={form?.loss}
				money={priceText}
				onsort={(by) => see({ sort: next(by) })}
			/>{/if}
	{/if}
</main>
