<script lang="ts">
	import { OPEN_HEX } from '../../../../core/materials/material.ts';
	import { slotName } from '../../../../core/document/names.ts';
	import { MATERIAL_KINDS, ROUND_NOMINALS } from '../../../../core/materials/material.ts';
	import { SIDES, type Side } from '../../../../core/document/side.ts';
	import {
		addCluster,
		addPlace,
		changePlaces,
		moveCluster,
		removePlaces
	} from '../../../../core/recipe/edit-places.ts';
	import { parseSizeText } from '../../../../core/language/balloon.ts';
	import { printBalloon } from '../../../../core/structures/kit/print-balloon.ts';
	import type { Place } from '../../../../core/document/cluster.ts';
	import { shade } from '../../../../core/scene/shade.ts';
	import { printSize } from '../../../../core/sizing/size.ts';
	import { slotOfPlace } from '../../../../core/structures/stack/place.ts';
	import { formatInches, inches, type Micrometres } from '../../../../core/units/length.ts';
	import Button from '../../../../ui/button/Button.svelte';
	import Dialog from '../../../../ui/dialog/Dialog.svelte';
	import Pick from '../../../../ui/pick/Pick.svelte';
	import TypedField from '../../../../ui/typed/TypedField.svelte';
	import ColourChip from '../../../colours/ColourChip.svelte';
	import ColourName from '../../../colours/ColourName.svelte';
	import SlotPick from '../../kit/SlotPick.svelte';
	import type { Bench } from '../../bench.svelte.ts';

	interface Props {
		bench: Bench;
		/** Row whose places are looked at; null is closed. */
		layer: string | null;
		onclose: () => void;
	}
	let { bench, layer, onclose }: Props = $props();
	const newId = () => crypto.randomUUID();
	const id = $props.id();
	let chosen = $state.raw<ReadonlySet<string>>(new Set());
	let say = $state('');

	const row = $derived(bench.allRows.find((l) => l.id === layer));
	const stack = $derived(bench.tally.stacks.find((s) => s.placed.rings.some((r) => r.layer.id === layer)));
	const ring = $derived(stack?.placed.rings.findIndex((r) => r.layer.id === layer) ?? -1);
	const placed = $derived(ring >= 0 ? stack!.placed.layers[ring] : undefined);
	const OPEN = { hex: OPEN_HEX, finish: 'matte' as const };
	/** Every place with its ball, counter-clockwise seen from above, cluster by cluster. */
	const balls = $derived.by(() => {
		if (!row || !placed) return [];
		const at = stack!.placed.rings[ring]!;
		return row.clusters.flatMap((cluster, c) =>
			cluster.places.map((place, p) => {
				const ball = placed.rings[c]?.[p] ?? { x: 0, y: 0, z: 0, d: 100 };
				const slot = slotOfPlace(cluster, p, at);
				const own =
					place.material === null ? undefined : bench.catalogue.materials.get(place.material)?.colour;
				const colour = bench.catalogue.colours.get(own ?? bench.chosen.fills[slot] ?? '') ?? OPEN;
				return { place, cluster, ball, slot, colour };
			})
		);
	});
	const reach = $derived(
		Math.max(100, ...balls.map(({ ball }) => Math.hypot(ball.x, ball.y) + ball.d / 2)) + 30
	);
	const first = $derived(balls.find((b) => chosen.has(b.place.id)) ?? balls[0]);
	const picked = $derived(chosen.size > 0 ? chosen : new Set(first ? [first.place.id] : []));
	const label = ({ place, slot, cluster }: (typeof balls)[number]) =>
		[
			printBalloon(place),
			slotName(slot, bench.shownByColour.slots),
			cluster.side === 'all' ? '' : `cluster at the ${cluster.side}`,
			place.side ? `looks ${place.side}` : ''
		]
			.filter(Boolean)
			.join(', ');

	const change = (to: Partial<Omit<Place, 'id'>>) =>
		layer !== null && bench.change((d) => changePlaces(d, layer, picked, to));
	function size(text: string): string {
		if (!first) return '';
		const parsed = parseSizeText(text, first.place.nominal, bench.entryContext);
		if (!parsed.ok) return parsed.say;
		change({ size: parsed.value });
		return '';
	}
	function toggle(place: string, more: boolean) {
		const next = new Set(more ? chosen : []);
		if (more && next.has(place)) next.delete(place);
		else next.add(place);
		chosen = next;
	}
	function step(from: string, by: number) {
		const at = balls.findIndex((b) => b.place.id === from);
		const next = balls[(at + by + balls.length) % balls.length]!.place.id;
		chosen = new Set([next]);
		document.getElementById(`${id}-${next}`)?.focus();
	}
	function add() {
		if (!first || layer === null) return;
		const made = newId();
		let done: string | undefined;
		bench.change((d) => (done = addPlace(d, layer, first.place.id, () => made)));
		say = done === undefined ? 'A cluster holds 12 at the most. Add a cluster instead.' : '';
		if (done !== undefined) chosen = new Set([done]);
	}
	function remove() {
		if (layer !== null) bench.change((d) => removePlaces(d, layer, picked));
		chosen = new Set();
	}
	function cluster(side: Side) {
		if (layer === null) return;
		let done: string | undefined;
		bench.change((d) => (done = addCluster(d, layer, { side, tier: 0 }, newId)));
		if (done !== undefined) chosen = new Set([done]);
	}
	function level() {
		if (layer !== null) say = bench.level(layer) ?? '';
	}
	function keydown(event: KeyboardEvent, place: string) {
		const keys: Record<string, () => void> = {
			ArrowRight: () => step(place, 1),
			ArrowDown: () => step(place, 1),
			ArrowLeft: () => step(place, -1),
			ArrowUp: () => step(place, -1),
			' ': () => toggle(place, true),
			Enter: () => toggle(place, true),
			a: () => (chosen = new Set(balls.map((b) => b.place.id))),
			'+': add,
			Delete: remove,
			Backspace: remove,
			l: level
		};
		const work = keys[event.key];
		if (!work || event.ctrlKey || event.metaKey) return;
		event.preventDefault();
		event.stopPropagation();
		work();
	}
	const nominals = $derived(
		[...new Set([...ROUND_NOMINALS.map((n) => inches(n) as number), ...(first ? [first.place.nominal] : [])])]
			.sort((a, b) => a - b)
			.map((n) => [String(n), `${formatInches(n as Micrometres)} in`] as const)
	);
	const latex = new Set(MATERIAL_KINDS.filter((k) => k.startsWith('latex')));
	const materials = $derived([
		['', 'what kind, bag and colour find'] as const,
		...[...bench.catalogue.materials.values()]
			.filter((m) => latex.has(m.kind) && m.nominal === first?.place.nominal)
			.map((m) => [m.id, m.name] as const)
	]);
	const METHODS = [
		['', 'as its size says'],
		['hole', 'sizer hole'],
		['eye', 'by eye, good to ½ in']
	] as const;
	const TURNS = [
		['', 'no side in particular'],
		['front', 'front'],
		['back', 'back'],
		['left', 'left'],
		['right', 'right']
	] as const;
	let open = $derived(layer !== null && row !== undefined);
</script>

<Dialog
	title="Places of the row"
	bind:open={
		() => open,
		(to) => {
			if (!to) {
				chosen = new Set();
				onclose();
			}
		}
	}
	width={760}
>
	<div class="grid gap-5 sm:grid-cols-[320px_minmax(0,1fr)]">
		<div>
			<div class="plan" role="listbox" aria-label="Balloons, seen from above" aria-multiselectable="true">
				<svg viewBox="{-reach} {-reach} {2 * reach} {2 * reach}" aria-hidden="true">
					<defs>
						{#each balls as { place, colour } (place.id)}
							<radialGradient id="{id}-g{place.id}" cx="0.5" cy="0.5" r="0.62" fx="0.34" fy="0.3">
								{#each shade(colour.hex, colour.finish) as stop, s (s)}<stop
										offset={stop.at}
										stop-color={stop.hex}
									/>{/each}
							</radialGradient>
						{/each}
					</defs>
					{#each balls as { place, ball } (place.id)}
						<circle
							cx={ball.x}
							cy={-ball.y}
							r={ball.d / 2}
							fill="url(#{id}-g{place.id})"
							stroke="var(--rim)"
							vector-effect="non-scaling-stroke"
						/>
					{/each}
				</svg>
				{#each balls as one (one.place.id)}
					{@const { ball, place } = one}
					<div
						id="{id}-{place.id}"
						class="spot"
						role="option"
						aria-selected={picked.has(place.id)}
						aria-label={label(one)}
						tabindex={place.id === first?.place.id ? 0 : -1}
						style:left="{((ball.x + reach) / (2 * reach)) * 100}%"
						style:top="{((-ball.y + reach) / (2 * reach)) * 100}%"
						style:width="{(ball.d / (2 * reach)) * 100}%"
						onclick={(e) => toggle(place.id, e.shiftKey || e.ctrlKey || e.metaKey)}
						onkeydown={(e) => keydown(e, place.id)}
					></div>
				{/each}
			</div>
			<p class="mt-1 text-center text-[13px] text-muted">front, where the audience stands</p>
			<p class="mt-2 text-[13px] text-muted">
				← → goes round, Space adds to the choice, a takes all, + one more, Delete takes out, l levels.
			</p>
		</div>
		{#if first}
			<div class="grid content-start gap-3">
				<p aria-live="polite">
					{picked.size === 1 ? label(first) : `${picked.size} places`}{placed && placed.tilt > 0.5
						? `. The row leans by ${Math.round(placed.tilt)}°.`
						: ''}
				</p>
				<div class="grid grid-cols-2 gap-3">
					<Pick
						label="Bag says"
						value={String(first.place.nominal)}
						options={nominals}
						onpick={(v) => change({ nominal: Number(v) as Micrometres })}
					/>
					<TypedField
						label="Inflated to"
						value={first.place.size.kind === 'unknown' ? '' : printSize(first.place.size)}
						hint="9½, 8 to 9, 4 strokes, soft; blank is unknown"
						use={size}
					/>
					<Pick
						label="Sized with"
						value={first.place.method ?? ''}
						options={METHODS}
						onpick={(v) => change({ method: v === '' ? null : (v as 'hole' | 'eye') })}
					/>
					<div class="grid content-start gap-1 text-[13px]">
						<span class="font-medium text-muted">Its colour</span>
						<span class="flex flex-wrap items-center gap-2">
							<ColourChip
								out={first.place.slot === null ? '' : 'As the pattern of its cluster says'}
								onout={() => change({ slot: null })}
							>
								<SlotPick
									{bench}
									label="Colour of this balloon"
									now={bench.recipe.slots.find((s) => s.id === first.slot)}
									onpick={(slotIn) =>
										layer !== null &&
										bench.change((d) => changePlaces(d, layer, picked, { slot: slotIn(d), material: null }))}
								>
									{#snippet trigger()}<ColourName
											colour={bench.catalogue.colours.get(bench.chosen.fills[first.slot] ?? '')}
											name={slotName(first.slot, bench.shownByColour.slots)}
										/>{/snippet}
								</SlotPick>
							</ColourChip>
						</span>
					</div>
					<Pick
						label="Looks to"
						value={first.place.side ?? ''}
						options={TURNS}
						onpick={(v) => change({ side: v === '' ? null : (v as Exclude<Side, 'all'>) })}
					/>
					<Pick
						label="A certain material"
						value={first.place.material ?? ''}
						options={materials}
						onpick={(v) => change({ material: v || null })}
					/>
					<Pick
						label="Its cluster stands"
						value={first.cluster.side}
						options={SIDES.map((s) => [s, s === 'all' ? 'round the axis' : `at the ${s}`] as const)}
						onpick={(v) =>
							layer !== null &&
							bench.change((d) => moveCluster(d, layer, first.place.id, { side: v as Side }))}
					/>
					<Pick
						label="Tier"
						value={String(first.cluster.tier)}
						options={[
							['0', 'lowest'],
							['1', 'a tier up'],
							['2', 'two tiers up']
						]}
						onpick={(v) =>
							layer !== null &&
							bench.change((d) => moveCluster(d, layer, first.place.id, { tier: Number(v) }))}
					/>
				</div>
				{#if say}<p class="text-[13px] text-bad" role="alert">{say}</p>{/if}
				<div class="flex flex-wrap gap-2">
					<Button onclick={add}>One more</Button>
					<Button onclick={() => cluster('front')}>Add a cluster</Button>
					{#if placed && placed.tilt > 0.5}<Button onclick={level}>Level the row</Button>{/if}
					<Button kind="word" onclick={remove} disabled={balls.length <= picked.size}>Take out</Button>
				</div>
			</div>
		{/if}
	</div>
	{#snippet actions()}<Button kind="strong" onclick={onclose}>Done</Button>{/snippet}
</Dialog>

<style>
	.plan {
		position: relative;
		aspect-ratio: 1;
		border: 1px solid var(--line);
		border-bottom: 3px solid var(--ink);
		background: var(--page);
	}
	.plan svg {
		position: absolute;
		inset: 0;
		width: 100%;
		height: 100%;
	}
	.spot {
		position: absolute;
		aspect-ratio: 1;
		translate: -50% -50%;
		border-radius: 50%;
		cursor: pointer;
	}
	.spot[aria-selected='true'] {
		border: 3px solid var(--ink);
		box-shadow: inset 0 0 0 2px var(--paper);
	}
	.spot:focus-visible {
		border-radius: 50%;
	}
</style>
