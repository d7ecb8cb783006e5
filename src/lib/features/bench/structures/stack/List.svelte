<script lang="ts">
	import { copyPart, repeatPart } from '../../../../core/recipe/edit-parts.ts';
	import { tick } from 'svelte';
	import type { Mutable } from '../../../../core/document/mutable.ts';
	import { palette } from '../../../../core/materials/palette.ts';
	import { slotFor, type RecipeDraft } from '../../../../core/recipe/draft.ts';
	import { newRow } from '../../../../core/structures/stack/row-fields.ts';
	import { fromAction } from 'svelte/attachments';
	import { dragHandleZone, type DndEvent } from 'svelte-dnd-action';
	import {
		moveLayer,
		orderLayers,
		removeLayer,
		stackOf,
		stacksIn
	} from '../../../../core/structures/stack/edit.ts';
	import type { Layer, Stack } from '../../../../core/structures/stack/document.ts';
	import { formatFeet, type Millimetres } from '../../../../core/units/length.ts';
	import type { ListProps } from '../screen.ts';
	import { glyphScale } from './glyph-scale.ts';
	import RowForm from './RowForm.svelte';
	import LayerRow, { type RowAct } from './LayerRow.svelte';

	let { bench, section, kit }: ListProps<Stack> = $props();
	const newId = () => crypto.randomUUID();
	/** What a row refuses, said beside it. */
	let refused = $state<{ id: string; say: string } | null>(null);
	let dragged = $state.raw<Layer[] | null>(null);
	const rows = $derived<readonly Layer[]>(dragged ?? section.structure.layers.toReversed());
	const layers = $derived(stacksIn(bench.shown).flatMap(({ stack }) => stack.layers));
	/** Rows are numbered through the whole design. */
	const rowOf = $derived(new Map(layers.map((layer, row) => [layer.id, row])));
	/** How often each row is repeated in the size in hand; in none, as it is said. */
	const built = $derived(
		bench.inSize
			? new Map(stacksIn(bench.tally.built).flatMap(({ stack }) => stack.layers.map((l) => [l.id, l.repeat])))
			: null
	);
	const scale = $derived(glyphScale(layers));
	const colourway = $derived(bench.shown.colourways.find((c) => c.id === bench.chosen.id));
	const heightOf = (id: string) => {
		const top = bench.tops.get(id);
		return bench.known && top !== undefined ? formatFeet(top as Millimetres) : '—';
	};
	/** Row on whose top the entry line stands when it is not above all. */
	const below = $derived(
		bench.editing || bench.current?.id !== section.id || bench.entryIndex >= bench.layers.length
			? null
			: (bench.layers[bench.entryIndex - 1]?.id ?? null)
	);

	/** Until a pointer is over the panel, nothing is made ready for dragging. */
	const zone = $derived(
		kit.armed &&
			fromAction(dragHandleZone, () => ({
				items: [...rows],
				type: section.id,
				flipDurationMs: 120,
				dropTargetStyle: {},
				zoneTabIndex: -1,
				zoneItemTabIndex: -1,
				autoAriaDisabled: true,
				dragDisabled: bench.ghost !== null
			}))
	);
	/** The library's own events, which no element is typed to have. */
	const events: object = {
		onconsider: ({ detail }: CustomEvent<DndEvent<Layer>>) => (dragged = detail.items),
		onfinalize: ({ detail }: CustomEvent<DndEvent<Layer>>) => {
			dragged = null;
			bench.change((d) => orderLayers(d, detail.items.map((l) => l.id).toReversed()));
		}
	};

	/** Row whose fields are open below it. */
	let opened = $state<string | null>(null);
	/** Pressed, a row is in hand with its fields; pressed again they are folded away. */
	function press(layer: string) {
		opened = opened === layer && bench.selected === layer ? null : layer;
		select(layer);
	}
	/** A row on top, like the one below it, with its fields open. */
	function add() {
		let made: string | undefined;
		bench.change((d) => {
			const stack = stackOf(d, section.id);
			if (!stack) return;
			const row = newRow(stack as Stack, firstSlot(d), newId);
			stack.layers.push(row as Mutable<Layer>);
			made = row.id;
		});
		if (made === undefined) return;
		opened = made;
		select(made);
	}
	/** The first colour of the design; of one without, the first of the Stockroom. */
	function firstSlot(draft: RecipeDraft): string {
		const [slot] = draft.slots;
		const [colour] = palette(bench.data.colours, bench.data.materials).stocked;
		if (slot) return slot.id;
		if (colour) return slotFor(draft, newId)({ name: colour.name, colour: colour.id });
		const open = { id: newId(), name: 'main', role: null };
		draft.slots.push(open);
		return open.id;
	}
	function select(layer: string) {
		bench.selected = layer;
		if (bench.current?.id !== section.id) bench.take(section.id);
	}
	/** What each does; it answers in words where it refuses. */
	const ACTS: Readonly<Record<RowAct, (layer: Layer) => string | undefined>> = {
		edit(layer) {
			bench.startEditing(layer);
			kit.focusEntry();
		},
		more: ({ id }) => void bench.change((d) => repeatPart(d, id, 1)),
		fewer: ({ id }) => void bench.change((d) => repeatPart(d, id, -1)),
		up: ({ id }) => void bench.change((d) => moveLayer(d, id, 1)),
		down: ({ id }) => void bench.change((d) => moveLayer(d, id, -1)),
		copy: ({ id }) => void bench.change((d) => void (bench.selected = copyPart(d, id, newId) ?? id)),
		remove: ({ id }) => void bench.change((d) => removeLayer(d, id)),
		places: ({ id }) => void kit.places(id),
		level: ({ id }) => bench.level(id),
		larger: ({ id }) => resized(id, 1),
		smaller: ({ id }) => resized(id, -1)
	};
	function resized(id: string, halves: number): string | undefined {
		const outcome = bench.resize(id, halves);
		return outcome.ok ? undefined : outcome.say;
	}
	function act(layer: Layer, what: RowAct) {
		const say = ACTS[what](layer);
		refused = say ? { id: layer.id, say } : null;
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
			if (what === 'remove') kit.focusRow(bench.allRows[Math.min(row, bench.allRows.length - 1)]?.id);
			else if (what !== 'edit') kit.focusRow(bench.selected ?? layer.id);
		} else if (up !== 0) {
			event.preventDefault();
			kit.focusRow(all[row + up]?.id);
		}
	}
</script>

{#if bench.current?.id === section.id && !bench.ghost}
	<p class="add">
		<button type="button" class="quiet-link" onclick={add}>add a row</button>
	</p>
{/if}
<div role="list" aria-label={section.name} {@attach zone} {...events}>
	{#each rows as layer (layer.id)}
		<div role="listitem">
			{#if below === layer.id}{@render kit.entryLine('here')}{/if}
			<!-- Above it: rows stand on the floor, so that the one that was pressed stays where it is. -->
			{#if opened === layer.id && bench.selected === layer.id && bench.ghost !== layer.id}<RowForm
					{bench}
					{layer}
					rows={section.structure.layers}
					onact={(what) => act(layer, what)}
				/>{/if}
			<LayerRow
				{layer}
				row={rowOf.get(layer.id) ?? 0}
				rows={section.structure.layers}
				sections={bench.recipe.sections}
				slots={bench.shown.slots}
				{colourway}
				catalogue={bench.catalogue}
				{scale}
				height={heightOf(layer.id)}
				repeat={built?.get(layer.id) ?? layer.repeat}
				selected={bench.selected === layer.id}
				ghost={bench.ghost === layer.id}
				pointed={bench.pointed?.about === layer.id}
				opened={opened === layer.id}
				onselect={() => press(layer.id)}
				onact={(what) => act(layer, what)}
				onkeydown={(event) => keydown(event, layer)}
			/>
			{#if refused?.id === layer.id}<p class="refused" role="alert">{refused.say}</p>{/if}
		</div>
	{/each}
</div>

<style>
	.add {
		padding: 0 10px 4px 66px;
		font-size: 13px;
	}
	.refused {
		padding: 2px 10px 6px 66px;
		font-size: 13px;
		color: var(--bad);
	}
</style>
