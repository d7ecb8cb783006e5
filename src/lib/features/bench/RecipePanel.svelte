<script lang="ts">
	import { tick } from 'svelte';
	import { fromAction } from 'svelte/attachments';
	import { dragHandleZone, type DndEvent } from 'svelte-dnd-action';
	import {
		duplicateLayer,
		moveLayer,
		orderLayers,
		removeLayer,
		repeatLayer,
		stacksIn
	} from '../../core/recipe/edit.ts';
	import type { Layer } from '../../core/structures/stack/document.ts';
	import type { Section } from '../../core/recipe/recipe.ts';
	import { resolveSize } from '../../core/sizing/resolve.ts';
	import { formatFeet, toMillimetres, type Millimetres } from '../../core/units/length.ts';
	import type { Bench } from './bench.svelte.ts';
	import LinesList from './LinesList.svelte';
	import LinedList from './LinedList.svelte';
	import PartsList from './PartsList.svelte';
	import PiecesList from './PiecesList.svelte';
	import AddSection from './AddSection.svelte';
	import EntryLine from './EntryLine.svelte';
	import SectionHead from './SectionHead.svelte';
	import LayerRow, { type RowAct } from './LayerRow.svelte';
	import UprightPanel from './UprightPanel.svelte';

	interface Props {
		bench: Bench;
		/** Opens the plan of a row's places. */
		onplaces: (layer: string) => void;
	}
	let { bench, onplaces }: Props = $props();
	let entry = $state<ReturnType<typeof EntryLine>>();
	let panel = $state<HTMLElement>();
	/** What a row refuses, said beside it. */
	let refused = $state<{ id: string; say: string } | null>(null);

	const layers = $derived(stacksIn(bench.shown).flatMap(({ stack }) => stack.layers));
	/** Sections as they stand: the one that came last first on the screen. */
	const standing = $derived(bench.shown.sections.filter((s) => s.structure.kind !== 'extras').toReversed());
	/** One stack by itself needs no name; anything else says what it is. */
	const several = $derived(standing.length > 1 || standing.some((s) => s.structure.kind !== 'stack'));
	let dragged = $state.raw<{ section: string; rows: Layer[] } | null>(null);
	const rowsOf = (section: Section): readonly Layer[] => {
		if (dragged?.section === section.id) return dragged.rows;
		return section.structure.kind === 'stack' ? section.structure.layers.toReversed() : [];
	};
	const rowOf = $derived(new Map(layers.map((layer, row) => [layer.id, row])));

	const scale = $derived.by(() => {
		let widest = 1;
		let tallest = 1;
		for (const layer of layers) {
			let width = 0;
			for (const place of layer.clusters.flatMap((c) => c.places)) {
				const d = resolveSize(place.size, place.nominal).assumed;
				width += d * 0.78;
				tallest = Math.max(tallest, d);
			}
			widest = Math.max(widest, width);
		}
		return Math.min(124 / widest, 38 / tallest);
	});
	const heightOf = (id: string) => {
		const top = bench.tops.get(id);
		return bench.known && top !== undefined ? formatFeet(top as Millimetres) : '—';
	};
	const slots = $derived(bench.shown.slots);
	const colourway = $derived(bench.shown.colourways.find((c) => c.id === bench.chosen.id));
	/** Rows are dragged with a pointer: until one is over the panel, nothing is made ready for it. */
	let armed = $state(false);
	const zoneOf = (section: Section) =>
		armed &&
		fromAction(dragHandleZone, () => ({
			items: [...rowsOf(section)],
			type: section.id,
			flipDurationMs: 120,
			dropTargetStyle: {},
			zoneTabIndex: -1,
			zoneItemTabIndex: -1,
			autoAriaDisabled: true,
			dragDisabled: bench.ghost !== null
		}));
	const onTop = $derived(bench.entryIndex >= bench.layers.length);
	/** Row on whose top the entry line stands when it is not above all. */
	const below = $derived(onTop ? null : (bench.layers[bench.entryIndex - 1]?.id ?? null));
	const atFloor = $derived(!onTop && bench.entryIndex === 0);

	function select(section: string, layer: string) {
		bench.selected = layer;
		if (bench.current?.id !== section) bench.take(section);
	}
	function act(layer: Layer, what: RowAct) {
		refused = null;
		const { id } = layer;
		if (what === 'edit') {
			bench.startEditing(layer);
			entry?.focus();
		} else if (what === 'more' || what === 'fewer')
			bench.change((d) => repeatLayer(d, id, what === 'more' ? 1 : -1));
		else if (what === 'up' || what === 'down') bench.change((d) => moveLayer(d, id, what === 'up' ? 1 : -1));
		else if (what === 'copy')
			bench.change((d) => void (bench.selected = duplicateLayer(d, id, () => crypto.randomUUID()) ?? id));
		else if (what === 'remove') bench.change((d) => removeLayer(d, id));
		else if (what === 'places') onplaces(id);
		else if (what === 'level') {
			const say = bench.level(id);
			if (say) refused = { id, say };
		} else {
			const outcome = bench.resize(id, what === 'larger' ? 1 : -1);
			if (!outcome.ok) refused = { id, say: outcome.say };
		}
	}

	const KEYS: Record<string, RowAct> = {
		p: 'places',
		l: 'level',
		Enter: 'edit',
		'+': 'more',
		'=': 'more',
		'-': 'fewer',
		']': 'larger',
		'[': 'smaller',
		d: 'copy',
		Delete: 'remove',
		Backspace: 'remove'
	};
	async function keydown(event: KeyboardEvent, layer: Layer) {
		if (event.ctrlKey || event.metaKey) return;
		const up = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
		const what = up !== 0 && event.altKey ? (up > 0 ? 'up' : 'down') : KEYS[event.key];
		const all = bench.allRows;
		const row = rowOf.get(layer.id) ?? 0;
		if (what) {
			event.preventDefault();
			bench.selected = layer.id;
			act(layer, what);
			await tick();
			if (what === 'remove') focusRow(bench.allRows[Math.min(row, bench.allRows.length - 1)]?.id);
			else if (what !== 'edit') focusRow(bench.selected ?? layer.id);
		} else if (up !== 0) {
			event.preventDefault();
			focusRow(all[row + up]?.id);
		}
	}
	function focusRow(id: string | undefined) {
		const button = id && panel?.querySelector<HTMLButtonElement>(`[data-row="${CSS.escape(id)}"]`);
		if (button) {
			bench.selected = id;
			button.focus();
		} else entry?.focus();
	}
	/** What the pointer rests on, or the focus is on, stands out in the picture; passing over shows nothing. */
	let resting: ReturnType<typeof setTimeout> | undefined;
	function point(target: EventTarget | null, after: number) {
		clearTimeout(resting);
		const about = (target as Element | null)?.closest<HTMLElement>('[data-about]')?.dataset.about;
		if (about === undefined) {
			if (bench.pointed?.from === 'recipe') bench.pointed = null;
			return;
		}
		resting = setTimeout(() => (bench.pointed = { about, from: 'recipe' }), after);
	}
	/** Gives the focus back to a row, once what was opened from it is gone. */
	export function focusAt(row: string) {
		setTimeout(() => focusRow(row));
	}
	export function focusEntry() {
		entry?.focus();
	}

	/** The library's own events, which no element is typed to have. */
	const eventsOf = (section: string): object => ({
		onconsider: ({ detail }: CustomEvent<DndEvent<Layer>>) => (dragged = { section, rows: detail.items }),
		onfinalize: ({ detail }: CustomEvent<DndEvent<Layer>>) => {
			dragged = null;
			bench.change((d) => orderLayers(d, detail.items.map((l) => l.id).toReversed()));
		}
	});
	const upright = $derived(bench.stack?.upright);
	const foot = $derived.by(() => {
		const count = bench.tally.stacks.reduce((a, s) => a + s.placed.layers.length, 0);
		const layersSaid = count > 0 || bench.stack ? [`${count} ${count === 1 ? 'layer' : 'layers'}`] : [];
		const parts = [...layersSaid, `${bench.tally.bill.balloons} balloons`];
		if (upright && upright.kind !== 'none' && bench.placed) {
			const needed = bench.placed.upright.known ? formatFeet(bench.placed.upright.usual as Millimetres) : '—';
			parts.push(
				`${upright.kind} ${needed} of ${upright.length === null ? '—' : formatFeet(toMillimetres(upright.length))}`
			);
		}
		return parts.join(' · ');
	});
</script>

{#snippet entryLine(place: string)}
	<EntryLine
		bind:this={entry}
		{bench}
		{place}
		onmoved={() => void tick().then(() => entry?.focus())}
		onleave={(by) => focusRow(bench.layers[by > 0 ? bench.entryIndex : bench.entryIndex - 1]?.id)}
	/>
{/snippet}

<section
	class="panel"
	aria-label="Recipe"
	bind:this={panel}
	onpointermove={() => (armed = true)}
	onpointerover={(e) => point(e.target, 160)}
	onpointerleave={() => point(null, 0)}
	onfocusin={(e) => point(e.target, 0)}
	onfocusout={() => point(null, 0)}
	onkeydowncapture={() => (armed = false)}
>
	<div class="scroll" data-scroll>
		<div class="stand">
			{#each standing as section (section.id)}
				{@const inHand = bench.current?.id === section.id}
				{#if inHand && (onTop || bench.editing)}{@render entryLine('on top')}{/if}
				{#if several}<SectionHead {bench} {section} {inHand} />{/if}
				{#if section.structure.kind === 'stack' && !bench.folded.has(section.id)}
					<div
						class="rows"
						role="list"
						aria-label={section.name}
						{@attach zoneOf(section)}
						{...eventsOf(section.id)}
					>
						{#each rowsOf(section) as layer (layer.id)}
							<div role="listitem">
								{#if below === layer.id && !bench.editing}{@render entryLine('here')}{/if}
								<LayerRow
									{layer}
									row={rowOf.get(layer.id) ?? 0}
									{slots}
									{colourway}
									catalogue={bench.catalogue}
									{scale}
									height={heightOf(layer.id)}
									selected={bench.selected === layer.id}
									ghost={bench.ghost === layer.id}
									pointed={bench.pointed?.about === layer.id}
									onselect={() => select(section.id, layer.id)}
									onact={(what) => act(layer, what)}
									onkeydown={(event) => keydown(event, layer)}
								/>
								{#if refused?.id === layer.id}<p class="refused" role="alert">{refused.say}</p>{/if}
							</div>
						{/each}
					</div>
				{/if}
				{#if section.structure.kind === 'applied' && !bench.folded.has(section.id)}
					<PiecesList {bench} section={{ ...section, structure: section.structure }} />
				{/if}
				{#if (section.structure.kind === 'bunch' || section.structure.kind === 'form') && !bench.folded.has(section.id)}
					<PartsList
						{bench}
						section={{ ...section, structure: section.structure }}
						onedit={() => void tick().then(() => entry?.focus())}
					/>
				{/if}
				{#if (section.structure.kind === 'run' || section.structure.kind === 'weave') && !bench.folded.has(section.id)}
					<LinedList
						{bench}
						section={{ ...section, structure: section.structure }}
						onedit={() => void tick().then(() => entry?.focus())}
					/>
				{/if}
				{#if inHand && atFloor && !bench.editing}{@render entryLine('at the foot')}{/if}
			{/each}
		</div>
	</div>
	<div class="floor"><span>floor</span><span class="foot">{foot}</span></div>
	<div class="below">
		<div class="flex flex-wrap items-center gap-x-3">
			<UprightPanel {bench} />
			<AddSection {bench} />
		</div>
		<LinesList {bench} />
	</div>
</section>

<style>
	.panel {
		contain: layout paint;
		display: flex;
		min-height: 0;
		flex-direction: column;
		border: 1px solid var(--line);
		background: var(--paper);
	}
	.scroll {
		display: flex;
		min-height: 0;
		flex: 1;
		flex-direction: column-reverse;
		overflow-y: auto;
		scrollbar-width: thin;
	}
	.stand {
		padding-top: 12px;
	}
	.floor {
		display: flex;
		justify-content: space-between;
		gap: 12px;
		margin-left: 54px;
		border-top: 2px solid var(--ink);
		padding: 6px 12px 4px;
		font-size: 13.5px;
		color: var(--muted);
	}
	.foot {
		text-align: right;
	}
	.below {
		padding: 2px 12px 8px 66px;
		font-size: 13px;
	}
	.refused {
		padding: 2px 10px 6px 66px;
		font-size: 13px;
		color: var(--bad);
	}
</style>
