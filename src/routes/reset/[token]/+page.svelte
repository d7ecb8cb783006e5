<script lang="ts">
	import { enhance } from '$app/forms';
	import DoorPage from '$lib/features/people/DoorPage.svelte';
	import NewPassword from '$lib/features/people/NewPassword.svelte';
	import Button from '$lib/ui/button/Button.svelte';

	let { form } = $props();
</script>

<DoorPage title="A new password" lead="Wherever you are signed in, you are signed out with it.">
	<form method="post" class="grid gap-4" use:enhance>
		<NewPassword error={form?.say} />
		<p class="pt-1"><Button kind="strong" type="submit">Take this one</Button></p>
	</form>
</DoorPage>
