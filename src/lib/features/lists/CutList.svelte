<script lang="ts">
	import type { CuttingProblem } from '../../core/cutting/cutting.ts';
	import type { Currency } from '../../core/money/money.ts';
	import { formatFeet, formatInches, toMillimetres, um } from '../../core/units/length.ts';
	import { POINT } from '../../core/units/number.ts';
	import CutSticks from '../calculators/CutSticks.svelte';
	import { Cutter } from '../calculators/cutter.svelte.ts';

	interface Props {
		problem: CuttingProblem;
		currency: Currency;
	}
	let { problem, currency }: Props = $props();
	const cutter = $derived(new Cutter({ currency, style: POINT }, problem));
	const plan = $derived(cutter.plan);
	$effect(() => {
		cutter.prove();
		return () => cutter.close();
	});
</script>

{#if plan?.status === 'too-long'}
	<p role="alert">
		A piece of {formatInches(um(plan.piece.length))} in is longer than a stick of {formatFeet(
			toMillimetres(problem.stock[0]!.length)
		)}.
	</p>
{:else if plan}
	<CutSticks {plan} {problem} {currency} looking={cutter.looking} onstop={() => cutter.stop()} />
{/if}
