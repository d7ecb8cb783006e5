<script lang="ts">
	import { tick } from 'svelte';
	import Field from '../field/Field.svelte';

	interface Props {
		label: string;
		/** What stands there now; typed text that could not be read stays until it can. */
		value: string;
		hint?: string;
		placeholder?: string;
		/** Reads what was typed and uses it. @returns a sentence that says what to do, or nothing where it was used */
		use: (text: string) => string;
	}
	let { label, value, hint = '', placeholder = '', use }: Props = $props();
	let typed = $state<string | null>(null);
	let trouble = $state('');

	function read(input: HTMLInputElement) {
		trouble = use(input.value);
		typed = trouble ? input.value : null;
		// What was used is shown as it is kept: “6 ft” as 6′ 0″, and nothing where the field only asks.
		if (!trouble) void tick().then(() => (input.value = value));
	}
</script>

<Field {label} error={trouble || undefined} {hint}>
	{#snippet children(attributes)}
		<input
			{...attributes}
			class="control figures w-full min-w-0"
			value={typed ?? value}
			{placeholder}
			onchange={(e) => read(e.currentTarget)}
			autocomplete="off"
		/>
	{/snippet}
</Field>
