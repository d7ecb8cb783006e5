<script lang="ts">
	import type { DrawList } from '../../core/scene/draw-list.ts';
	import MiniPicture from '../picture/MiniPicture.svelte';

	interface Props {
		title: string;
		/** Null while it is not drawn yet. */
		list: DrawList | null;
		chosen: boolean;
		/** Starts with nothing at all. */
		empty?: boolean;
		/** Without it the tile sends its form. */
		onpick?: () => void;
	}
	let { title, list, chosen, empty = false, onpick }: Props = $props();
	const [WIDE, HIGH] = [92, 66];
	const scale = $derived(
		list ? Math.min((HIGH - 4) / Math.max(1, list.height), (WIDE - 12) / Math.max(1, 2 * list.halfWidth)) : 1
	);
</script>

<button
	type={onpick ? 'button' : 'submit'}
	class="tile"
	aria-pressed={onpick ? chosen : undefined}
	tabindex={chosen ? 0 : -1}
	onclick={onpick}
>
	<span class="drawn">
		{#if empty}<span class="blank" aria-hidden="true"></span>{:else}<MiniPicture
				{list}
				{scale}
				height={HIGH}
			/>{/if}
	</span>
	<span class="words">{title}</span>
</button>

<style>
	.tile {
		display: grid;
		grid-template-rows: 70px auto;
		justify-items: center;
		padding: 4px 2px 6px;
		border: 1px solid var(--line);
		border-radius: 6px;
		background: var(--paper);
		align-content: start;
	}
	.tile:hover {
		border-color: var(--ink);
	}
	.tile[aria-pressed='true'] {
		border: 2px solid var(--ink);
		padding: 3px 1px 5px;
	}
	.drawn {
		align-self: end;
		overflow: hidden;
		max-width: 100%;
	}
	.blank {
		display: block;
		width: 44px;
		height: 56px;
		border: 1.5px dashed var(--muted);
		border-radius: 4px;
	}
	.words {
		font-size: 13px;
		line-height: 1.15;
		text-align: center;
	}
	.tile[aria-pressed='true'] .words {
		font-weight: 600;
	}
</style>
