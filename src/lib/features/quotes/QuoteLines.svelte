<script lang="ts">
	import { dragHandleZone, type DndEvent } from 'svelte-dnd-action';
	import { flip } from 'svelte/animate';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';
	import Notice from '../../ui/notice/Notice.svelte';
	import { readLevels, type RawLine } from '../../core/quote/read-lines.ts';
	import type { Material } from '../../core/materials/material.ts';
	import AddDesign from './AddDesign.svelte';
	import QuoteFloor from './QuoteFloor.svelte';
	import QuoteLineRow from './QuoteLineRow.svelte';
	import type { QuoteDraft } from './quote-draft.svelte.ts';

	interface Props {
		draft: QuoteDraft;
		offered: readonly { readonly versionId: string; readonly design: string; readonly name: string }[];
		materials: readonly Material[];
	}
	let { draft, offered, materials }: Props = $props();
	/** Why a design could not be put on the quote. */
	let trouble = $state('');
	/** Lines as they are dragged. */
	let dragged = $state.raw<RawLine[] | null>(null);
	const rows = $derived(dragged ?? draft.raw.lines);
	/** What comes back may be hired out. */
	const hired = $derived(materials.filter((m) => m.reuse));
	const levels = $derived.by(() => {
		const read = readLevels(draft.raw.levels);
		return typeof read === 'string' ? [] : read;
	});
	let list = $state<HTMLElement>();
	function dropped({ detail }: CustomEvent<DndEvent<RawLine>>) {
		const to = detail.items.findIndex((l) => l.id === detail.info.id);
		dragged = null;
		draft.moveLine(detail.info.id, to);
	}
	function move(id: string, by: number) {
		const at = draft.raw.lines.findIndex((l) => l.id === id);
		draft.moveLine(id, at + by);
	}
	/** A line that was just made is where she types next. */
	function made(id: string) {
		queueMicrotask(() =>
			list?.querySelector<HTMLInputElement>(`[data-line="${id}"] input[name=label]`)?.focus()
		);
	}
</script>

<section aria-label="Lines">
	<h2 class="mb-1 text-base">Lines</h2>
	<QuoteFloor pieces={draft.seen} />
	<ul
		bind:this={list}
		class="border-t-2 border-ink bg-paper"
		use:dragHandleZone={{
			items: [...rows],
			flipDurationMs: 120,
			dropTargetStyle: {},
			autoAriaDisabled: true,
			zoneTabIndex: -1,
			zoneItemTabIndex: -1
		}}
		onconsider={({ detail }) => (dragged = detail.items as RawLine[])}
		onfinalize={dropped}
	>
		{#each rows as line, index (line.id)}
			<li class="border-b border-line" animate:flip={{ duration: 120 }} data-line={line.id}>
				<QuoteLineRow
					{draft}
					{line}
					{levels}
					first={index === 0}
					last={index === rows.length - 1}
					onmove={(by) => move(line.id, by)}
					ontrouble={(say) => (trouble = say)}
				/>
			</li>
		{/each}
	</ul>
	{#if rows.length === 0}
		<p class="border-b border-line bg-paper px-3 py-4 text-muted">
			Nothing on this quote yet. Add the first design below.
		</p>
	{/if}
	<div class="mt-2 flex flex-wrap items-start gap-2">
		<AddDesign {offered} onadd={async (versionId) => (trouble = await draft.addLine(versionId))} />
		<Button onclick={() => made(draft.addTyped(null))}>Add a line of your own</Button>
		{#if hired.length > 0}
			<select
				class="control"
				aria-label="Hire out"
				value=""
				onchange={(e) => {
					const found = hired.find((m) => m.id === e.currentTarget.value);
					e.currentTarget.value = '';
					if (found) made(draft.addTyped(found));
				}}
			>
				<option value="">hire out …</option>
				{#each hired as material (material.id)}<option value={material.id}>{material.name}</option>{/each}
			</select>
		{/if}
	</div>
	{#if trouble}<div class="mt-2"><Notice level="bad">{trouble}</Notice></div>{/if}
	<div class="mt-3 max-w-md">
		<Field
			label="Levels to choose from"
			error={draft.errors.levels}
			hint="blank is one; “Good, Better, Best” lets the client choose, and each line says where it is left out"
		>
			{#snippet children(attributes)}
				<input
					{...attributes}
					class="control w-full"
					value={draft.raw.levels}
					autocomplete="off"
					oninput={(e) => {
						draft.raw.levels = e.currentTarget.value;
						draft.touch();
					}}
				/>
			{/snippet}
		</Field>
	</div>
</section>
