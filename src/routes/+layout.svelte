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
	const person = $derived(guest ? null : data.person);
	/** A form was sent after the sign-in had ended: what was typed is still there. */
	const signedOut = $derived((page.form as { signedOut?: boolean } | null)?.signedOut ?? false);
	const lacks = $derived(
		person
			? ['design', 'money', 'books', 'settings'].filter((p) => !data.may.includes(p as never)).join(' ')
			: undefined
	);
	const readsOnly = $derived(person !== null && !data.may.includes('design'));
	let refused = $state('');

	/** Who only reads is told so before anything is sent; the server holds to it in any case. */
	function submitted(event: SubmitEvent) {
		const form = event.target as HTMLFormElement;
		if (!readsOnly || form.method !== 'post') return;
		const { pathname } = new URL(form.action, location.href);
		if (['/theme', '/sign-out', '/me'].includes(pathname)) return;
		event.preventDefault();
		event.stopImmediatePropagation();
		refused = 'You read here and change nothing: ask the owner of the studio.';
	}
</script>

<svelte:document onsubmitcapture={submitted} />
<svelte:head><title>Bright Tally</title></svelte:head>
{#if person}
	<TopBar
		path={page.url.pathname}
		back={page.url.pathname + page.url.search}
		theme={data.theme}
		demo={data.demo}
		name={person.name}
		may={data.may}
	/>
{:else if guest && data.demo}
	<p class="no-print bg-paper px-5 py-1 text-[13px] text-muted">
		Demo: an invented studio, an invented offer.
	</p>
{/if}
{#if person && data.warning}
	<p class="no-print bg-paper px-5 py-1 text-[13px]">
		<b class="text-bad">Stop.</b>
		{data.warning} <a class="quiet-link" href="/settings/health">How the server is</a>
	</p>
{/if}
{#if person}<CommandList may={data.may} onopen={(path) => void goto(path)} />{/if}
{#if navigating.to}<p class="opening" role="status">opening …</p>{/if}
{#if signedOut}
	<p class="told" role="alert">
		You are signed out. <a href="/sign-in?to=/signed-in" target="_blank" rel="noopener"
			>Sign in in another tab</a
		>, then send it again: what you typed is still here.
	</p>
{:else if refused}<p class="told" role="alert">
		{refused}
		<button type="button" class="quiet-link" onclick={() => (refused = '')}>Close</button>
	</p>{/if}
<!-- What leads where somebody may not go is left out; a name that leads there stays a name. -->
<div class="contents" data-lacks={lacks}>{@render children()}</div>

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
	.told {
		position: sticky;
		top: 0;
		z-index: 55;
		padding: 9px 22px;
		border-bottom: 1px solid var(--line);
		background: var(--paper);
		color: var(--bad);
	}
	.told a,
	.told button {
		text-decoration: underline;
		text-underline-offset: 3px;
	}
	@keyframes late {
		from {
			visibility: hidden;
		}
	}
</style>
