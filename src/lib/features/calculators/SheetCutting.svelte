<script lang="ts">
	import { readSheets, type SheetErrors, type SheetText } from '../../core/cutting/read-sheets.ts';
	import type { SheetPlan, SheetProblem } from '../../core/cutting/sheets.ts';
	import { formatMoney, money, type Currency } from '../../core/money/money.ts';
	import { formatInches, um } from '../../core/units/length.ts';
	import type { NumberStyle } from '../../core/units/number.ts';
	import Field from '../../ui/field/Field.svelte';
	import SheetsWorker from '../../workers/sheets.worker.ts?worker';
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
	/** How long typing rests before it is worked out, ms. */
	const REST = 250;
	const read = $derived(readSheets(typed, { currency, style }));
	const errors: SheetErrors = $derived('errors' in read ? read.errors : {});
	let found = $state.raw<{ readonly problem: SheetProblem; readonly plan: SheetPlan } | null>(null);
	$effect(() => {
		// Typing never waits: the worker is an outside system, asked anew when the problem changes.
		if (!('problem' in read)) return;
		const { problem } = read;
		let worker: Worker | undefined;
		const waiting = setTimeout(() => {
			worker = new SheetsWorker();
			worker.onmessage = ({ data }: MessageEvent<SheetPlan>) => (found = { problem, plan: data });
			worker.postMessage(structuredClone(problem));
		}, REST);
		return () => {
			clearTimeout(waiting);
			worker?.terminate();
		};
	});
	const stale = $derived(!('problem' in read) || found?.problem !== read.problem);
	const inch = (length: number) => formatInches(um(Math.round(length / 1587.5) * 1587.5));
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
		{#if found?.plan.status === 'too-large'}
			<p role="alert">
				Stop: a plate of {inch(found.plan.piece.wide)} by {inch(found.plan.piece.deep)} in is larger than a sheet.
				Join it of two, or take larger sheets.
			</p>
		{:else if plan && found}
			<p class="border-t-2 border-ink py-2.5 text-[16px]" aria-live="polite">
				<b class="text-[19px]">{plan.count} {plan.count === 1 ? 'sheet' : 'sheets'}</b>{found.problem
					.priceMinor === null
					? ''
					: `, ${formatMoney(money(plan.count * found.problem.priceMinor, currency))}`}.
				<span class="text-muted"
					>{plan.proved
						? 'Good: nobody can do with less.'
						: `At least ${plan.bound}; not proved to be the least.`}</span
				>
			</p>
			<ol class="grid gap-3">
				{#each plan.sheets as sheet, i (i)}
					<li class="grid grid-cols-[44px_minmax(0,1fr)] items-start">
						<span class="figures text-[13px]">{sheet.count} ×</span>
						<svg
							viewBox="0 0 {found.problem.wide / 1000} {found.problem.deep / 1000}"
							class="w-full border border-ink bg-[var(--line)]"
							role="img"
							aria-label="sheet {i + 1}: {sheet.laid
								.map((l) => `${inch(l.wide)} by ${inch(l.deep)} in`)
								.join(', ')}"
						>
							{#each sheet.laid as l, n (n)}
								<rect
									x={l.x / 1000}
									y={(found.problem.deep - l.y - l.deep) / 1000}
									width={l.wide / 1000}
									height={l.deep / 1000}
									fill="var(--paper)"
									stroke="var(--ink)"
									stroke-width="4"
								/>
								<text
									x={(l.x + l.wide / 2) / 1000}
									y={(found.problem.deep - l.y - l.deep / 2) / 1000}
									text-anchor="middle"
									dominant-baseline="central"
									font-size={Math.min(70, l.wide / 6000, l.deep / 2200)}
									fill="var(--ink)">{inch(l.wide)} × {inch(l.deep)}</text
								>
							{/each}
						</svg>
					</li>
				{/each}
			</ol>
			<UseIt {say} words="this cut list" />
		{/if}
	</div>
</div>
<AboutRule
	formula="Each plate goes into the free rectangle it fits best, and what is left is parted by one cut from edge to edge; six orders of the plates and eight ways of parting are tried, and the fewest sheets stay. No plan can do with fewer than the area over the most that one sheet can give, or than there are plates too large to share one."
	source="The most of one sheet: Gilmore and Gomory, Oper. Res. 14 (1966), and Herz (1972), from memory."
	limits="Cuts from edge to edge at a right angle. Mark the grain, hold the sheet fast, and keep hands behind the blade: eye and ear protection, and somebody who knows the saw."
/>
