<script lang="ts">
	import { formatHours } from '../../core/labour/standards.ts';
	import type { Comparison } from '../../core/compare/compare.ts';
	import Tape from '../../ui/tape/Tape.svelte';
	import TapeLine from '../../ui/tape/TapeLine.svelte';
	import { changeText } from '../bench/tape-words.ts';

	interface Props {
		comparison: Comparison;
		label: string;
		/** Said on the first line; nothing leaves it out. */
		head?: string;
	}
	let { comparison, label, head = '' }: Props = $props();
	const seconds = $derived(Math.abs(comparison.seconds));
</script>

<!-- What the second takes more or less than the first: materials, cost, time, price. -->
<Tape {label}>
	{#if head}<TapeLine label={head} amount="" />{/if}
	{#each comparison.materials as material (material.label)}
		<TapeLine
			label={material.label}
			count={`${material.first} → ${material.second}`}
			amount={changeText(material.second - material.first, 0)}
		/>
	{:else}
		<TapeLine label="the same materials" amount="" />
	{/each}
	{#snippet foot()}
		<TapeLine label="Cost" amount={changeText(comparison.cost.minor / 100, 2)} rule="total" name="cost" />
		<TapeLine
			label="time"
			amount={seconds < 30 ? 'same' : `${comparison.seconds < 0 ? '−' : '+'}${formatHours(seconds)}`}
			name="time"
		/>
		<TapeLine
			label="Price"
			amount={comparison.price ? changeText(comparison.price.minor / 100, 2) : '—'}
			rule="big"
			name="price"
		/>
	{/snippet}
</Tape>
