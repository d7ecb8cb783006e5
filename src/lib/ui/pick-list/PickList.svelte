<script lang="ts">
	import { Popover } from 'bits-ui';
	import { arriving } from '../popover/arriving.ts';

	interface Option {
		readonly id: string;
		readonly name: string;
		/** Beside the name, quieter. */
		readonly also?: string;
	}
	interface Props {
		/** What is picked. */
		label: string;
		/** Of what is picked now; null is none. */
		value: string | null;
		options: readonly Option[];
		/** What is said where nothing is picked; without it something must be. */
		none?: string;
		attributes?: { id?: string; 'aria-describedby'?: string | undefined };
		onpick: (id: string | null) => void;
	}
	let { label, value, options, none, attributes = {}, onpick }: Props = $props();
	const arrives = arriving();
	let open = $state(false);
	let search = $state('');
	let at = $state(0);
	/** A list is looked through, not scrolled: more than this many and a few letters find it sooner. */
	const MOST = 60;
	const words = $derived(search.toLowerCase().split(/\s+/).filter(Boolean));
	const found = $derived(
		words.length === 0 ? options : options.filter((o) => words.every((w) => o.name.toLowerCase().includes(w)))
	);
	const shown = $derived(found.slice(0, MOST));
	const rows = $derived<readonly (Option | null)[]>(none !== undefined && words.length === 0 ? [null, ...shown] : shown); // prettier-ignore
	const name = $derived(value === null ? none : options.find((o) => o.id === value)?.name);

	function pick(row: Option | null | undefined) {
		if (row === undefined) return;
		onpick(row?.id ?? null);
		open = false;
	}
	function keydown(event: KeyboardEvent) {
		if (event.key === 'Enter') {
			event.preventDefault();
			pick(rows[at]);
		} else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
			event.preventDefault();
			at = Math.max(0, Math.min(rows.length - 1, at + (event.key === 'ArrowDown' ? 1 : -1)));
			document.getElementById(`${id}-${at}`)?.scrollIntoView({ block: 'nearest' });
		}
	}
	const id = $props.id();
</script>

<Popover.Root
	bind:open
	onOpenChange={() => {
		search = '';
		at = Math.max(
			0,
			rows.findIndex((r) => (r?.id ?? null) === value)
		);
	}}
>
	<Popover.Trigger
		{...attributes}
		aria-label="{label}: {name ?? 'choose'}"
		class="control flex w-full min-w-0 items-center justify-between gap-2 text-left pointer-coarse:min-h-[44px]"
	>
		<span class="truncate" class:text-muted={value === null}>{name ?? 'choose'}</span>
		<span aria-hidden="true" class="text-muted">▾</span>
	</Popover.Trigger>
	<Popover.Portal>
		<Popover.Content
			{...arrives}
			sideOffset={4}
			align="start"
			collisionPadding={8}
			class="z-40 w-[320px] max-w-[94vw] border border-line bg-paper text-ink shadow-[var(--shadow)]"
		>
			{#if options.length > 8}
				<input
					class="m-2 control w-[calc(100%-16px)]"
					placeholder="a few letters of it"
					aria-label="Find in {label}"
					role="combobox"
					aria-expanded="true"
					aria-controls="{id}-list"
					aria-activedescendant="{id}-{at}"
					autocomplete="off"
					bind:value={search}
					oninput={() => (at = 0)}
					onkeydown={keydown}
				/>
			{/if}
			<ul id="{id}-list" role="listbox" aria-label={label} class="max-h-[46vh] overflow-auto py-1">
				{#each rows as row, index (row?.id ?? '')}
					<li
						id="{id}-{index}"
						role="option"
						tabindex={options.length > 8 ? -1 : 0}
						aria-selected={(row?.id ?? null) === value}
						class="flex min-h-9 cursor-pointer items-center justify-between gap-3 px-3 hover:bg-tint pointer-coarse:min-h-[44px]"
						class:at={index === at && options.length > 8}
						onclick={() => pick(row)}
						onkeydown={(e) => (e.key === 'Enter' || e.key === ' ' ? pick(row) : undefined)}
					>
						<span class:text-muted={row === null}>{row?.name ?? none}</span>
						{#if row?.also}<span class="text-[13px] text-muted">{row.also}</span>{/if}
					</li>
				{/each}
			</ul>
			{#if found.length === 0}
				<p class="px-3 pb-3 text-muted">Nothing here is called that. Add it in the Stockroom.</p>
			{:else if found.length > MOST}
				<p class="border-t border-line px-3 py-1.5 text-[13px] text-muted">
					{found.length - MOST} more: a few letters find them
				</p>
			{/if}
		</Popover.Content>
	</Popover.Portal>
</Popover.Root>

<style>
	.at {
		background: var(--tint);
		box-shadow: inset 3px 0 var(--ink);
	}
	[aria-selected='true'] {
		font-weight: 600;
	}
</style>
