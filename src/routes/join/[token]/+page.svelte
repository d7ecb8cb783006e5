<script lang="ts">
	import { enhance } from '$app/forms';
	import DoorPage from '$lib/features/people/DoorPage.svelte';
	import PersonFields from '$lib/features/people/PersonFields.svelte';
	import { ROLES } from '$lib/features/people/roles.ts';
	import Button from '$lib/ui/button/Button.svelte';

	let { data, form } = $props();
	const typed = $derived({ name: data.name, ...((form?.typed ?? {}) as Record<string, string>) });
	const errors = $derived((form?.errors ?? {}) as Record<string, string>);
</script>

<DoorPage title="Join {data.studio}" lead="As {ROLES[data.role].name}: {ROLES[data.role].sees}.">
	<form method="post" class="grid gap-4" use:enhance>
		<PersonFields {typed} {errors} />
		<p class="pt-1"><Button kind="strong" type="submit">Join</Button></p>
	</form>
</DoorPage>
