<script lang="ts">
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

	function read(text: string) {
		trouble = use(text);
		typed = trouble ? text : null;
	}
</script>

<Field {label} error={trouble || undefined} {hint}>
	{#snippet children(attributes)}
		<input
			{...attributes}
			class="control figures w-full min-w-0"
			value={typed ?? value}
			{placeholder}
			onchange={(e) => read(e.currentTarget.value)}
			autocomplete="off"
		/>
	{/snippet}
</Field>
