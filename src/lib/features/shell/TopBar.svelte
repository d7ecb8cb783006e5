<script lang="ts">
	import MoonStar from '@lucide/svelte/icons/moon-star';
	import Sun from '@lucide/svelte/icons/sun';
	import { onMount } from 'svelte';
	import ScreenHelp from '../help/ScreenHelp.svelte';
	import Mark from '../../ui/mark/Mark.svelte';

	interface Props {
		path: string;
		/** Where to come back to after a change of theme. */
		back: string;
		theme: 'light' | 'dark' | 'auto';
		/** The invented studio: said on every screen. */
		demo: boolean;
		/** Who is signed in. */
		name: string;
		/** What they may do, by its names. */
		may: readonly string[];
	}
	let { path, back, theme, demo, name, may }: Props = $props();
	const WORDS = [
		['/bench', 'Bench', 'design'],
		['/shelf', 'Shelf', 'design'],
		['/work', 'To build', 'work'],
		['/stockroom', 'Stockroom', 'books'],
		['/quotes', 'Quotes', 'books'],
		['/jobs', 'Jobs', 'work'],
		['/numbers', 'Numbers', 'books'],
		['/quick', 'Quick price', 'quote'],
		['/thumb', 'Rules of thumb', 'read'],
		['/settings', 'Settings', 'settings']
	] as const;
	const designs = $derived(may.includes('design'));
	/** Who designs finds what is to be built on the Shelf. */
	const words = $derived(
		WORDS.filter(([href, , asks]) => may.includes(asks) && !(designs && href === '/work'))
	);
	const initials = $derived(
		name
			.split(/\s+/)
			.map((word) => word[0] ?? '')
			.slice(0, 2)
			.join('')
			.toUpperCase()
	);
	let search = $state<HTMLInputElement>();
	let systemDark = $state(false);
	onMount(() => (systemDark = matchMedia('(prefers-color-scheme: dark)').matches));
	const next = $derived(theme === 'dark' || (theme === 'auto' && systemDark) ? 'light' : 'dark');

	/** The focus goes to the page, past the bar. */
	function skip(event: Event) {
		const main = document.querySelector<HTMLElement>('main, .bench');
		if (!main) return;
		event.preventDefault();
		main.tabIndex = -1;
		main.focus();
	}
	function keydown(event: KeyboardEvent) {
		const typing = (event.target as HTMLElement).matches('input, textarea, select, [contenteditable]');
		if (event.key !== '/' || typing || event.ctrlKey || event.metaKey) return;
		event.preventDefault();
		search?.focus();
	}
</script>

<svelte:window onkeydown={keydown} />

<a href="#main" class="skip no-print" onclick={skip}>Skip to the page itself</a>
<header
	class="no-print flex min-h-[52px] items-center gap-x-5 max-[860px]:gap-x-3 max-sm:flex-wrap gap-y-1 border-b border-line bg-paper px-[22px] py-1.5 max-sm:gap-x-3 max-sm:px-3"
>
	<a href="/" class="flex shrink-0 items-center gap-2.5 font-head text-[18px] font-bold"
		><Mark /> <span class="max-[860px]:sr-only max-sm:not-sr-only">Bright Tally</span></a
	>
	{#if demo}<span
			class="-ml-3 rounded-control border border-ink px-1.5 text-[12.6px] font-semibold max-[860px]:-ml-1"
			title="An invented studio, in a file of its own: data/demo.db">demo</span
		>{/if}
	<nav
		aria-label="Main"
		class="goes-on flex min-w-0 gap-x-1 max-[860px]:gap-x-0 max-[1180px]:overflow-x-auto max-sm:order-last max-sm:w-full max-sm:overflow-x-auto"
	>
		{#each words as [href, word] (href)}
			<a
				{href}
				aria-current={path.startsWith(href) ? 'page' : undefined}
				class="word px-2 py-1 font-semibold whitespace-nowrap max-sm:py-2.5">{word}</a
			>
		{/each}
	</nav>
	{#if designs}<form action="/shelf" class="relative ml-auto max-[900px]:hidden" role="search">
			<input
				bind:this={search}
				name="search"
				class="control w-[210px]"
				placeholder="Find a design"
				aria-label="Find a design"
				autocomplete="off"
			/>
			<kbd class="pointer-events-none absolute top-2 right-3 text-[12.6px] text-muted">/</kbd>
		</form>{/if}
	<span class={designs ? 'max-[900px]:ml-auto' : 'ml-auto'}><ScreenHelp {path} /></span>
	<form method="post" action="/theme" class="-ml-4">
		<input type="hidden" name="theme" value={next} />
		<input type="hidden" name="back" value={back} />
		<button
			class="grid h-9 w-9 place-items-center rounded-control hover:bg-tint"
			aria-label="Go {next}"
			title="Go {next}"
		>
			{#if next === 'dark'}<MoonStar size={17} />{:else}<Sun size={17} />{/if}
		</button>
	</form>
	<a
		href="/me"
		class="me"
		aria-label="Your sign-in, {name}"
		title={name}
		aria-current={path === '/me' ? 'page' : undefined}>{initials}</a
	>
</header>

<style>
	.skip {
		position: absolute;
		left: 8px;
		top: -60px;
		z-index: 70;
		padding: 8px 14px;
		color: var(--on-ink);
		background: var(--ink);
	}
	.skip:focus {
		top: 6px;
	}
	/* At its edge the menu fades: there is more of it. */
	@media (max-width: 640px) {
		.goes-on {
			padding-right: 34px;
			margin-right: -12px;
			mask-image: linear-gradient(to right, #000 calc(100% - 44px), transparent);
			scrollbar-width: none;
		}
	}
	.me {
		display: grid;
		place-items: center;
		flex: none;
		margin-left: -12px;
		width: 32px;
		height: 32px;
		border: 1px solid var(--line);
		border-radius: 50%;
		font-size: 12.6px;
		font-weight: 600;
	}
	.me:hover,
	.me[aria-current] {
		border-color: var(--ink);
	}
	@media (pointer: coarse) {
		.me {
			width: 40px;
			height: 40px;
		}
	}
	.word:hover {
		text-decoration: underline;
		text-underline-offset: 5px;
	}
	/* A swipe of the highlighter behind the active word; under it in the dark, where it would outshine the word. */
	.word[aria-current] {
		--swipe: light-dark(var(--marker), transparent);
		background: linear-gradient(
			transparent 52%,
			var(--swipe) 52% 84%,
			var(--marker) 84% 92%,
			transparent 92%
		);
	}
</style>
