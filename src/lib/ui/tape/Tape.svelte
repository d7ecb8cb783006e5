<script lang="ts">
	import type { Snippet } from 'svelte';

	interface Props {
		/** Said to screen readers: what this is the tally of. */
		label: string;
		children: Snippet;
		/** Stays in view while the rest scrolls. */
		foot?: Snippet;
	}
	let { label, children, foot }: Props = $props();
</script>

<!-- A strip of paper from an adding machine, torn at its lower edge. -->
<section class="tape" aria-label={label}>
	<div class="body">{@render children()}</div>
	{#if foot}<div class="foot">{@render foot()}</div>{/if}
	<div class="torn" aria-hidden="true"></div>
</section>

<style>
	.tape {
		display: flex;
		min-height: 0;
		max-height: 100%;
		flex-direction: column;
		position: relative;
	}
	/* A layer of its own under the paper: what is printed on it moves with every keystroke, its shadow does not. */
	.tape::before {
		position: absolute;
		inset: 0 0 9px;
		box-shadow: var(--shadow);
		content: '';
	}
	.body,
	.foot,
	.torn {
		position: relative;
	}
	.body {
		background: var(--paper);
		padding: 16px 16px 12px;
		min-height: 0;
		overflow-y: auto;
		scrollbar-width: thin;
		/* What goes on below is seen to go on, and no line is cut in half. */
		mask-image: linear-gradient(#000 calc(100% - 18px), transparent);
	}
	.foot {
		background: var(--paper);
		padding: 0 16px 6px;
	}
	.torn {
		height: 9px;
		flex: none;
		background: var(--paper);
		clip-path: polygon(
			0 0,
			100% 0,
			100% 20%,
			95% 90%,
			90% 15%,
			85% 85%,
			80% 20%,
			75% 95%,
			70% 15%,
			65% 85%,
			60% 20%,
			55% 95%,
			50% 15%,
			45% 85%,
			40% 20%,
			35% 95%,
			30% 15%,
			25% 85%,
			20% 20%,
			15% 95%,
			10% 15%,
			5% 90%,
			0 20%
		);
	}
	@media print {
		.tape {
			max-height: none;
		}
		.body {
			overflow: visible;
		}
		.torn {
			display: none;
		}
	}
</style>
