<script lang="ts">
	import type { CostLine, LabourLine } from '../../core/cost/cost.ts';
	import type { LineRole } from '../../core/document/line-role.ts';
	import { taskText } from '../../core/labour/task.ts';
	import { formatHours } from '../../core/labour/standards.ts';
	import { formatAmount } from '../../core/money/money.ts';
	import Tape from '../../ui/tape/Tape.svelte';
	import TapeLine from '../../ui/tape/TapeLine.svelte';
	import TapeSection from '../../ui/tape/TapeSection.svelte';
	import type { Bench } from './bench.svelte.ts';
	import { priceTape, rateText, withoutLastLeft } from '../../core/pricing/price-tape.ts';
	import { screenOf } from './structures/screens.ts';
	import JobBelow from './JobBelow.svelte';
	import PaidBesides from './PaidBesides.svelte';
	import PriceBy from './PriceBy.svelte';
	import PriceRows from './PriceRows.svelte';
	import {
		amountText,
		atLeast,
		atMost,
		changeText,
		missingText,
		percentText,
		priceText,
		sumText
	} from './tape-words.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	/** Ways to price it, beside each other: of what is saved. */
	const href = $derived(`/bench/${bench.id}/price`);
	/** What would change the price: said where the price is. */
	const advice = $derived(
		bench.tally.built.sections.flatMap((s) => screenOf(s.structure).advice?.(s.structure, bench, s) ?? [])
	);
	const ASIDE: Record<LineRole, string> = {
		always: '',
		optional: '',
		'taken along': 'taken along',
		reused: 'off the shelf',
		'by-product': 'left over',
		'from leftovers': 'from what is left over'
	};
	const cost = $derived(bench.tally.cost);
	const unknown = $derived(cost.total.unknown);
	const price = $derived(bench.tally.price);
	const rates = $derived(bench.context.rates);
	const partsOf = (line: CostLine) =>
		line.parts.map((p) => ({
			label: p.label,
			count: p.count,
			amount: p.amount ? formatAmount(p.amount) : ''
		}));
	const tasksOf = (line: LabourLine) =>
		line.tasks.map((t) => ({
			label: taskText(t),
			count: formatHours(t.seconds.valueOf()),
			amount: ''
		}));
	const overheadLabel = $derived(
		rates.overhead.kind === 'hour'
			? `${(rates.overhead.minor / 100).toFixed(2)} an hour`
			: `${rateText(rates.overhead.percent)} of cost`
	);
	const sums = $derived([
		{ label: 'materials and losses', count: '', amount: sumText(cost.materialsTotal) },
		{ label: 'share of what comes back', count: '', amount: sumText(cost.frameTotal) },
		{ label: 'labour', count: formatHours(cost.seconds.valueOf()), amount: formatAmount(cost.labourTotal) },
		{ label: 'overhead', count: '', amount: formatAmount(cost.overhead) }
	]);
	const overheadParts = $derived(
		rates.overhead.kind === 'hour'
			? [{ label: 'for every hour of labour', count: '', amount: (rates.overhead.minor / 100).toFixed(2) }]
			: [{ label: `${rateText(rates.overhead.percent)} of materials and labour`, count: '', amount: '' }]
	);
	const rows = $derived(price.status === 'priced' ? priceTape(price, bench.tally.terms) : []);
	/** From the cost to the price; what the last step leaves is the margin below. */
	const way = $derived(
		withoutLastLeft(rows).filter((r) => (r.as === 'line' && r.id !== 'tax') || r.id.startsWith('after '))
	);
	/** What the client pays with the tax on top, or the tax that is in the price. */
	const taxRow = $derived(rows.find((r) => r.id === 'total') ?? rows.find((r) => r.id === 'tax'));
	const ends = $derived.by(() => {
		const own = bench.tally.ends;
		return own && `${priceText(own.low)} – ${priceText(own.high)}`;
	});
	const marginParts = $derived(
		price.status !== 'priced'
			? []
			: [
					{ label: 'price before tax', count: '', amount: formatAmount(price.net) },
					{ label: 'less cost', count: '', amount: sumText(cost.total) },
					...(price.fees.minor > 0
						? [{ label: 'less payment fees', count: '', amount: formatAmount(price.fees) }]
						: []),
					{ label: 'as markup on cost', count: percentText(price.markup), amount: '' }
				]
	);
	const stepParts = (id: string) => {
		const { pricePoint } = bench.tally.terms;
		if (id !== 'price point' || !pricePoint) return [];
		const label = `${pricePoint.mode === 'up' ? 'up to the next' : 'to the nearest'} multiple of`;
		return [{ label, count: '', amount: (pricePoint.step / 100).toFixed(2) }];
	};
	const otherWay = $derived(rates.counting === 'piece' ? 'if every bag is opened' : 'if only pieces count');

	const since = $derived.by(() => {
		const { before } = bench;
		if (!before) return 'never kept yet';
		const parts = [`cost ${changeText((cost.total.known.minor - before.cost.total.known.minor) / 100, 2)}`];
		if (price.status === 'priced' && before.price.status === 'priced') {
			parts.push(`price ${changeText((price.said.minor - before.price.said.minor) / 100, 2)}`);
			parts.push(`margin ${changeText((price.margin ?? 0) - (before.price.margin ?? 0), 1)} points`);
		}
		const minutes = Math.round((cost.seconds.valueOf() - before.cost.seconds.valueOf()) / 60);
		parts.push(minutes === 0 ? 'same time' : `${Math.abs(minutes)} min ${minutes < 0 ? 'less' : 'more'}`);
		return `since last kept: ${parts.join(', ')}`;
	});
</script>

<Tape label="Cost and price of one">
	<TapeSection name="Materials">
		{#each cost.materials as line (line.key)}
			<TapeLine
				label={line.label}
				count={line.count}
				amount={amountText(line.amount)}
				parts={partsOf(line)}
			/>
		{/each}
		<TapeLine label="" amount={sumText(cost.materialsTotal)} rule="sub" name="materials" />
		<TapeLine label={otherWay} amount={sumText(cost.otherCounting)} rule="aside" />
	</TapeSection>
	{#if cost.spread}
		<TapeSection name="Estimated">
			<TapeLine
				label="may come to"
				amount={`−${formatAmount(cost.spread.less)} to +${formatAmount(cost.spread.more)}`}
				rule="aside"
				name="spread"
			/>
		</TapeSection>
	{/if}
	{#if cost.aside.length > 0}
		<TapeSection name="Not charged">
			{#each cost.aside as line (line.key)}
				<TapeLine
					label="{ASIDE[line.role]}: {line.label}"
					count={line.count}
					amount="—"
					parts={[{ label: 'if it is used', count: '', amount: amountText(line.amount) }]}
				/>
			{/each}
		</TapeSection>
	{/if}
	{#if cost.frame.length > 0}
		<TapeSection name="Frame">
			{#each cost.frame as line (line.key)}
				<TapeLine
					label={line.label}
					count={line.count}
					amount={amountText(line.amount)}
					parts={partsOf(line)}
				/>
			{/each}
		</TapeSection>
	{/if}
	{#if cost.labour.length > 0}
		<TapeSection name="Labour">
			{#each cost.labour as line (line.group)}
				<TapeLine
					label={line.group}
					count={formatHours(line.seconds.valueOf())}
					amount={formatAmount(line.amount)}
					parts={tasksOf(line)}
				/>
			{/each}
			<TapeLine
				label=""
				count={formatHours(cost.seconds.valueOf())}
				amount={formatAmount(cost.labourTotal)}
				rule="sub"
				name="labour"
			/>
		</TapeSection>
		<TapeSection name="Overhead">
			<TapeLine
				label={overheadLabel}
				count={formatHours(cost.seconds.valueOf())}
				amount={formatAmount(cost.overhead)}
				parts={overheadParts}
			/>
		</TapeSection>
	{/if}
	{#snippet foot()}
		<TapeLine label="Cost" amount={sumText(cost.total)} rule="total" name="cost" parts={sums} />
		{#if price.status === 'priced'}
			<PriceRows rows={way} partsOf={stepParts} />
			<TapeLine label="payment fees" amount={formatAmount(price.fees)} rule="aside" />
			<TapeLine
				label={atMost('leaves for the job', unknown)}
				count={percentText(price.margin)}
				amount={formatAmount(price.profit)}
				name="margin"
				parts={marginParts}
			/>
			<TapeLine label={atLeast('Price', unknown)} amount={formatAmount(price.said)} rule="big" name="price" />
			{#if taxRow}<TapeLine label={taxRow.label} amount={formatAmount(taxRow.amount)} rule="aside" />{/if}
			{#if ends}<TapeLine label="may be" amount={ends} rule="aside" name="price-ends" />{/if}
			{#if unknown.length > 0}<p class="text-[12.6px] leading-snug text-watch">{missingText(unknown)}</p>{/if}
			{#each advice as { say, does, act } (say)}
				<p class="text-[12.6px] leading-snug text-watch" role="status">
					{say} <button type="button" class="quiet-link" onclick={act}>{does}</button>
				</p>
			{/each}
		{:else}
			<TapeLine label="Price" amount="—" rule="big" name="price" />
		{/if}
		<PriceBy {bench} />
		<PaidBesides {bench} />
		<JobBelow tally={bench.tally} {href} />
		<p class="mt-1 text-[12.6px] leading-snug text-muted" data-name="since">{since}</p>
	{/snippet}
</Tape>
