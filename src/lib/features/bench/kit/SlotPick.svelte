<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Slot } from '../../../core/document/slot.ts';
	import { slotFor } from '../../../core/recipe/draft.ts';
	import type { RecipeDraft } from '../../../core/recipe/draft.ts';
	import ColourPick from '../../colours/ColourPick.svelte';
	import type { Bench } from '../bench.svelte.ts';

	interface Props {
		bench: Bench;
		label: string;
		/** The slot it is now. */
		slot?: Slot | undefined;
		trigger: Snippet;
		/** Uses a slot in the same step in which it may be made. @param slotIn its id, in the recipe as it is changed */
		onpick: (slotIn: (draft: RecipeDraft) => string) => void;
	}
	let { bench, label, slot, trigger, onpick }: Props = $props();
	const fills = $derived(bench.chosen.fills);
	/** Colours the design has already come first: they stay one colour when it is changed. */
	function pick(colour: string) {
		const there = bench.recipe.slots.find((s) => fills[s.id] === colour);
		const name = bench.catalogue.colourNames.get(colour) ?? 'colour';
		const free = bench.recipe.slots.some((s) => s.name === name) ? `${name} again` : name;
		onpick((draft) => there?.id ?? slotFor(draft, () => crypto.randomUUID())({ name: free, colour }));
	}
</script>

<ColourPick
	{label}
	colours={bench.data.colours}
	materials={bench.data.materials}
	value={slot ? (fills[slot.id] ?? null) : null}
	first={bench.recipe.slots.flatMap((s) => (fills[s.id] ? [fills[s.id]!] : []))}
	{trigger}
	onpick={pick}
/>
