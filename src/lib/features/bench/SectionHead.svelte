<script lang="ts">
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import { LINED } from '../../core/recipe/edit.ts';
	import type { Section } from '../../core/recipe/recipe.ts';
	import { isOnHosts } from '../../core/structures/registry/picture.ts';
	import type { Bench } from './bench.svelte.ts';
	import { standingWords } from './section-words.ts';
	import GasPanel from './GasPanel.svelte';
	import RunPanel from './RunPanel.svelte';
	import SectionPanel from './SectionPanel.svelte';
	import WeavePanel from './WeavePanel.svelte';

	interface Props {
		bench: Bench;
		section: Section;
		/** Whether the entry line stands in it. */
		inHand: boolean;
	}
	let { bench, section, inHand }: Props = $props();
	const folded = $derived(bench.folded.has(section.id));
	const isStack = $derived(section.structure.kind === 'stack');
	/** What the entry line can stand in. */
	const holds = $derived(isStack || LINED.has(section.structure.kind));
	const kind = $derived(section.structure.kind);
	const host = $derived(bench.recipe.sections.find((s) => s.id === section.stand.by)?.name ?? 'the wall');
	const pieces = $derived.by(() => {
		const { structure } = section;
		const n = structure.kind === 'applied' || structure.kind === 'form' ? structure.pieces.length : 0;
		return `${n} ${n === 1 ? 'kind of piece' : 'kinds of pieces'}`;
	});
	const sizeName = $derived.by(() => {
		if (section.structure.kind !== 'design' || section.structure.size === null) return '';
		const { design, size } = section.structure;
		return `, ${bench.context.library(design)?.sizes.find((s) => s.id === size)?.name ?? 'a size that is gone'}`;
	});
	/** What this design was last kept with, where the part has been kept again since. */
	const versionWords = $derived.by(() => {
		const kept = bench.kept?.sections.find((s) => s.id === section.id)?.structure;
		if (kept?.kind !== 'design' || kept.version === null) return '';
		const now = bench.data.partVersions[kept.design];
		return now !== undefined && now !== kept.version
			? ` · version ${now}, kept with version ${kept.version}`
			: ` · version ${kept.version}`;
	});
	const layers = $derived(
		section.structure.kind === 'stack' ? section.structure.layers.reduce((a, l) => a + l.repeat, 0) : 0
	);
</script>

<div class="head" class:in-hand={inHand} data-about={kind === 'design' ? section.id : undefined}>
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
	{:else if section.structure.kind === 'applied'}
		<span class="name">{section.name}</span>
	{:else if section.structure.kind === 'design'}
		<a class="name" href="/bench/{section.structure.design}" aria-label="Open {section.name}"
			>{section.name}</a
		>
	{/if}
	<span class="where">
		{kind === 'applied' || isOnHosts(section.structure)
			? `${pieces} on ${host}`
			: standingWords(section, bench.recipe)}{folded && isStack ? ` · ${layers} layers` : ''}{kind ===
		'design'
			? `${sizeName}${versionWords} · a design of its own`
			: ''}{bench.served.has(section.id) ? ` · ${bench.served.get(section.id)!.join(', ')}` : ''}
	</span>
	{#if section.structure.kind === 'bunch'}<GasPanel
			{bench}
			section={{ ...section, structure: section.structure }}
		/>{/if}
	{#if section.structure.kind === 'run'}<RunPanel
			{bench}
			section={{ ...section, structure: section.structure }}
		/>{/if}
	{#if section.structure.kind === 'weave'}<WeavePanel
			{bench}
			section={{ ...section, structure: section.structure }}
		/>{/if}
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
