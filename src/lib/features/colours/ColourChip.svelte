<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import type { Snippet } from 'svelte';

	interface Props {
		/** What takes it out, said to screen readers; without it it stays. */
		out?: string;
		onout?: () => void;
		/** What it is picked with. */
		children: Snippet;
	}
	let { out, onout, children }: Props = $props();
</script>

<span class="chip">
	{@render children()}
	{#if out}<button type="button" aria-label={out} onclick={onout}><X size={14} /></button>{/if}
</span>

<style>
	.chip {
		display: inline-flex;
		align-items: stretch;
		border: 1px solid color-mix(in srgb, var(--muted) 55%, var(--line));
		border-radius: 6px;
		background: var(--paper);
	}
	button {
		display: grid;
		place-items: center;
		width: 26px;
		border-left: 1px solid var(--line);
		color: var(--muted);
	}
	button:hover {
		background: var(--tint);
		color: var(--ink);
	}
	@media (pointer: coarse) {
		button {
			min-height: 44px;
			width: 44px;
		}
	}
</style>
