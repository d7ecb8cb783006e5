<script lang="ts">
	import { enhance } from '$app/forms';
	import DoorPage from '$lib/features/people/DoorPage.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';

	let { form } = $props();
	const asked = $derived(form && 'asked' in form ? form.asked : '');
	const typed = $derived(form && 'email' in form ? form.email : '');
	const say = $derived(form && 'say' in form ? form.say : '');
</script>

<DoorPage title="A new password">
	{#if asked}
		<p role="status">
			If {asked} signs in here, a letter with a link was written. It stands under Settings, People, where the owner
			of the studio finds it and hands it on: nothing is sent from here by itself. The link holds for an hour.
		</p>
		<p class="pt-4"><a class="quiet-link" href="/sign-in">Back to the sign-in</a></p>
	{:else}
		<form method="post" class="grid gap-4" use:enhance>
			<Field label="Your e-mail address" error={say}>
				{#snippet children(attributes)}
					<input
						{...attributes}
						name="email"
						type="email"
						class="control w-full"
						defaultValue={typed}
						autocomplete="username"
					/>
				{/snippet}
			</Field>
			<p class="flex items-center gap-4 pt-1">
				<Button kind="strong" type="submit">Ask for it</Button>
				<a class="quiet-link" href="/sign-in">Back</a>
			</p>
		</form>
		<p class="pt-6 text-[13px] text-muted">
			You own the studio and nobody else can let you in? At the machine itself, the command
			<span class="figures">npm run people -- link ADDRESS</span> writes such a link.
		</p>
	{/if}
</DoorPage>
