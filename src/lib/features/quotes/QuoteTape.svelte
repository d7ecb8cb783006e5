<script lang="ts">
	import { formatHours } from '../../core/labour/standards.ts';
	import { formatAmount } from '../../core/money/money.ts';
	import { priceTape, wayText, withoutLastLeft } from '../../core/pricing/price-tape.ts';
	import { wayOf, type PriceTerms } from '../../core/pricing/terms.ts';
	import { quoteTerms, type PricedQuote, type QuoteTerms } from '../../core/quote/quote.ts';
	import Tape from '../../ui/tape/Tape.svelte';
	import TapeLine from '../../ui/tape/TapeLine.svelte';
	import TapeSection from '../../ui/tape/TapeSection.svelte';
	import PriceRows from '../bench/PriceRows.svelte';
	import { minorText } from '../pricing/study-words.ts';
	import { atLeast, atMost, missingText, percentText, sumText } from '../bench/tape-words.ts';

	interface Props {
		priced: PricedQuote;
		quoted: QuoteTerms;
		/** The studio's own terms. */
		base: PriceTerms;
	}
	let { priced, quoted, base }: Props = $props();
	const price = $derived(priced.price);
	const terms = $derived(quoteTerms(base, quoted));
	const unknown = $derived(priced.cost.unknown);
	const road = $derived(priced.job.parts.find((p) => p.phase === 'on the road'));
	const rest = $derived(priced.job.parts.filter((p) => p !== road));
	/** A delivery that is nothing is no line of 0.00. */
	const isSaid = $derived(priced.delivery.minor > 0 || quoted.deliveryMinor !== null);
	/** What the last step leaves is the margin below. */
	const rows = $derived(price.status === 'priced' ? withoutLastLeft(priceTape(price, terms, isSaid)) : []);
	const FROM = {
		kind: 'as its kind of piece',
		quote: 'as the quote',
		design: 'as its design says',
		line: 'said for this line'
	};
	const deliveryText = $derived(
		quoted.deliveryMinor !== null
			? 'Delivery stands as charged, beside the target: rush, discount and minimum leave it alone; its payment fee is in the pieces.'
			: `Delivery is priced by ${wayText(wayOf(terms))} from what it costs you.`
	);
</script>

<Tape label="Cost, price and margin of this quote, for you only">
	<TapeSection name="Cost, for you only">
		{#each priced.lines as line (line.item.id)}
			<TapeLine label="{line.item.quantity} × {line.item.recipe.name}" amount={sumText(line.cost)} />
		{/each}
		{#if priced.lines.length > 0}
			<TapeLine
				label="around the job"
				count={formatHours(rest.reduce((a, p) => a + p.seconds, 0))}
				amount={formatAmount(priced.job.rest)}
				parts={[
					...rest
						.filter((p) => p.seconds > 0)
						.map((p) => ({ label: p.phase, count: formatHours(p.seconds), amount: formatAmount(p.labour) })),
					...priced.job.lines.map((l) => ({ label: l.label, count: '', amount: formatAmount(l.amount) }))
				]}
			/>
			<TapeLine
				label="delivery"
				count={quoted.deliveryCostMinor === null ? formatHours(road?.seconds ?? 0) : ''}
				amount={formatAmount(
					quoted.deliveryCostMinor === null
						? priced.job.road
						: { ...priced.delivery, minor: quoted.deliveryCostMinor }
				)}
				parts={quoted.deliveryCostMinor === null && priced.job.van.minor > 0
					? [{ label: 'of it the van', count: '', amount: formatAmount(priced.job.van) }]
					: []}
			/>
		{/if}
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
			<TapeSection name="How the price is made">
				{#each priced.lines.filter((l) => l.from !== 'quote') as line (line.item.id)}
					<TapeLine
						label="{line.item.recipe.name}: {wayText(line.way)}, {FROM[line.from]}"
						amount={formatAmount(line.base)}
						rule="aside"
					/>
				{/each}
				<PriceRows {rows} />
			</TapeSection>
			<TapeLine label="payment fees" amount={formatAmount(price.fees)} rule="aside" />
			<TapeLine
				label={atMost('margin', unknown)}
				count={percentText(price.margin)}
				amount={formatAmount(price.profit)}
				name="margin"
			/>
			<TapeLine label="an hour of yours" amount={minorText(priced.earnings?.ownHour)} name="own-hour" />
			<TapeLine label="markup" count={percentText(price.markup)} amount="" />
			<TapeLine
				label={atLeast('Total', unknown)}
				amount={formatAmount(price.total)}
				rule="big"
				name="total"
			/>
			{#if unknown.length > 0}<p class="text-[12.6px] leading-snug text-watch">{missingText(unknown)}</p>{/if}
			<TapeLine label="deposit" amount={formatAmount(price.deposit)} />
			<p class="mt-1 text-[12.6px] leading-snug text-muted">{deliveryText}</p>
		{:else}
			<TapeLine label="Total" amount="—" rule="big" name="total" />
			<p class="text-[12.6px] text-bad">No price leaves that margin. Type a lower one.</p>
		{/if}
	{/snippet}
</Tape>
