<script lang="ts">
	import type { Section } from '../../../../core/recipe/recipe.ts';
	import type { Weave } from '../../../../core/structures/weave/document.ts';
	import { IN_CONNECTOR, joinersOf, sizeOfWeave } from '../../../../core/structures/weave/count.ts';
	import { graphOf } from '../../../../core/structures/weave/graph.ts';
	import {
		CONNECTORS,
		JOINTS,
		type Connector,
		type Joint
	} from '../../../../core/structures/weave/document.ts';
	import { changeWeave } from '../../../../core/structures/weave/edit.ts';
	import Pick from '../../../../ui/pick/Pick.svelte';
	import Popover from '../../../../ui/popover/Popover.svelte';
	import type { Bench } from '../../bench.svelte.ts';
	import { feetWords } from '../../kit/feet-words.ts';
	import { weaveWords } from './weave-words.ts';

	interface Props {
		bench: Bench;
		section: Section & { readonly structure: Weave };
	}
	let { bench, section }: Props = $props();
	const weave = $derived(section.structure);
	const size = $derived(sizeOfWeave(weave, bench.context.rates.pumps));
	const graph = $derived(graphOf(weave));
	const places = $derived(
		JOINTS.map((joint) => ({ joint, count: graph.places.filter((p) => p.joint === joint).length })).filter(
			(p) => p.count > 0
		)
	);
	/** Ends that nothing is tied to: they are knotted and tucked in. */
	const loose = $derived(
		(['nozzle', 'tail'] as const).map(
			(end) => graph.places.filter((p) => p.end === end && weave.joints[p.joint] === 'none').length
		)
	);
	function hold(joint: Joint, connector: string) {
		bench.change((d) => changeWeave(d, section.id, (w) => (w.joints[joint] = connector as Connector)));
	}
</script>

<Popover label="Size and joints of {section.name}" width={420} slim>
	{#snippet trigger()}<span class="quiet-link text-[13px]">{weaveWords(weave)}</span>{/snippet}
	<div class="grid gap-3 text-[13.5px]">
		<p>
			{graph.woven.length} balloons, {feetWords(size.pitch)} from knot to knot. {weaveWords(weave)}.
			{#if size.bow}Bent over {feetWords(weave.chord! / 1000)} it comes {feetWords(size.bow.rise)} forward.{/if}
			{#if size.bow === undefined && weave.chord !== null}It is only {feetWords(size.width)} long: it does not reach
				over {feetWords(weave.chord / 1000)}.{/if}
			{#if size.handle}The handle rises {feetWords(size.handle.rise)} over its feet{size.handle.wanted !==
					null && size.handle.rise < size.handle.wanted
					? `, not ${feetWords(size.handle.wanted)}: take more balloons, or set its feet closer`
					: ''}.{/if}
			{#if size.handle === undefined}The handle is too short to reach from foot to foot.{/if}
		</p>
		{#if places.length > 0}
			<div class="grid grid-cols-2 gap-2">
				{#each places as { joint, count } (joint)}
					<Pick
						label="{count} × {joint}, held by"
						value={weave.joints[joint]}
						options={CONNECTORS.map((c) => [c, c] as const)}
						onpick={(v) => hold(joint, v)}
					/>
				{/each}
			</div>
			<p class="text-muted">
				{joinersOf(weave)} small balloons hold it{weave.joiner
					? ''
					: ', none chosen yet: say “joined with 5 at 2 gold”'}: {places
					.filter((p) => weave.joints[p.joint] !== 'none')
					.map((p) => `${p.count} × ${IN_CONNECTOR[weave.joints[p.joint]]}`)
					.join(', ')}.
				{#if loose[0]! + loose[1]! > 0}{loose[0]} nozzles and {loose[1]} tails end free: they are knotted and tucked
					in.{/if}
			</p>
		{/if}
	</div>
</Popover>
