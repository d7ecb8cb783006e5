<script lang="ts">
	import { assemble, isBare } from '../../core/assembly/assemble.ts';
	import { drawAssembly } from '../../core/scene/draw-list.ts';
	import { svgOf } from '../../core/scene/svg.ts';
	import { farWords, TOO_FAR } from '../../core/materials/near.ts';
	import type { LeadColour } from '../../core/photo/lead-colours.ts';
	import { paletteIntoSlots } from '../../core/recipe/palette-into-slots.ts';
	import SideBySide from '../colours/SideBySide.svelte';
	import Button from '../../ui/button/Button.svelte';
	import { NO_PHOTO, pixelsOf } from '../picture/pixels-of.ts';
	import PaletteWorker from '../../workers/palette.worker.ts?worker';
	import type { PaletteTell } from '../../workers/palette.worker.ts';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	/** Longest side a picture is looked at with. */
	const LOOKED_AT = 160;
	let leads = $state.raw<readonly LeadColour[] | null>(null);
	let shown = $state('');
	let trouble = $state('');
	let looking = $state(false);
	let worker: Worker | undefined;
	/** Colours that are not meant, like the wall behind. */
	let out = $state<readonly string[]>([]);
	const meant = $derived((leads ?? []).filter((l) => !out.includes(l.hex)));
	const matched = $derived(paletteIntoSlots(bench.recipe, meant, bench.data));
	const press = (hex: string) => (out = out.includes(hex) ? out.filter((h) => h !== hex) : [...out, hex]);
	/** The piece as it would be, beside the picture. */
	const piece = $derived.by(() => {
		if (matched.length === 0) return '';
		const fills = { ...bench.chosen.fills, ...Object.fromEntries(matched.map((m) => [m.slot, m.colour.id])) };
		const colourways = [{ ...bench.chosen, fills }];
		const assembly = assemble({ ...bench.recipe, colourways }, bench.chosen.id, bench.context.library, bench.context.rates.pumps, bench.size); // prettier-ignore
		if (isBare(assembly)) return '';
		return `data:image/svg+xml,${encodeURIComponent(svgOf(drawAssembly(assembly, { catalogue: bench.catalogue, view: 'front' })))}`;
	});
	const slotName = (id: string) => bench.recipe.slots.find((s) => s.id === id)?.name ?? '';

	$effect(() => () => {
		worker?.terminate();
		if (shown) URL.revokeObjectURL(shown);
	});
	async function take(event: Event & { currentTarget: HTMLInputElement }) {
		const file = event.currentTarget.files?.[0];
		event.currentTarget.value = '';
		if (!file) return;
		[trouble, leads, looking, out] = ['', null, true, []];
		if (shown) URL.revokeObjectURL(shown);
		try {
			const { width, height, data } = await pixelsOf(file, LOOKED_AT);
			shown = URL.createObjectURL(file);
			worker?.terminate();
			worker = new PaletteWorker();
			worker.onmessage = ({ data: found }: MessageEvent<PaletteTell>) => {
				[leads, looking] = [found, false];
				if (found.length === 0) trouble = 'There is no colour in that picture.';
			};
			worker.onerror = () => ([trouble, looking] = [NO_PHOTO, false]);
			worker.postMessage({ width, height, data });
		} catch {
			[trouble, looking, shown] = [NO_PHOTO, false, ''];
		}
	}
	/** All of them in one step: Undo takes them back together. */
	const use = () =>
		bench.change((d) => {
			const own = d.colourways.find((c) => c.id === bench.chosen.id);
			if (!own) return;
			for (const { slot, colour } of matched) {
				own.fills[slot] = colour.id;
				own.without = own.without.filter((s) => s !== slot);
			}
		});
</script>

<div class="grid gap-2 border-t border-line pt-2">
	<label class="quiet-link w-fit">
		Take the colours from a picture
		<input type="file" accept="image/jpeg,image/png,image/webp" class="sr-only" onchange={take} />
	</label>
	{#if looking}<p class="text-muted" role="status">Looking at it …</p>{/if}
	{#if trouble}<p class="text-[13px] text-bad" role="alert">{trouble}</p>{/if}
	{#if leads && leads.length > 0}
		<div class="flex items-start gap-3">
			<img
				src={shown}
				alt="What the colours are taken from"
				class="max-h-28 max-w-28 border border-line object-contain"
			/>
			{#if piece}<img
					src={piece}
					alt="The piece in these colours"
					class="max-h-28 max-w-28 object-contain"
				/>{/if}
			<ul class="flex flex-wrap gap-1.5" aria-label="Colours that lead in it">
				{#each leads as lead (lead.hex)}
					<li>
						<button
							type="button"
							class="grid min-h-11 justify-items-center text-[12.6px] text-muted aria-[pressed=false]:line-through aria-[pressed=false]:opacity-50"
							aria-pressed={!out.includes(lead.hex)}
							aria-label="{Math.round(lead.share * 100)} % of it, {lead.hex}"
							onclick={() => press(lead.hex)}
						>
							<span class="h-6 w-6 rounded-full border border-line" style:background={lead.hex}></span>
							{Math.round(lead.share * 100)} %
						</button>
					</li>
				{/each}
			</ul>
		</div>
		{#if matched.length > 0}
			<ul class="grid gap-1" aria-label="What can be bought for them">
				{#each matched as { slot, lead, colour, distance } (slot)}
					<li class="flex items-center gap-2">
						<SideBySide hexes={[lead.hex, colour.hex]} />
						<span>{slotName(slot)}: {colour.name}</span>
						<span class="text-[13px] {distance > TOO_FAR ? 'text-watch' : 'text-muted'}"
							>{farWords(distance)} ({Math.round(distance * 10) / 10})</span
						>
					</li>
				{/each}
			</ul>
			<p><Button onclick={use}>Put them into the design</Button></p>
		{:else}
			<p class="text-muted">
				{meant.length === 0
					? 'All of them are left out: press one to mean it.'
					: 'No colour is sold in the sizes this design needs.'}
			</p>
		{/if}
	{/if}
</div>
