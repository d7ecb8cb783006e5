<script lang="ts">
	import { page } from '$app/state';
	import Button from '$lib/ui/button/Button.svelte';
</script>

<main class="mx-auto grid max-w-xl gap-3 px-6 py-16">
	<h1 class="text-2xl">{page.error?.message ?? 'Something went wrong.'}</h1>
	<p class="text-muted">{page.error?.hint ?? 'Go back, or start from the Shelf.'}</p>
	{#if !page.route.id?.startsWith('/q/')}<p><Button href="/shelf">To the Shelf</Button></p>{/if}
</main>
