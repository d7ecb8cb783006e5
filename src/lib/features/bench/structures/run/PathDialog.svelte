<script lang="ts">
	import { extentOf } from '../../../../core/geometry/path.ts';
	import {
		pathAs,
		DRAWN_KINDS,
		dragged,
		gripsOf,
		kindOf,
		type DrawnKind,
		type Grip
	} from '../../../../core/structures/run/edit-path.ts';
	import { changeRun } from '../../../../core/structures/run/edit.ts';
	import { parsePath } from '../../../../core/structures/run/read-path.ts';
	import { printBranch, printPath } from '../../../../core/structures/run/print.ts';
	import type { Mutable } from '../../../../core/document/mutable.ts';
	import type { Run } from '../../../../core/structures/run/document.ts';
	import type { Section } from '../../../../core/recipe/recipe.ts';
	import type { RunPath } from '../../../../core/structures/run/document.ts';
	import { lengthOfRun, stretchesOf } from '../../../../core/structures/run/path.ts';
	import {
		formatFeet,
		formatInches,
		parseLength,
		toMillimetres,
		um,
		type Micrometres
	} from '../../../../core/units/length.ts';
	import Dialog from '../../../../ui/dialog/Dialog.svelte';
	import Button from '../../../../ui/button/Button.svelte';
	import Pick from '../../../../ui/pick/Pick.svelte';
	import TypedField from '../../../../ui/typed/TypedField.svelte';
	import type { Bench } from '../../bench.svelte.ts';
	import { OUTLINES, VenuePhoto } from '../../venue-photo.svelte.ts';
	import { feetWords } from '../../kit/feet-words.ts';

	interface Props {
		bench: Bench;
		section: Section & { readonly structure: Run };
		/** As it is built: a lent path is there. */
		run: Run;
		open: boolean;
	}
	let { bench, section, run, open = $bindable() }: Props = $props();
	const WORDS: Readonly<Record<DrawnKind, string>> = {
		line: 'a straight line',
		arch: 'an arch, half an ellipse',
		catenary: 'an arch, a catenary',
		corners: 'legs with corners',
		helix: 'a helix round a pole',
		curve: 'a free curve'
	};
	/** Paper of the drawing, px. */
	const [WIDE, HIGH, EDGE] = [620, 380, 34];
	const photo = new VenuePhoto();
	let outline = $state('none');
	/** What it is while a grip is dragged: one step of undo when it is let go. */
	let held = $state.raw<RunPath | null>(null);
	let grip: { index: number; x: number; y: number; path: RunPath } | null = null;
	let svg = $state<SVGSVGElement>();

	const own = $derived(section.structure.path);
	const path = $derived(held ?? run.path);
	const shown = $derived({ ...run, path });
	const stretches = $derived(stretchesOf(shown));
	const extent = $derived(extentOf(stretches));
	const length = $derived(lengthOfRun(shown));
	const drawn = $derived(OUTLINES.find((o) => o.name === outline));
	const top = $derived(
		Math.max(...stretches.flatMap((s) => s.points.map((p) => p.z)), drawn?.high ?? 0, 900)
	);
	/** Frozen while a grip is held: the paper does not move under the hand. */
	let frozen = $state.raw<number | null>(null);
	const scale = $derived(
		frozen ??
			Math.min((WIDE - 2 * EDGE) / Math.max(extent.span, drawn?.wide ?? 0, 900), (HIGH - 2 * EDGE) / top)
	);
	const px = (x: number) => WIDE / 2 + x * scale;
	const pz = (z: number) => HIGH - EDGE - z * scale;
	const d = $derived(
		stretches
			.map((s) =>
				s.points.map((p, i) => `${i === 0 ? 'M' : 'L'}${px(p.x).toFixed(1)} ${pz(p.z).toFixed(1)}`).join('')
			)
			.join('')
	);
	const first = $derived(stretches[0]?.points[0] ?? { x: 0, y: 0, z: 0 });
	const grips = $derived(own.kind === 'lent' ? [] : gripsOf(path, first));

	function change(to: RunPath, height?: Micrometres | 0) {
		bench.change((draft) =>
			changeRun(draft, section.id, (mine) => {
				mine.path = to as Mutable<RunPath>;
				if (height !== undefined) mine.height = height;
			})
		);
	}
	/** A length of the path, as typed. */
	const field = (put: (length: Micrometres) => RunPath) => (text: string) => {
		const parsed = parseLength(text, 'ft');
		if (!parsed.ok) return parsed.say;
		if (parsed.value.um < 76_200) return 'A path is 3 in or longer.';
		change(put(parsed.value.um));
		return '';
	};
	const height = (text: string) => {
		if (/^\s*(0|floor)?\s*$/.test(text)) {
			change(own, 0);
			return '';
		}
		const parsed = parseLength(text, 'ft');
		if (parsed.ok) change(own, parsed.value.um);
		return parsed.ok ? '' : parsed.say;
	};
	const turns = (text: string) => {
		const value = Number(text);
		if (own.kind !== 'helix' || !(value > 0 && value <= 100)) return 'Turns are above 0 and at most 100.';
		change({ ...own, turns: value });
		return '';
	};
	const feet = (value: Micrometres) => formatFeet(toMillimetres(value));

	function down(event: PointerEvent, { index }: Grip) {
		(event.currentTarget as Element).setPointerCapture(event.pointerId);
		grip = { index, x: event.clientX, y: event.clientY, path };
		frozen = scale;
	}
	function move(event: PointerEvent) {
		if (!grip || !svg) return;
		const by = WIDE / svg.getBoundingClientRect().width / scale;
		held = dragged(grip.path, grip.index, {
			x: (event.clientX - grip.x) * by,
			z: (grip.y - event.clientY) * by
		});
	}
	function up() {
		if (held) change(held);
		[grip, held, frozen] = [null, null, null];
	}
	function key(event: KeyboardEvent, { index }: Grip) {
		const inch = event.shiftKey ? 304.8 : 76.2;
		const by = {
			ArrowRight: { x: inch, z: 0 },
			ArrowLeft: { x: -inch, z: 0 },
			ArrowUp: { x: 0, z: inch },
			ArrowDown: { x: 0, z: -inch }
		}[event.key];
		if (!by) return;
		event.preventDefault();
		change(dragged(path, index, by));
	}
	/** From cluster to cluster on one leg; blank is what their size takes. */
	function apart(index: number, text: string): string {
		if (own.kind !== 'corners') return '';
		const parsed = text.trim() === '' ? null : parseLength(text, 'in');
		if (parsed && !parsed.ok) return parsed.say;
		if (parsed && parsed.value.um < 12_700) return 'Clusters are ½ in apart or more.';
		const pitch = parsed ? parsed.value.um : null;
		change({ ...own, legs: own.legs.map((l, k) => (k === index ? { ...l, pitch } : l)) });
		return '';
	}
	/** Points of a curve as they are typed on the entry line: so far right by so far up. */
	const points = (text: string) => {
		const parsed = parsePath(`curve ${text}`, { ...bench.entryContext, section: section.id });
		if (!parsed.ok) return parsed.say;
		change(parsed.value);
		return '';
	};
	function addPoint() {
		if (own.kind === 'corners')
			change({
				...own,
				legs: [...own.legs, { ...own.legs.at(-1)!, way: own.legs.at(-1)!.way === 'right' ? 'down' : 'right' }]
			});
		if (own.kind !== 'curve') return;
		const [a, b] = own.points.slice(-2) as [readonly [number, number], readonly [number, number]];
		change({ ...own, points: [...own.points, [2 * b[0] - a[0], b[1]]] });
	}
	function takePoint() {
		if (own.kind === 'corners' && own.legs.length > 1) change({ ...own, legs: own.legs.slice(0, -1) });
		if (own.kind === 'curve' && own.points.length > 2) change({ ...own, points: own.points.slice(0, -1) });
	}
	function press(event: MouseEvent) {
		if (!svg) return;
		const box = svg.getBoundingClientRect();
		photo.press(
			((event.clientX - box.left) * WIDE) / box.width,
			((event.clientY - box.top) * HIGH) / box.height
		);
	}
	const picture = $derived(photo.placed({ scale, floor: pz(0), middle: px(0) }));
</script>

<Dialog title="The path of {section.name}" width={700} bind:open>
	<div class="grid gap-3 text-[13.5px]">
		<div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
			{#if own.kind === 'lent'}
				<p class="col-span-2">It goes along another run. Pick a path to give it its own.</p>
			{/if}
			<Pick
				label="It goes as"
				value={kindOf(own)}
				options={[
					...(own.kind === 'lent' ? [['lent', 'along another run'] as const] : []),
					...DRAWN_KINDS.map((k) => [k, WORDS[k]] as const)
				]}
				onpick={(k) => {
					if (k !== 'lent') change(pathAs(k as DrawnKind, extent.span, extent.height));
				}}
			/>
			{#if own.kind === 'line'}
				<TypedField label="Length" value={feet(own.length)} use={field((v) => ({ ...own, length: v }))} />
			{:else if own.kind === 'arch'}
				<TypedField label="Span" value={feet(own.span)} use={field((v) => ({ ...own, span: v }))} />
				<TypedField label="Rise" value={feet(own.rise)} use={field((v) => ({ ...own, rise: v }))} />
			{:else if own.kind === 'helix'}
				<TypedField label="Across" value={feet(own.across)} use={field((v) => ({ ...own, across: v }))} />
				<TypedField label="Height" value={feet(own.height)} use={field((v) => ({ ...own, height: v }))} />
				<TypedField label="Turns" value={String(own.turns)} use={turns} />
			{:else if own.kind === 'curve'}
				<div class="col-span-2">
					<TypedField
						label="Points, right by up"
						value={printPath(own, bench.recipe).replace('curve ', '')}
						use={points}
					/>
				</div>
			{:else if own.kind === 'corners'}
				{#each own.legs as leg, i (i)}
					<TypedField
						label="Leg {i + 1}, {leg.way}"
						value={feet(leg.length)}
						use={field((v) => ({
							...own,
							legs: own.legs.map((l, k) => (k === i ? { ...l, length: v } : l))
						}))}
					/>
					<TypedField
						label="Clusters apart, leg {i + 1}"
						value={leg.pitch === null ? '' : `${formatInches(leg.pitch)} in`}
						placeholder="as their size takes"
						use={(text) => apart(i, text)}
					/>
				{/each}
			{/if}
			{#if own.kind !== 'lent'}
				<TypedField
					label="Lifted over the floor"
					value={run.height === 0 ? 'floor' : feet(um(run.height))}
					use={height}
				/>
			{/if}
		</div>
		<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
		<svg
			bind:this={svg}
			viewBox="0 0 {WIDE} {HIGH}"
			role="group"
			aria-label="Drawing of the path: {feetWords(length)} long"
			onclick={press}
		>
			{#if picture}<image {...picture} opacity="0.75" />{/if}
			{#each photo.known === null ? photo.marks : [] as [x, y], i (i)}<circle
					cx={x}
					cy={y}
					r="5"
					class="known"
				/>{/each}
			<line x1="0" x2={WIDE} y1={pz(0)} y2={pz(0)} class="ground" />
			{#if drawn}
				<rect
					x={px(-drawn.wide / 2)}
					y={pz(drawn.high)}
					width={drawn.wide * scale}
					height={drawn.high * scale}
					class="outline"
				/>
			{/if}
			<path {d} class="run" />
			<text x={WIDE / 2} y={HIGH - 8} text-anchor="middle"
				>{feetWords(length)} long · {feetWords(extent.span)} wide · {feetWords(extent.height)} high</text
			>
			{#each grips as one (one.index)}
				<circle
					class="grip"
					cx={px(one.x)}
					cy={pz(one.z)}
					r="9"
					role="slider"
					tabindex="0"
					aria-label="Move the {one.says}"
					aria-valuenow={Math.round(one.ways === 'up' ? one.z : one.x)}
					aria-valuetext="{feetWords(Math.max(0, one.x - first.x))} along, {feetWords(Math.max(0, one.z))} up"
					onpointerdown={(e) => down(e, one)}
					onpointermove={move}
					onpointerup={up}
					onpointercancel={up}
					onkeydown={(e) => key(e, one)}
				/>
			{/each}
		</svg>
		{#if run.branches.length > 0}<p>
				Arms: {run.branches.map(printBranch).join('; ')}. Say another like “tee at 4 ft up 3 ft”.
			</p>{/if}
		<p class="text-muted">
			Type what is measured; drag a point for the rest, an inch at a time (arrows 3 in, with Shift a foot).
		</p>
		<div class="flex flex-wrap items-end gap-3">
			<Pick
				label="For scale"
				value={outline}
				options={[['none', 'nothing'], ...OUTLINES.map((o) => [o.name, o.says] as const)]}
				onpick={(v) => (outline = v)}
			/>
			{#if own.kind === 'curve' || own.kind === 'corners'}
				<Button onclick={addPoint}>Add a {own.kind === 'curve' ? 'point' : 'leg'}</Button>
				<Button
					onclick={takePoint}
					disabled={own.kind === 'curve' ? own.points.length < 3 : own.legs.length < 2}
					>Take the last out</Button
				>
			{/if}
			<label class="quiet-link">
				a photo of the place behind it
				<input
					class="sr-only"
					type="file"
					accept="image/*"
					onchange={(e) => photo.take(e.currentTarget.files?.[0])}
				/>
			</label>
			{#if photo.url}
				<TypedField
					label="Between the two points"
					value={photo.known === null ? '' : feetWords(photo.known)}
					hint={photo.marks.length < 2
						? 'press two points whose distance you know; the first is on the floor'
						: ''}
					use={(text) => photo.measure(text)}
				/>
				<button type="button" class="quiet-link" onclick={() => photo.clear()}>no photo</button>
			{/if}
		</div>
		{#if photo.trouble}<p role="alert" class="bad">{photo.trouble}</p>{/if}
	</div>
	{#snippet actions()}<Button onclick={() => (open = false)}>Done</Button>{/snippet}
</Dialog>

<style>
	svg {
		width: 100%;
		border: 1px solid var(--line);
		background: var(--paper);
		touch-action: none;
	}
	.ground {
		stroke: var(--ink);
	}
	.outline {
		fill: none;
		stroke: var(--muted);
		stroke-dasharray: 5 4;
	}
	.run {
		fill: none;
		stroke: var(--ink);
		stroke-width: 2.5;
	}
	.grip {
		fill: var(--paper);
		stroke: var(--ink);
		stroke-width: 2;
		cursor: grab;
	}
	.grip:focus-visible {
		outline: 2px solid var(--ink);
		outline-offset: 2px;
	}
	.known {
		fill: var(--ink);
		stroke: var(--paper);
		stroke-width: 2;
	}
	text {
		fill: var(--ink);
		font-family: var(--font-mono);
		font-size: 12.5px;
	}
	.bad {
		color: var(--bad);
	}
</style>
