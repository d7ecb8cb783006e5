<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import CircleDot from '@lucide/svelte/icons/circle-dot';
	import Copy from '@lucide/svelte/icons/copy';
	import Pencil from '@lucide/svelte/icons/pencil';
	import Plus from '@lucide/svelte/icons/plus';
	import Trash from '@lucide/svelte/icons/trash';
	import X from '@lucide/svelte/icons/x';
	import type { Mutable } from '../../../../core/document/mutable.ts';
	import type { Cluster } from '../../../../core/document/cluster.ts';
	import { slotName } from '../../../../core/document/names.ts';
	import { parseSizeText } from '../../../../core/language/balloon.ts';
	import { ROUND_NOMINALS } from '../../../../core/materials/material.ts';
	import { resizeLayer, layerWith } from '../../../../core/structures/stack/edit.ts';
	import type { Layer } from '../../../../core/structures/stack/document.ts';
	import {
		coloursOf,
		fieldsOf,
		patternOf,
		PATTERN_KINDS,
		setBalloon,
		setCount,
		setPattern,
		setRepeat,
		type PatternKind
	} from '../../../../core/structures/stack/row-fields.ts';
	import { bagsIn } from '../../../../core/by-hand/answers.ts';
	import { printSize, type Size } from '../../../../core/sizing/size.ts';
	import { formatInches, inches, um, type Micrometres } from '../../../../core/units/length.ts';
	import Stepper from '../../../../ui/stepper/Stepper.svelte';
	import Swatch from '../../../colours/Swatch.svelte';
	import type { Bench } from '../../bench.svelte.ts';
	import SlotPick from '../../kit/SlotPick.svelte';
	import type { RowAct } from './LayerRow.svelte';

	interface Props {
		bench: Bench;
		layer: Layer;
		onact: (act: RowAct) => void;
	}
	let { bench, layer, onact }: Props = $props();
	const newId = () => crypto.randomUUID();
	let trouble = $state('');
	/** What is done to the row as a whole; each has a key as well. */
	const ACTS: readonly (readonly [act: RowAct, label: string, key: string, icon: typeof Copy])[] = [
		['copy', 'Copy above', 'd', Copy],
		['up', 'Move up', 'Alt ↑', ArrowUp],
		['down', 'Move down', 'Alt ↓', ArrowDown],
		['places', 'Its balloons, seen from above', 'p', CircleDot],
		['edit', 'Change its words', 'Enter', Pencil],
		['remove', 'Take out', 'Delete', Trash]
	];
	const WORDS: Readonly<Record<PatternKind, string>> = {
		list: 'side by side',
		spiral: 'in a spiral',
		rings: 'a row each',
		checker: 'like a chequerboard',
		gradient: 'from one into the next',
		blocks: 'rows in turn'
	};
	const bags = $derived.by(() => {
		const own = bagsIn(bench.data);
		const used = layer.clusters.flatMap((c) => c.places.map((p) => p.nominal));
		return [...new Set([...(own.length > 0 ? own : ROUND_NOMINALS.map(inches)), ...used])].sort(
			(a, b) => a - b
		);
	});
	/** One step of undo; what it refuses is said in the form. */
	function change(work: (layer: Mutable<Layer>) => boolean | void, say = '') {
		trouble = '';
		bench.change((d) => {
			const own = layerWith(d, layer.id);
			if (own && work(own) === false) trouble = say;
		});
	}
	const cluster = (at: number, work: (cluster: Mutable<Cluster>) => boolean | void, say = '') =>
		change((l) => work(l.clusters[at]!), say);
	const COUNT = 'A cluster holds 1 to 12 balloons. For more layers alike raise “layers”.';
	const whole = (text: string) => (/^\s*\d+\s*$/.test(text) ? Number(text) : NaN);

	function bag(at: number, nominal: Micrometres) {
		const { nominal: before, size } = fieldsOf(layer.clusters[at]! as Cluster);
		const share = before && size?.kind === 'value' ? size.um / before : 0.85;
		const half = inches(0.5);
		const filled: Size = { kind: 'value', um: um(Math.max(half, Math.round((nominal * share) / half) * half)), unit: 'in', origin: 'typed' }; // prettier-ignore
		cluster(at, (c) => setBalloon(c, { nominal, size: filled }));
	}
	function sized(at: number, nominal: Micrometres, text: string): string {
		const parsed = parseSizeText(text, nominal, bench.entryContext);
		if (!parsed.ok) return parsed.say;
		cluster(at, (c) => setBalloon(c, { nominal, size: parsed.value }));
		return '';
	}
	function larger(by: number) {
		bench.change((d) => {
			const outcome = resizeLayer(d, layer.id, by);
			trouble = outcome.ok ? '' : outcome.say;
		});
	}
	const nameOf = (slot: string) => {
		const colour = bench.chosen.fills[slot];
		return colour
			? (bench.catalogue.colourNames.get(colour) ?? '')
			: `${slotName(slot, bench.recipe.slots)}, open`;
	};
	const hexOf = (slot: string) => bench.catalogue.colours.get(bench.chosen.fills[slot] ?? '');
	const kindOf = (c: Cluster): PatternKind => (c.pattern.kind === 'same' ? 'list' : c.pattern.kind);
</script>

<div class="form" role="group" aria-label="Change this row">
	{#each layer.clusters as own, at (own.id)}
		{@const { count, nominal, size } = fieldsOf(own)}
		{@const slots = coloursOf(own.pattern)}
		<div class="line">
			<span class="count">
				<Stepper
					label="Balloons in the cluster"
					text={String(count)}
					onstep={(by) => cluster(at, (c) => setCount(c, c.places.length + by, newId), COUNT)}
					onread={(text) => {
						cluster(at, (c) => setCount(c, whole(text), newId), COUNT);
						return trouble;
					}}
				/>
			</span>
			<div class="bags" role="group" aria-label="Size on the bag">
				{#each bags as one (one)}
					<button type="button" aria-pressed={nominal === one} onclick={() => bag(at, one)}
						>{formatInches(one)}</button
					>
				{/each}
			</div>
		</div>
		<div class="line">
			{#if nominal !== null && size !== null}
				<span class="text-[13px] text-muted">at</span>
				<span class="size">
					<Stepper
						label="Inflated size"
						text={printSize(size)}
						onstep={larger}
						onread={(text) => sized(at, nominal, text)}
						ontrouble={(say) => (trouble = say)}
					/>
				</span>
			{/if}
			{#if at === 0}
				<span class="layers">
					<Stepper
						label="Layers of this row"
						text="{layer.repeat} {layer.repeat === 1 ? 'layer' : 'layers'}"
						onstep={(by) => change((l) => setRepeat(l, l.repeat + by))}
						onread={(text) => {
							change((l) => setRepeat(l, whole(text.replace(/layers?/, ''))), 'Layers alike are a whole number from 1 to 200.'); // prettier-ignore
							return trouble;
						}}
					/>
				</span>
			{/if}
		</div>
		<div class="line">
			{#each slots as slot, index (index)}
				<span class="chip">
					<SlotPick
						{bench}
						label="Colour {index + 1} of the row"
						slot={bench.recipe.slots.find((s) => s.id === slot)}
						onpick={(slotIn) =>
							bench.change((d) => {
								const c = layerWith(d, layer.id)?.clusters[at];
								if (c) setPattern(c, patternOf(kindOf(own), slots.with(index, slotIn(d)), own.pattern));
							})}
					>
						{#snippet trigger()}
							<span class="name"><Swatch colour={hexOf(slot)} size={18} />{nameOf(slot)}</span>
						{/snippet}
					</SlotPick>
					{#if slots.length > 1}
						<button
							type="button"
							class="out"
							aria-label="Take colour {index + 1} out of the row"
							onclick={() =>
								cluster(at, (c) =>
									setPattern(
										c,
										patternOf(
											kindOf(own),
											slots.filter((_, i) => i !== index),
											own.pattern
										)
									)
								)}><X size={13} /></button
						>
					{/if}
				</span>
			{/each}
			<span class="chip">
				<SlotPick
					{bench}
					label="Another colour in the row"
					onpick={(slotIn) =>
						bench.change((d) => {
							const c = layerWith(d, layer.id)?.clusters[at];
							if (c) setPattern(c, patternOf(kindOf(own), [...slots, slotIn(d)], own.pattern));
						})}
				>
					{#snippet trigger()}<span class="name"><Plus size={14} />colour</span>{/snippet}
				</SlotPick>
			</span>
			{#if slots.length > 1}
				<select
					class="control"
					aria-label="How the colours go"
					value={kindOf(own)}
					onchange={(e) =>
						cluster(at, (c) =>
							setPattern(c, patternOf(e.currentTarget.value as PatternKind, slots, own.pattern))
						)}
				>
					{#each PATTERN_KINDS as kind (kind)}<option value={kind}>{WORDS[kind]}</option>{/each}
				</select>
			{/if}
		</div>
	{/each}
	<div class="line">
		<span class="acts" role="group" aria-label="This row">
			{#each ACTS as [act, says, key, Icon] (act)}
				<button type="button" title="{says} ({key})" aria-label="{says} ({key})" onclick={() => onact(act)}
					><Icon size={15} aria-hidden="true" /></button
				>
			{/each}
		</span>
	</div>
	{#if trouble}<p class="text-[13px] text-bad" role="alert">{trouble}</p>{/if}
</div>

<style>
	.form {
		display: grid;
		gap: 8px;
		padding: 8px 10px 10px 66px;
		background: var(--tint);
	}
	.line {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		align-items: center;
	}
	.count {
		width: 96px;
	}
	.size {
		width: 112px;
	}
	.layers {
		width: 148px;
	}
	.bags {
		display: flex;
		flex-wrap: wrap;
		border: 1px solid color-mix(in srgb, var(--muted) 55%, var(--line));
		border-radius: 6px;
		overflow: hidden;
	}
	.bags button {
		min-width: 27px;
		min-height: 34px;
		padding: 0 4px;
		background: var(--paper);
		font: 400 13px var(--font-mono);
	}
	.bags button[aria-pressed='true'] {
		background: var(--ink);
		color: var(--on-ink);
	}
	.acts {
		display: flex;
		margin-left: auto;
	}
	.acts button {
		display: grid;
		place-items: center;
		width: 32px;
		min-height: 34px;
		border-radius: 6px;
	}
	.acts button:hover {
		background: var(--paper);
	}
	.chip {
		display: flex;
		align-items: stretch;
		border: 1px solid color-mix(in srgb, var(--muted) 55%, var(--line));
		border-radius: 6px;
		background: var(--paper);
	}
	.name {
		display: flex;
		align-items: center;
		gap: 6px;
		min-height: 32px;
		padding: 0 8px 0 6px;
		font-size: 13px;
	}
	.out {
		display: grid;
		place-items: center;
		width: 24px;
		border-left: 1px solid var(--line);
		color: var(--muted);
	}
	@media (pointer: coarse) {
		.bags button,
		.acts button,
		.name,
		.out {
			min-width: 44px;
			min-height: 44px;
		}
	}
</style>
