<script lang="ts">
	import type { Snippet } from 'svelte';

	interface Props {
		label: string;
		/** What is wrong with what was typed, in a sentence that says what to do. */
		error?: string | undefined;
		/** A word on what is expected. */
		hint?: string;
		/** Gets the attributes that tie the control to its label and message. */
		children: Snippet<[{ id: string; 'aria-invalid': boolean; 'aria-describedby': string | undefined }]>;
	}
	let { label, error, hint, children }: Props = $props();
	const id = $props.id();
	const attributes = $derived({
		id,
		'aria-invalid': Boolean(error),
		'aria-describedby': error ? `${id}-error` : hint ? `${id}-hint` : undefined
	});
</script>

<div class="grid content-start gap-1">
	<label for={id} class="text-[13px] font-medium text-muted">{label}</label>
	{@render children(attributes)}
	{#if error}
		<p id="{id}-error" class="text-[13px] text-bad">{error}</p>
	{:else if hint}
		<p id="{id}-hint" class="text-[13px] text-muted">{hint}</p>
	{/if}
</div>
