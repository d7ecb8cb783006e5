<script lang="ts">
	import type { CostLine, LabourLine } from '../../core/cost/cost.ts';
	import { formatHours } from '../../core/labour/standards.ts';
	import { formatAmount } from '../../core/money/money.ts';
	import Tape from '../../ui/tape/Tape.svelte';
	import TapeLine from '../../ui/tape/TapeLine.svelte';
	import TapeSection from '../../ui/tape/TapeSection.svelte';
	import type { Bench } from './bench.svelte.ts';
	import PriceBy from './PriceBy.svelte';
	import { amountText, changeText, percentText, sumText } from './tape-words.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	const cost = $derived(bench.tally.cost);
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
			label: `${t.count} × ${t.task}`,
			count: formatHours(t.seconds.valueOf()),
			amount: ''
		}));
	const overheadLabel = $derived(
		rates.overhead.kind === 'hour'
			? `${(rates.overhead.minor / 100).toFixed(2)} an hour`
			: `${rates.overhead.percent} % of cost`
	);
	const otherWay = $derived(rates.counting === 'piece' ? 'if every bag is opened' : 'if only pieces count');

	const since = $derived.by(() => {
		const { before } = bench;
		if (!before) return 'never kept yet';
		const parts = [`cost ${changeText((cost.total.known.minor - before.cost.total.known.minor) / 100, 2)}`];
		if (price.status === 'priced' && before.price.status === 'priced') {
			parts.push(`price ${changeText((price.net.minor - before.price.net.minor) / 100, 2)}`);
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
			/>
		</TapeSection>
	{/if}
	{#snippet foot()}
		<TapeLine label="Cost" amount={sumText(cost.total)} rule="total" name="cost" />
		{#if price.status === 'priced'}
			{#each price.steps as step (step.id)}
				<TapeLine
					label={step.id}
					amount={`${step.change.minor > 0 ? '+' : ''}${formatAmount(step.change)}`}
				/>
			{/each}
			{#if price.fees.minor > 0}<TapeLine label="payment fees" amount={formatAmount(price.fees)} />{/if}
			<TapeLine
				label="margin"
				count={percentText(price.margin)}
				amount={formatAmount(price.profit)}
				name="margin"
			/>
			<TapeLine label="Price" amount={formatAmount(price.net)} rule="big" name="price" />
		{:else}
			<TapeLine label="Price" amount="—" rule="big" name="price" />
		{/if}
		<PriceBy {bench} />
		<p class="mt-1 text-[12.6px] leading-snug text-muted" data-name="since">{since}</p>
	{/snippet}
</Tape>
