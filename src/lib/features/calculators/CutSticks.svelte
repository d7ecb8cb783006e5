<script lang="ts">
	import type { CuttingProgress } from '../../core/cutting/columns.ts';
	import type { CuttingPlan, CuttingProblem, CutStick } from '../../core/cutting/cutting.ts';
	import { formatMoney, money, type Currency } from '../../core/money/money.ts';
	import { formatInches, um } from '../../core/units/length.ts';
	import Button from '../../ui/button/Button.svelte';

	interface Props {
		plan: Extract<CuttingPlan, { readonly status: 'cut' }>;
		problem: CuttingProblem;
		currency: Currency;
		/** A better plan, or the proof that there is none, is still looked for. */
		looking: boolean;
		/** How far the search is. */
		progress?: CuttingProgress | null;
		/** What is typed now cannot be read: this is of before. */
		stale?: boolean;
		onstop: () => void;
	}
	let { plan, problem, currency, looking, progress = null, stale = false, onstop }: Props = $props();
	/** Marked to the sixteenth of an inch. */
	const inch = (length: number) => `${formatInches(um(Math.round(length / 1587.5) * 1587.5))} in`;
	/** What is left is told to the eighth below. */
	const rest = (length: number) => inch(Math.floor(length / 3175) * 3175);
	const lengthOf = ({ stock }: CutStick) => problem.stock[stock]!.length;
	const longest = $derived(Math.max(1, ...problem.stock.map((s) => s.length)));
	const least = $derived(
		plan.costMinor === null ? String(plan.bound) : formatMoney(money(plan.bound, currency))
	);
</script>

<p class="answer" class:stale aria-live="polite">
	<b>{plan.bought} {plan.bought === 1 ? 'stick' : 'sticks'}</b>{plan.count > plan.bought
		? ` and ${plan.count - plan.bought} off the shelf`
		: ''}{plan.costMinor === null ? '' : `, ${formatMoney(money(plan.costMinor, currency))}`}.
	<span class="text-muted">
		{#if plan.proved}Good: nobody can do with less.{:else if looking}At least {least}; looking for less{progress
				? `, ${progress.rounds} ${progress.rounds === 1 ? 'way' : 'ways'} tried`
				: ''} …{:else}At least {least}; not proved to be the least.{/if}
	</span>
	{#if looking}<Button kind="word" onclick={onstop}>That will do</Button>{/if}
</p>
<ol class="sticks" class:stale>
	{#each plan.sticks as stick, i (i)}
		<li>
			<span class="figures count" class:own={problem.stock[stick.stock]!.own !== undefined}
				>{stick.count} ×</span
			>
			<span
				class="stick"
				style:width="{(lengthOf(stick) / longest) * 100}%"
				role="img"
				aria-label="{inch(lengthOf(stick))}: {stick.cuts.map(inch).join(', ')}; {rest(stick.left)} left"
			>
				{#each stick.cuts as cut, c (c)}<span class="cut figures" style:flex="{cut} 0 0" title={inch(cut)}
						>{inch(cut).replace(' in', '')}</span
					>{/each}
				{#if stick.left > 0}<span class="left" style:flex="{stick.left} 0 0" title="{rest(stick.left)} left"
					></span>{/if}
			</span>
		</li>
	{/each}
</ol>
<p class="mt-1 text-[13.5px] text-muted">
	Left over: {plan.sticks.map((s) => `${s.count} × ${rest(s.left)}`).join(', ')}. Measure twice, cut the
	longest first; eye protection, and the pipe held fast.
</p>

<style>
	.answer {
		border-top: 2px solid var(--ink);
		padding: 10px 0;
		font-size: 16px;
	}
	.answer b {
		font-size: 19px;
	}
	.stale {
		opacity: 0.6;
	}
	.sticks {
		display: grid;
		gap: 6px;
	}
	li {
		display: grid;
		grid-template-columns: 44px minmax(0, 1fr);
		align-items: center;
	}
	.count {
		font-size: 13px;
	}
	.own::after {
		content: 'shelf';
		display: block;
		font-size: 11px;
		color: var(--muted);
	}
	.stick {
		display: flex;
		height: 26px;
		border: 1px solid var(--ink);
	}
	.cut {
		overflow: hidden;
		border-right: 1px solid var(--ink);
		background: var(--paper);
		font-size: 12.5px;
		line-height: 24px;
		text-align: center;
	}
	.left {
		background: repeating-linear-gradient(45deg, transparent 0 4px, var(--line) 4px 6px);
	}
</style>
