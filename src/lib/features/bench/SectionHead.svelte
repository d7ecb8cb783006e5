<script lang="ts">
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import { holdsLines } from '../../core/structures/registry/language.ts';
	import { nestedIn, partsOf } from '../../core/structures/registry/refs.ts';
	import { isIn } from '../../core/recipe/open-sections.ts';
	import type { Section } from '../../core/recipe/recipe.ts';
	import { isOnHosts } from '../../core/structures/registry/picture.ts';
	import type { Bench } from './bench.svelte.ts';
	import { openWords, standingWords } from './section-words.ts';
	import { screenOf } from './structures/screens.ts';
	import SectionPanel from './SectionPanel.svelte';

	interface Props {
		bench: Bench;
		section: Section;
		/** Whether the entry line stands in it. */
		inHand: boolean;
	}
	let { bench, section, inHand }: Props = $props();
	/** Neither counted nor drawn, as it stands now. */
	const left = $derived(section.open !== undefined && !isIn(section, bench.inSize ?? undefined));
	const folded = $derived(bench.folded.has(section.id));
	const { structure } = $derived(section);
	/** What the entry line can stand in. */
	const holds = $derived(holdsLines(structure));
	const inside = $derived(nestedIn(structure));
	const host = $derived(bench.recipe.sections.find((s) => s.id === section.stand.by)?.name ?? 'the wall');
	/** Pieces are told by what they sit on, anything else by where it stands. */
	const where = $derived.by(() => {
		if (!isOnHosts(structure)) return standingWords(section, bench.recipe);
		const n = partsOf(structure, section.name).length;
		return `${n} ${n === 1 ? 'kind of piece' : 'kinds of pieces'} on ${host}`;
	});
	const { Panel, aside } = $derived(screenOf(structure));
	const served = $derived((bench.served.get(section.id) ?? []).join(', '));
</script>

<div class="head" class:in-hand={inHand} class:out={left} data-about={inside ? section.id : undefined}>
	{#if holds}
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
	{:else if inside}
		<a class="name" href="/bench/{inside.design}" aria-label="Open {section.name}">{section.name}</a>
	{:else}
		<span class="name">{section.name}</span>
	{/if}
	<span class="where">
		{where}{openWords(section, bench.recipe)}{aside(structure, bench, section.id)}{served === ''
			? ''
			: ` · ${served}`}
	</span>
	{#if Panel}<Panel {bench} {section} />{/if}
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
	.out {
		opacity: 0.6;
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
		line-height: 16px;
		color: var(--muted);
	}
</style>
