<script lang="ts">
	import { countPart, movePart, removePart } from '../../core/recipe/edit-parts.ts';
	import { printFormPiece, printItem, printWeight } from '../../core/language/print-parts.ts';
	import type { Bunch, BunchItem } from '../../core/structures/bunch/document.ts';
	import type { Form, FormPiece } from '../../core/structures/form/document.ts';
	import type { Section } from '../../core/recipe/recipe.ts';
	import type { Bench } from './bench.svelte.ts';
	import ItemPanel from './ItemPanel.svelte';
	import { pieceWords } from './part-words.ts';
	import PartRow from './PartRow.svelte';

	interface Props {
		bench: Bench;
		section: Section & { readonly structure: Bunch | Form };
		/** Its text is on the entry line: the focus goes there. */
		onedit: () => void;
	}
	let { bench, section, onedit }: Props = $props();
	let list = $state<HTMLElement>();
	const materialOf = (id: string) => bench.catalogue.materials.get(id);
	const lost = $derived(new Set(bench.tally.assembly.lost));
	/** Colours of what is shown: what is only said yet has its slot there alone. */
	const fills = $derived(bench.shown.colourways.find((c) => c.id === bench.chosen.id)?.fills ?? {});
	const hexOf = (part: BunchItem | FormPiece): string => {
		const slot =
			'model' in part
				? part.slot
				: part.what.kind === 'balloon'
					? part.what.balloon.slot
					: part.what.kind === 'letters'
						? part.what.slot
						: null;
		const material = 'model' in part || part.what.kind !== 'material' ? null : part.what.material;
		const colour = slot === null ? materialOf(material ?? '')?.colour : fills[slot];
		return bench.catalogue.colours.get(colour ?? '')?.hex ?? 'transparent';
	};
	const parts = $derived.by(() => {
		const { slots } = bench.shown;
		const { structure } = section;
		const all =
			structure.kind === 'bunch'
				? structure.items.map((item) => ({
						part: item,
						item,
						text: printItem(item, slots, materialOf),
						more: ''
					}))
				: structure.pieces.map((piece) => ({
						part: piece,
						item: null,
						text: printFormPiece(piece, slots, bench.shown),
						more: pieceWords(piece, bench.context.rates.pumps)
					}));
		return all.toReversed();
	});
	const weight = $derived(section.structure.kind === 'bunch' ? section.structure.weight : null);

	function keydown(event: KeyboardEvent, id: string, text: string) {
		if (event.ctrlKey || event.metaKey) return;
		const acts: Record<string, () => unknown> = {
			'+': () => bench.change((d) => countPart(d, id, 1)),
			'=': () => bench.change((d) => countPart(d, id, 1)),
			'-': () => bench.change((d) => countPart(d, id, -1)),
			Delete: () => bench.change((d) => removePart(d, id)),
			Backspace: () => bench.change((d) => removePart(d, id)),
			Enter: () => edit(id, text)
		};
		const up = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
		if (up !== 0 && event.altKey) bench.change((d) => movePart(d, id, up));
		else if (up !== 0) focusNext(event.currentTarget as Element, -up);
		else if (acts[event.key]) acts[event.key]!();
		else return;
		event.preventDefault();
	}
	function focusNext(from: Element, by: number) {
		const all = [...(list?.querySelectorAll<HTMLElement>('.say') ?? [])];
		all[all.indexOf(from as HTMLElement) + by]?.focus();
	}
	/** What is said behind it: strokes and nesting, lines that hold it too, a host that is gone. */
	const asides = (part: BunchItem | FormPiece, more: string): string[] => [
		...(more ? [more] : []),
		...(bench.served.get(part.id) ?? []),
		...(lost.has(part.id) ? ['its host is gone'] : [])
	];
	function edit(id: string, text: string) {
		bench.startEditingPart(section.id, id, text);
		onedit();
	}
</script>

<ul class="parts" aria-label={section.name} bind:this={list}>
	{#each parts as { part, item, text, more } (part.id)}
		<PartRow {bench} {part} hex={hexOf(part)}>
			{#snippet panel()}{#if item}<ItemPanel {bench} {item} />{/if}{/snippet}
			<button
				type="button"
				class="say figures"
				aria-label="Change {text}"
				onclick={() => edit(part.id, text)}
				onkeydown={(e) => keydown(e, part.id, text)}
				>{text}{#each asides(part, more) as aside (aside)}<span class="quiet">{` · ${aside}`}</span
					>{/each}</button
			>
		</PartRow>
	{/each}
	{#if parts.length === 0}
		<li class="quiet">
			{section.structure.kind === 'bunch'
				? 'Nothing in it yet. Say “3 11 at full white in helium on 5 ft ribbon”.'
				: 'Nothing in it yet. Say “6 260 black 24 wound as leg”.'}
		</li>
	{/if}
	{#if weight}
		<li data-about={section.id}>
			<span class="dot heavy" aria-hidden="true"></span>
			<span class="say figures">{printWeight(weight, bench.shown.slots, materialOf)}</span>
		</li>
	{/if}
</ul>

<style>
	.parts {
		margin-left: 54px;
		border-left: 1px solid var(--line);
	}
	li {
		display: flex;
		align-items: center;
		gap: 8px;
		min-height: 28px;
		padding: 1px 10px 1px 12px;
		font-size: 13px;
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
	.dot {
		flex: none;
		width: 10px;
		height: 10px;
		border-radius: 50%;
		border: 1px solid rgb(27 35 51 / 0.25);
	}
	.heavy {
		border-radius: 2px;
		background: var(--muted);
	}
</style>
