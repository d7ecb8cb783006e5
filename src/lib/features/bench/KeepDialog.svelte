<script module lang="ts">
	import type { Money } from '../../core/money/money.ts';

	/** A design that holds this one: what it costs now, and once this is kept. */
	export interface Touched {
		readonly id: string;
		readonly name: string;
		readonly before: Money;
		readonly after: Money;
		readonly unknown: boolean;
	}
</script>

<script lang="ts">
	import { formatAmount } from '../../core/money/money.ts';
	import Button from '../../ui/button/Button.svelte';
	import Dialog from '../../ui/dialog/Dialog.svelte';
	import { changeText } from './tape-words.ts';

	interface Props {
		touched: readonly Touched[] | null;
		onkeep: () => void;
		onclose: () => void;
	}
	let { touched, onkeep, onclose }: Props = $props();
	const change = (t: Touched) => changeText((t.after.minor - t.before.minor) / 100, 2);
</script>

<Dialog title="Designs that use this one" bind:open={() => touched !== null, (open) => !open && onclose()}>
	<p class="mb-3 text-muted">Kept, it is part of these at once. Quotes that were sent stay as they are.</p>
	<table class="w-full">
		<thead class="text-[13px] text-muted">
			<tr
				><th class="text-left font-medium">design</th><th class="n">cost now</th><th class="n">then</th><th
					class="n">change</th
				></tr
			>
		</thead>
		<tbody>
			{#each touched ?? [] as design (design.id)}
				<tr class="border-t border-line">
					<td class="py-1">{design.name}</td>
					<td class="n">{formatAmount(design.before)}{design.unknown ? ' + ?' : ''}</td>
					<td class="n">{formatAmount(design.after)}{design.unknown ? ' + ?' : ''}</td>
					<td class="n">{change(design)}</td>
				</tr>
			{/each}
		</tbody>
	</table>
	{#snippet actions()}
		<Button onclick={onclose}>Not yet</Button>
		<Button kind="strong" onclick={onkeep}>Keep it</Button>
	{/snippet}
</Dialog>

<style>
	.n {
		text-align: right;
		font-family: var(--font-mono);
		font-size: 13px;
		font-weight: 400;
		font-variant-numeric: tabular-nums;
	}
</style>
