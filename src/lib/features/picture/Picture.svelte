<script module lang="ts">
	/** Where a pointer is: px of the frame, mm from the middle of the floor, and what is seen there. */
	export interface Pointed {
		readonly x: number;
		readonly y: number;
		readonly across: number;
		readonly over: number;
		readonly about: string | null;
	}
	/** Where the picture is on its frame, px; `at` finds where a pointer is on it. */
	export interface Frame {
		readonly centre: number;
		readonly floor: number;
		readonly scale: number;
		readonly fit: number;
		readonly width: number;
		readonly height: number;
		readonly at: (event: PointerEvent) => Pointed;
	}
</script>

<script lang="ts">
	import type { Attachment } from 'svelte/attachments';
	import type { DrawList } from '../../core/scene/draw-list.ts';
	import { formatFeet, type Millimetres } from '../../core/units/length.ts';
	import { aboutAt } from '../../core/scene/pressed-at.ts';
	import type { Snippet } from 'svelte';
	import { boxHeight, tubesOf } from '../../core/scene/svg.ts';
	import Balls from './Balls.svelte';
	import { pinch, type Finger } from './fingers.ts';
	import { ViewControl } from './view-control.svelte.ts';
	import Hand from './Hand.svelte';
	import Person from './Person.svelte';

	interface Props {
		list: DrawList;
		/** False where a size is not known: the height prints as a dash. */
		known?: boolean;
		/** Row, piece or section whose balls stand out; the others step back. */
		lit?: string | null;
		/** The height it is called by, mm, and how it is said; nothing is over all. */
		tall?: { readonly mm: number; readonly words: string } | null;
		/** False where heights are not what they look: from above, or drawn apart. */
		level?: boolean;
		/** Dragging, wheel, fingers and keys turn and tilt it: degrees since the last word. */
		onturn?: (turn: number, tilt: number) => void;
		/** A press on a balloon, or Enter on one: what it is about; null is nothing. And where: px, and mm from the middle of the floor. */
		onpick?: (about: string | null, at: Pointed, by: 'pointer' | 'keys') => void;
		/** Pixels a millimetre at which the whole fits, held while something is dragged: the paper stays under the hand. */
		fitted?: number | null;
		/** Laid over the picture: what is pressed there is not the picture. */
		over?: Snippet<[Frame]>;
		/** The pointer or the keys are on a balloon. */
		onpoint?: (about: string | null, by: 'pointer' | 'keys') => void;
		/** The line a balloon belongs to, in words. */
		say?: (about: string) => string;
		/** Said to screen readers. */
		label: string;
	}
	let {
		list,
		known = true,
		lit = null,
		tall = null,
		level = true,
		onturn,
		onpick,
		onpoint,
		say,
		label,
		fitted = null,
		over
	}: Props = $props();

	let frame = $state<HTMLElement>();
	let width = $state(480);
	let height = $state(640);
	const control = new ViewControl();
	const PERSON = 1676.4; // 5′ 6″
	const HAND = 190.5; // 7½ in
	/** What stands on a table is seen beside a hand: beside a person nobody could see it. mm */
	const SMALL = 700;
	const front = $derived(list.view !== 'plan');
	/** What has to fit, mm: the piece, the person beside it, and air above. */
	const small = $derived(
		front && list.discs.length > 0 && boxHeight(list) < SMALL && 2 * list.halfWidth < 2 * SMALL
	);
	const beside = $derived(small ? HAND : PERSON);
	const high = $derived(front ? Math.max(beside, boxHeight(list)) : 2 * list.halfWidth);
	const wide = $derived(2 * list.halfWidth + (front ? beside * 0.54 : 0));
	const tubes = $derived(tubesOf(list));
	const fit = $derived(
		fitted ?? Math.min((height - 92) / Math.max(1, high), (width - 90) / Math.max(1, wide), small ? 2 : 1)
	);
	const foot = $derived(front ? height - 56 : height / 2);
	const middle = $derived(front ? width * 0.42 : width / 2);
	const scale = $derived(fit * control.zoom);
	const floor = $derived(foot * control.zoom + control.y);
	const centre = $derived(middle * control.zoom + control.x);
	const left = $derived(Math.max(34, centre - list.halfWidth * scale - 74));
	const personAt = $derived(
		control.zoom *
			Math.min(width - 40, middle + list.halfWidth * fit + beside * (small ? 0.5 : 0.18) * fit + 30) +
			control.x
	);
	/** From where to where it goes, px, of what is wider than it is high. */
	const wideLine = $derived.by(() => {
		if (!front || list.discs.length === 0 || 2 * list.halfWidth < list.height) return null;
		let [low, high] = [Infinity, -Infinity];
		for (const { x, r } of list.discs) [low, high] = [Math.min(low, x - r), Math.max(high, x + r)];
		return { from: centre + low * scale, to: centre + high * scale };
	});
	const top = $derived(floor - (tall?.mm ?? list.height) * scale);
	const balls = $derived.by(() => {
		const own = lit === null ? -1 : (list.about?.indexOf(lit) ?? -1);
		return own < 0 ? list.discs : list.discs.map((disc) => ({ ...disc, faint: disc.row !== own }));
	});

	/** Pointers that went down on the picture, until they come up. */
	const fingers = new Map<number, Finger>();
	let moved = false;
	let waiting: { turn: number; tilt: number } | null = null;
	/** Where the pointer is, and what it is on. */
	let pointed = $state.raw<{ about: string; x: number; y: number } | null>(null);
	/** Degrees a pixel: a drag across the picture is about half a turn. */
	const PER_PIXEL = 0.5;
	/** Degrees a key. */
	const STEP = 10;

	const placeOf = (event: { clientX: number; clientY: number }, element: Element): Finger => {
		const box = element.getBoundingClientRect();
		return { x: event.clientX - box.left, y: event.clientY - box.top };
	};
	function turn(by: number, tilt: number) {
		// Several moves may come before the next frame: they are one turn.
		if (!waiting) requestAnimationFrame(flush);
		waiting = { turn: (waiting?.turn ?? 0) + by, tilt: (waiting?.tilt ?? 0) + tilt };
	}
	function flush() {
		if (waiting) onturn?.(waiting.turn, waiting.tilt);
		waiting = null;
	}
	function down(event: PointerEvent & { currentTarget: HTMLElement }) {
		if (event.button !== 0 || isOver(event)) return;
		if (fingers.size === 0) moved = false;
		fingers.set(event.pointerId, placeOf(event, event.currentTarget));
		event.currentTarget.setPointerCapture(event.pointerId);
	}
	function move(event: PointerEvent & { currentTarget: HTMLElement }) {
		const now = placeOf(event, event.currentTarget);
		const was = fingers.get(event.pointerId);
		if (!was) return point(isOver(event) ? null : now);
		const [dx, dy] = [now.x - was.x, now.y - was.y];
		if (fingers.size === 1) {
			if (!moved && Math.hypot(dx, dy) < 4) return;
			point(null);
			if (event.shiftKey) control.move(dx, dy);
			else turn(-dx * PER_PIXEL, dy * PER_PIXEL);
		} else {
			const other = [...fingers].find(([id]) => id !== event.pointerId)![1];
			const done = pinch([was, other], [now, other]);
			control.closer(done.apart, done.middle);
			control.move(done.dx, done.dy);
			turn(-done.turn, 0);
		}
		moved = true;
		fingers.set(event.pointerId, now);
	}
	function up(event: PointerEvent & { currentTarget: HTMLElement }) {
		const pressed = fingers.delete(event.pointerId) && !moved;
		if (!pressed) return;
		const at = pointedAt(placeOf(event, event.currentTarget));
		onpick?.(at.about, at, 'pointer');
	}
	function pointedAt({ x, y }: Finger): Pointed {
		const paper = { across: (x - centre) / scale, over: (floor - y) / scale };
		return { x, y, ...paper, about: aboutAt(list, paper) };
	}
	const isOver = ({ target }: Event) => (target as Element).closest('[data-over]') !== null;
	function point(at: Finger | null) {
		if (!onpoint) return;
		const about = at && pointedAt(at).about;
		const same = (about ?? null) === (pointed?.about ?? null);
		pointed = at && about ? { about, ...at } : null;
		if (!same) onpoint(about, 'pointer');
	}
	const wheel: Attachment<HTMLElement> = (element) => {
		const turned = (event: WheelEvent) => {
			event.preventDefault();
			// A pinch on a trackpad comes as a wheel with Ctrl.
			if (event.ctrlKey) control.closer(Math.exp(-event.deltaY / 300), placeOf(event, element));
			else
				turn(
					(event.shiftKey ? event.deltaX : event.deltaX + event.deltaY) / 8,
					event.shiftKey ? event.deltaY / 8 : 0
				);
		};
		if (!onturn) return;
		element.addEventListener('wheel', turned, { passive: false });
		return () => element.removeEventListener('wheel', turned);
	};
	/** From line to line of what is drawn, lowest first, as the recipe numbers them. */
	function step(by: number) {
		const all = list.about ?? [];
		if (all.length === 0) return;
		const now = lit === null ? (by > 0 ? -1 : all.length) : all.indexOf(lit);
		const about = all[Math.max(0, Math.min(all.length - 1, now + by))]!;
		const disc = list.discs.findLast((d) => list.about?.[d.row] === about);
		pointed = { about, x: centre + (disc?.x ?? 0) * scale, y: floor - (disc?.y ?? 0) * scale };
		onpoint?.(about, 'keys');
	}
	const KEYS: Record<string, () => void> = {
		ArrowLeft: () => turn(STEP, 0),
		ArrowRight: () => turn(-STEP, 0),
		ArrowUp: () => turn(0, STEP),
		ArrowDown: () => turn(0, -STEP),
		PageUp: () => step(1),
		PageDown: () => step(-1),
		'+': () => control.closer(1.25, { x: width / 2, y: height / 2 }),
		'=': () => control.closer(1.25, { x: width / 2, y: height / 2 }),
		'-': () => control.closer(0.8, { x: width / 2, y: height / 2 }),
		'0': () => control.whole(),
		Enter: () => onpick?.(lit, pointedAt(pointed ?? { x: centre, y: floor }), 'keys'),
		Escape: () => point(null)
	};
	function keydown(event: KeyboardEvent) {
		const act = event.ctrlKey || event.metaKey || event.altKey ? undefined : KEYS[event.key];
		if (!act || !onturn || isOver(event)) return;
		event.preventDefault();
		act();
	}
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
	class="picture-frame relative h-full w-full"
	bind:this={frame}
	bind:clientWidth={width}
	bind:clientHeight={height}
	class:turns={onturn !== undefined}
	role={onturn ? 'application' : 'img'}
	tabindex={onturn ? 0 : undefined}
	aria-label={label}
	aria-roledescription={onturn ? 'picture to turn' : undefined}
	onpointerdown={down}
	onpointermove={move}
	onpointerup={up}
	onpointerleave={() => point(null)}
	onpointercancel={(e) => fingers.delete(e.pointerId)}
	ondblclick={(e) => isOver(e) || control.whole()}
	onkeydown={keydown}
	{@attach wheel}
>
	<svg {width} {height} class="absolute inset-0" aria-hidden="true">
		{#if front}
			<ellipse
				cx={centre}
				cy={floor}
				rx={list.halfWidth * scale * 1.2}
				ry="9"
				fill="var(--ink)"
				opacity="0.09"
			/>
			<line x1="18" x2={width - 18} y1={floor} y2={floor} stroke="var(--line)" stroke-width="1.5" />
			<g transform="translate({personAt} {floor}) scale({scale})"
				>{#if small}<Hand />{:else}<Person />{/if}</g
			>
			<text x={personAt} y={floor + 18} class="dim" text-anchor="middle">{small ? '7½ in' : '5′ 6″'}</text>
		{/if}
		{#if front && level && list.discs.length > 0}
			<g stroke="var(--muted)" fill="none">
				<path d="M{left - 5} {top}h10M{left} {top}V{floor}M{left - 5} {floor}h10" />
			</g>
			<text
				class="dim"
				text-anchor="middle"
				transform="translate({left - 9} {(top + floor) / 2}) rotate(-90)"
			>
				{known ? (tall?.words ?? `${formatFeet(list.height as Millimetres)} over all`) : '— over all'}
			</text>
		{/if}
		{#if wideLine && level}
			<g stroke="var(--muted)" fill="none">
				<path
					d="M{wideLine.from} {floor + 27}v10M{wideLine.from} {floor +
						32}H{wideLine.to}M{wideLine.to} {floor + 27}v10"
				/>
			</g>
			<text class="dim" text-anchor="middle" x={(wideLine.from + wideLine.to) / 2} y={floor + 49}
				>{formatFeet(((wideLine.to - wideLine.from) / scale) as Millimetres)} wide</text
			>
		{/if}
		{#if !front && list.discs.length > 0}
			<text class="dim" x={width / 2} y={height - 40} text-anchor="middle"
				>{formatFeet((2 * list.halfWidth) as Millimetres)} wide</text
			>
		{/if}
	</svg>
	<div class="absolute inset-0">
		<Balls {balls} {tubes} paints={list.paints} {width} {height} at={{ x: centre, y: floor }} {scale} />
	</div>
	{@render over?.({
		centre,
		floor,
		scale,
		fit,
		width,
		height,
		at: (event) => pointedAt(placeOf(event, frame!))
	})}
	<p
		class="says"
		class:sr-only={!pointed}
		aria-live="polite"
		style:left="{Math.min(width - 230, Math.max(8, (pointed?.x ?? 0) + 14))}px"
		style:top="{Math.max(4, (pointed?.y ?? 0) - 34)}px"
	>
		{pointed && say ? say(pointed.about) : ''}
	</p>
</div>

<style>
	.picture-frame {
		overflow: hidden;
	}
	.turns {
		cursor: grab;
		touch-action: pan-y;
		outline-offset: -4px;
	}
	.says {
		position: absolute;
		max-width: 222px;
		padding: 3px 8px;
		font-size: 13px;
		line-height: 17px;
		color: var(--paper);
		background: var(--ink);
		pointer-events: none;
	}
	.dim {
		font: 400 12.6px var(--font-mono);
		fill: var(--muted);
	}
</style>
