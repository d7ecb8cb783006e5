<script lang="ts">
	import { formatInches, type Micrometres } from '../../core/units/length.ts';

	interface Props {
		bags: readonly Micrometres[];
		/** The bag it is now; null is none, undefined several. */
		value: Micrometres | null | undefined;
		/** What is said where there may be none; without it one must be. */
		none?: string | undefined;
		onpick: (bag: Micrometres | null) => void;
	}
	let { bags, value, none, onpick }: Props = $props();
</script>

<div class="bags" role="group" aria-label="Size on the bag">
	{#if none !== undefined}
		<button type="button" aria-pressed={value === null} title={none} onclick={() => onpick(null)}>none</button
		>
	{/if}
	{#each bags as bag (bag)}
		<button type="button" aria-pressed={value === bag} onclick={() => onpick(bag)}>{formatInches(bag)}</button
		>
	{/each}
</div>

<style>
	.bags {
		display: flex;
		flex-wrap: wrap;
		border: 1px solid color-mix(in srgb, var(--muted) 55%, var(--line));
		border-radius: 6px;
		overflow: hidden;
	}
	button {
		min-width: 28px;
		min-height: 36px;
		padding: 0 5px;
		background: var(--paper);
		font: 400 13.5px var(--font-mono);
	}
	button:hover {
		background: var(--tint);
	}
	button[aria-pressed='true'] {
		background: var(--ink);
		color: var(--on-ink);
	}
	@media (pointer: coarse) {
		button {
			min-width: 44px;
			min-height: 44px;
		}
	}
</style>
