<script lang="ts">
	import { lookOf } from '../../../colours/look-of.ts';
	import { slotName } from '../../../../core/document/names.ts';
	import GripVertical from '@lucide/svelte/icons/grip-vertical';
	import type { Attachment } from 'svelte/attachments';
	import { dragHandle } from 'svelte-dnd-action';
	import type { Catalogue } from '../../../../core/materials/catalogue.ts';
	import { slotsOfCluster } from '../../../../core/recipe/links.ts';
	import { printBalloon, printShort } from '../../../../core/structures/kit/print-balloon.ts';
	import type { Colourway, Slot } from '../../../../core/document/slot.ts';
	import type { Layer } from '../../../../core/structures/stack/document.ts';
	import type { Section } from '../../../../core/recipe/recipe.ts';
	import { manyWords } from '../../../../core/document/count-range.ts';
	import { likeWords } from '../../../../core/structures/stack/like.ts';
	import { followWords } from '../../../../core/structures/stack/follow.ts';
	import { runsOf } from '../../../../core/structures/kit/alike.ts';
	import ClusterGlyph from './ClusterGlyph.svelte';

	export type RowAct =
		'edit' | 'more' | 'fewer' | 'up' | 'down' | 'copy' | 'remove' | 'larger' | 'smaller' | 'places' | 'level';
	interface Props {
		layer: Layer;
		row: number;
		/** All rows of its stack. */
		rows: readonly Layer[];
		/** All of the design: a row may be one of another section once more. */
		sections: readonly Section[];
		slots: readonly Slot[];
		colourway: Colourway | undefined;
		catalogue: Catalogue;
		scale: number;
		/** So many layers of it in the size in hand. */
		repeat: number;
		/** Running height at the row's upper edge; a dash where a size is not known. */
		height: string;
		selected: boolean;
		ghost: boolean;
		/** Its fields are open below it. */
		opened: boolean;
		/** Its balls are pointed at in the picture. */
		pointed: boolean;
		onselect: () => void;
		onact: (act: RowAct) => void;
		onkeydown: (event: KeyboardEvent) => void;
	}
	let {
		layer,
		row,
		rows,
		sections,
		slots,
		colourway,
		catalogue,
		scale,
		repeat,
		height,
		selected,
		ghost,
		opened,
		pointed,
		onselect,
		onact,
		onkeydown
	}: Props = $props();

	/** Every run of like balloons, with what joins it to the one before. */
	const parts = $derived(
		layer.clusters.flatMap((cluster, c) =>
			runsOf(cluster).map(({ place, count }, r) => {
				const [balloon, size] = printBalloon(place).split(' at ') as [string, string?];
				return { joint: r > 0 ? 'with' : c > 0 ? '+' : '', count, balloon, size };
			})
		)
	);
	type Named = { name: string; holds: string | undefined; any: true | undefined };
	const lookFor = (colour: string | null | undefined) => {
		const own = catalogue.colours.get(colour ?? '');
		return own ? lookOf(own) : 'transparent';
	};
	const named = $derived(
		[...new Set(layer.clusters.flatMap(slotsOfCluster))].map((id) => ({
			name: slotName(id, slots),
			holds: catalogue.colourNames.get(colourway?.fills[id] ?? ''),
			look: lookFor(colourway?.fills[id]),
			any: slots.find((s) => s.id === id)?.any
		}))
	);
	/** A colour is shown by what it holds now; one alone by its part in the design as well: “main: hive gold”. */
	const shown = ({ name, holds, any }: Named) => holds ?? (any ? `${name}, any colour` : `${name}, open`);
	const kinds = $derived([
		...new Set(layer.clusters.map((c) => c.pattern.kind).filter((k) => k !== 'same' && k !== 'list'))
	]);
	const label = $derived(
		`${layer.clusters.map(printShort).join(' and ')}, ${named.map(shown).join(', ')}${repeat > 1 ? `, ${repeat} layers` : ''}`
	);
	/** Rows far out of sight are a name and a height only: what nobody sees is not drawn. */
	let near = $state(true);
	const watch: Attachment<HTMLElement> = (element) => {
		const options = { root: element.closest('[data-scroll]'), rootMargin: '80px' };
		const observer = new IntersectionObserver(([seen]) => (near = seen?.isIntersecting ?? true), options);
		observer.observe(element);
		return () => observer.disconnect();
	};
</script>

<div class="row" class:selected class:ghost class:pointed data-about={layer.id} {@attach watch}>
	{#if near}<span class="height figures" aria-hidden="true">{height}</span>{/if}
	<span class="tick" aria-hidden="true"></span>
	{#if !ghost}
		<span class="handle" use:dragHandle aria-label="Drag {label}"
			><GripVertical size={14} aria-hidden="true" /></span
		>
	{/if}
	<button
		type="button"
		class="main"
		aria-label="{ghost ? 'Not yet put: ' : ''}{label}"
		aria-pressed={selected}
		aria-expanded={opened && selected}
		data-row={layer.id}
		disabled={ghost}
		onclick={onselect}
		ondblclick={() => onact('edit')}
		{onkeydown}
	>
		{#if near}
			<span class="glyph"><ClusterGlyph {layer} {row} {colourway} {catalogue} {scale} /></span>
			<span class="words">
				<span class="figures said" class:several={parts.length > 1}>
					{#each parts as { joint, count, balloon, size }, index (index)}{#if joint}<i>{joint}</i>{/if}<b
							>{count}</b
						>
						× <b>{balloon}</b>{#if size}<i>at</i><b>{size}</b>{:else}<i>size</i><b>—</b>{/if}
					{/each}
				</span>
				<span class="slots">
					{#if layer.follows}<span class="bound">{followWords(layer.follows, rows)}</span>{/if}
					{#if layer.like}<span class="bound">{likeWords(layer.like, rows, sections)}</span>{/if}
					{#if layer.range}<span class="bound"
							>{manyWords({ count: layer.repeat, range: layer.range })} layers</span
						>{/if}
					{#if kinds.length > 0}<span class="kind">{kinds.join(', ')}</span>{/if}
					{#if named.length > 2}
						{#each named as slot, index (index)}<span class="dot" style:background={slot.look}></span>{/each}
						<span class="names" title={named.map(shown).join(', ')}>{named.map(shown).join(', ')}</span>
					{:else}
						{#each named as slot, index (index)}
							<span class="colour">
								<span class="dot" style:background={slot.look}></span>
								{#if named.length === 1 && slot.holds && !slot.holds.includes(slot.name)}<span class="part"
										>{slot.name}:</span
									>{/if}
								<span class="names">{shown(slot)}</span>
							</span>
						{/each}
					{/if}
				</span>
			</span>
			{#if repeat > 1 || layer.repeat > 1}<span
					class="repeat figures"
					title={repeat === layer.repeat ? undefined : `×${layer.repeat} as it stands`}>×{repeat}</span
				>{/if}
		{/if}
	</button>
</div>

<style>
	/* Rows out of sight are neither laid out nor painted. The height on its upper edge stands in the row's own box,
	   which therefore reaches 9 px into the one above it. */
	.row {
		position: relative;
		display: grid;
		grid-template-columns: 54px minmax(0, 1fr);
		height: 61px;
		margin-top: -9px;
		padding-top: 9px;
		pointer-events: none;
		content-visibility: auto;
		contain-intrinsic-size: auto 61px;
	}
	.main,
	.handle {
		pointer-events: auto;
	}
	.height {
		position: absolute;
		top: 0;
		left: 0;
		width: 49px;
		text-align: right;
		font-size: 12.6px;
		line-height: 18px;
		color: var(--muted);
		pointer-events: none;
	}
	.tick {
		position: absolute;
		top: 9px;
		left: 54px;
		width: 12px;
		height: 52px;
		border-top: 1px solid var(--muted);
		border-left: 1px solid var(--muted);
		opacity: 0.6;
		pointer-events: none;
	}
	.main {
		grid-column: 2;
		display: grid;
		grid-template-columns: 132px minmax(0, 1fr) auto;
		align-items: center;
		gap: 14px;
		height: 52px;
		padding: 0 10px 0 22px;
		text-align: left;
		outline-offset: -3px;
	}
	.main:hover:not(:disabled) {
		background: var(--tint);
	}
	.pointed .main,
	.selected .main {
		background: var(--tint);
	}
	.selected::before {
		position: absolute;
		inset: 9px auto 0 0;
		width: 3px;
		background: var(--ink);
		content: '';
	}
	.ghost .glyph {
		opacity: 0.5;
	}
	.ghost .main {
		outline: 1px dashed var(--muted);
	}
	.said {
		font-size: 14.5px;
		white-space: nowrap;
	}
	.several {
		font-size: 12.6px;
		line-height: 15px;
		white-space: normal;
	}
	.said i {
		margin: 0 0.45em;
		font: 400 12.6px var(--font-text);
		color: var(--muted);
	}
	.words {
		display: grid;
		min-width: 0;
		overflow: hidden;
	}
	/* Two lines at the most: names are never cut in half where they are two or fewer. */
	.slots {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0 5px;
		max-height: 31px;
		overflow: hidden;
		font-size: 13px;
		line-height: 15px;
		color: var(--muted);
	}
	.names {
		overflow: hidden;
		text-overflow: ellipsis;
		white-space: nowrap;
	}
	.colour {
		display: flex;
		min-width: 0;
		align-items: center;
		gap: 5px;
	}
	/* What it hangs on is said by no drawing. */
	.bound {
		flex-basis: 100%;
		color: var(--muted);
	}
	/* With less room the colours come before how they go: the drawing shows that. */
	@media (max-width: 1100px) {
		.part,
		.kind {
			display: none;
		}
	}
	.dot {
		flex: none;
		width: 9px;
		height: 9px;
		border-radius: 50%;
		border: 1px solid rgb(27 35 51 / 0.25);
	}
	.repeat {
		font-size: 14.5px;
		font-weight: 600;
	}
	.handle {
		position: absolute;
		left: 58px;
		top: 23px;
		z-index: 1;
		color: var(--muted);
		opacity: 0;
		height: 24px;
		display: grid;
		place-items: center;
	}
	.row:hover .handle,
	.handle:focus-visible,
	.selected .handle {
		opacity: 1;
	}
</style>
