<script lang="ts">
	import { Popover } from 'bits-ui';
	import { arriving } from './arriving.ts';
	import type { Snippet } from 'svelte';

	interface Props {
		/** Said to screen readers; the trigger may show pictures only. */
		label: string;
		/** @bindable */
		open?: boolean;
		/** px */
		width?: number;
		/** A trigger within a line of text. */
		slim?: boolean;
		trigger: Snippet;
		children: Snippet;
	}
	let { label, open = $bindable(false), width = 320, slim = false, trigger, children }: Props = $props();
	const arrives = arriving();
</script>

<Popover.Root bind:open>
	<Popover.Trigger
		aria-label={label}
		class="inline-flex items-center gap-2 rounded-control hover:bg-tint {slim
			? 'min-h-6 px-1 pointer-coarse:min-h-[44px]'
			: 'min-h-[34px] px-2 pointer-coarse:min-h-[44px]'}"
	>
		{@render trigger()}
	</Popover.Trigger>
	<Popover.Portal>
		<Popover.Content
			{...arrives}
			sideOffset={6}
			collisionPadding={8}
			class="z-30 max-h-[min(76vh,var(--bits-popover-content-available-height))] max-w-[94vw] overflow-auto border border-line bg-paper p-4 text-ink shadow-[var(--shadow)]"
			style="width: {width}px"
		>
			{@render children()}
		</Popover.Content>
	</Popover.Portal>
</Popover.Root>
