<script lang="ts">
	import MoonStar from '@lucide/svelte/icons/moon-star';
	import Sun from '@lucide/svelte/icons/sun';
	import Mark from '../../ui/mark/Mark.svelte';

	interface Props {
		path: string;
		/** Where to come back to after a change of theme. */
		back: string;
		theme: 'light' | 'dark' | 'auto';
	}
	let { path, back, theme }: Props = $props();
	const WORDS = [
		['/bench', 'Bench'],
		['/shelf', 'Shelf'],
		['/stockroom', 'Stockroom'],
		['/quotes', 'Quotes'],
		['/quick', 'Quick price'],
		['/settings', 'Settings']
	] as const;
	let search = $state<HTMLInputElement>();
	const next = $derived(theme === 'dark' ? 'light' : 'dark');

	function keydown(event: KeyboardEvent) {
		const typing = (event.target as HTMLElement).matches('input, textarea, select, [contenteditable]');
		if (event.key !== '/' || typing || event.ctrlKey || event.metaKey) return;
		event.preventDefault();
		search?.focus();
	}
</script>

<svelte:window onkeydown={keydown} />

<header
	class="no-print flex min-h-[52px] flex-wrap items-center gap-x-5 gap-y-1 border-b border-line bg-paper px-[22px] py-1.5 max-sm:gap-x-3 max-sm:px-3"
>
	<a href="/shelf" class="flex items-center gap-2.5 font-head text-[18px] font-bold"><Mark /> Bright Tally</a>
	<nav aria-label="Main" class="flex flex-wrap gap-x-1">
		{#each WORDS as [href, word] (href)}
			<a {href} aria-current={path.startsWith(href) ? 'page' : undefined} class="word px-2 py-1 font-semibold"
				>{word}</a
			>
		{/each}
	</nav>
	<form action="/shelf" class="relative ml-auto max-sm:hidden" role="search">
		<input
			bind:this={search}
			name="search"
			class="control w-[210px]"
			placeholder="Find a design"
			aria-label="Find a design"
			autocomplete="off"
		/>
		<kbd class="pointer-events-none absolute top-2 right-3 text-[12.6px] text-muted">/</kbd>
	</form>
	<form method="post" action="/theme" class="max-sm:ml-auto">
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
</header>

<style>
	.word:hover {
		text-decoration: underline;
		text-underline-offset: 5px;
	}
	/* A swipe of the highlighter behind the active word. */
	.word[aria-current] {
		background: linear-gradient(transparent 52%, var(--marker) 52%, var(--marker) 88%, transparent 88%);
	}
	:global([data-theme='dark']) .word[aria-current] {
		background: linear-gradient(transparent 84%, var(--marker) 84%, var(--marker) 94%, transparent 94%);
	}
	@media (prefers-color-scheme: dark) {
		:global([data-theme='auto']) .word[aria-current] {
			background: linear-gradient(transparent 84%, var(--marker) 84%, var(--marker) 94%, transparent 94%);
		}
	}
</style>
