<script lang="ts">
	import { parseBounded } from '../../core/units/number.ts';
	import {
		figureKept,
		figureText,
		METHOD_OPTIONS,
		methodLabel,
		METHODS,
		type PriceMethod
	} from '../../core/pricing/methods.ts';
	import { methodField } from '../../core/pricing/method-field.ts';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	const terms = $derived(bench.tally.terms);
	const own = $derived(bench.recipe.pricing !== null);
	/** What is being typed; null shows what holds. */
	let typed = $state<string | null>(null);
	let trouble = $state('');
	const shown = $derived(typed ?? percentWords(figureText(terms.method, terms[terms.method])));
	const id = $props.id();

	function percentWords(text: string): string {
		const parsed = parseBounded(text, { what: 'It' });
		return parsed.ok ? String(Math.round(parsed.value.valueOf() * 100) / 100) : text;
	}
	/** Applied with every keystroke that can be read; what cannot be read stays as typed, with its sentence. */
	function input(text: string) {
		typed = text;
		const parsed = methodField(terms.method).read(text, {
			style: bench.entryContext.style,
			currency: bench.context.rates.currency
		});
		trouble = parsed.ok ? '' : parsed.say;
		if (parsed.ok)
			bench.change(
				(d) => (d.pricing = { method: terms.method, percent: figureKept(terms.method, parsed.value) })
			);
	}
	function method(next: PriceMethod) {
		typed = null;
		trouble = '';
		bench.change((d) => (d.pricing = { method: next, percent: bench.context.rates.price[next] }));
	}
</script>

<div class="mt-0.5 flex flex-wrap items-center gap-x-1.5 text-[12.6px] text-muted">
	<span>priced by</span>
	<select
		class="control min-h-6! border-transparent! px-0! py-0!"
		aria-label="Way of pricing"
		value={terms.method}
		onchange={(e) => method(e.currentTarget.value as PriceMethod)}
	>
		{#each METHOD_OPTIONS as [value, words] (value)}<option {value}>{words}</option>{/each}
	</select>
	<input
		{id}
		class="control figures min-h-6! w-14 px-1.5! py-0! text-right"
		aria-label="{methodLabel(terms.method)}, {METHODS[terms.method].figure}"
		aria-invalid={trouble !== ''}
		aria-describedby="{id}-trouble"
		value={shown}
		oninput={(e) => input(e.currentTarget.value)}
		onblur={() => {
			if (!trouble) typed = null;
		}}
	/>
	<span>{METHODS[terms.method].unit}</span>
	{#if own}
		<button
			type="button"
			class="quiet-link"
			onclick={() => {
				typed = null;
				trouble = '';
				bench.change((d) => (d.pricing = null));
			}}>as in Settings</button
		>
	{/if}
</div>
<p id="{id}-trouble" class="text-[12.6px] text-bad" role="alert" hidden={trouble === ''}>{trouble}</p>
