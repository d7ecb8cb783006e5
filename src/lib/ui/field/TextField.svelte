<script lang="ts">
	import Field from './Field.svelte';

	interface Props {
		label: string;
		name: string;
		/** As it is, or as it was sent before. */
		value: string | undefined;
		error: string | undefined;
		placeholder?: string;
		type?: 'text' | 'date';
	}
	let { label, name, value, error, placeholder = '', type = 'text' }: Props = $props();
</script>

<Field {label} {error}>
	{#snippet children(attributes)}<input
			{...attributes}
			{name}
			{type}
			class="control w-full"
			value={value ?? ''}
			{placeholder}
			autocomplete="off"
		/>{/snippet}
</Field>
