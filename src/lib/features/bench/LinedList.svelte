<script lang="ts">
	import { movePart, removePart } from '../../core/recipe/edit-parts.ts';
	import { printRun, printWeave, type SaidLineOf } from '../../core/language/print-run.ts';
	import type { Run } from '../../core/structures/run/document.ts';
	import type { Section } from '../../core/recipe/recipe.ts';
	import type { Weave } from '../../core/structures/weave/document.ts';
	import type { Bench } from './bench.svelte.ts';
	import PartRow from './PartRow.svelte';

	interface Props {
		bench: Bench;
		section: Section & { readonly structure: Run | Weave };
		/** Its text is on the entry line: the focus goes there. */
		onedit: () => void;
	}
	let { bench, section, onedit }: Props = $props();
	let list = $state<HTMLElement>();
	const fills = $derived(bench.shown.colourways.find((c) => c.id === bench.chosen.id)?.fills ?? {});
	const materialOf = (id: string) => bench.catalogue.materials.get(id);
	const lines = $derived.by(() => {
		const { structure } = section;
		return structure.kind === 'run'
			? printRun(structure, bench.shown, materialOf)
			: floorLast(printWeave(structure, bench.shown, materialOf));
	});
	/** Rows of a weave stand as they do: the lowest last, below them how it is held. */
	function floorLast(lines: SaidLineOf[]): SaidLineOf[] {
		const rows = lines.filter((l) => l.about === 'row').reverse();
		return [...lines.filter((l) => l.about === 'path'), ...rows, ...lines.filter((l) => l.about === 'more')];
	}
	const empty = $derived(!lines.some((l) => l.about === 'row' || l.about === 'mix'));
	const hexOf = ({ slot }: SaidLineOf): string =>
		slot === null ? 'transparent' : (bench.catalogue.colours.get(fills[slot] ?? '')?.hex ?? 'transparent');

	function keydown(event: KeyboardEvent, { id, text }: SaidLineOf) {
		if (event.ctrlKey || event.metaKey) return;
		const up = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
		if (up !== 0 && event.altKey && id !== null)
			bench.change((d) => movePart(d, id, section.structure.kind === 'weave' ? -up : up));
		else if (up !== 0) {
			const all = [...(list?.querySelectorAll<HTMLElement>('.say') ?? [])];
			all[all.indexOf(event.currentTarget as HTMLElement) + up]?.focus();
		} else if (event.key === 'Enter') edit(id, text);
		else if ((event.key === 'Delete' || event.key === 'Backspace') && id !== null)
			bench.change((d) => removePart(d, id));
		else return;
		event.preventDefault();
	}
	function edit(id: string | null, text: string) {
		bench.startEditingPart(section.id, id, text);
		onedit();
	}
</script>

{#snippet words(line: SaidLineOf)}
	<button
		type="button"
		class="say figures"
		class:path={line.about === 'path'}
		aria-label="Change {line.text}"
		onclick={() => edit(line.id, line.text)}
		onkeydown={(e) => keydown(e, line)}>{line.text}</button
	>
{/snippet}

<ul class="lines" aria-label={section.name} bind:this={list}>
	{#each lines as line, i (line.id ?? `${line.text}/${i}`)}
		<PartRow
			{bench}
			part={{ id: line.id ?? section.id, name: line.text }}
			hex={hexOf(line)}
			out={line.id === null ? null : () => bench.change((d) => removePart(d, line.id!))}
			>{@render words(line)}</PartRow
		>
	{/each}
	{#if empty}
		<li class="quiet">
			{section.structure.kind === 'run'
				? 'Nothing on it yet. Say “4 5 at 4 white”, or sizes of a mix like “60 % 5 at 4½ of 2 blue / 1 white”.'
				: 'Nothing in it yet. Say rows from below, like “3 rows 4 blue / 4 white”.'}
		</li>
	{/if}
</ul>

<style>
	.lines {
		margin-left: 54px;
		border-left: 1px solid var(--line);
	}
	li {
		padding: 4px 12px;
		font-size: 13px;
	}
	.path {
		font-weight: 600;
	}
	.say {
		min-width: 0;
		flex: 1;
		padding: 3px 0;
		text-align: left;
		line-height: 1.3;
	}
	.quiet {
		color: var(--muted);
	}
</style>
