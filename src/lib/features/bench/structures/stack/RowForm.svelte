<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import CircleDot from '@lucide/svelte/icons/circle-dot';
	import Copy from '@lucide/svelte/icons/copy';
	import Pencil from '@lucide/svelte/icons/pencil';
	import Trash from '@lucide/svelte/icons/trash';
	import type { Mutable } from '../../../../core/document/mutable.ts';
	import type { Cluster } from '../../../../core/document/cluster.ts';
	import { slotName } from '../../../../core/document/names.ts';
	import { parseSizeText } from '../../../../core/language/balloon.ts';
	import {
		resizeLayer,
		layerWith,
		splitLayer,
		stacksIn,
		whyNotSplit
	} from '../../../../core/structures/stack/edit.ts';
	import type { Layer } from '../../../../core/structures/stack/document.ts';
	import { likeWords } from '../../../../core/structures/stack/like.ts';
	import { MOST_REPEATS } from '../../../../core/document/limits.ts';
	import { manyWords } from '../../../../core/document/count-range.ts';
	import { parseCountRange } from '../../../../core/forms/count-range.ts';
	import {
		coloursOf,
		fieldsOf,
		patternOf,
		setBalloon,
		setCount,
		setPattern,
		setRepeat
	} from '../../../../core/structures/stack/row-fields.ts';
	import {
		PATTERN_KINDS,
		PATTERN_WORDS,
		saidBalloon,
		type PatternKind
	} from '../../../../core/structures/kit/by-hand.ts';
	import { bagsToChoose, inBag } from '../../../../core/by-hand/answers.ts';
	import { printSize } from '../../../../core/sizing/size.ts';
	import type { RecipeDraft } from '../../../../core/recipe/draft.ts';
	import type { Micrometres } from '../../../../core/units/length.ts';
	import { parseBounded } from '../../../../core/units/number.ts';
	import Pick from '../../../../ui/pick/Pick.svelte';
	import Stepper from '../../../../ui/stepper/Stepper.svelte';
	import TypedField from '../../../../ui/typed/TypedField.svelte';
	import BagPick from '../../../by-hand/BagPick.svelte';
	import ColourChip from '../../../colours/ColourChip.svelte';
	import ColourName from '../../../colours/ColourName.svelte';
	import type { Bench } from '../../bench.svelte.ts';
	import SlotPick from '../../kit/SlotPick.svelte';
	import Treated from '../../kit/Treated.svelte';
	import type { RowAct } from './LayerRow.svelte';

	interface Props {
		bench: Bench;
		layer: Layer;
		/** All rows of its stack, floor first. */
		rows: readonly Layer[];
		onact: (act: RowAct) => void;
	}
	let { bench, layer, rows, onact }: Props = $props();
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
	const bags = $derived(
		bagsToChoose(
			bench.data,
			layer.clusters.flatMap((c) => c.places.map((p) => p.nominal))
		)
	);
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

	/** Another bag for all of a cluster, filled as much as the one before where that is known. */
	function bag(at: number, nominal: Micrometres) {
		const { nominal: before, size } = fieldsOf(layer.clusters[at]! as Cluster);
		const known = before && size?.kind === 'value' ? { nominal: before, size: size.um } : null;
		const balloon = saidBalloon(inBag(nominal, known));
		cluster(at, (c) => setBalloon(c, balloon));
	}
	/** Other colours for a cluster; where one is picked, its slot is made in the same step. */
	const recolour = (at: number, slotsIn: (draft: RecipeDraft) => readonly string[]) =>
		bench.change((d) => {
			const own = layerWith(d, layer.id)?.clusters[at];
			const before = layer.clusters[at]!;
			if (own) setPattern(own, patternOf(kindOf(before), slotsIn(d), before.pattern));
		});
	function sized(at: number, nominal: Micrometres, text: string): string {
		const parsed = parseSizeText(text, nominal, bench.entryContext);
		if (!parsed.ok) return parsed.say;
		cluster(at, (c) => setBalloon(c, { nominal, size: parsed.value }));
		return '';
	}
	/** Rows it may be once more: those that are not another themselves. */
	const others = $derived(
		stacksIn(bench.recipe).flatMap(({ stack }) =>
			stack.layers.flatMap((l) =>
				l.id === layer.id || l.like !== undefined
					? []
					: [[l.id, likeWords(l.id, rows, bench.recipe.sections).replace('like ', '')] as const]
			)
		)
	);
	const row = $derived(rows.findIndex((l) => l.id === layer.id));
	function split(text: string): string {
		if (text.trim() === '') return '';
		const why = whyNotSplit(layer, whole(text));
		if (why === undefined) bench.change((d) => splitLayer(d, layer.id, whole(text), newId));
		return why ?? '';
	}
	/** How much larger than the row it follows, below 0 smaller. */
	function more(text: string): string {
		const parsed = parseBounded(text.replace('−', '-'), { what: 'How much larger', min: -36, max: 36 });
		if (parsed.ok)
			change((l) => {
				if (l.follows) l.follows.by = Math.round(parsed.value.valueOf() * 25_400);
			});
		return parsed.ok ? '' : parsed.say;
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
	const colourOf = (slot: string) => bench.catalogue.colours.get(bench.chosen.fills[slot] ?? '');
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
			<BagPick {bags} value={nominal ?? undefined} onpick={(picked) => picked && bag(at, picked)} />
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
						text="{manyWords({ count: layer.repeat, range: layer.range })} {layer.repeat === 1
							? 'layer'
							: 'layers'}"
						onstep={(by) => change((l) => setRepeat(l, l.repeat + by))}
						onread={(text) => {
							const read = parseCountRange(text.replace(/layers?/, '').trim(), { what: 'Layers alike', min: 1, max: MOST_REPEATS }); // prettier-ignore
							if (read.ok) change((l) => setRepeat(l, read.value.count, read.value.range));
							return read.ok ? '' : read.say;
						}}
					/>
				</span>
			{/if}
		</div>
		<div class="line">
			{#each slots as slot, index (index)}
				<ColourChip
					out={slots.length > 1 ? `Take colour ${index + 1} out of the row` : ''}
					onout={() => recolour(at, () => slots.filter((_, i) => i !== index))}
				>
					<SlotPick
						{bench}
						label="Colour {index + 1} of the row"
						now={bench.recipe.slots.find((s) => s.id === slot)}
						onpick={(slotIn) => recolour(at, (d) => slots.with(index, slotIn(d)))}
					>
						{#snippet trigger()}<ColourName colour={colourOf(slot)} name={nameOf(slot)} />{/snippet}
					</SlotPick>
				</ColourChip>
			{/each}
			<ColourChip>
				<SlotPick
					{bench}
					label="Another colour in the row"
					onpick={(slotIn) => recolour(at, (d) => [...slots, slotIn(d)])}
				>
					{#snippet trigger()}<ColourName colour={null} name="colour" />{/snippet}
				</SlotPick>
			</ColourChip>
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
					{#each PATTERN_KINDS as kind (kind)}<option value={kind}>{PATTERN_WORDS[kind]}</option>{/each}
				</select>
			{/if}
		</div>
	{/each}
	{#if layer.repeat > 1}
		<div class="line">
			<TypedField label="Split it after so many layers" value="" hint="for a step between them" use={split} />
		</div>
	{/if}
	{#if rows.length > 1}
		<div class="line">
			<Pick
				label="As large as"
				value={layer.follows ? (layer.follows.row ?? 'below') : ''}
				options={[
					['', 'its own size'] as const,
					...(row > 0 ? [['below', 'the row below'] as const] : []),
					...rows.flatMap((l, i) => (l.id === layer.id ? [] : [[l.id, `row ${i + 1}`] as const]))
				]}
				onpick={(of) =>
					change((l) => {
						if (of === '') delete l.follows;
						else l.follows = { row: of === 'below' ? null : of, by: l.follows?.by ?? 0 };
					})}
			/>
			{#if layer.follows}
				<TypedField label="and so much more, in" value={String(layer.follows.by / 25_400)} use={more} />
			{/if}
		</div>
	{/if}
	{#if others.length > 0}
		<div class="line">
			<Pick
				label="The same again as"
				value={layer.like ?? ''}
				options={[['', 'none: a row by itself'] as const, ...others]}
				onpick={(of) =>
					change((l) => {
						if (of === '') delete l.like;
						else l.like = of;
					})}
			/>
		</div>
	{/if}
	{#if layer.clusters.length === 1}
		{@const own = layer.clusters[0]!}
		<details>
			<summary class="cursor-pointer text-[13px] text-muted">in them and on them</summary>
			<Treated
				{bench}
				place={own.places[0]!}
				twins={own.places.length % 2 === 0 && own.pattern.kind === 'same'}
				onchange={(work) => cluster(0, (c) => c.places.forEach((p) => work(p)))}
			/>
		</details>
	{/if}
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
	@media (pointer: coarse) {
		/* Room for the figure between buttons as large as a finger. */
		.count {
			width: 136px;
		}
		.size {
			width: 156px;
		}
		.layers {
			width: 188px;
		}
		.acts button {
			min-width: 44px;
			min-height: 44px;
		}
	}
</style>
