<script lang="ts">
	import { elementScroll, observeElementOffset, observeElementRect, Virtualizer } from '@tanstack/virtual-core'; // prettier-ignore
	import { tick, untrack } from 'svelte';
	import { KIND_WORDS, type MaterialKind } from '../../../core/materials/material.ts';
	import type { SortedBy, StockColumn, StockView } from '../../../core/stock/view.ts';
	import { tableItems, type LossAsked, type PackRefusal, type StockTableRow } from './stock-table.ts';
	import StockLine from './StockLine.svelte';

	interface Props {
		rows: readonly StockTableRow[];
		view: StockView;
		trouble: PackRefusal | null;
		asked: LossAsked | undefined;
		money: (minor: number | null) => string;
		onsort: (by: SortedBy) => void;
	}
	let { rows, view, trouble, asked, money, onsort }: Props = $props();
	let editing = $state<string | null>(null);
	let closed = $state.raw<ReadonlySet<MaterialKind>>(new Set());
	const items = $derived(tableItems(rows, view, closed));
	const HEADS: Readonly<Record<SortedBy, { words: string; shape: string }>> = {
		name: { words: 'material', shape: '' },
		kind: { words: 'kind', shape: 'wide' },
		bag: { words: 'bag', shape: 'n wide' },
		loss: { words: 'loss', shape: 'n wide' },
		onHand: { words: 'on hand', shape: 'n' },
		onOrder: { words: 'on order', shape: 'n wide' },
		worth: { words: 'worth', shape: 'n wide' },
		supplier: { words: 'supplier', shape: 'wider' },
		pack: { words: 'pack', shape: 'n wide' },
		price: { words: 'pack price', shape: 'n' },
		each: { words: 'one', shape: 'n wide' }
	};
	const shown = $derived<readonly SortedBy[]>(['name', ...view.columns]);
	const sums = $derived.by(() => {
		const all = items.flatMap((i) => ('row' in i ? [i.row] : []));
		return { many: all.length, worth: all.reduce((a, r) => a + (r.worth ?? 0), 0), low: all.filter((r) => r.isLow).length }; // prettier-ignore
	});
	const sorted = (by: SortedBy) => (view.sort?.by === by ? (view.sort.down ? 'descending' : 'ascending') : undefined); // prettier-ignore
	const fold = (kind: MaterialKind) => {
		const next = new Set(closed);
		if (!next.delete(kind)) next.add(kind);
		closed = next;
	};

	/** From so many rows on only those in view are drawn; fewer are all there, for the browser's own search too. */
	const ALL_DRAWN = 300;
	const ROW = 34;
	let box = $state<HTMLElement>();
	let part = $state.raw<{ from: number; to: number; above: number; below: number } | null>(null);
	const isLong = $derived(items.length > ALL_DRAWN);
	let virtual: Virtualizer<HTMLElement, HTMLTableRowElement> | undefined;
	$effect(() => {
		const count = items.length;
		if (!isLong || !box) {
			part = null;
			virtual = undefined;
			return;
		}
		const own = new Virtualizer<HTMLElement, HTMLTableRowElement>({
			count,
			getScrollElement: () => box ?? null,
			estimateSize: () => ROW,
			overscan: 20,
			scrollToFn: elementScroll,
			observeElementRect,
			observeElementOffset,
			onChange: (v) => see(v)
		});
		const see = (v: typeof own) => {
			const drawn = v.getVirtualItems();
			const [first, last] = [drawn[0], drawn.at(-1)];
			part = first && last ? { from: first.index, to: last.index + 1, above: first.start, below: v.getTotalSize() - last.end } : { from: 0, to: 40, above: 0, below: 0 }; // prettier-ignore
		};
		virtual = own;
		const leave = own._didMount();
		own._willUpdate();
		untrack(() => see(own));
		return leave;
	});
	const drawn = $derived(isLong ? items.slice(part?.from ?? 0, part?.to ?? 40) : items);

	/** By keys: up and down go from name to name, F2 changes the pack, Esc leaves it. */
	async function keys(event: KeyboardEvent) {
		const link = (event.target as HTMLElement).closest<HTMLElement>('[data-row]');
		if (event.key === 'Escape' && editing !== null) {
			const left = editing;
			editing = null;
			await tick();
			box?.querySelector<HTMLElement>(`[data-row="${CSS.escape(left)}"]`)?.focus();
			return;
		}
		if (!link) return;
		const at = items.findIndex((i) => 'row' in i && i.row.id === link.dataset.row);
		const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: items.length - 1 }[event.key];
		if (event.key === 'F2') {
			event.preventDefault();
			editing = link.dataset.row ?? null;
			await tick();
			box?.querySelector<HTMLElement>('input[name=price]')?.focus();
			return;
		}
		if (to === undefined) return;
		event.preventDefault();
		const step = to < at ? -1 : 1;
		let next = Math.min(items.length - 1, Math.max(0, to));
		while (items[next] && !('row' in items[next]!)) next += event.key === 'Home' ? 1 : step;
		const item = items[next];
		if (!item || !('row' in item)) return;
		virtual?.scrollToIndex(next);
		await tick();
		if (virtual) await new Promise(requestAnimationFrame);
		box?.querySelector<HTMLElement>(`[data-row="${CSS.escape(item.row.id)}"]`)?.focus();
	}
</script>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div bind:this={box} class={isLong ? 'h-[70vh] overflow-auto' : 'overflow-x-auto'} onkeydown={keys}>
	<table aria-rowcount={items.length}>
		<thead
			><tr
				>{#each shown as by (by)}<th class={HEADS[by].shape} aria-sort={sorted(by)}
						><button type="button" class="min-h-7 hover:underline" onclick={() => onsort(by)}
							>{HEADS[by].words}{sorted(by) === 'ascending'
								? ' ↑'
								: sorted(by) === 'descending'
									? ' ↓'
									: ''}</button
						></th
					>{/each}<th></th></tr
			></thead
		>
		<tbody>
			{#if part && part.above > 0}<tr class="gap" style:height="{part.above}px"></tr>{/if}
			{#each drawn as item ('row' in item ? item.row.id : `kind ${item.kind}`)}
				{#if 'row' in item}
					<tr
						><StockLine
							row={item.row}
							columns={view.columns as StockColumn[]}
							trouble={trouble && trouble.pack === item.row.pack?.id ? trouble : null}
							asks={asked?.material === item.row.id ? asked.asks : undefined}
							editing={editing === item.row.id}
							onedit={(on) => (editing = on ? item.row.id : null)}
							{money}
						/></tr
					>
				{:else}
					<tr class="head"
						><td colspan={shown.length + 1}
							><button
								type="button"
								class="min-h-7 font-semibold"
								aria-expanded={!closed.has(item.kind)}
								onclick={() => fold(item.kind)}
								>{closed.has(item.kind) ? '▸' : '▾'} {KIND_WORDS[item.kind]}</button
							>
							<span class="text-muted"
								>{item.many}{item.worth > 0 ? `, worth ${money(item.worth)}` : ''}{item.low > 0
									? `, ${item.low} low`
									: ''}</span
							></td
						></tr
					>
				{/if}
			{/each}
			{#if part && part.below > 0}<tr class="gap" style:height="{part.below}px"></tr>{/if}
		</tbody>
		<tfoot
			><tr
				><td colspan={shown.length + 1}
					>{sums.many}
					{sums.many === 1 ? 'material' : 'materials'}{sums.worth > 0
						? `, what is there is worth ${money(sums.worth)}`
						: ''}{sums.low > 0 ? `, ${sums.low} to order again` : ''}</td
				></tr
			></tfoot
		>
	</table>
</div>

<style>
	table {
		width: 100%;
		border-top: 2px solid var(--ink);
		background: var(--paper);
	}
	table :global(th),
	table :global(td) {
		border-bottom: 1px solid var(--line);
		padding: 4px 8px;
		text-align: left;
		white-space: nowrap;
	}
	table :global(td.n) {
		text-align: right;
		font-family: var(--font-mono);
		font-size: 12.6px;
		font-variant-numeric: tabular-nums;
	}
	th {
		font: 500 13px/1.4 var(--font-text);
		color: var(--muted);
	}
	thead th {
		position: sticky;
		top: 0;
		background: var(--paper);
	}
	th.n {
		text-align: right;
	}
	tfoot td {
		border-top: 1px solid var(--ink);
		font-weight: 600;
	}
	.head td {
		background: var(--tint);
	}
	table :global(.dot) {
		display: inline-block;
		width: 11px;
		height: 11px;
		margin-right: 8px;
		border: 1px solid rgb(27 35 51 / 0.25);
		border-radius: 50%;
		vertical-align: -1px;
	}
	/* Name and prices are the last to go. */
	@media (max-width: 900px) {
		table :global(.wider) {
			display: none;
		}
	}
	@media (max-width: 640px) {
		table :global(.wide) {
			display: none;
		}
		table :global(th),
		table :global(td) {
			padding: 6px 5px;
		}
		table :global(td:first-child) {
			white-space: normal;
		}
	}
</style>
