<script lang="ts">
	import type { Amount } from '../../core/cost/amount.ts';
	import { formatHours } from '../../core/labour/standards.ts';
	import { formatMoney, type Money } from '../../core/money/money.ts';
	import { atLeast, atMost, missingText, percentText } from '../bench/tape-words.ts';

	interface Props {
		cost: Amount;
		margin: number | null | undefined;
		price: Money | null | undefined;
		/** Labour, left out where it is the same for all that stand beside each other. */
		seconds?: number;
	}
	let { cost, margin, price, seconds }: Props = $props();
</script>

<!-- The last lines of a tape, under a picture. -->
<dl class="figures">
	<dt>cost</dt>
	<dd>{formatMoney(cost.known)}{cost.unknown.length > 0 ? ' + ?' : ''}</dd>
	<dt>{atMost('leaves', cost.unknown)}</dt>
	<dd>{percentText(margin)}</dd>
	{#if seconds !== undefined}
		<dt>build</dt>
		<dd>{formatHours(seconds)}</dd>
	{/if}
	<dt class="price">{atLeast('price', cost.unknown)}</dt>
	<dd class="price">{price ? formatMoney(price) : '—'}</dd>
</dl>
{#if cost.unknown.length > 0}<p class="missing">{missingText(cost.unknown)}</p>{/if}

<style>
	.missing {
		margin-top: 2px;
		font-size: 12.6px;
		line-height: 16px;
		color: var(--muted);
	}
	dl {
		display: grid;
		grid-template-columns: auto 1fr;
		font-size: 12.6px;
		line-height: 19px;
	}
	dd {
		text-align: right;
	}
	.price {
		margin-top: 3px;
		border-top: 3px double var(--ink);
		font-weight: 600;
		font-size: 14px;
	}
</style>
