<script lang="ts">
	import { enhance } from '$app/forms';
	import { KIND_WORDS } from '../../../core/materials/material.ts';
	import type { StockColumn } from '../../../core/stock/view.ts';
	import Button from '../../../ui/button/Button.svelte';
	import Field from '../../../ui/field/Field.svelte';
	import Meant from '../Meant.svelte';
	import type { PackRefusal, StockTableRow } from './stock-table.ts';

	interface Props {
		row: StockTableRow;
		columns: readonly StockColumn[];
		/** Its pack as it was sent and refused. */
		trouble: PackRefusal | null;
		/** What is asked before its loss counts. */
		asks: { readonly say: string; readonly about: string } | undefined;
		editing: boolean;
		onedit: (editing: boolean) => void;
		money: (minor: number | null) => string;
	}
	let { row, columns, trouble, asks, editing, onedit, money }: Props = $props();
	const has = (column: StockColumn) => columns.includes(column);
	const open = $derived(row.pack !== null && (editing || trouble !== null));
	/** Columns that stand apart from the name. */
	const many = $derived(columns.length + 1);
</script>

<td
	>{#if row.hex}<span class="dot" style:background={row.hex}></span>{/if}<a
		class="hover:underline"
		data-row={row.id}
		href="/stockroom/{row.id}">{row.name}</a
	>{#if row.retired}<span class="text-muted"> (retired)</span>{/if}</td
>
{#if open && row.pack}
	<td colspan={many}>
		<form
			method="post"
			action="?/pack"
			class="flex flex-wrap items-start justify-end gap-2 whitespace-normal"
			use:enhance={() =>
				async ({ update, result }) => {
					await update({ reset: false });
					if (result.type === 'success') onedit(false);
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
						value={trouble?.price ?? money(row.pack!.priceMinor)}
					/>{/snippet}</Field
			>
			<Field label="Deposit" error={trouble?.errors.deposit} hint="blank: none"
				>{#snippet children(attributes)}<input
						{...attributes}
						name="deposit"
						class="control figures w-24 text-right"
						value={trouble?.deposit ?? money(row.pack!.depositMinor ?? null)}
					/>{/snippet}</Field
			>
			<span class="pt-5"><Button type="submit">Save</Button></span>
			<Meant asks={trouble?.asks} words="Save" />
		</form>
	</td>
{:else}
	{#if has('kind')}<td class="wide text-muted">{KIND_WORDS[row.kind]}</td>{/if}
	{#if has('bag')}<td class="n wide">{row.nominal}</td>{/if}
	{#if has('loss')}<td class="n wide"
			>{row.loss}{#if row.learned}<form method="post" action="?/loss" class="text-[12.6px]" use:enhance>
					<input type="hidden" name="material" value={row.id} />
					<input type="hidden" name="share" value={row.learned.hundredths} />
					<span class="text-muted" title={row.learned.counted}>counted: {row.learned.text}</span>
					{#if row.learned.isNews}<button
							type="submit"
							class="quiet-link"
							aria-label="Count {row.name} with it">use it</button
						>{/if}
					<div class="text-left font-[family-name:var(--font-text)] whitespace-normal">
						<Meant {asks} words="Use it" />
					</div>
				</form>{/if}</td
		>{/if}
	{#if has('onHand')}<td class="n" class:text-watch={row.isLow}
			>{row.onHand ?? ''}{row.isLow ? ' low' : ''}</td
		>{/if}
	{#if has('onOrder')}<td class="n wide">{row.onOrder}</td>{/if}
	{#if has('worth')}<td class="n wide">{row.worth === null ? '' : money(row.worth)}</td>{/if}
	{#if has('supplier')}<td class="wider text-muted"
			>{row.pack?.supplier ?? ''}{row.packs > 1 ? ` +${row.packs - 1}` : ''}</td
		>{/if}
	{#if has('pack')}<td class="n wide">{row.pack?.count ?? ''}</td>{/if}
	{#if has('price')}<td class="n"
			>{row.pack?.priceMinor == null ? 'not known' : money(row.pack.priceMinor)}</td
		>{/if}
	{#if has('each')}<td class="n wide">{row.each ?? '—'}{row.uses ? ' a use' : ''}</td>{/if}
	<td class="text-right"
		>{#if row.pack}<button
				type="button"
				class="quiet-link text-[13px]"
				aria-label="Change the pack of {row.name}"
				onclick={() => onedit(true)}>change</button
			>{/if}</td
	>
{/if}
