<script lang="ts">
	import { formatHours } from '../../core/labour/standards.ts';
	import { formatAmount } from '../../core/money/money.ts';
	import type { Tally } from '../../core/tally/tally.ts';
	import TapeLine from '../../ui/tape/TapeLine.svelte';
	import { minorText } from '../pricing/study-words.ts';
	import { percentText, priceText } from './tape-words.ts';

	interface Props {
		tally: Tally;
		/** Where its ways of pricing stand beside each other. */
		href: string;
	}
	let { tally, href }: Props = $props();
	const { job, order, earnings } = $derived(tally);
	const parts = $derived([
		...job.parts
			.filter((p) => p.seconds > 0)
			.map((p) => ({ label: p.phase, count: formatHours(p.seconds), amount: formatAmount(p.labour) })),
		{ label: 'overhead of it', count: '', amount: formatAmount(job.overhead) },
		...(job.van.minor > 0 ? [{ label: 'the van', count: '', amount: formatAmount(job.van) }] : []),
		...job.lines.map((l) => ({ label: l.label, count: '', amount: formatAmount(l.amount) }))
	]);
</script>

<section class="mt-2 border-t border-line pt-1" aria-label="As a job by itself">
	<p class="text-[12.6px] text-muted">
		As a job by itself, <b class="font-semibold">{job.job.template.name}</b>
	</p>
	<TapeLine
		label="around it"
		count={formatHours(job.seconds)}
		amount={formatAmount(job.total)}
		{parts}
		name="job-cost"
	/>
	<TapeLine label="an hour of yours" amount={minorText(earnings?.ownHour)} name="own-hour" />
	<TapeLine
		label="price as a job"
		count={order.status === 'priced' ? percentText(order.margin) : ''}
		amount={priceText(order)}
		rule="sub"
		name="job-price"
		parts={order.status === 'priced'
			? [
					{ label: 'the pieces', count: '', amount: formatAmount(order.pieces) },
					{ label: 'delivery', count: '', amount: formatAmount(order.delivery) },
					{ label: 'margin', count: percentText(order.margin), amount: formatAmount(order.profit) }
				]
			: []}
	/>
	<p class="mt-1 text-[12.6px]"><a class="quiet-link" {href}>Ways to price, how sure</a></p>
</section>
