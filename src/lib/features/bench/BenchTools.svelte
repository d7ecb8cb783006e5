<script lang="ts">
	import Redo from '@lucide/svelte/icons/redo-2';
	import Undo from '@lucide/svelte/icons/undo-2';
	import Button from '../../ui/button/Button.svelte';
	import Popover from '../../ui/popover/Popover.svelte';
	import type { Bench } from './bench.svelte.ts';
	import DesignPanel from './DesignPanel.svelte';

	interface Props {
		bench: Bench;
		isMac: boolean;
		/** Whether there is something to keep, and it is not being kept just now. */
		keepable: boolean;
		onkeep: (next: 'stay' | 'quote') => void;
	}
	let { bench, isMac, keepable, onkeep }: Props = $props();
	/** Other pages of this design, in the colours and the size in hand. */
	const PAGES = [
		['versions', 'Versions'],
		['lists', 'Lists'],
		['plan', 'Steps']
	] as const;
	const asked = $derived(`?colourway=${bench.chosen.id}${bench.inSize ? `&size=${bench.inSize.id}` : ''}`);
</script>

{#snippet pages()}
	{#each PAGES as [page, word] (page)}
		<a class="quiet-link px-1" href="/bench/{bench.id}/{page}{page === 'versions' ? '' : asked}">{word}</a>
	{/each}
{/snippet}
<div class="tools">
	<button
		type="button"
		class="tool"
		disabled={!bench.canUndo}
		onclick={() => bench.undo()}
		title="Undo ({isMac ? '⌘' : 'Ctrl '}Z)"
		aria-label="Undo"><Undo size={17} /></button
	>
	<button
		type="button"
		class="tool"
		disabled={!bench.canRedo}
		onclick={() => bench.redo()}
		title="Redo"
		aria-label="Redo"><Redo size={17} /></button
	>
	<DesignPanel {bench} />
	<span class="inline">{@render pages()}</span>
	<!-- What is rare is folded into one word where there is less room. -->
	<span class="folded"
		><Popover label="More of this design" width={220}
			>{#snippet trigger()}<span class="quiet-link">more</span>{/snippet}
			<div class="grid gap-1 [&>a]:min-h-[44px] [&>a]:content-center">{@render pages()}</div></Popover
		></span
	>
	<Button onclick={() => onkeep('stay')} disabled={!keepable}>Keep</Button>
	<Button kind="strong" onclick={() => onkeep('quote')} disabled={!keepable}>Quote this</Button>
</div>

<style>
	.tools {
		display: flex;
		flex: none;
		align-items: center;
		gap: 8px;
		margin-left: auto;
		white-space: nowrap;
	}
	.tool {
		display: grid;
		place-items: center;
		width: 32px;
		height: 32px;
		border-radius: 6px;
	}
	.tool:hover {
		background: var(--tint);
	}
	.tool:disabled {
		opacity: 0.35;
	}
	.folded {
		display: none;
	}
	.inline {
		display: contents;
	}
	@media (max-width: 1100px) {
		.tools {
			flex: 0 1 auto;
		}
		.inline {
			display: none;
		}
		.folded {
			display: inline;
		}
	}
	@media (max-width: 640px) {
		.tools {
			gap: 4px;
		}
		.tool {
			width: 40px;
			height: 44px;
		}
	}
</style>
