<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { CuttingPlan, CuttingProblem } from '../../core/cutting/cutting.ts';
	import type { Currency } from '../../core/money/money.ts';
	import { formatFeet, formatInches, toMillimetres, um } from '../../core/units/length.ts';
	import { POINT } from '../../core/units/number.ts';
	import CutSticks from '../calculators/CutSticks.svelte';
	import { Cutter } from '../calculators/cutter.svelte.ts';

	interface Props {
		problem: CuttingProblem;
		currency: Currency;
		/** What can be done with the plan. */
		children?: Snippet<[Extract<CuttingPlan, { readonly status: 'cut' }>]>;
	}
	let { problem, currency, children }: Props = $props();
	const cutter = $derived(new Cutter({ currency, style: POINT }, problem));
	const plan = $derived(cutter.plan);
	$effect(() => {
		cutter.prove();
		return () => cutter.close();
	});
</script>

{#if plan?.status === 'too-long'}
	<p role="alert">
		A piece of {formatInches(um(plan.piece.length))} in is longer than any stick: the longest is {formatFeet(
			toMillimetres(um(Math.max(...problem.stock.map((s) => s.length))))
		)}. Couple it of two, or take longer sticks.
	</p>
{:else if plan}
	<CutSticks
		{plan}
		{problem}
		{currency}
		looking={cutter.looking}
		progress={cutter.progress}
		onstop={() => cutter.stop()}
	/>
	{@render children?.(plan)}
{/if}
