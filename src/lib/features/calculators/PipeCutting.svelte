<script lang="ts">
	import type { CutStick } from '../../core/cutting/cutting.ts';
	import type { Currency } from '../../core/money/money.ts';
	import { formatInches, um } from '../../core/units/length.ts';
	import type { NumberStyle } from '../../core/units/number.ts';
	import CutSticks from './CutSticks.svelte';
	import Field from '../../ui/field/Field.svelte';
	import AboutRule from './AboutRule.svelte';
	import { Cutter } from './cutter.svelte.ts';
	import UseIt from './UseIt.svelte';

	interface Props {
		currency: Currency;
		style: NumberStyle;
	}
	let { currency, style }: Props = $props();
	// svelte-ignore state_referenced_locally
	const cutter = new Cutter({ currency, style });
	const inch = (length: number) => `${formatInches(um(length))} in`;
	const lengthOf = ({ stock }: CutStick) => cutter.problem!.stock[stock]!.length;
	const plan = $derived(cutter.plan);
	/** The cut list as a step of the plan, as long as the entry line takes. */
	const say = $derived.by(() => {
		if (plan?.status !== 'cut') return '';
		const lines = plan.sticks.map(
			(s) => `${s.count} × ${inch(lengthOf(s))}: ${s.cuts.map((c) => formatInches(um(c))).join(' + ')}`
		);
		return `step cut ${lines.join('; ')}`.slice(0, 299);
	});
	$effect(() => {
		// Typing never waits: the worker is an outside system, asked anew when the problem changes.
		cutter.prove();
		return () => cutter.close();
	});
	const FIELDS = [
		['pieces', 'Pieces, a line each', '4 × 6 ft', 6],
		['stock', 'Lengths sold, with what a stick costs', '10 ft at 8.40', 3]
	] as const;
</script>

<div class="grid items-start gap-x-10 gap-y-6 md:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
	<form class="grid gap-3" onsubmit={(e) => e.preventDefault()} aria-label="What I know">
		{#each FIELDS as [name, label, placeholder, rows] (name)}
			<Field {label} error={cutter.errors[name]}>
				{#snippet children(attributes)}<textarea
						{...attributes}
						class="control figures"
						{rows}
						{placeholder}
						bind:value={cutter.typed[name]}></textarea>{/snippet}
			</Field>
		{/each}
		<Field label="What the saw takes, in" error={cutter.errors.kerf} hint="0 for a pipe cutter">
			{#snippet children(attributes)}<input
					{...attributes}
					class="control figures min-h-[44px]! w-28"
					bind:value={cutter.typed.kerf}
					autocomplete="off"
				/>{/snippet}
		</Field>
	</form>
	<div>
		{#if plan?.status === 'too-long'}
			<p role="alert">
				Stop: a piece of {inch(plan.piece.length)} is longer than every length that is sold. Join it from two, or
				add a longer one.
			</p>
		{:else if plan}
			<CutSticks
				{plan}
				problem={cutter.problem!}
				{currency}
				looking={cutter.looking}
				progress={cutter.progress}
				stale={cutter.stale}
				onstop={() => cutter.stop()}
			/>
			<UseIt {say} words="this cut list" />
		{/if}
	</div>
</div>
<AboutRule
	formula="Every way of cutting a stick that leaves no room for another piece is written down; an integer programme chooses how many sticks are cut which way, the least money where every length has a price, else the fewest sticks, then the least length. The plan in sight at once is first-fit decreasing: the longest piece into the first stick that takes it."
	source="Gilmore and Gomory, Oper. Res. 9 (1961), from memory; solved by HiGHS, an open solver. The least is its proof; while it looks, the material bound: all pieces with their cuts over the best length for its price."
	limits="Straight cuts at a right angle. Fittings take some of the pipe: add what each socket swallows. Bends are longer outside than inside. A frame that carries people or stands in wind is for qualified people to judge."
/>
