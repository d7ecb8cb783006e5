<script lang="ts">
	import type { Section } from '../../../../core/recipe/recipe.ts';
	import { cutsOf, fittingsOf, polesOf, sizeOfFrame } from '../../../../core/structures/frame/amounts.ts';
	import type { Frame } from '../../../../core/structures/frame/document.ts';
	import { bendMarks } from '../../../../core/structures/frame/marks.ts';
	import { markInches } from '../../../../core/units/length.ts';
	import Popover from '../../../../ui/popover/Popover.svelte';
	import type { Bench } from '../../bench.svelte.ts';
	import { feetWords } from '../../kit/feet-words.ts';

	interface Props {
		bench: Bench;
		section: Section & { readonly structure: Frame };
	}
	let { bench, section }: Props = $props();
	const frame = $derived(section.structure);
	const size = $derived(sizeOfFrame(frame));
	const cuts = $derived(cutsOf(frame));
	/** Poles that are bought as they are; 0 where it is cut of tube. */
	const poles = $derived(polesOf(frame)?.longest.length ?? 0);
	const marks = $derived(bendMarks(frame));
	const fittings = $derived([...fittingsOf(frame)]);
	const long = $derived(cuts.reduce((a, c) => a + c.um * c.count, 0) / 1000);
	const nameOf = (id: string | null) =>
		(id === null ? undefined : bench.context.catalogue.materials.get(id)?.name) ?? 'tube, not chosen yet';
	/** To an eighth of an inch: as it is marked. */
</script>

<Popover label="Cuts and joints of {section.name}" width={420} slim>
	{#snippet trigger()}<span class="quiet-link text-[13px]"
			>{feetWords(size.height)} high, {marks.length > 0
				? `${marks.length} bends`
				: poles > 0
					? `${poles} ${poles === 1 ? 'pole' : 'poles'}`
					: `${cuts.length} ${cuts.length === 1 ? 'length' : 'lengths'}`}</span
		>{/snippet}
	<div class="grid gap-3 text-[13.5px]">
		<p>
			{nameOf(frame.tube.material)}, {poles > 0
				? `${poles} as they are bought: nothing is cut`
				: `${feetWords(long)} in all`}.
		</p>
		{#if marks.length > 0}
			<table class="w-full">
				<caption class="text-left font-semibold">Mark and bend, from one end</caption>
				<thead
					><tr class="text-left text-muted"><th>Mark</th><th>Bend</th><th>Goes</th><th>Left over it</th></tr
					></thead
				>
				<tbody>
					{#each marks as mark, i (i)}<tr
							><td class="figures">{markInches(mark.at)}</td><td class="figures">{mark.angle}°</td><td
								>{mark.goes}</td
							><td class="figures">{markInches(mark.left)}</td></tr
						>{/each}
				</tbody>
			</table>
			<p class="text-muted">{markInches(marks.at(-1)!.left)} is left as the upright.</p>
		{:else}
			<table class="w-full">
				<caption class="text-left font-semibold">Cut</caption>
				<tbody>
					{#each cuts as { um: cut, count } (cut)}<tr
							><td class="figures">{count} ×</td><td class="figures">{markInches(cut / 1000)}</td></tr
						>{/each}
				</tbody>
			</table>
		{/if}
		{#if fittings.length > 0}
			<table class="w-full">
				<caption class="text-left font-semibold"
					>Join, {frame.joined === 'dry' ? 'not glued' : frame.joined}</caption
				>
				<tbody>
					{#each fittings as [kind, count] (kind)}<tr><td class="figures">{count} ×</td><td>{kind}</td></tr
						>{/each}
				</tbody>
			</table>
		{/if}
		<p><a class="quiet-link" href="/bench/{bench.data.id}/sheet">Shop sheet to print</a></p>
		<p class="text-muted">
			Which fitting that is in your Stockroom is said once in the settings, “what follows from a count”. A
			fitting takes ¾ of the tube’s width off each end it holds. Goggles and gloves; check square, plumb,
			flush, pushed home.
		</p>
	</div>
</Popover>
