<script lang="ts">
	import type { SheetPlan, SheetProblem } from '../../core/cutting/sheets.ts';
	import { formatMoney, money, type Currency } from '../../core/money/money.ts';
	import { sheetInches as inch } from './sheet-words.ts';

	interface Props {
		problem: SheetProblem;
		plan: SheetPlan;
		currency: Currency;
	}
	let { problem, plan, currency }: Props = $props();
</script>

{#if plan.status === 'too-large'}
	<p role="alert">
		Stop: a plate of {inch(plan.piece.wide)} by {inch(plan.piece.deep)} in is larger than a sheet. Join it of two,
		or take larger sheets.
	</p>
{:else}
	<p class="border-t-2 border-ink py-2.5 text-[16px]" aria-live="polite">
		<b class="text-[19px]">{plan.count} {plan.count === 1 ? 'sheet' : 'sheets'}</b>{problem.priceMinor ===
		null
			? ''
			: `, ${formatMoney(money(plan.count * problem.priceMinor, currency))}`}.
		<span class="text-muted"
			>{plan.proved
				? 'Good: nobody can do with less.'
				: `At least ${plan.bound}; not proved to be the least.`}</span
		>
	</p>
	<ol class="grid gap-3">
		{#each plan.sheets as sheet, i (i)}
			<li class="grid grid-cols-[44px_minmax(0,1fr)] items-start">
				<span class="figures text-[13px]"
					>{sheet.count} ×{#if sheet.own}<br />rest{/if}</span
				>
				<svg
					viewBox="0 0 {sheet.wide / 1000} {sheet.deep / 1000}"
					style="width: {(100 * sheet.wide) / problem.wide}%"
					class="max-w-full border border-ink bg-[var(--line)]"
					role="img"
					aria-label="{sheet.own ? 'rest' : 'sheet'} {i + 1}: {sheet.laid
						.map((l) => `${inch(l.wide)} by ${inch(l.deep)} in`)
						.join(', ')}"
				>
					{#each sheet.laid as l, n (n)}
						<rect
							x={l.x / 1000}
							y={(sheet.deep - l.y - l.deep) / 1000}
							width={l.wide / 1000}
							height={l.deep / 1000}
							fill="var(--paper)"
							stroke="var(--ink)"
							stroke-width="4"
						/>
						<text
							x={(l.x + l.wide / 2) / 1000}
							y={(sheet.deep - l.y - l.deep / 2) / 1000}
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
{/if}
