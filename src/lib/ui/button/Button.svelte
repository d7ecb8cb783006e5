<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { HTMLButtonAttributes } from 'svelte/elements';

	interface Props extends HTMLButtonAttributes {
		/** `strong` is the one thing to do here. */
		kind?: 'strong' | 'plain' | 'word';
		/** Renders a link that looks the same. */
		href?: string;
		children: Snippet;
	}
	let { kind = 'plain', href, children, type = 'button', ...rest }: Props = $props();

	const base =
		'inline-flex min-h-[34px] items-center pointer-coarse:min-h-[44px] justify-center gap-1.5 rounded-control px-3.5 py-1.5 font-semibold';
	const kinds = {
		strong: 'bg-ink text-[var(--on-ink)] hover:opacity-90 disabled:opacity-50',
		plain: 'border border-line bg-paper text-ink hover:border-ink disabled:opacity-50',
		word: 'px-1 text-ink underline decoration-line underline-offset-4 hover:decoration-ink disabled:opacity-50'
	};
</script>

{#if href}
	<a {href} class="{base} {kinds[kind]}">{@render children()}</a>
{:else}
	<button {type} {...rest} class="{base} {kinds[kind]}">{@render children()}</button>
{/if}
