<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import Copy from '@lucide/svelte/icons/copy';
	import Minus from '@lucide/svelte/icons/minus';
	import Move from '@lucide/svelte/icons/move';
	import Plus from '@lucide/svelte/icons/plus';
	import RotateCw from '@lucide/svelte/icons/rotate-cw';
	import Trash from '@lucide/svelte/icons/trash';
	import X from '@lucide/svelte/icons/x';
	import { onMount } from 'svelte';
	import {
		countOfHeld,
		hostOfHeld,
		isPart,
		repeatOfHeld,
		type Held,
		type Reach
	} from '../../core/recipe/held.ts';
	import HandPanel from './HandPanel.svelte';
	import ColourPick from '../colours/ColourPick.svelte';
	import Swatch from '../colours/Swatch.svelte';
	import type { Frame } from '../picture/Picture.svelte';
	import type { Bench } from './bench.svelte.ts';
	import type { At } from './hands.svelte.ts';
	import { aboutWords } from './section-words.ts';

	interface Props {
		bench: Bench;
		frame: Frame;
		held: Held & At;
		/** The focus goes back to the picture. */
		onback: () => void;
	}
	let { bench, frame, held, onback }: Props = $props();
	const hands = $derived(bench.hands);
	let bar = $state<HTMLElement>();
	const words = $derived(aboutWords(held.about, bench.shownByColour, bench.served));
	const count = $derived(countOfHeld(bench.recipe, held));
	const repeat = $derived(repeatOfHeld(bench.recipe, held));
	const part = $derived(isPart(bench.recipe, held));
	const fill = $derived(held.slot === null ? null : (bench.chosen.fills[held.slot] ?? null));
	const nameOf = (colour: string | null) => bench.catalogue.colourNames.get(colour ?? '') ?? 'open';
	/** How far it goes, in words. */
	const REACHES = $derived<readonly (readonly [Reach, string])[]>([
		...(held.place === null ? [] : [['balloon', 'this balloon'] as const]),
		['part', held.place === null ? (part ? 'this piece' : 'all of it') : 'this row'],
		...(held.slot === null ? [] : [['all', `all ${nameOf(fill)}`] as const])
	]);
	/** What a piece would sit on here. */
	const host = $derived(hostOfHeld(bench.recipe, held, hands.reach));
	const sized = $derived(hands.reach !== 'all');

	onMount(() => {
		// Opened by a key it goes on by keys.
		if (bench.pointed?.from === 'keys') bar?.querySelector('button')?.focus();
	});
	function close() {
		hands.putDown();
		onback();
	}
	function keydown(event: KeyboardEvent) {
		if (event.key !== 'Escape' || event.defaultPrevented) return;
		event.preventDefault();
		close();
	}
	/** Dragged by its handle to another place: what is there is shown while it is over it. */
	let moving = $state(false);
	function down(event: PointerEvent & { currentTarget: HTMLElement }) {
		if (event.button !== 0) return;
		event.currentTarget.setPointerCapture(event.pointerId);
		moving = true;
	}
	function move(event: PointerEvent) {
		if (!moving) return;
		const { about } = frame.at(event);
		bench.pointed = about === null ? null : { about, from: 'keys' };
	}
	function up(event: PointerEvent) {
		if (!moving) return;
		moving = false;
		bench.pointed = null;
		const at = frame.at(event);
		if (at.about !== null && at.about !== held.about) hands.letGo(hands.pressed(at.about, at));
	}
	const WIDE = 336;
	const left = $derived(Math.max(6, Math.min(frame.width - WIDE - 6, held.x + (held.x > frame.width / 2 ? -WIDE - 24 : 24)))); // prettier-ignore
	const top = $derived(Math.max(44, Math.min(frame.height - 190, held.y - 60)));
</script>

{#snippet steps(label: string, text: string, onstep: (by: number) => void, off = false)}
	<span class="steps" role="group" aria-label={label}>
		<button type="button" aria-label="{label}: less" disabled={off} onclick={() => onstep(-1)}
			><Minus size={15} aria-hidden="true" /></button
		><span class="figures">{text}</span><button
			type="button"
			aria-label="{label}: more"
			disabled={off}
			onclick={() => onstep(1)}><Plus size={15} aria-hidden="true" /></button
		>
	</span>
{/snippet}

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<div
	class="bar"
	class:moving
	role="group"
	aria-label="What is pressed: {words}"
	bind:this={bar}
	style:--left="{left}px"
	style:--top="{top}px"
	style:--wide="{WIDE}px"
	onkeydown={keydown}
>
	<p class="line">
		<span class="words figures">{words}</span>
		<button type="button" aria-label="Put it down (Esc)" title="Esc" onclick={close}><X size={16} /></button>
	</p>
	{#if hands.dropped !== null}
		{@const colour = hands.dropped}
		<p class="line">
			<Swatch colour={bench.catalogue.colours.get(colour)} size={20} />
			<span class="words">{nameOf(colour)} for …</span>
		</p>
		<p class="line" role="group" aria-label="How far {nameOf(colour)} goes">
			{#each REACHES as [reach, says] (reach)}
				<button
					type="button"
					class="choice"
					disabled={held.slot === null && reach !== 'balloon'}
					onclick={() => hands.colour(colour, reach)}>{says}</button
				>
			{/each}
		</p>
	{:else}
		<p class="line" role="group" aria-label="How far it goes">
			{#each REACHES as [reach, says] (reach)}
				<button
					type="button"
					class="choice"
					aria-pressed={hands.reach === reach}
					onclick={() => (hands.reach = reach)}>{says}</button
				>
			{/each}
		</p>
		<p class="line">
			{@render steps('Size, half an inch', 'size', hands.resize, !sized)}
			{#if held.slot !== null}
				<ColourPick
					label="Its colour"
					colours={bench.data.colours}
					materials={bench.data.materials}
					value={fill}
					first={bench.recipe.slots.flatMap((s) => bench.chosen.fills[s.id] ?? [])}
					onpick={(colour) => hands.colour(colour)}
				>
					{#snippet trigger()}<span class="colour"
							><Swatch colour={bench.catalogue.colours.get(fill ?? '')} size={20} /></span
						>{/snippet}
				</ColourPick>
			{/if}
			{#if count !== undefined}{@render steps('How many', String(count), hands.count)}{/if}
			{#if repeat !== undefined}{@render steps('Layers alike', `×${repeat}`, hands.repeat)}{/if}
		</p>
		<p class="line">
			{#if part}
				<button type="button" aria-label="Copy above" title="Copy above" onclick={hands.copy}
					><Copy size={16} /></button
				>
				<button type="button" aria-label="Move up" title="Move up" onclick={() => hands.move(1)}
					><ArrowUp size={16} /></button
				>
				<button type="button" aria-label="Move down" title="Move down" onclick={() => hands.move(-1)}
					><ArrowDown size={16} /></button
				>
				<button
					type="button"
					class="handle"
					aria-label="Drag it to another place"
					title="Drag it to another place"
					onpointerdown={down}
					onpointermove={move}
					onpointerup={up}
					onpointercancel={() => (moving = false)}><Move size={16} /></button
				>
			{/if}
			{#if held.place !== null}
				<button
					type="button"
					aria-label="Turn this balloon to the front"
					title="Turn this balloon to the front"
					onclick={hands.front}><RotateCw size={16} /></button
				>
			{/if}
			{#if host}<HandPanel {bench} section={{ name: words, structure: { kind: 'applied' } }} on={host} />{/if}
			<button
				type="button"
				class="ml-auto"
				aria-label="Take it out"
				title="Take it out"
				onclick={() => {
					hands.remove();
					onback();
				}}><Trash size={16} /></button
			>
		</p>
	{/if}
	{#if hands.say}<p class="bad" role="alert">{hands.say}</p>{/if}
</div>

<style>
	.bar {
		position: absolute;
		left: var(--left);
		top: var(--top);
		z-index: 5;
		display: grid;
		width: var(--wide);
		gap: 2px;
		padding: 4px 6px 6px;
		border: 1px solid var(--line);
		background: var(--paper);
		box-shadow: var(--shadow);
		font-size: 13px;
	}
	/* While it is dragged by its handle it lets see what is below. */
	.moving {
		opacity: 0.25;
	}
	.line {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 4px;
	}
	.words {
		min-width: 0;
		flex: 1;
		padding-left: 4px;
	}
	button,
	.colour {
		display: grid;
		min-width: 32px;
		min-height: 32px;
		place-items: center;
		border-radius: var(--radius-control);
	}
	button:hover:not(:disabled),
	.colour:hover {
		background: var(--tint);
	}
	button:disabled {
		opacity: 0.35;
	}
	.choice {
		padding: 0 8px;
		border: 1px solid var(--line);
	}
	.choice[aria-pressed='true'] {
		color: var(--on-ink);
		background: var(--ink);
	}
	.steps {
		display: inline-flex;
		align-items: center;
	}
	.steps .figures {
		min-width: 24px;
		text-align: center;
	}
	.steps button {
		min-width: 30px;
	}
	.handle {
		touch-action: none;
		cursor: grab;
	}
	.bad {
		padding: 0 4px;
		color: var(--bad);
	}
	@media (pointer: coarse) {
		button,
		.colour {
			min-width: 44px;
			min-height: 44px;
		}
	}
	@media (max-width: 640px) {
		/* At the foot of the screen: the picture stays in sight. */
		.bar {
			position: fixed;
			inset: auto 0 52px 0;
			z-index: 20;
			width: auto;
		}
		.steps button {
			min-width: 40px;
		}
	}
</style>
