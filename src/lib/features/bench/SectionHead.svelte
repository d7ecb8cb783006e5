<script lang="ts">
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import type { Section } from '../../core/recipe/recipe.ts';
	import type { Bench } from './bench.svelte.ts';
	import { standingWords } from './section-words.ts';
	import SectionPanel from './SectionPanel.svelte';

	interface Props {
		bench: Bench;
		section: Section;
		/** Whether the entry line stands in it. */
		inHand: boolean;
	}
	let { bench, section, inHand }: Props = $props();
	const folded = $derived(bench.folded.has(section.id));
	const isStack = $derived(section.structure.kind === 'stack');
	const layers = $derived(
		section.structure.kind === 'stack' ? section.structure.layers.reduce((a, l) => a + l.repeat, 0) : 0
	);
</script>

<div class="head" class:in-hand={inHand}>
	{#if isStack}
		<button
			type="button"
			class="fold"
			aria-expanded={!folded}
			aria-label="{folded ? 'Unfold' : 'Fold'} {section.name}"
			onclick={() => bench.fold(section.id)}
		>
			{#if folded}<ChevronRight size={15} />{:else}<ChevronDown size={15} />{/if}
		</button>
		<button
			type="button"
			class="name"
			aria-pressed={inHand}
			aria-label="Take {section.name} in hand"
			onclick={() => bench.take(section.id)}>{section.name}</button
		>
	{:else if section.structure.kind === 'design'}
		<a class="name" href="/bench/{section.structure.design}" aria-label="Open {section.name}"
			>{section.name}</a
		>
	{/if}
	<span class="where">
		{standingWords(section, bench.recipe)}{folded ? ` · ${layers} layers` : ''}{isStack
			? ''
			: ' · a design of its own'}
	</span>
	<SectionPanel {bench} {section} />
</div>

<style>
	.head {
		display: flex;
		align-items: center;
		gap: 6px;
		margin-left: 54px;
		border-top: 1px solid var(--ink);
		padding: 2px 8px 2px 6px;
		font-size: 13px;
	}
	.fold {
		display: grid;
		place-items: center;
		width: 24px;
		height: 24px;
	}
	.name {
		font-family: var(--font-head);
		font-weight: 700;
		font-size: 14px;
	}
	.in-hand .name {
		border-bottom: 2px solid var(--ink);
	}
	.where {
		min-width: 0;
		flex: 1;
		overflow: hidden;
		text-overflow: ellipsis;
		white-space: nowrap;
		color: var(--muted);
	}
</style>
