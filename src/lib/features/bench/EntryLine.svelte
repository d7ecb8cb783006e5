<script lang="ts">
	import { examplesOf } from '../../core/structures/registry/language.ts';
	import type { Bench } from './bench.svelte.ts';

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
						: `Enter puts it ${place}`
					: bench.text
						? ''
						: `goes ${place}`
	);
	/** Sentences come after Enter; while typing only a quiet start of one. */
	const trouble = $derived(bench.refusal);

	function keydown(event: KeyboardEvent) {
		if (event.key === 'Enter') {
			event.preventDefault();
			bench.enter();
			onmoved();
		} else if (event.key === 'Escape') bench.clearEntry();
		else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
			event.preventDefault();
			if (event.ctrlKey || event.metaKey) onleave(event.key === 'ArrowUp' ? 1 : -1);
			else if (!bench.editing) {
				bench.moveEntry(event.key === 'ArrowUp' ? 1 : -1);
				onmoved();
			}
		}
	}
</script>

<div class="entry">
	<input
		bind:this={input}
		bind:value={bench.text}
		oninput={() => (bench.refusal = '')}
		onkeydown={keydown}
		class="figures"
		type="text"
		autocomplete="off"
		autocapitalize="off"
		spellcheck="false"
		enterkeyhint="done"
		aria-label="Say a layer"
		aria-describedby="{id}-hint {id}-trouble"
		aria-invalid={trouble !== ''}
		placeholder={like}
	/>
	<span class="hint" id="{id}-hint">{hint}</span>
</div>
{#if bench.reads.length > 0 && bench.parsed?.ok}
	<p class="reads" id="{id}-reads" role="status">
		reads <span class="figures">{bench.reads.join(' · ')}</span>
	</p>
{/if}
<p class="trouble" id="{id}-trouble" role="alert" hidden={trouble === ''}>{trouble}</p>

<style>
	.entry {
		position: relative;
		margin: 8px 10px 8px 66px;
	}
	.reads {
		margin: -4px 10px 6px 66px;
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
	.trouble {
		margin: -2px 10px 8px 66px;
		font-size: 13px;
		line-height: 1.35;
		color: var(--bad);
	}
</style>
