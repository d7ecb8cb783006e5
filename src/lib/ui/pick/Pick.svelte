<script lang="ts">
	import Field from '../field/Field.svelte';

	interface Props {
		label: string;
		value: string;
		options: readonly (readonly [value: string, words: string])[];
		hint?: string;
		onpick: (value: string) => void;
	}
	let { label, value, options, hint = '', onpick }: Props = $props();
</script>

<Field {label} {hint}>
	{#snippet children(attributes)}
		<select
			{...attributes}
			class="control w-full min-w-0"
			{value}
			onchange={(e) => onpick(e.currentTarget.value)}
		>
			{#each options as [key, words] (key)}<option value={key}>{words}</option>{/each}
		</select>
	{/snippet}
</Field>
