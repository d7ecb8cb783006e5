<script lang="ts">
	import { Dialog } from 'bits-ui';
	import type { Snippet } from 'svelte';

	interface Props {
		title: string;
		/** @bindable */
		open?: boolean;
		/** px */
		width?: number;
		children: Snippet;
		/** Buttons, right-aligned below the content. */
		actions?: Snippet;
	}
	let { title, open = $bindable(false), width = 520, children, actions }: Props = $props();
</script>

<Dialog.Root bind:open>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-40 bg-black/40" />
		<Dialog.Content
			class="fixed top-1/2 left-1/2 z-50 max-h-[90vh] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 overflow-auto bg-paper p-6 text-ink shadow-[var(--shadow)]"
			style="width: {width}px"
		>
			<Dialog.Title class="mb-3 font-head text-xl font-bold">{title}</Dialog.Title>
			{@render children()}
			{#if actions}
				<div class="mt-5 flex justify-end gap-2">{@render actions()}</div>
			{/if}
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
