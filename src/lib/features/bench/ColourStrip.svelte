<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import ColourPick from '../colours/ColourPick.svelte';
	import Swatch from '../colours/Swatch.svelte';
	import type { Frame } from '../picture/Picture.svelte';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
		frame: Frame;
	}
	let { bench, frame }: Props = $props();
	/** Colours brought here besides those of the design. */
	let brought = $state.raw<readonly string[]>([]);
	const colours = $derived([
		...new Set([...bench.recipe.slots.flatMap((s) => bench.chosen.fills[s.id] ?? []), ...brought])
	]);
	let dragged = $state.raw<{ colour: string; x: number; y: number; moved: boolean } | null>(null);
	const nameOf = (colour: string) => bench.catalogue.colourNames.get(colour) ?? 'colour';

	function down(event: PointerEvent & { currentTarget: HTMLElement }, colour: string) {
		if (event.button !== 0) return;
		event.currentTarget.setPointerCapture(event.pointerId);
		const { x, y } = frame.at(event);
		dragged = { colour, x, y, moved: false };
	}
	function move(event: PointerEvent) {
		if (!dragged) return;
		const { x, y, about } = frame.at(event);
		const moved = dragged.moved || Math.hypot(x - dragged.x, y - dragged.y) > 5;
		if (!moved) return;
		dragged = { ...dragged, x, y, moved };
		bench.pointed = about === null ? null : { about, from: 'keys' };
	}
	function up(event: PointerEvent) {
		const was = dragged;
		dragged = null;
		if (!was?.moved) return;
		bench.pointed = null;
		const at = frame.at(event);
		if (at.about !== null) bench.hands.drop(was.colour, at.about, at);
	}
	/** Pressed, it is for what is held. */
	function press(colour: string) {
		if (bench.hands.held) bench.hands.dropped = colour;
		else said = true;
	}
	let said = $state(false);
</script>

{#if bench.recipe.slots.length > 0}
	<div class="strip" role="group" aria-label="Colours to drop on the picture">
		{#each colours as colour (colour)}
			<button
				type="button"
				title="{nameOf(colour)}: drag it onto a balloon"
				aria-label="{nameOf(colour)}, for what is pressed in the picture"
				onpointerdown={(e) => down(e, colour)}
				onpointermove={move}
				onpointerup={up}
				onpointercancel={() => (dragged = null)}
				onclick={() => press(colour)}
				><Swatch colour={bench.catalogue.colours.get(colour)} size={20} /></button
			>
		{/each}
		<ColourPick
			label="Another colour to drop"
			colours={bench.data.colours}
			materials={bench.data.materials}
			first={colours}
			onpick={(colour) => {
				if (!colours.includes(colour)) brought = [...brought, colour];
				if (bench.hands.held) bench.hands.dropped = colour;
			}}
		>
			{#snippet trigger()}<span class="plus"><Plus size={15} aria-hidden="true" /></span>{/snippet}
		</ColourPick>
	</div>
	{#if said && !bench.hands.held}
		<p class="hint" role="status">Drag it onto a balloon, or press a balloon first.</p>
	{/if}
	{#if dragged?.moved}
		<span class="drop" style:left="{dragged.x}px" style:top="{dragged.y}px"
			><Swatch colour={bench.catalogue.colours.get(dragged.colour)} size={26} /></span
		>
	{/if}
{/if}

<style>
	.strip {
		position: absolute;
		top: 6px;
		right: 10px;
		display: flex;
		max-width: 70%;
		flex-wrap: wrap;
		justify-content: flex-end;
	}
	button,
	.plus {
		display: grid;
		width: 28px;
		height: 28px;
		place-items: center;
		touch-action: none;
		cursor: grab;
	}
	.plus {
		color: var(--muted);
		cursor: pointer;
	}
	.hint {
		position: absolute;
		top: 38px;
		right: 12px;
		font-size: 13px;
		color: var(--muted);
	}
	.drop {
		position: absolute;
		margin: -13px 0 0 -13px;
		pointer-events: none;
	}
	@media (pointer: coarse) {
		button,
		.plus {
			width: 44px;
			height: 44px;
		}
	}
</style>
