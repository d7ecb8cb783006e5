<script lang="ts">
	import { formatAmount, type Money } from '../../core/money/money.ts';
	import type { PriceRow } from '../../core/pricing/price-tape.ts';
	import TapeLine from '../../ui/tape/TapeLine.svelte';
	import { percentText } from './tape-words.ts';

	interface Props {
		rows: readonly PriceRow[];
		/** What makes a line up, by its id. */
		partsOf?: (id: string) => readonly { label: string; count: string; amount: string }[];
	}
	let { rows, partsOf = () => [] }: Props = $props();
	const STEPS = ['rush', 'weekend', 'volume', 'discount', 'price point', 'minimum order'];
	const amountOf = (id: string, amount: Money) =>
		`${STEPS.includes(id) && amount.minor > 0 ? '+' : ''}${formatAmount(amount)}`;
</script>

<!-- From the pieces to what the client pays. -->
{#each rows as row (row.id)}
	<TapeLine
		label={row.label}
		count={row.margin === undefined ? '' : percentText(row.margin)}
		amount={amountOf(row.id, row.amount)}
		rule={row.as === 'sum' ? 'sub' : row.as === 'aside' ? 'aside' : 'none'}
		parts={partsOf(row.id)}
		name="price-{row.id.replaceAll(' ', '-')}"
	/>
{/each}
