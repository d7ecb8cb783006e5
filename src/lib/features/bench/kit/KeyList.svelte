<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Id } from '../../../core/document/id.ts';
	import { countPart, movePart, removePart } from '../../../core/recipe/edit-parts.ts';
	import type { Section } from '../../../core/recipe/recipe.ts';
	import type { Bench } from '../bench.svelte.ts';
	import HandPanel from '../HandPanel.svelte';
	import Discs from '../../picture/Discs.svelte';
	import PartRow from './PartRow.svelte';
	import { partPictures, ROOM } from './part-pictures.ts';
	import type { KeyRow } from './rows.ts';

	interface Props {
		bench: Bench;
		section: Pick<Section, 'id' | 'name'>;
		/** As they stand on the screen, the first on top. */
		rows: readonly KeyRow[];
		/** Whether the first is the last of the recipe: what stands stands on what came before. */
		standing: boolean;
		/** What to say where there is nothing yet; blank where there is something. */
		empty: string;
		/** Its text is on the entry line: the focus goes there. */
		onedit: () => void;
		panel?: Snippet<[KeyRow]>;
	}
	let { bench, section, rows, standing, empty, onedit, panel: more }: Props = $props();
	let list = $state<HTMLElement>();
	const pictures = $derived(partPictures(bench.picture, new Set(rows.flatMap((r) => r.id ?? []))));
	/** As it is in the recipe: its parts can be changed by their fields. */
	const handed = $derived(bench.recipe.sections.find((s) => s.id === section.id));

	function keydown(event: KeyboardEvent, row: KeyRow) {
		if (event.ctrlKey || event.metaKey) return;
		const up = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
		if (up !== 0 && !event.altKey) focusNext(event.currentTarget as Element, up);
		else if (event.key === 'Enter') edit(row);
		else if (row.id === null || !changed(event.key, up, row.id)) return;
		event.preventDefault();
	}
	/** What a key does to a part. @returns false where it does nothing */
	function changed(key: string, up: number, id: Id): boolean {
		if (up !== 0) bench.change((d) => movePart(d, id, standing ? -up : up));
		else if (key === '+' || key === '=') bench.change((d) => countPart(d, id, 1));
		else if (key === '-') bench.change((d) => countPart(d, id, -1));
		else if (key === 'Delete' || key === 'Backspace') bench.change((d) => removePart(d, id));
		else return false;
		return true;
	}
	function focusNext(from: Element, by: number) {
		const all = [...(list?.querySelectorAll<HTMLElement>('.say') ?? [])];
		all[all.indexOf(from as HTMLElement) + by]?.focus();
	}
	function edit({ id, typed }: KeyRow) {
		bench.startEditingPart(section.id, id, typed);
		onedit();
	}
</script>

<ul aria-label={section.name} bind:this={list}>
	{#each rows as row, i (row.id ?? `${row.text}/${i}`)}
		{@const picture = pictures.parts.get(row.id ?? '')}
		<PartRow
			{bench}
			part={{ id: row.id ?? section.id, name: row.name }}
			hex={picture ? null : row.hex}
			out={row.id === null ? null : () => bench.change((d) => removePart(d, row.id!))}
		>
			{#snippet panel()}{@render more?.(row)}{#if row.id !== null && handed}<HandPanel
						{bench}
						section={handed}
						part={{ id: row.id, name: row.name }}
					/>{/if}{/snippet}
			{#if picture}
				<svg width={ROOM.width} height={ROOM.height} class="flex-none" aria-hidden="true">
					<g
						transform="translate({(ROOM.width - picture.width * pictures.scale) / 2} {ROOM.height /
							2}) scale({pictures.scale})"><Discs list={picture.list} /></g
					>
				</svg>
			{/if}
			<button
				type="button"
				class="say"
				class:strong={row.strong}
				class:setting={row.id === null && !row.strong}
				aria-label="Change {row.text}"
				onclick={() => edit(row)}
				onkeydown={(e) => keydown(e, row)}
				>{row.text}{#each row.asides as aside (aside)}<span class="quiet">{` · ${aside}`}</span
					>{/each}</button
			>
		</PartRow>
	{/each}
	{#if empty}<li class="quiet">{empty}</li>{/if}
</ul>

<style>
	ul {
		margin-left: 54px;
		border-left: 1px solid var(--line);
	}
	li {
		padding: 4px 12px;
		font-size: 13px;
	}
	.say {
		min-width: 0;
		flex: 1;
		padding: 3px 0;
		text-align: left;
		line-height: 1.3;
	}
	.strong {
		font-weight: 600;
	}
	.setting {
		color: var(--muted);
	}
	.quiet {
		color: var(--muted);
	}
</style>
