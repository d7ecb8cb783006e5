<script lang="ts">
	import type { Snippet } from 'svelte';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';

	interface Props {
		/** What is asked for: in which colours and size, how many, as it was typed. */
		asked: {
			readonly id: string;
			readonly colourwayId: string;
			readonly sizeId: string;
			readonly typed: string;
			readonly trouble: string;
		};
		/** What the button does. */
		word: string;
		/** More to do, before the way back to the Bench. */
		children?: Snippet;
	}
	let { asked, word, children }: Props = $props();
</script>

<!-- How many of a design a page is about; colours and size stay as they were asked for. -->
<form class="no-print ml-auto flex items-end gap-2">
	<input type="hidden" name="colourway" value={asked.colourwayId} />
	<input type="hidden" name="size" value={asked.sizeId} />
	<Field label="How many" error={asked.trouble || undefined}>
		{#snippet children(attributes)}<input
				{...attributes}
				name="quantity"
				class="control figures w-20"
				value={asked.typed}
				inputmode="numeric"
			/>{/snippet}
	</Field>
	<Button type="submit">{word}</Button>
	{@render children?.()}
	<span data-asks="design"><Button kind="word" href="/bench/{asked.id}">Bench</Button></span>
</form>
