<script lang="ts">
	import '../app.css';
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import TopBar from '$lib/features/shell/TopBar.svelte';

	let { data, children } = $props();
	// Said once the page answers to keys; scripts and tests wait for it.
	onMount(() => (document.documentElement.dataset.ready = ''));
	const guest = $derived(page.route.id?.startsWith('/q/') ?? false);
</script>

<svelte:head><title>Bright Tally</title></svelte:head>
{#if !guest}
	<TopBar path={page.url.pathname} back={page.url.pathname + page.url.search} theme={data.theme} />
{/if}
{@render children()}
