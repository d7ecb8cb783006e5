<script lang="ts">
	import CircleCheck from '@lucide/svelte/icons/circle-check';
	import OctagonX from '@lucide/svelte/icons/octagon-x';
	import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
	import type { Snippet } from 'svelte';

	interface Props {
		level: 'good' | 'watch' | 'bad';
		children: Snippet;
		/** Read out when it appears. */
		live?: boolean;
	}
	let { level, children, live = false }: Props = $props();

	// Each state has a word and an icon as well as a colour.
	const words = { good: 'Good', watch: 'Watch', bad: 'Stop' };
	const icons = { good: CircleCheck, watch: TriangleAlert, bad: OctagonX };
	const colours = { good: 'text-good', watch: 'text-watch', bad: 'text-bad' };
	const Icon = $derived(icons[level]);
</script>

<p class="flex gap-2 text-[13px] leading-snug" role={live ? 'alert' : undefined}>
	<Icon size={16} class="mt-px shrink-0 {colours[level]}" aria-hidden="true" />
	<span><b class={colours[level]}>{words[level]}.</b> {@render children()}</span>
</p>
