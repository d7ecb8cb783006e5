<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import X from '@lucide/svelte/icons/x';
	import type { Asked } from '../../core/by-hand/asked.ts';
	import ColourPick from '../colours/ColourPick.svelte';
	import Swatch from '../colours/Swatch.svelte';
	import type { HandData } from './hand-data.ts';

	interface Props {
		field: Extract<Asked, { kind: 'colours' }>;
		value: readonly string[];
		data: HandData;
		onset: (value: readonly string[]) => void;
	}
	let { field, value, data, onset }: Props = $props();
	const id = $props.id();
	const byId = $derived(new Map(data.colours.map((c) => [c.id, c])));
	const nameOf = (colour: string) => byId.get(colour)?.name ?? 'not in the Stockroom';
</script>

<div class="grid content-start gap-1" role="group" aria-labelledby="{id}-label">
	<span id="{id}-label" class="text-[13px] font-medium text-muted">{field.label}</span>
	<ol class="flex flex-wrap gap-1.5">
		{#each value as colour, index (index)}
			<li class="chip">
				<ColourPick
					label="Colour {index + 1}"
					colours={data.colours}
					materials={data.materials}
					value={colour}
					onpick={(picked) => onset(value.map((c, i) => (i === index ? picked : c)))}
				>
					{#snippet trigger()}
						<span class="name"><Swatch colour={byId.get(colour)} size={22} />{nameOf(colour)}</span>
					{/snippet}
				</ColourPick>
				{#if value.length > 1}
					<button
						type="button"
						class="out"
						aria-label="Take {nameOf(colour)} out"
						onclick={() => onset(value.filter((_, i) => i !== index))}><X size={14} /></button
					>
				{/if}
			</li>
		{:else}
			<li class="self-center pr-2 text-muted">open until the job</li>
		{/each}
		{#if value.length < field.most && data.colours.length > 0}
			<li class="chip">
				<ColourPick
					label="Another colour"
					colours={data.colours}
					materials={data.materials}
					onpick={(picked) => onset([...value, picked])}
				>
					{#snippet trigger()}<span class="name"><Plus size={15} />colour</span>{/snippet}
				</ColourPick>
			</li>
		{/if}
	</ol>
</div>

<style>
	.chip {
		display: flex;
		align-items: stretch;
		border: 1px solid color-mix(in srgb, var(--muted) 55%, var(--line));
		border-radius: 6px;
		background: var(--paper);
	}
	.name {
		display: flex;
		align-items: center;
		gap: 7px;
		min-height: 34px;
		padding: 0 9px 0 6px;
	}
	.out {
		display: grid;
		place-items: center;
		width: 26px;
		border-left: 1px solid var(--line);
		color: var(--muted);
	}
	.out:hover {
		background: var(--tint);
		color: var(--ink);
	}
	@media (pointer: coarse) {
		.name {
			min-height: 44px;
		}
		.out {
			min-height: 44px;
			width: 44px;
		}
	}
</style>
