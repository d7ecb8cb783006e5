<script lang="ts">
	import type { PageProps } from './$types';
	import { ROLES } from '$lib/features/people/roles.ts';
	import Button from '$lib/ui/button/Button.svelte';

	let { data }: PageProps = $props();
	const role = $derived(data.person && ROLES[data.person.role]);
</script>

<svelte:head><title>Not for your role · Bright Tally</title></svelte:head>
<main class="mx-auto grid max-w-xl gap-3 px-6 py-16">
	<h1 class="text-2xl">This is not for your role.</h1>
	{#if role}<p class="text-muted">
			You sign in as {role.name}, who sees {role.sees}. The owner of the studio can change that.
		</p>{/if}
	<p><Button href="/">To where you begin</Button></p>
</main>
