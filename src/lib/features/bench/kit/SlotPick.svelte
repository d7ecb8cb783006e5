<script lang="ts">
	import type { Snippet } from 'svelte';
	import { ANY_COLOUR, type Slot } from '../../../core/document/slot.ts';
	import { colourRef, slotFor, type RecipeDraft } from '../../../core/recipe/draft.ts';
	import ColourPick from '../../colours/ColourPick.svelte';
	import type { Bench } from '../bench.svelte.ts';

	interface Props {
		bench: Bench;
		label: string;
		/** The slot it is now. */
		now?: Slot | undefined;
		trigger: Snippet;
		/** Uses a slot in the same step in which it may be made. @param slotIn its id, in the recipe as it is changed */
		onpick: (slotIn: (draft: RecipeDraft) => string) => void;
	}
	let { bench, label, now, trigger, onpick }: Props = $props();
	const fills = $derived(bench.chosen.fills);
	/** Colours the design has already come first: they stay one colour when it is changed. */
	function pick(colour: string) {
		const name = bench.catalogue.colourNames.get(colour) ?? 'colour';
		onpick((draft) =>
			slotFor(draft, () => crypto.randomUUID())(colourRef(draft.slots, fills, { colour, name }))
		);
	}
</script>

<ColourPick
	{label}
	colours={bench.data.colours}
	materials={bench.data.materials}
	value={now ? (fills[now.id] ?? null) : null}
	first={bench.recipe.slots.flatMap((s) => (fills[s.id] ? [fills[s.id]!] : []))}
	otherwise={[[ANY_COLOUR, 'any colour: nobody sees it']]}
	{trigger}
	onpick={pick}
/>
