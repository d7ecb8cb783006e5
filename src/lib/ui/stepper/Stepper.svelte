<script lang="ts">
	import Minus from '@lucide/svelte/icons/minus';
	import Plus from '@lucide/svelte/icons/plus';
	import { tick } from 'svelte';

	interface Props {
		/** Said to screen readers: what it is the number of. */
		label: string;
		/** What stands there, as it is typed. */
		text: string;
		/** Attributes that tie it to a label and a message. */
		attributes?: { id?: string; 'aria-invalid'?: boolean; 'aria-describedby'?: string | undefined };
		/** A step up or down; of a drag, several. */
		onstep: (by: number) => void;
		/** Reads what was typed and uses it. @returns a sentence that says what to do, or nothing where it was used */
		onread: (text: string) => string;
		ontrouble?: (say: string) => void;
	}
	let { label, text, attributes = {}, onstep, onread, ontrouble }: Props = $props();
	let typed = $state<string | null>(null);
	/** Pixels of a drag for one step. */
	const PER_STEP = 14;
	let from: { x: number; done: number } | null = null;

	function read(input: HTMLInputElement) {
		const say = onread(input.value);
		typed = say ? input.value : null;
		ontrouble?.(say);
		if (!say) void tick().then(() => (input.value = text));
	}
	function step(by: number) {
		typed = null;
		ontrouble?.('');
		onstep(by);
	}
	function keydown(event: KeyboardEvent) {
		const by = { ArrowUp: 1, ArrowDown: -1, PageUp: 5, PageDown: -5 }[event.key];
		if (by === undefined) return;
		event.preventDefault();
		step(by);
	}
	function move(event: PointerEvent & { currentTarget: HTMLElement }) {
		if (!from) return;
		const steps = Math.trunc((event.clientX - from.x) / PER_STEP);
		if (steps === from.done) return;
		event.currentTarget.setPointerCapture(event.pointerId);
		step(steps - from.done);
		from.done = steps;
	}
</script>

<div class="stepper">
	<button type="button" aria-label="{label}: less" tabindex="-1" onclick={() => step(-1)}
		><Minus size={16} /></button
	>
	<input
		{...attributes}
		class="figures"
		aria-label={attributes.id ? undefined : label}
		value={typed ?? text}
		autocomplete="off"
		onchange={(e) => read(e.currentTarget)}
		onkeydown={keydown}
		onpointerdown={(e) => (from = { x: e.clientX, done: 0 })}
		onpointermove={move}
		onpointerup={() => (from = null)}
		onpointercancel={() => (from = null)}
	/>
	<button type="button" aria-label="{label}: more" tabindex="-1" onclick={() => step(1)}
		><Plus size={16} /></button
	>
</div>

<style>
	.stepper {
		display: grid;
		grid-template-columns: 36px minmax(0, 1fr) 36px;
		min-height: 36px;
		border: 1px solid color-mix(in srgb, var(--muted) 55%, var(--line));
		border-radius: 6px;
		background: var(--paper);
	}
	.stepper:has([aria-invalid='true']) {
		border-color: var(--bad);
	}
	button {
		display: grid;
		place-items: center;
	}
	button:hover {
		background: var(--tint);
	}
	input {
		min-width: 0;
		background: transparent;
		text-align: center;
		touch-action: pan-y;
		cursor: ew-resize;
	}
	input:focus {
		cursor: text;
	}
	@media (pointer: coarse) {
		.stepper {
			grid-template-columns: 48px minmax(0, 1fr) 48px;
		}
		button {
			min-height: 44px;
		}
	}
</style>
