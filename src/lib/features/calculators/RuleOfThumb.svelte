<script lang="ts">
	import { readInputs, type Calculator } from '../../core/calculators/calculator.ts';
	import type { NumberStyle } from '../../core/units/number.ts';
	import Chart from '../../ui/chart/Chart.svelte';
	import Field from '../../ui/field/Field.svelte';
	import AboutRule from './AboutRule.svelte';
	import UseIt from './UseIt.svelte';

	interface Props {
		rule: Calculator;
		style: NumberStyle;
	}
	let { rule, style }: Props = $props();
	let typed = $state<Record<string, string>>({});
	const read = $derived(readInputs(rule, typed, style));
	/** The last answer stays in sight while a field is being typed. */
	let last: ReturnType<Calculator['work']> | undefined;
	const result = $derived.by(() => (read.ok ? (last = rule.work(read.values)) : last));
	const errors = $derived(read.ok ? {} : read.errors);
	const WORD = { good: 'Good', watch: 'Look', bad: 'Stop' } as const;
</script>

<div class="grid items-start gap-x-10 gap-y-6 md:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)]">
	<form class="grid grid-cols-2 gap-3" onsubmit={(e) => e.preventDefault()} aria-label="What I know">
		{#each rule.inputs as input (input.name)}
			<Field label={input.label} error={errors[input.name]}>
				{#snippet children(attributes)}
					{#if input.kind === 'choice'}
						<select
							{...attributes}
							class="control min-h-[44px]! w-full min-w-0"
							value={typed[input.name] ?? input.start}
							onchange={(e) => (typed[input.name] = e.currentTarget.value)}
						>
							{#each input.options as [value, words] (value)}<option {value}>{words}</option>{/each}
						</select>
					{:else}
						<input
							{...attributes}
							class="control figures min-h-[44px]! w-full min-w-0"
							value={typed[input.name] ?? input.start}
							oninput={(e) => (typed[input.name] = e.currentTarget.value)}
							autocomplete="off"
						/>
					{/if}
				{/snippet}
			</Field>
		{/each}
	</form>
	<div>
		{#if result}
			<dl class="border-t-2 border-ink bg-paper" aria-live="polite" class:stale={!read.ok}>
				{#each result.lines as line (line.label)}
					<div
						class="flex flex-wrap justify-between gap-x-4 border-b border-line px-3 py-1.5"
						class:main={line.main}
					>
						<dt>{line.label}</dt>
						<dd class="figures text-right">
							{#if line.level}<span class="text-{line.level}">{WORD[line.level]}:</span>{/if}
							{line.text}
						</dd>
					</div>
				{/each}
			</dl>
			{#if !read.ok}<p class="mt-1 text-[13.5px] text-muted">
					This was the last answer; a field cannot be read just now.
				</p>{/if}
			{#if result.say}{#key result.say}<UseIt say={result.say} />{/key}{/if}
			{#if result.chart}
				{#key JSON.stringify(result.chart)}
					<div class="mt-4"><Chart label={rule.name} {...result.chart} /></div>
				{/key}
			{/if}
		{/if}
	</div>
</div>
<AboutRule formula={rule.formula} source={rule.source} limits={rule.limits} />

<style>
	.main {
		padding-block: 10px;
		font-size: 19px;
		font-weight: 600;
	}
	.stale {
		opacity: 0.6;
	}
</style>
