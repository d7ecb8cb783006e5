<script lang="ts">
	import type { Snippet } from 'svelte';
	import { removePart } from '../../../core/recipe/edit-parts.ts';
	import type { Bench } from '../bench.svelte.ts';

	interface Props {
		bench: Bench;
		/** What it is, for the picture; and what it is called. */
		part: { readonly id: string; readonly name: string };
		/** Its colour; null where it is drawn. */
		hex: string | null;
		/** Takes it out; null is said anew, and never taken out. */
		out?: (() => void) | null;
		/** What it says. */
		children: Snippet;
		panel?: Snippet | undefined;
	}
	let { bench, part, hex, out, children, panel }: Props = $props();
</script>

<!-- One piece, item or limb of a section: its colour, its words, what changes it. -->
<li
	data-about={part.id}
	class:pointed={bench.pointed?.about === part.id}
	class:ghost={bench.ghost === part.id}
>
	{#if hex !== null}<span
			class="dot"
			class:plain={hex === 'transparent' && out === null}
			style:background={hex}
			aria-hidden="true"
		></span>{/if}
	{@render children()}
	{@render panel?.()}
	{#if out !== null}
		<button
			type="button"
			class="quiet-link"
			aria-label="Take out {part.name}"
			onclick={out ?? (() => bench.change((d) => removePart(d, part.id)))}>out</button
		>
	{/if}
</li>

<style>
	li {
		display: flex;
		align-items: center;
		gap: 8px;
		min-height: 28px;
		padding: 1px 10px 1px 12px;
		font-size: 13px;
	}
	.pointed {
		background: var(--tint);
	}
	/** Said, not yet put there. */
	.ghost {
		font-style: italic;
	}
	.dot {
		flex: none;
		width: 10px;
		height: 10px;
		border-radius: 50%;
		border: 1px solid rgb(27 35 51 / 0.25);
	}
	.plain {
		border-color: transparent;
	}
</style>
