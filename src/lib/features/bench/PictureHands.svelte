<script lang="ts">
	import { ORIGIN, pointAt } from '../../core/structures/kit/spot.ts';
	import { gripsOf } from '../../core/structures/registry/touch.ts';
	import type { Grip } from '../../core/structures/facets/touch.ts';
	import { heightSaid, heightWords } from '../../core/tally/height.ts';
	import { formatFeet, type Millimetres } from '../../core/units/length.ts';
	import type { Frame } from '../picture/Picture.svelte';
	import type { Bench } from './bench.svelte.ts';
	import ColourStrip from './ColourStrip.svelte';
	import HeldBar from './HeldBar.svelte';

	interface Props {
		bench: Bench;
		frame: Frame;
		/** @bindable Held while something is dragged. */
		fitted: number | null;
		/** Where the focus goes when what was held is put down. */
		onback: () => void;
	}
	let { bench, frame, fitted = $bindable(), onback }: Props = $props();
	const hands = $derived(bench.hands);
	/** The section whose grips are shown: the only one that has any, else the one in hand. */
	const gripped = $derived.by(() => {
		if (bench.view !== 'front' || bench.camera !== null || bench.apart || bench.inSize) return null;
		const all = bench.shown.sections.flatMap((section) => {
			const { placed } = bench.tally.stacks.find((s) => s.section === section.id) ?? {};
			const grips = gripsOf(section.structure, placed);
			return grips.length > 0 ? [{ section, grips }] : [];
		});
		return all.length === 1 ? all[0]! : (all.find((a) => a.section.id === bench.current?.id) ?? null);
	});
	/** What is only being typed is not dragged. */
	const now = $derived(bench.ghost ? [] : (gripped?.grips ?? []));
	const spot = $derived((gripped && bench.tally.assembly.feet.get(gripped.section.id)) ?? ORIGIN);
	const placeOf = ({ x, z }: Grip) => {
		const at = pointAt(spot, { x, y: 0, z });
		return { x: frame.centre + at.x * frame.scale, y: frame.floor - at.z * frame.scale };
	};
	let from: { grip: string; x: number; y: number; scale: number } | null = $state.raw(null);
	const tall = $derived(heightWords(heightSaid(bench.tally, bench.context.rates.pumps)));
	const wide = $derived(formatFeet((2 * bench.picture.halfWidth) as Millimetres));
	const said = ({ ways }: Grip) => (ways === 'across' ? wide : tall);

	function down(event: PointerEvent & { currentTarget: HTMLElement }, { id }: Grip) {
		if (event.button !== 0) return;
		event.currentTarget.setPointerCapture(event.pointerId);
		fitted = frame.fit;
		from = { grip: id, x: event.clientX, y: event.clientY, scale: frame.scale };
	}
	/** Several moves may come before the next frame: the last one counts. */
	let waiting: { frame: number; pull: () => void } | null = null;
	function move(event: PointerEvent, { id }: Grip) {
		if (from?.grip !== id || !gripped) return;
		const by = { x: (event.clientX - from.x) / from.scale, z: (from.y - event.clientY) / from.scale };
		const section = gripped.section.id;
		const pull = () => {
			waiting = null;
			hands.drag(section, id, spot.mirrored ? { ...by, x: -by.x } : by);
		};
		if (waiting) cancelAnimationFrame(waiting.frame);
		waiting = { frame: requestAnimationFrame(pull), pull };
	}
	function up(done: boolean) {
		if (!from) return;
		if (waiting) cancelAnimationFrame(waiting.frame);
		// Let go before the frame came, it still went that far.
		if (done) waiting?.pull();
		waiting = null;
		hands.dragged(done);
		[from, fitted] = [null, null];
	}
	/** Arrows move it by three inches, with Shift by a foot: each a step. */
	function keydown(event: KeyboardEvent, { id, ways }: Grip) {
		if (event.key === 'Escape') return up(false);
		const far = event.shiftKey ? 304.8 : 76.2;
		const by = {
			ArrowRight: { x: far, z: 0 },
			ArrowLeft: { x: -far, z: 0 },
			ArrowUp: { x: 0, z: far },
			ArrowDown: { x: 0, z: -far }
		}[event.key];
		if (!by || !gripped) return;
		event.preventDefault();
		// Up and right make it more, where it goes one way only.
		const along = by.x + by.z;
		// A column goes up by whole layers: a key is one at the least.
		const push = ways === 'both' ? by : ways === 'up' ? { x: 0, z: along } : { x: along, z: 0 };
		pushed(gripped.section.id, id, push);
	}
	/** As far as it takes to change anything, up to ten times as far. */
	function pushed(section: string, id: string, by: { x: number; z: number }) {
		for (let n = 1; n <= 10; n++) {
			hands.drag(section, id, { x: by.x * n, z: by.z * n });
			if (JSON.stringify(hands.trying) !== JSON.stringify(bench.recipe)) break;
		}
		hands.dragged(true);
	}
</script>

<div class="over" data-over>
	{#each now as grip (grip.id)}
		{@const at = placeOf(grip)}
		<button
			type="button"
			class="grip {grip.ways}"
			class:held={from?.grip === grip.id}
			aria-label="Drag the {grip.says}"
			title="Drag the {grip.says}"
			style:left="{at.x}px"
			style:top="{at.y}px"
			onpointerdown={(e) => down(e, grip)}
			onpointermove={(e) => move(e, grip)}
			onpointerup={() => up(true)}
			onpointercancel={() => up(false)}
			onkeydown={(e) => keydown(e, grip)}><span class="dot"></span></button
		>
		{#if from?.grip === grip.id}
			<output class="figures says" style:left="{at.x}px" style:top="{at.y}px">{said(grip)}</output>
		{/if}
	{/each}
	<ColourStrip {bench} {frame} />
	{#if hands.held && !from}<HeldBar {bench} {frame} held={hands.held} {onback} />{/if}
</div>

<style>
	.over {
		position: absolute;
		inset: 0;
		pointer-events: none;
	}
	.over > :global(*) {
		pointer-events: auto;
	}
	.grip {
		position: absolute;
		display: grid;
		width: 44px;
		height: 44px;
		margin: -22px 0 0 -22px;
		place-items: center;
		touch-action: none;
		cursor: move;
	}
	.up {
		cursor: ns-resize;
	}
	.across {
		cursor: ew-resize;
	}
	.dot {
		width: 14px;
		height: 14px;
		border: 2px solid var(--ink);
		border-radius: 3px;
		background: var(--paper);
		opacity: 0.55;
		transform: rotate(45deg);
	}
	.grip:hover .dot,
	.grip:focus-visible .dot,
	.held .dot {
		opacity: 1;
		background: var(--ink);
	}
	.says {
		position: absolute;
		padding: 2px 8px;
		margin: -12px 0 0 20px;
		font-size: 13px;
		color: var(--paper);
		background: var(--ink);
		white-space: nowrap;
	}
</style>
