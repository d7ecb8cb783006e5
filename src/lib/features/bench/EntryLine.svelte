<script lang="ts">
	import { examplesOf } from '../../core/structures/registry/language.ts';
	import type { Bench } from './bench.svelte.ts';
	import { EntryHelp } from './entry-help.svelte.ts';
	import Mic from '@lucide/svelte/icons/mic';
	import { pastedLines } from '../../core/language/plain/preview.ts';
	import EntryList from './EntryList.svelte';
	import PastedRecipe from './PastedRecipe.svelte';
	import { listen, recogniser } from './dictation.ts';
	import { onMount } from 'svelte';

	interface Props {
		bench: Bench;
		/** Where it goes, in words. */
		place: string;
		onleave: (by: -1 | 1) => void;
		/** The line may stand somewhere else now: the focus goes with it. */
		onmoved: () => void;
	}
	let { bench, place, onleave, onmoved }: Props = $props();
	let input = $state<HTMLInputElement>();
	const id = $props.id();
	// svelte-ignore state_referenced_locally
	const help = new EntryHelp(bench, () => place);

	export function focus() {
		input?.focus();
	}
	/** How a line of what is in hand begins; of a stack where nothing is. */
	const like = $derived(examplesOf(bench.current?.structure ?? { kind: 'stack' })[0]);
	/** Past this many characters a hint would stand on the words. */
	const ROOM = 23;
	const hint = $derived(
		bench.text.length > ROOM
			? ''
			: bench.editing
				? 'Enter changes the row'
				: bench.parsed?.ok
					? bench.parsed.value.kind === 'step'
						? 'Enter puts it on the plan'
						: bench.parsed.value.kind === 'becomes'
							? 'Enter changes it'
							: `Enter puts it ${place}`
					: bench.text
						? ''
						: `goes ${place}`
	);
	/** Sentences come after Enter; while typing only a quiet start of one. */
	const trouble = $derived(bench.refusal);
	const several = $derived(bench.recipe.sections.length > 1 || bench.editing || bench.editingPart);

	function keydown(event: KeyboardEvent) {
		if (event.key === 'Enter') {
			event.preventDefault();
			help.enter();
			onmoved();
		} else if (event.key === 'Escape') {
			if (!help.close()) bench.clearEntry();
		} else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
			event.preventDefault();
			if (event.ctrlKey || event.metaKey) onleave(event.key === 'ArrowUp' ? 1 : -1);
			else if (!help.move(event.key === 'ArrowUp' ? -1 : 1) && !bench.editing) {
				bench.moveEntry(event.key === 'ArrowUp' ? 1 : -1);
				onmoved();
			}
		}
	}
	/** Lines that were pasted at once, while it is asked what becomes of them. */
	let pasted = $state.raw<string[] | null>(null);
	function paste(event: ClipboardEvent) {
		const lines = pastedLines(event.clipboardData?.getData('text/plain') ?? '');
		if (lines.length < 2) return;
		event.preventDefault();
		help.close();
		pasted = lines;
	}
	let canListen = $state(false);
	let stop = $state.raw<(() => void) | null>(null);
	onMount(() => {
		canListen = recogniser() !== undefined;
		return () => stop?.();
	});
	function dictate() {
		if (stop) return stop();
		const before = bench.text === '' || bench.text.endsWith(' ') ? bench.text : `${bench.text} `;
		stop = listen(
			(text) => {
				bench.text = before + text;
				help.typed();
			},
			(why) => {
				stop = null;
				if (why) bench.refusal = why;
				input?.focus();
			}
		);
	}
	function press(act: () => void) {
		act();
		onmoved();
	}
</script>

<div class="entry">
	{#if several}<p class="where" id="{id}-where">{help.where}</p>{/if}
	<div class="line">
		<input
			bind:this={input}
			bind:value={bench.text}
			oninput={() => help.typed()}
			onkeydown={keydown}
			onblur={() => help.close()}
			onpaste={paste}
			class="figures"
			type="text"
			role="combobox"
			aria-expanded={help.suggestions.length > 0}
			aria-controls="{id}-list"
			aria-autocomplete="list"
			aria-activedescendant={help.active < 0 ? undefined : `${id}-option-${help.active}`}
			autocomplete="off"
			autocapitalize="off"
			spellcheck="false"
			enterkeyhint="done"
			aria-label="Say a layer"
			aria-describedby="{id}-where {id}-hint {id}-trouble"
			aria-invalid={trouble !== ''}
			placeholder={like}
		/>
		<span class="hint" class:beside={canListen} id="{id}-hint">{hint}</span>
		{#if canListen}
			<button
				type="button"
				class="mic"
				class:on={stop !== null}
				aria-pressed={stop !== null}
				aria-label={stop ? 'Stop listening' : 'Say it aloud'}
				title={stop
					? 'Stop listening'
					: 'Say it aloud. Your browser listens; some send what they hear to their maker.'}
				onclick={dictate}><Mic size={17} aria-hidden="true" /></button
			>
		{/if}
	</div>
	<EntryList {id} {help} anchor={input} ontake={(one) => press(() => help.take(one))} />
</div>
{#if pasted}<PastedRecipe {bench} texts={pasted} onclose={() => press(() => (pasted = null))} />{/if}
<!-- Its room is there from the first letter: the rows do not jump from key to key. -->
<p class="reads" id="{id}-reads" role="status" hidden={bench.text.trim() === ''}>{help.back}</p>
{#if help.asking}
	<div class="asks" role="alert">
		<span>That goes into <em>{help.elsewhere}</em>, not {bench.current?.name}.</span>
		<button type="button" onclick={() => press(() => help.put())}>into {help.elsewhere}</button>
		<button type="button" onclick={() => press(() => help.putApart())}>a new part of its own</button>
	</div>
{/if}
<div class="trouble" id="{id}-trouble" role="alert" hidden={trouble === ''}>
	{#if help.pieces.length > 0}
		<p class="figures typed">
			{#each help.pieces as { piece, missed }, i (i)}{#if missed}<u>{piece}</u>{:else}{piece}{/if}{/each}
		</p>
	{/if}
	<p>{trouble}</p>
	{#if help.offers.length > 0}
		<p class="offers">
			<span>This would work:</span>
			{#each help.offers as offer (offer.line)}
				<button type="button" class="figures" onclick={() => press(() => help.takeOffer(offer))}
					>{offer.line}</button
				>
			{/each}
		</p>
	{/if}
</div>

<style>
	.entry {
		margin: 8px 10px 8px 66px;
	}
	.line {
		position: relative;
	}
	.where {
		margin: 0 0 3px 2px;
		font-size: 12.5px;
		color: var(--muted);
	}
	.reads {
		contain: layout paint style;
		min-height: 1.4em;
		margin: -4px 10px 6px 68px;
		font-size: 13px;
		color: var(--muted);
	}
	input {
		width: 100%;
		height: 38px;
		border: 2px solid var(--ink);
		border-radius: 6px;
		background: var(--paper);
		padding: 0 10px;
		font-size: 14.5px;
	}
	input::placeholder {
		color: var(--muted);
		opacity: 0.75;
	}
	input:focus {
		outline: none;
		box-shadow: 0 0 0 2px var(--marker);
	}
	input[aria-invalid='true'] {
		border-color: var(--bad);
	}
	.hint {
		position: absolute;
		right: 10px;
		top: 10px;
		font-size: 12.5px;
		color: var(--muted);
		background: var(--paper);
		padding-left: 6px;
		pointer-events: none;
	}
	.beside {
		right: 44px;
	}
	.mic {
		position: absolute;
		right: 4px;
		top: 4px;
		display: grid;
		place-items: center;
		width: 32px;
		height: 30px;
		padding: 0;
		border-color: transparent;
		background: transparent;
		color: var(--muted);
	}
	.mic.on {
		background: var(--marker);
		color: var(--ink);
	}
	.trouble,
	.asks {
		margin: -2px 10px 8px 66px;
		font-size: 13px;
		line-height: 1.35;
	}
	.trouble {
		color: var(--bad);
	}
	.typed {
		color: var(--ink);
	}
	u {
		text-decoration: underline wavy var(--bad);
		text-underline-offset: 3px;
	}
	.offers,
	.asks {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 6px;
		color: var(--ink);
	}
	.offers {
		margin-top: 4px;
	}
	button {
		border: 1px solid var(--line);
		border-radius: 6px;
		background: var(--paper);
		padding: 3px 8px;
		color: var(--ink);
	}
	button:hover {
		background: var(--tint);
	}
	@media (pointer: coarse) {
		button {
			min-height: 44px;
		}
		/* As large as a finger, about the middle of a line that is lower. */
		.mic {
			right: 0;
			top: -3px;
			width: 44px;
		}
	}
</style>
