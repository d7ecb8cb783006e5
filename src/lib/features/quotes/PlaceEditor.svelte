<script lang="ts">
	import { enhance } from '$app/forms';
	import {
		NEW_MEASURE,
		readKnown,
		shareOfMm,
		USUAL_DOOR,
		within,
		type RawPlace
	} from '../../core/quote/place.ts';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';
	import PlaceFrame from './PlaceFrame.svelte';
	import Discs from '../picture/Discs.svelte';
	import type { QuoteDraft } from './quote-draft.svelte.ts';

	interface Props {
		draft: QuoteDraft;
		quote: string;
	}
	let { draft, quote }: Props = $props();
	const place = $derived(draft.raw.place);
	const { decimal } = $derived(draft.entryStyle);
	let trouble = $state('');
	let frame = $state<HTMLElement>();

	const pieces = $derived(draft.seen);
	const mm = $derived(place ? readKnown(place.known, 'ft', { decimal }) : 0);
	/** Pixels of the photo a millimetre. */
	const scale = $derived(
		place && typeof mm === 'number' ? (shareOfMm({ ...place, mm }) ?? 0) * place.width : 0
	);
	function set(next: RawPlace | null) {
		draft.raw.place = next;
		draft.touch();
	}
	const change = (next: Partial<RawPlace>) => place && set({ ...place, ...next });
	const isIn = (line: string) => place?.pieces.some((p) => p.line === line) ?? false;
	/** Beside each other on the floor of the measure, clear of it. */
	const put = (line: string) => {
		if (!place) return;
		const x = [0.25, 0.75, 0.15, 0.85, 0.35, 0.65][place.pieces.length % 6]!;
		change({ pieces: [...place.pieces, { line, x, y: place.to[1], turned: false }] });
	};
	const out = (line: string) => place && change({ pieces: place.pieces.filter((p) => p.line !== line) });
	const turn = (line: string) =>
		place && change({ pieces: place.pieces.map((p) => (p.line === line ? { ...p, turned: !p.turned } : p)) });

	/** What can be taken hold of: an end of the measure, or a piece. */
	type Held = 'from' | 'to' | { readonly line: string };
	const at = (held: Held): readonly [number, number] => {
		if (held === 'from' || held === 'to') return place![held];
		const own = place!.pieces.find((p) => p.line === held.line)!;
		return [own.x, own.y];
	};
	function move(held: Held, [x, y]: readonly [number, number]) {
		const point = [within(x), within(y)] as const;
		if (held === 'from' || held === 'to') change({ [held]: point });
		else
			change({
				pieces: place!.pieces.map((p) => (p.line === held.line ? { ...p, x: point[0], y: point[1] } : p))
			});
	}
	function grab(event: PointerEvent, held: Held) {
		const box = frame!.getBoundingClientRect();
		const start = at(held);
		const [x0, y0] = [event.clientX, event.clientY];
		const own = event.currentTarget as Element;
		own.setPointerCapture(event.pointerId);
		const go = (e: Event) => {
			const { clientX, clientY } = e as PointerEvent;
			move(held, [start[0] + (clientX - x0) / box.width, start[1] + (clientY - y0) / box.height]);
		};
		const end = () => {
			own.removeEventListener('pointermove', go);
			own.removeEventListener('pointerup', end);
			own.removeEventListener('pointercancel', end);
		};
		own.addEventListener('pointermove', go);
		own.addEventListener('pointerup', end);
		own.addEventListener('pointercancel', end);
	}
	const STEPS: Record<string, readonly [number, number]> = {
		ArrowLeft: [-1, 0],
		ArrowRight: [1, 0],
		ArrowUp: [0, -1],
		ArrowDown: [0, 1]
	};
	function key(event: KeyboardEvent, held: Held) {
		const step = STEPS[event.key];
		if (!step) return;
		event.preventDefault();
		const far = event.shiftKey ? 0.05 : 0.005;
		const [x, y] = at(held);
		move(held, [x + step[0] * far, y + step[1] * far]);
	}
</script>

<section class="grid gap-2" aria-label="In their place">
	<h2 class="text-base">In their place</h2>
	<form
		method="post"
		action="?/place"
		enctype="multipart/form-data"
		class="flex flex-wrap items-center gap-2"
		use:enhance={() =>
			({ result }) => {
				const data = (result.type === 'success' || result.type === 'failure' ? result.data : {}) ?? {};
				trouble =
					result.type === 'success'
						? ''
						: String(data.placeTrouble ?? 'The photo could not be sent. Try again in a moment.');
				const photo = data.placed as { id: string; width: number; height: number } | undefined;
				if (result.type !== 'success' || !photo) return;
				const { id, width, height } = photo;
				set({ pieces: [], known: USUAL_DOOR, ...NEW_MEASURE, ...place, photo: id, width, height });
			}}
	>
		<label class="text-[13.5px]"
			>{place ? 'Another photo of the place' : 'A photo of the place'}
			<input type="file" name="file" accept="image/jpeg,image/png" class="ml-1" /></label
		>
		<Button type="submit">Take it</Button>
		{#if place}<Button kind="word" onclick={() => set(null)}>without a photo</Button>{/if}
	</form>
	{#if trouble}<p class="text-[13px] text-bad" role="alert">{trouble}</p>{/if}
	{#if place}
		<p class="text-[13px] text-muted">
			Drag the two rings to the ends of something you know the length of, and type it. The pieces stand beside
			it at that scale.
		</p>
		<div class="max-w-[220px]">
			<Field label="What is between the rings" error={draft.errors.known}>
				{#snippet children(attributes)}<input
						{...attributes}
						class="control figures w-full"
						value={place.known}
						autocomplete="off"
						oninput={(e) => change({ known: e.currentTarget.value })}
					/>{/snippet}
			</Field>
		</div>
		<div class="held" bind:this={frame} data-name="mock-up">
			<PlaceFrame
				src="/quotes/{quote}/place/{place.photo}"
				alt="The client’s place"
				width={place.width}
				height={place.height}
			>
				{#if scale > 0}
					{#each place.pieces as piece (piece.line)}
						{@const own = pieces.find((p) => p.id === piece.line)}
						{#if own}
							<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
							<g
								class="piece"
								role="group"
								aria-label="{own.name} in the place: arrows move it"
								tabindex="0"
								transform="translate({piece.x * place.width} {piece.y * place.height}) scale({piece.turned
									? -scale
									: scale} {scale})"
								onpointerdown={(e) => grab(e, { line: piece.line })}
								onkeydown={(e) => key(e, { line: piece.line })}
							>
								<Discs list={own.list} top={own.list.height} />
							</g>
						{/if}
					{/each}
				{/if}
				<line
					x1={place.from[0] * place.width}
					y1={place.from[1] * place.height}
					x2={place.to[0] * place.width}
					y2={place.to[1] * place.height}
					class="measure"
					stroke-width={place.width / 220}
				/>
				{#each ['from', 'to'] as const as end (end)}
					<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
					<circle
						class="ring"
						role="group"
						aria-label="{end === 'from' ? 'First' : 'Second'} end of what is known: arrows move it"
						tabindex="0"
						cx={place[end][0] * place.width}
						cy={place[end][1] * place.height}
						r={place.width / 45}
						stroke-width={place.width / 220}
						onpointerdown={(e) => grab(e, end)}
						onkeydown={(e) => key(e, end)}
					/>
				{/each}
			</PlaceFrame>
		</div>
		<ul class="grid gap-1">
			{#each pieces as { id, name } (id)}
				<li class="flex flex-wrap items-center gap-2">
					<span class="min-w-0 flex-1">{name}</span>
					{#if isIn(id)}
						<Button kind="word" onclick={() => turn(id)}>turn it</Button>
						<Button kind="word" onclick={() => out(id)}>take it away</Button>
					{:else}<Button onclick={() => put(id)}>Stand it there</Button>{/if}
				</li>
			{/each}
		</ul>
	{/if}
</section>

<style>
	.held {
		max-width: 640px;
		touch-action: none;
	}
	.piece,
	.ring {
		cursor: grab;
	}
	.ring {
		fill: rgb(255 255 255 / 0.35);
		stroke: var(--ink);
	}
	/* What stands behind it is taken hold of through it. */
	.measure {
		pointer-events: none;
		stroke: var(--ink);
	}
</style>
