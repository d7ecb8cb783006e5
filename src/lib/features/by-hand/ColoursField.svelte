<script lang="ts">
	import { ANY_COLOUR } from '../../core/document/slot.ts';
	import type { Asked } from '../../core/by-hand/asked.ts';
	import ColourChip from '../colours/ColourChip.svelte';
	import ColourName from '../colours/ColourName.svelte';
	import ColourPick from '../colours/ColourPick.svelte';
	import type { HandData } from './hand-data.ts';

	interface Props {
		field: Extract<Asked, { kind: 'colours' }>;
		value: readonly string[];
		data: HandData;
		onset: (value: readonly string[]) => void;
		/** What stands there while none is picked. */
		none?: string;
	}
	let { field, value, data, onset, none = 'open until the job' }: Props = $props();
	const id = $props.id();
	const byId = $derived(new Map(data.colours.map((c) => [c.id, c])));
	const nameOf = (colour: string) =>
		byId.get(colour)?.name ?? (colour === ANY_COLOUR ? ANY_COLOUR : 'not in the Stockroom');
	/** Where a place may be one that nobody sees. */
	const otherwise = $derived(data.unseen ? ([[ANY_COLOUR, 'any colour: nobody sees it']] as const) : []);
</script>

<div class="grid content-start gap-1" role="group" aria-labelledby="{id}-label">
	<span id="{id}-label" class="text-[13px] font-medium text-muted">{field.label}</span>
	<ol class="flex flex-wrap gap-1.5">
		{#each value as colour, index (index)}
			<li>
				<ColourChip
					out={value.length > 1 ? `Take ${nameOf(colour)} out` : ''}
					onout={() => onset(value.filter((_, i) => i !== index))}
				>
					<ColourPick
						label="Colour {index + 1}"
						colours={data.colours}
						materials={data.materials}
						value={colour}
						{otherwise}
						onpick={(picked) => onset(value.with(index, picked))}
					>
						{#snippet trigger()}<ColourName colour={byId.get(colour)} name={nameOf(colour)} />{/snippet}
					</ColourPick>
				</ColourChip>
			</li>
		{:else}
			<li class="self-center pr-2 text-muted">{none}</li>
		{/each}
		{#if value.length < field.most && data.colours.length > 0}
			<li>
				<ColourChip>
					<ColourPick
						label="Another colour"
						colours={data.colours}
						materials={data.materials}
						{otherwise}
						onpick={(picked) => onset([...value, picked])}
					>
						{#snippet trigger()}<ColourName colour={null} name="colour" />{/snippet}
					</ColourPick>
				</ColourChip>
			</li>
		{/if}
	</ol>
</div>
