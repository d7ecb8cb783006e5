<script lang="ts">
	import { formatAmount } from '../../core/money/money.ts';
	import type { PricedQuote, QuoteTerms } from '../../core/quote/quote.ts';
	import { rational } from '../../core/units/rational.ts';
	import Tape from '../../ui/tape/Tape.svelte';
	import TapeLine from '../../ui/tape/TapeLine.svelte';
	import TapeSection from '../../ui/tape/TapeSection.svelte';
	import { percentText, sumText } from '../bench/tape-words.ts';

	interface Props {
		priced: PricedQuote;
		terms: QuoteTerms;
	}
	let { priced, terms }: Props = $props();
	const price = $derived(priced.price);
	const taxWords = $derived(`tax ${Math.round(rational(terms.tax).valueOf() * 100) / 100} %`);
</script>

<Tape label="Cost, price and margin of this quote, for you only">
	<TapeSection name="Cost, for you only">
		{#each priced.lines as line (line.item.id)}
			<TapeLine label="{line.item.quantity} × {line.item.recipe.name}" amount={sumText(line.cost)} />
		{/each}
		<TapeLine
			label="delivery"
			amount={terms.deliveryCostMinor === null
				? '—'
				: formatAmount({ ...priced.delivery, minor: terms.deliveryCostMinor })}
		/>
		<TapeLine label="Cost" amount={sumText(priced.cost)} rule="total" name="cost" />
	</TapeSection>
	<TapeSection name="What the client reads">
		{#each priced.lines as line (line.item.id)}
			<TapeLine label="{line.item.quantity} × {line.item.recipe.name}" amount={formatAmount(line.shown)} />
		{/each}
		{#if priced.delivery.minor > 0}<TapeLine label="delivery" amount={formatAmount(priced.delivery)} />{/if}
		{#if priced.discount.minor > 0}<TapeLine
				label="discount"
				amount={formatAmount({ ...priced.discount, minor: -priced.discount.minor })}
			/>{/if}
	</TapeSection>
	{#snippet foot()}
		{#if price.status === 'priced'}
			<TapeSection name="Steps of the price">
				<TapeLine
					label={terms.method === 'margin' ? 'by target margin' : 'by markup'}
					amount={formatAmount(price.base)}
				/>
				{#each price.steps as step (step.id)}<TapeLine
						label={step.id}
						count={percentText(step.margin)}
						amount={formatAmount(step.change)}
					/>{/each}
			</TapeSection>
			<TapeLine label="Before tax" amount={formatAmount(price.net)} rule="sub" />
			<TapeLine label={taxWords} amount={formatAmount(price.tax)} />
			<TapeLine
				label="margin"
				count={percentText(price.margin)}
				amount={formatAmount(price.profit)}
				name="margin"
			/>
			<TapeLine label="markup" count={percentText(price.markup)} amount="" />
			<TapeLine label="Total" amount={formatAmount(price.total)} rule="big" name="total" />
			<TapeLine label="deposit" amount={formatAmount(price.deposit)} />
		{:else}
			<TapeLine label="Total" amount="—" rule="big" name="total" />
			<p class="text-[12.6px] text-bad">No price leaves that margin. Type a lower one.</p>
		{/if}
	{/snippet}
</Tape>
