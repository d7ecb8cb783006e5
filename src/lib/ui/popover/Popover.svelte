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
		/** The trigger is drawn whole: nothing is added to it. */
		bare?: boolean;
		onkeydown?: (event: KeyboardEvent & { currentTarget: HTMLElement }) => void;
		trigger: Snippet;
		children: Snippet;
	}
	let {
		label,
		open = $bindable(false),
		width = 320,
		slim = false,
		bare = false,
		onkeydown,
		trigger,
		children
	}: Props = $props();
	const arrives = arriving();
</script>

<Popover.Root bind:open>
	<Popover.Trigger
		aria-label={label}
		class={bare
			? 'rounded-control'
			: `inline-flex items-center gap-2 rounded-control hover:bg-tint pointer-coarse:min-h-[44px] ${slim ? 'min-h-6 px-1' : 'min-h-[34px] px-2'}`}
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
			{onkeydown}
		>
			{@render children()}
		</Popover.Content>
	</Popover.Portal>
</Popover.Root>
