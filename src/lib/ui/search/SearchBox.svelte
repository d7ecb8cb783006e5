<script lang="ts">
	interface Props {
		/** What was searched for last. */
		value: string;
		label: string;
		placeholder: string;
		width?: string;
	}
	let { value, label, placeholder, width = 'w-60' }: Props = $props();
	let input = $state<HTMLInputElement>();
	let shown: string | undefined;

	// What is being typed is not put back by the answer to what was searched before.
	$effect(() => {
		const [was, now] = [shown, value];
		shown = now;
		if (input && was !== undefined && document.activeElement !== input) input.value = now;
	});
</script>

<input
	bind:this={input}
	class="control {width}"
	name="search"
	defaultValue={value}
	{placeholder}
	aria-label={label}
	autocomplete="off"
/>
