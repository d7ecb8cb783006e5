<script lang="ts">
	import type { Suggestion } from '../../core/language/suggest/next.ts';
	import type { EntryHelp } from './entry-help.svelte.ts';

	interface Props {
		id: string;
		help: EntryHelp;
		anchor: HTMLElement | undefined;
		ontake: (one: Suggestion) => void;
	}
	let { id, help, anchor, ontake }: Props = $props();
	let list = $state<HTMLElement>();
	/** Open for as long as somebody types: to come and go from key to key costs more than to be there unseen. */
	const open = $derived(help.wanted && anchor !== undefined);
	const bare = $derived(help.suggestions.length === 0);

	/** Below the line, or above it where there is no room: over everything, so that nothing cuts it off. */
	$effect(() => {
		if (!list || !anchor) return;
		if (!open) {
			if (list.matches(':popover-open')) list.hidePopover();
			return;
		}
		if (!list.matches(':popover-open')) list.showPopover();
		const { left, top, bottom, width } = anchor.getBoundingClientRect();
		const above = window.innerHeight - bottom < 240 && top > 240;
		list.style.left = `${left}px`;
		list.style.width = `${width}px`;
		list.style.top = above ? 'auto' : `${bottom + 3}px`;
		list.style.bottom = above ? `${window.innerHeight - top + 3}px` : 'auto';
	});
</script>

<ul
	class:bare-list={bare}
	bind:this={list}
	id="{id}-list"
	popover="manual"
	role="listbox"
	aria-label="What can come next"
>
	{#each help.suggestions as one, i (i)}
		<!-- Pressed while the line keeps the focus; by keys it is taken on the line itself. -->
		<!-- svelte-ignore a11y_click_events_have_key_events -->
		<li
			id="{id}-option-{i}"
			role="option"
			aria-selected={help.active === i}
			onpointerdown={(e) => e.preventDefault()}
			onclick={() => ontake(one)}
		>
			<i style={one.swatch ? `background:${one.swatch}` : ''} class:bare={!one.swatch}></i>
			<span class="figures">{one.shows}</span>
			<small>{one.what}</small>
		</li>
	{/each}
</ul>

<style>
	ul {
		contain: layout paint style;
		position: fixed;
		inset: auto;
		margin: 0;
		padding: 3px 0;
		list-style: none;
		border: 1px solid var(--line);
		border-radius: 6px;
		background: var(--paper);
		color: var(--ink);
		box-shadow: var(--shadow);
		font-size: 14px;
	}
	.bare-list {
		visibility: hidden;
	}
	li {
		display: flex;
		align-items: center;
		gap: 8px;
		min-height: 30px;
		padding: 0 10px;
		cursor: pointer;
	}
	li:hover,
	li[aria-selected='true'] {
		background: var(--tint);
	}
	i {
		flex: none;
		width: 14px;
		height: 14px;
		border: 1px solid var(--rim);
		border-radius: 50%;
	}
	.bare {
		visibility: hidden;
	}
	small {
		margin-left: auto;
		font-size: 12.5px;
		color: var(--muted);
	}
	@media (pointer: coarse) {
		li {
			min-height: 44px;
		}
	}
</style>
