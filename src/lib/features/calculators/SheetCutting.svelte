<script lang="ts">
	import { readSheets, type SheetErrors, type SheetText } from '../../core/cutting/read-sheets.ts';
	import type { Currency } from '../../core/money/money.ts';
	import { sheetInches as inch } from './sheet-words.ts';
	import { SheetCutter } from './sheet-cutter.svelte.ts';
	import SheetPlanShown from './SheetPlanShown.svelte';
	import type { NumberStyle } from '../../core/units/number.ts';
	import Field from '../../ui/field/Field.svelte';
	import AboutRule from './AboutRule.svelte';
	import UseIt from './UseIt.svelte';

	interface Props {
		currency: Currency;
		style: NumberStyle;
	}
	let { currency, style }: Props = $props();
	let typed = $state<SheetText>({
		pieces: '4 × 24 by 24 in\n6 × 14 by 14 in\n3 × 12 by 30 in',
		sheet: '8 ft by 4 ft at 32.00',
		kerf: '⅛',
		turned: true
	});
	const read = $derived(readSheets(typed, { currency, style }));
	const errors: SheetErrors = $derived('errors' in read ? read.errors : {});
	const cutter = new SheetCutter(() => ('problem' in read ? read.problem : null));
	const found = $derived(cutter.found);
	const stale = $derived(!('problem' in read) || found?.problem !== read.problem);
	const plan = $derived(found?.plan.status === 'cut' ? found.plan : null);
	const say = $derived(
		plan && found
			? `step cut ${plan.sheets.map((s) => `${s.count} × ${inch(found!.problem.wide)} by ${inch(found!.problem.deep)}: ${s.laid.map((l) => `${inch(l.wide)} by ${inch(l.deep)}`).join(' + ')}`).join('; ')}`.slice(
					0,
					299
				)
			: ''
	);
	const FIELDS = [
		['pieces', 'Plates, a line each', '6 × 14 by 14 in', 6],
		['sheet', 'A sheet, with what it costs', '8 ft by 4 ft at 32.00', 1]
	] as const;
</script>

<div class="grid items-start gap-x-10 gap-y-6 md:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
	<form class="grid gap-3" onsubmit={(e) => e.preventDefault()} aria-label="What I know">
		{#each FIELDS as [name, label, placeholder, rows] (name)}
			<Field {label} error={errors[name]}>
				{#snippet children(attributes)}<textarea
						{...attributes}
						class="control figures"
						{rows}
						{placeholder}
						bind:value={typed[name]}></textarea>{/snippet}
			</Field>
		{/each}
		<Field label="What the saw takes, in" error={errors.kerf}>
			{#snippet children(attributes)}<input
					{...attributes}
					class="control figures min-h-[44px]! w-28"
					bind:value={typed.kerf}
					autocomplete="off"
				/>{/snippet}
		</Field>
		<label class="flex min-h-[44px] items-center gap-2"
			><input type="checkbox" bind:checked={typed.turned} /> a plate may lie either way of the grain</label
		>
	</form>
	<div class:opacity-60={stale}>
		{#if found}<SheetPlanShown {...found} {currency} />{/if}
		{#if plan}
			<UseIt {say} words="this cut list" />
		{/if}
	</div>
</div>
<AboutRule
	formula="Each plate goes into the free rectangle it fits best, and what is left is parted by one cut from edge to edge; six orders of the plates and eight ways of parting are tried, and the fewest sheets stay. No plan can do with fewer than the area over the most that one sheet can give, or than there are plates too large to share one."
	source="The most of one sheet: Gilmore and Gomory, Oper. Res. 14 (1966), and Herz (1972), from memory."
	limits="Cuts from edge to edge at a right angle. Mark the grain, hold the sheet fast, and keep hands behind the blade: eye and ear protection, and somebody who knows the saw."
/>
