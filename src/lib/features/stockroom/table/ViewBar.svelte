<script lang="ts">
	import { enhance } from '$app/forms';
	import { goto } from '$app/navigation';
	import { KIND_WORDS, MATERIAL_KINDS, type MaterialKind } from '../../../core/materials/material.ts';
	import { byCode } from '../../../core/stock/shelf-code.ts';
	import { MOST_SEARCHED, printView, STOCK_COLUMNS, type StockColumn, type StockView } from '../../../core/stock/view.ts'; // prettier-ignore
	import Button from '../../../ui/button/Button.svelte';

	interface Props {
		view: StockView;
		rows: readonly { readonly id: string; readonly kind: MaterialKind; readonly name: string; readonly codes: readonly string[] }[]; // prettier-ignore
		suppliers: readonly { readonly id: string; readonly name: string }[];
		views: readonly { readonly id: string; readonly name: string; readonly query: string }[];
		trouble: string | undefined;
		onview: (change: Partial<StockView>) => void;
	}
	let { view, rows, suppliers, views, trouble, onview }: Props = $props();
	const WORDS: Readonly<Record<StockColumn, string>> = {
		kind: 'kind', bag: 'bag', loss: 'loss', onHand: 'on hand', onOrder: 'on order', worth: 'worth',
		supplier: 'supplier', pack: 'pack', price: 'pack price', each: 'price of one'
	}; // prettier-ignore
	const kinds = $derived(MATERIAL_KINDS.filter((k) => rows.some((r) => r.kind === k)));
	const columns = (column: StockColumn, on: boolean) => onview({ columns: STOCK_COLUMNS.filter((c) => (c === column ? on : view.columns.includes(c))) }); // prettier-ignore
	let keeping = $state<boolean>();
	let scanned = $state('');
	let scan = $state('');
	function read(event: SubmitEvent) {
		event.preventDefault();
		const found = byCode(scanned, rows);
		const [only] = found;
		if (found.length === 1 && only) void goto(`/stockroom/${only.id}`);
		else if (found.length > 1) {
			scan = `${found.length} have that code; they are shown below.`;
			onview({ search: scanned.trim() });
		} else scan = scanned.trim() === '' ? 'Scan or type a code first.' : `Nothing has the code “${scanned.trim().slice(0, 40)}”.`; // prettier-ignore
	}
</script>

<div class="mb-2 flex flex-wrap items-end gap-x-3 gap-y-2">
	<form class="contents" onsubmit={(e) => e.preventDefault()}>
		<input
			class="control w-52 max-sm:w-full"
			name="search"
			type="search"
			value={view.search}
			maxlength={MOST_SEARCHED}
			placeholder="name, kind or code"
			aria-label="Search the Stockroom"
			oninput={(e) => onview({ search: e.currentTarget.value })}
		/>
	</form>
	<select
		class="control max-w-36 max-sm:max-w-none max-sm:flex-1"
		aria-label="Kind"
		value={view.kind ?? ''}
		onchange={(e) => onview({ kind: (e.currentTarget.value || null) as MaterialKind | null })}
	>
		<option value="">every kind</option>
		{#each kinds as kind (kind)}<option value={kind}>{KIND_WORDS[kind]}</option>{/each}
	</select>
	<select
		class="control max-w-44 max-sm:max-w-none max-sm:flex-1"
		aria-label="Supplier"
		value={view.supplier ?? ''}
		onchange={(e) => onview({ supplier: e.currentTarget.value || null })}
	>
		<option value="">every supplier</option>
		{#each suppliers as each (each.id)}<option value={each.id}>{each.name}</option>{/each}
	</select>
	<label class="flex min-h-9 items-center gap-1.5"
		><input type="checkbox" checked={view.low} onchange={(e) => onview({ low: e.currentTarget.checked })} /> to
		order again</label
	>
	<label class="flex min-h-9 items-center gap-1.5"
		><input
			type="checkbox"
			checked={view.grouped}
			onchange={(e) => onview({ grouped: e.currentTarget.checked })}
		/> kind by kind</label
	>
	<details class="relative max-sm:hidden">
		<summary class="control flex min-h-9 cursor-pointer items-center">Columns</summary>
		<div class="absolute right-0 z-10 grid w-56 gap-1 border border-line bg-paper p-3 shadow-md">
			{#each STOCK_COLUMNS as column (column)}
				<label class="flex min-h-7 items-center gap-2"
					><input
						type="checkbox"
						checked={view.columns.includes(column)}
						onchange={(e) => columns(column, e.currentTarget.checked)}
					/>
					{WORDS[column]}</label
				>
			{/each}
			<label class="flex min-h-7 items-center gap-2 border-t border-line pt-1"
				><input
					type="checkbox"
					checked={view.retired}
					onchange={(e) => onview({ retired: e.currentTarget.checked })}
				/> what is retired too</label
			>
		</div>
	</details>
	<details class="relative" bind:open={() => keeping ?? Boolean(trouble), (is) => (keeping = is)}>
		<summary class="control flex min-h-9 cursor-pointer items-center">Keep this view</summary>
		<div
			class="absolute right-0 z-10 border border-line bg-paper p-3 shadow-md max-sm:right-auto max-sm:left-0"
		>
			<form
				method="post"
				action="?/keepView"
				class="flex flex-wrap items-center gap-2"
				use:enhance={() =>
					async ({ update, result }) => {
						await update({ reset: result.type === 'success' });
						if (result.type === 'success') keeping = false;
					}}
			>
				<input type="hidden" name="query" value={printView(view)} />
				<input
					class="control w-44"
					name="name"
					maxlength="40"
					aria-label="Name of this view"
					placeholder="what it is called"
					autocomplete="off"
				/><Button type="submit">Keep it</Button>
				{#if trouble}<span class="text-[13px] text-bad" role="alert">{trouble}</span>{/if}
			</form>
		</div>
	</details>
	<form class="flex items-center gap-2" onsubmit={read}>
		<input
			class="control w-36"
			aria-label="Scan or type a code"
			placeholder="scan a code"
			autocomplete="off"
			bind:value={scanned}
			oninput={() => (scan = '')}
		/><Button type="submit">Go to it</Button>
	</form>
</div>
{#if scan}<p class="mb-2 text-[13px] text-watch" role="status">{scan}</p>{/if}
{#if views.length > 0}<div class="mb-3 flex flex-wrap items-center gap-x-4 gap-y-1">
		{#each views as kept (kept.id)}
			<span class="flex items-center gap-1"
				><a
					class="quiet-link {kept.query === printView(view) ? 'font-semibold' : ''}"
					aria-current={kept.query === printView(view) ? 'true' : undefined}
					href="/stockroom{kept.query ? `?${kept.query}` : ''}">{kept.name}</a
				>
				<form method="post" action="?/dropView" use:enhance>
					<input type="hidden" name="view" value={kept.id} />
					<button type="submit" class="min-h-7 px-1 text-muted" aria-label="Forget the view {kept.name}"
						>×</button
					>
				</form></span
			>
		{/each}
	</div>{/if}
