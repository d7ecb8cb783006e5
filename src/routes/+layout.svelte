<script lang="ts">
	import '../app.css';
	import { page } from '$app/state';
	import TopBar from '$lib/features/shell/TopBar.svelte';

	let { data, children } = $props();
	const guest = $derived(page.route.id?.startsWith('/q/') ?? false);
</script>

<svelte:head><title>Bright Tally</title></svelte:head>
{#if !guest}
	<TopBar path={page.url.pathname} back={page.url.pathname + page.url.search} theme={data.theme} />
{/if}
{@render children()}
