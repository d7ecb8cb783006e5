<script lang="ts">
	import type { Currency } from '../../core/money/money.ts';
	import { MOST_DRAWN, type Answer } from '../../core/numbers/answer.ts';
	import type { NumberStyle } from '../../core/units/number.ts';
	import Bars from '../../ui/chart/Bars.svelte';
	import { cellWords } from './cell-words.ts';

	interface Props {
		answer: Answer;
		currency: Currency;
		style: NumberStyle;
		/** What its CSV is asked for with. */
		asked: string;
	}
	let { answer, currency, style, asked }: Props = $props();
	const say = $derived(cellWords(currency, style));
	const drawn = $derived(answer.as === 'bars' ? answer.rows.slice(0, MOST_DRAWN) : answer.rows);
	const series = $derived(
		answer.drawn.map((at) => ({
			name: answer.columns[at]!.label,
			values: drawn.map((row) => (typeof row[at] === 'number' ? row[at] : null))
		}))
	);
	const unit = $derived(answer.columns[answer.drawn[0] ?? 0]!.unit);
	/** Rows of a long table come when they are asked for. */
	const FIRST = 10;
	let all = $state(false);
	const shown = $derived(all ? answer.rows : answer.rows.slice(0, FIRST));
</script>

<section
	id={answer.id}
	class="grid gap-3 border-t-2 border-ink bg-paper px-5 py-4 max-sm:px-3"
	aria-label={answer.question}
>
	<header class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
		<h2 class="text-[19px]">{answer.question}</h2>
		{#if answer.rows.length > 0}<p class="no-print ml-auto">
				<a class="quiet-link" href="/numbers/{answer.id}.csv?{asked}" download>as CSV</a>
			</p>{/if}
	</header>
	<p data-name="answer">{answer.answer}</p>
	{#if answer.rows.length > 0}
		{#if series.length > 0}
			{#key asked}<Bars
					names={drawn.map((row) => String(row[0]))}
					{series}
					as={answer.as}
					say={(v) => say(v, unit)}
				/>{/key}
		{/if}
		<div class="overflow-x-auto">
			<table class="w-full text-[13.5px]">
				<caption class="sr-only">{answer.question}</caption>
				<thead
					><tr class="text-left text-muted"
						>{#each answer.columns as { label, unit: of }, i (label)}<th
								scope="col"
								class={[i > 0 && 'pl-3', of !== 'words' && i > 0 && 'text-right']}>{label}</th
							>{/each}</tr
					></thead
				>
				<tbody>
					{#each shown as row, r (r)}
						<tr class="border-t border-line align-baseline">
							{#each row as cell, i (i)}
								{@const of = answer.columns[i]!.unit}
								{@const link = i === 0 ? answer.links?.[r] : null}
								{#if i === 0}<th scope="row" class="min-w-24 py-1 pr-3 text-left font-normal"
										>{#if link}<a class="hover:underline" href={link}>{say(cell, of)}</a>{:else}{say(
												cell,
												of
											)}{/if}</th
									>
								{:else}<td
										class={[
											'py-1 pl-3',
											of !== 'words' && 'figures text-right whitespace-nowrap',
											typeof cell === 'number' && cell < 0 && of !== 'words' && 'text-bad'
										]}>{say(cell, of)}</td
									>{/if}
							{/each}
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
		{#if answer.rows.length > FIRST && !all}
			<p>
				<button type="button" class="quiet-link" onclick={() => (all = true)}
					>All {answer.rows.length} rows</button
				>
			</p>
		{/if}
	{/if}
</section>
