<script lang="ts">
	import { tick } from 'svelte';
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
			onchange={(e) => {
				const select = e.currentTarget;
				onpick(select.value);
				// What was not taken does not stand there as if it were.
				void tick().then(() => (select.value = value));
			}}
		>
			{#each options as [key, words] (key)}<option value={key}>{words}</option>{/each}
		</select>
	{/snippet}
</Field>
