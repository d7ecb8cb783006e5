<script lang="ts">
	import '../app.css';
	import { onMount } from 'svelte';
	import { navigating, page } from '$app/state';
	import TopBar from '$lib/features/shell/TopBar.svelte';

	import CommandList from '$lib/features/commands/CommandList.svelte';
	import { goto } from '$app/navigation';

	let { data, children } = $props();
	// Said once the page answers to keys; scripts and tests wait for it.
	onMount(() => (document.documentElement.dataset.ready = ''));
	const guest = $derived(page.route.id?.startsWith('/q/') ?? false);
</script>

<svelte:head><title>Bright Tally</title></svelte:head>
{#if !guest}
	<TopBar
		path={page.url.pathname}
		back={page.url.pathname + page.url.search}
		theme={data.theme}
		demo={data.demo}
	/>
{:else if data.demo}
	<p class="no-print bg-paper px-5 py-1 text-[13px] text-muted">
		Demo: an invented studio, an invented offer.
	</p>
{/if}
{#if !guest}<CommandList onopen={(path) => void goto(path)} />{/if}
{#if navigating.to}<p class="opening" role="status">opening …</p>{/if}
{@render children()}

<style>
	/* Said only where it takes a moment. */
	.opening {
		position: fixed;
		inset: auto 0 14px;
		z-index: 60;
		margin: auto;
		width: fit-content;
		border: 1px solid var(--line);
		background: var(--paper);
		padding: 5px 14px;
		animation: late 0s 0.25s both;
	}
	@keyframes late {
		from {
			visibility: hidden;
		}
	}
</style>
