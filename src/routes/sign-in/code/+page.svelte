<script lang="ts">
	import { enhance } from '$app/forms';
	import DoorPage from '$lib/features/people/DoorPage.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';

	let { data, form } = $props();
</script>

<DoorPage
	title="The second step"
	lead="The six figures that your device shows now, or one of your spare codes."
>
	<form method="post" class="grid gap-4" use:enhance>
		<input type="hidden" name="to" value={data.to} />
		<Field label="Code" error={form?.say}>
			{#snippet children(attributes)}
				<input
					{...attributes}
					name="code"
					class="control figures w-full"
					autocomplete="one-time-code"
					inputmode="text"
					maxlength="40"
				/>
			{/snippet}
		</Field>
		<p class="flex items-center gap-4 pt-1">
			<Button kind="strong" type="submit">Sign in</Button>
			<a class="quiet-link" href="/sign-in">From the start</a>
		</p>
	</form>
</DoorPage>
