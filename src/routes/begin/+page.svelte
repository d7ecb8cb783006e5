<script lang="ts">
	import { enhance } from '$app/forms';
	import DoorPage from '$lib/features/people/DoorPage.svelte';
	import PersonFields from '$lib/features/people/PersonFields.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';

	let { data, form } = $props();
	const typed = $derived((form?.typed ?? {}) as Record<string, string>);
	const errors = $derived((form?.errors ?? {}) as Record<string, string>);
</script>

<DoorPage
	title="Your studio, from now on"
	lead="Nobody signs in here yet. You are the first, so you become its owner; helpers are invited later."
>
	<form method="post" class="grid gap-4" use:enhance>
		<PersonFields {typed} {errors} />
		{#if data.needsCode || errors.code}
			<Field
				label="The code of this server"
				error={errors.code}
				hint="It stands where the server was started"
			>
				{#snippet children(attributes)}
					<input
						{...attributes}
						name="code"
						class="control figures w-full"
						defaultValue={typed.code ?? data.code}
						autocomplete="off"
					/>
				{/snippet}
			</Field>
		{/if}
		<p class="pt-1"><Button kind="strong" type="submit">Begin</Button></p>
	</form>
</DoorPage>
