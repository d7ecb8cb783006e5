<script lang="ts">
	import { enhance } from '$app/forms';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>Open a recipe file · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-2xl px-6 py-6">
	<h1 class="mb-1 text-[25px]">Open a recipe file</h1>
	<p class="mb-4 text-muted">
		It becomes a new design on your Shelf. Colours and materials it names are looked up in your Stockroom.
	</p>
	<form
		method="post"
		enctype="multipart/form-data"
		class="grid gap-4"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<input type="hidden" name="id" value={data.fresh} />
		<Field label="File" error={form?.trouble}>
			{#snippet children(attributes)}<input
					{...attributes}
					type="file"
					name="file"
					accept=".json,application/json"
					class="control"
				/>{/snippet}
		</Field>
		<Field label="Or paste it">
			{#snippet children(attributes)}<textarea
					{...attributes}
					name="text"
					rows="8"
					class="control figures text-[12.6px]">{form?.pasted ?? ''}</textarea
				>{/snippet}
		</Field>
		<p><Button kind="strong" type="submit">Open</Button></p>
	</form>
</main>
