<script lang="ts">
	import { tick, type Snippet } from 'svelte';
	import { formatFeet, toMillimetres, type Millimetres } from '../../core/units/length.ts';
	import { isSeen } from '../../core/structures/registry/picture.ts';
	import type { Bench } from './bench.svelte.ts';
	import LinesList from './structures/extras/LinesList.svelte';
	import AddSection from './AddSection.svelte';
	import EntryLine from './EntryLine.svelte';
	import HandPanel from './HandPanel.svelte';
	import SectionBody from './SectionBody.svelte';
	import SectionHead from './SectionHead.svelte';
	import type { ListKit } from './structures/screen.ts';
	import UprightPanel from './structures/stack/UprightPanel.svelte';

	interface Props {
		bench: Bench;
		/** Opens the plan of a row's places. */
		onplaces: (layer: string) => void;
		/** Shown over the rows: how it was begun. */
		begun?: Snippet;
	}
	let { bench, onplaces, begun }: Props = $props();
	let entry = $state<ReturnType<typeof EntryLine>>();
	let panel = $state<HTMLElement>();

	/** Sections as they stand: the one that came last first on the screen. */
	const standing = $derived(bench.shown.sections.filter((s) => isSeen(s.structure)).toReversed());
	/** One stack by itself needs no name; anything else says what it is. */
	const several = $derived(standing.length > 1 || bench.stack === undefined);
	/** Rows are dragged with a pointer: until one is over the panel, nothing is made ready for it. */
	let armed = $state(false);
	const onTop = $derived(bench.entryIndex >= bench.layers.length);
	const atFloor = $derived(!onTop && bench.entryIndex === 0);

	function focusRow(id: string | undefined) {
		const button = id && panel?.querySelector<HTMLButtonElement>(`[data-row="${CSS.escape(id)}"]`);
		if (button) {
			bench.selected = id;
			// Asked for again it would be laid out at once, for nothing.
			if (document.activeElement !== button) button.focus();
		} else entry?.focus();
	}
	/** What the pointer rests on, or the focus is on, stands out in the picture; passing over shows nothing. */
	let resting: ReturnType<typeof setTimeout> | undefined;
	function point(target: EventTarget | null, after: number) {
		clearTimeout(resting);
		const about = (target as Element | null)?.closest<HTMLElement>('[data-about]')?.dataset.about;
		if (about === undefined) {
			if (bench.pointed?.from === 'recipe') bench.pointed = null;
			return;
		}
		resting = setTimeout(() => (bench.pointed = { about, from: 'recipe' }), after);
	}
	/** Gives the focus back to a row, once what was opened from it is gone. */
	export function focusAt(row: string) {
		setTimeout(() => focusRow(row));
	}
	export function focusEntry() {
		entry?.focus();
	}

	const kit: Omit<ListKit, 'entryLine' | 'armed'> = {
		focusEntry: () => void tick().then(focusEntry),
		focusRow,
		places: (layer) => onplaces(layer)
	};
	/** Whether there are rows below those in sight. */
	let below = $state(false);
	const upright = $derived(bench.stack?.upright);
	const foot = $derived.by(() => {
		const count = bench.tally.stacks.reduce((a, s) => a + s.placed.layers.length, 0);
		const layersSaid = count > 0 || bench.stack ? [`${count} ${count === 1 ? 'layer' : 'layers'}`] : [];
		const parts = [...layersSaid, `${bench.tally.bill.balloons} balloons`];
		if (upright && upright.kind !== 'none' && bench.placed) {
			const needed = bench.placed.upright.known ? formatFeet(bench.placed.upright.usual as Millimetres) : '—';
			parts.push(
				`${upright.kind} ${needed} of ${upright.length === null ? '—' : formatFeet(toMillimetres(upright.length))}`
			);
		}
		return parts.join(' · ');
	});
</script>

{#snippet entryLine(place: string)}
	<EntryLine
		bind:this={entry}
		{bench}
		{place}
		onmoved={() => void tick().then(() => entry?.focus())}
		onleave={(by) => focusRow(bench.layers[by > 0 ? bench.entryIndex : bench.entryIndex - 1]?.id)}
	/>
{/snippet}

<section
	class="panel"
	aria-label="Recipe"
	bind:this={panel}
	onpointermove={() => (armed = true)}
	onpointerover={(e) => point(e.target, 160)}
	onpointerleave={() => point(null, 0)}
	onfocusin={(e) => point(e.target, 0)}
	onfocusout={() => point(null, 0)}
	onkeydowncapture={() => (armed = false)}
>
	{@render begun?.()}
	<!-- Where it goes on below, the row that is cut off fades: none is cut in half. -->
	<div class="scroll" class:on={below} data-scroll onscroll={(e) => (below = e.currentTarget.scrollTop < -2)}>
		<div class="stand">
			{#each standing as section (section.id)}
				{@const inHand = bench.current?.id === section.id}
				{#if inHand && (onTop || bench.editing)}{@render entryLine('on top')}{/if}
				{#if several}<SectionHead {bench} {section} {inHand} />{/if}
				{#if !bench.folded.has(section.id)}
					<SectionBody {bench} {section} kit={{ ...kit, entryLine, armed }} />
				{/if}
				{#if inHand && atFloor && !bench.editing}{@render entryLine('at the foot')}{/if}
			{/each}
		</div>
	</div>
	<div class="floor"><span>floor</span><span class="foot">{foot}</span></div>
	<div class="below">
		<div class="flex flex-wrap items-center gap-x-3">
			<UprightPanel {bench} />
			<AddSection {bench} />
			<HandPanel {bench} section={{ name: 'the design', structure: { kind: 'extras' } }} />
		</div>
		<LinesList {bench} />
	</div>
</section>

<style>
	.panel {
		contain: layout paint;
		display: flex;
		min-height: 0;
		flex-direction: column;
		border: 1px solid var(--line);
		background: var(--paper);
	}
	.scroll {
		display: flex;
		min-height: 0;
		flex: 1;
		flex-direction: column-reverse;
		overflow-y: auto;
		scrollbar-width: thin;
	}
	.on {
		mask-image: linear-gradient(#000 calc(100% - 34px), transparent);
	}
	.stand {
		padding-top: 12px;
	}
	.floor {
		display: flex;
		justify-content: space-between;
		gap: 12px;
		margin-left: 54px;
		border-top: 2px solid var(--ink);
		padding: 6px 12px 4px;
		font-size: 13.5px;
		color: var(--muted);
	}
	.foot {
		text-align: right;
	}
	.below {
		padding: 2px 12px 8px 66px;
		font-size: 13px;
	}
</style>
