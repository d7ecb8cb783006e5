<script lang="ts">
	import type { Snippet } from 'svelte';
	import Popover from '../../ui/popover/Popover.svelte';
	import { palette } from '../../core/materials/palette.ts';
	import type { Colour, Material } from '../../core/materials/material.ts';
	import Swatch from './Swatch.svelte';

	interface Props {
		/** What the colour is for. */
		label: string;
		colours: readonly Colour[];
		materials: readonly Material[];
		/** The colour it is now. */
		value?: string | null;
		/** Colours that are in use already: these are found before all others. */
		first?: readonly string[];
		/** What else may be said in place of a colour. */
		otherwise?: readonly (readonly [value: string, label: string])[];
		trigger: Snippet;
		onpick: (colour: string) => void;
	}
	let {
		label,
		colours,
		materials,
		value = null,
		first = [],
		otherwise = [],
		trigger,
		onpick
	}: Props = $props();
	let open = $state(false);
	let search = $state('');
	/** Swatches in view at once; a few letters find the rest. */
	const MOST = 96;
	const now = $derived(colours.find((c) => c.id === value));
	// Sorted only while it is looked at.
	const sorted = $derived(open ? palette(colours, materials, now?.hex) : { stocked: [], others: [] });
	const words = $derived(search.toLowerCase().split(/\s+/).filter(Boolean));
	const fits = (c: Colour) => words.every((w) => `${c.name} ${c.finish}`.toLowerCase().includes(w));
	const parts = $derived([
		['here already', open ? colours.filter((c) => first.includes(c.id)).filter(fits) : []],
		['in stock', sorted.stocked.filter((c) => !first.includes(c.id)).filter(fits)],
		['all others', sorted.others.filter((c) => !first.includes(c.id)).filter(fits)]
	] as const);
	function pick(id: string) {
		onpick(id);
		open = false;
	}
	const nameOf = (c: Colour) => (c.finish === 'matte' ? c.name : `${c.name}, ${c.finish}`);
	const COLUMNS = 6;
	/** Arrows go from swatch to swatch. */
	function keydown(event: KeyboardEvent & { currentTarget: HTMLElement }) {
		const by = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: COLUMNS, ArrowUp: -COLUMNS }[event.key];
		if (by === undefined || (event.target as HTMLElement).matches('input')) return;
		event.preventDefault();
		const all = [...event.currentTarget.querySelectorAll<HTMLElement>('button')];
		const at = all.indexOf(event.target as HTMLElement);
		all[Math.max(0, Math.min(all.length - 1, at + by))]?.focus();
	}
</script>

<Popover
	label="{label}: {now ? nameOf(now) : 'choose'}"
	bind:open={
		() => open,
		(opened) => {
			open = opened;
			search = '';
		}
	}
	width={340}
	bare
	onkeydown={keydown}
	{trigger}
>
	<p class="mb-2 text-[13px] text-muted">{label}</p>
	{#if colours.length > 24}
		<input
			class="control mb-2 w-full"
			placeholder="a few letters of its name"
			aria-label="Find a colour"
			autocomplete="off"
			bind:value={search}
		/>
	{/if}
	<div class="max-h-[50vh] overflow-auto">
		{#each parts as [name, own] (name)}
			{#if own.length > 0}
				<p class="mt-1 mb-1 text-[13px] text-muted">{name}</p>
				<div class="grid grid-cols-6 gap-1">
					{#each own.slice(0, MOST) as colour (colour.id)}
						<button
							type="button"
							title={nameOf(colour)}
							aria-label={nameOf(colour)}
							aria-pressed={colour.id === value}
							class="swatch"
							onclick={() => pick(colour.id)}
						>
							<Swatch {colour} />
						</button>
					{/each}
				</div>
			{/if}
		{/each}
		{#if parts.every(([, own]) => own.length === 0)}
			<p class="text-muted">No colour is called that. Colours are kept in the Stockroom.</p>
		{/if}
	</div>
	{#each otherwise as [other, words] (other)}
		<button type="button" class="quiet-link mt-2 block min-h-8" onclick={() => pick(other)}>{words}</button>
	{/each}
</Popover>

<style>
	.swatch {
		display: grid;
		place-items: center;
		min-height: 46px;
		border-radius: 6px;
		border: 2px solid transparent;
	}
	.swatch:hover {
		background: var(--tint);
	}
	.swatch[aria-pressed='true'] {
		border-color: var(--ink);
	}
</style>
