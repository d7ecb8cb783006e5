<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { SheetList } from '../../core/bom/sheet-lists.ts';
	import { readSheets } from '../../core/cutting/read-sheets.ts';
	import type { SheetPlan } from '../../core/cutting/sheets.ts';
	import type { Currency } from '../../core/money/money.ts';
	import { printMoney } from '../../core/units/print-number.ts';
	import type { NumberStyle } from '../../core/units/number.ts';
	import Field from '../../ui/field/Field.svelte';
	import { SheetCutter } from '../calculators/sheet-cutter.svelte.ts';
	import SheetPlanShown from '../calculators/SheetPlanShown.svelte';
	import { sheetInches as inch } from '../calculators/sheet-words.ts';

	interface Props {
		list: Omit<SheetList, 'material'>;
		currency: Currency;
		style: NumberStyle;
		/** What can be done with the plan. */
		children?: Snippet<[Extract<SheetPlan, { readonly status: 'cut' }>]>;
	}
	let { list, currency, style, children }: Props = $props();
	/** What sheets usually come in, square feet. */
	const USUAL = 32;
	const usualPrice = () =>
		list.perSquareFoot === null ? '' : ` at ${printMoney(Math.round(list.perSquareFoot * USUAL), style)}`;
	let sheet = $state(`8 ft by 4 ft${usualPrice()}`);
	let kerf = $state('⅛');
	let turned = $state(true);
	const read = $derived(readSheets({ pieces: '1 by 1 in', sheet, kerf, turned }, { currency, style }));
	const errors = $derived('errors' in read ? read.errors : {});
	const problem = $derived(
		'problem' in read ? { ...read.problem, pieces: list.pieces, own: list.own } : null
	);
	const cutter = new SheetCutter(() => problem);
	const found = $derived(cutter.found);
</script>

<p class="mb-2">
	{list.pieces.map((p) => `${p.quantity} × ${inch(p.wide)} by ${inch(p.deep)} in`).join(', ')}
</p>
<div class="grid items-start gap-x-10 gap-y-4 md:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
	<div class="grid gap-3">
		<Field label="A sheet, with what it costs" error={errors.sheet}>
			{#snippet children(attributes)}<input
					{...attributes}
					class="control figures w-full"
					bind:value={sheet}
					autocomplete="off"
				/>{/snippet}
		</Field>
		<Field label="What the saw takes, in" error={errors.kerf}>
			{#snippet children(attributes)}<input
					{...attributes}
					class="control figures w-28"
					bind:value={kerf}
					autocomplete="off"
				/>{/snippet}
		</Field>
		<label class="flex min-h-[44px] items-center gap-2"
			><input type="checkbox" bind:checked={turned} /> a plate may lie either way of the grain</label
		>
	</div>
	<div class:opacity-60={found?.problem !== problem}>
		{#if found}<SheetPlanShown {...found} {currency} />{/if}
		{#if found}<p class="text-[13.5px] text-muted">
				Hold the sheet fast, hands behind the blade; eye and ear protection, and somebody who knows the saw.
			</p>{/if}
		{#if found && found.problem === problem && found.plan.status === 'cut'}{@render children?.(
				found.plan
			)}{/if}
	</div>
</div>
