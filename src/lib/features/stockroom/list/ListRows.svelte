<script lang="ts">
	import { KIND_WORDS } from '../../../core/materials/material.ts';
	import { FIELD_WORDS } from '../../../core/price-list/columns.ts';
	import { ROW_STATES, type RowOutcome, type RowState } from '../../../core/price-list/plan-list.ts';
	import Button from '../../../ui/button/Button.svelte';
	import type { PriceListRead } from './price-list.svelte.ts';

	interface Props {
		list: PriceListRead;
		/** An amount as it is printed here; not known is blank. */
		money: (minor: number | null) => string;
	}
	let { list, money }: Props = $props();
	const WORDS: Readonly<Record<RowState, string>> = {
		changes: 'change',
		another: 'one more pack',
		new: 'new',
		same: 'as they are',
		unknown: 'not known',
		problem: 'to look at'
	};
	const packText = (count: number, price: number | null) => `${count} for ${money(price) || 'not known'}`;
	function does({ pack, then, fresh, material, say, field }: RowOutcome): string {
		if (say !== undefined) return field ? `${FIELD_WORDS[field]}: ${say}` : say;
		if (!then) return '';
		const will = packText(then.count, then.priceMinor);
		const code = then.code && then.code !== (pack?.code ?? '') ? `, code ${then.code}` : '';
		if (pack) {
			const was = packText(pack.count, pack.priceMinor);
			const named = then.suppliersName !== (pack.suppliersName ?? '') ? ', their name for it' : '';
			return `${was === will ? 'price as it is' : `${was} → ${will}`}${code}${named}`;
		}
		return fresh ? `${KIND_WORDS[fresh.kind]}, ${will}${code}` : `${material ? 'another pack: ' : ''}${will}${code}`; // prettier-ignore
	}
</script>

{#if list.counts}
	<div class="flex flex-wrap gap-2 py-2" role="group" aria-label="Rows by what comes of them">
		{#each ROW_STATES as state (state)}
			<button
				type="button"
				class="control min-h-9 {list.shown === state ? 'border-ink font-semibold' : ''}"
				aria-pressed={list.shown === state}
				disabled={list.counts[state] === 0}
				onclick={() => list.show(state)}
				><span class="figures">{list.counts[state]}</span> {WORDS[state]}</button
			>
		{/each}
	</div>
	<table class="w-full border-t-2 border-ink bg-paper text-[14px]">
		<thead class="text-left text-[13px] text-muted"
			><tr
				><th class="w-14 px-2 py-1 text-right font-medium">row</th><th class="px-2 py-1 font-medium"
					>the list says</th
				><th class="px-2 py-1 font-medium max-sm:hidden">here</th><th class="px-2 py-1 font-medium"
					>what comes of it</th
				></tr
			></thead
		>
		<tbody>
			{#each list.rows as row (row.line)}
				<tr class="border-t border-line align-top">
					<td class="figures px-2 py-1 text-right text-muted">{row.line}</td>
					<td class="px-2 py-1">{row.says}</td>
					<td class="px-2 py-1 max-sm:hidden">{list.names.get(row.material ?? '') ?? ''}</td>
					<td class="px-2 py-1 {row.state === 'problem' ? 'text-bad' : ''}">{does(row)}</td>
				</tr>
			{/each}
		</tbody>
	</table>
	{#if list.rows.length < list.counts[list.shown]}
		<p class="py-2">
			<Button type="button" onclick={() => list.more()}>More rows</Button>
			<span class="text-muted">{list.rows.length} of {list.counts[list.shown]} are shown</span>
		</p>
	{/if}
{/if}
