<script lang="ts">
	import { untrack } from 'svelte';
	import type { EstimateBy } from '../../../../core/structures/run/document.ts';
	import type { Run } from '../../../../core/structures/run/document.ts';
	import type { Section } from '../../../../core/recipe/recipe.ts';
	import { changeRun } from '../../../../core/structures/run/edit.ts';
	import { crossingOf } from '../../../../core/geometry/path.ts';
	import {
		apartBy,
		dominant,
		estimatesOf,
		estimateUsed,
		packJob,
		sizesOf
	} from '../../../../core/structures/run/organic.ts';
	import { jobOf } from '../../../../core/structures/run/place.ts';
	import { asKind } from '../../../../core/structures/kinds.ts';
	import { layRun } from '../../../../core/structures/run/lay.ts';
	import { filledStretches, lengthOfRun, stretchesOf } from '../../../../core/structures/run/path.ts';
	import { formatInches, formatQuarters } from '../../../../core/units/length.ts';
	import Button from '../../../../ui/button/Button.svelte';
	import Popover from '../../../../ui/popover/Popover.svelte';
	import type { Bench } from '../../bench.svelte.ts';
	import { feetWords } from '../../kit/feet-words.ts';
	import { pathWords, runWords } from './run-words.ts';

	interface Props {
		bench: Bench;
		section: Section & { readonly structure: Run };
	}
	let { bench, section }: Props = $props();
	let drawing = $state(false);
	/** Not before a run is on the screen; then at once, so that it is there when the server is not. */
	const dialog = import('./PathDialog.svelte');
	/** As it is built: a path that is lent is there. */
	const run = $derived.by(() => {
		const built = bench.tally.built.sections.find((s) => s.id === section.id)?.structure;
		return (built && asKind(built, 'run')) ?? section.structure;
	});
	const ESTIMATORS: Readonly<Record<EstimateBy, string>> = {
		clusters: 'clusters a foot',
		'by the foot': 'by the foot, as taught',
		packed: 'packed'
	};
	const feet = $derived(lengthOfRun(run) / 304.8);
	const free = $derived(packJob(run, null));
	const packing = $derived(bench.packer.find(free?.key));
	/** Packing knows as soon as it is done; the recipe takes it when she counts by it. */
	const estimates = $derived(
		estimatesOf(run).map((e) =>
			e.by === 'packed' && packing
				? { ...e, counts: packing.counts, total: packing.counts.reduce((a, c) => a + c, 0), stale: false }
				: e
		)
	);
	const used = $derived(estimateUsed(run));
	const apart = $derived(apartBy(estimates));
	const drawn = $derived(bench.packer.find(jobOf(run)?.key));
	const most = $derived(used.counts && run.mix.length > 1 ? dominant(sizesOf(run), used.counts) : null);
	const crossing = $derived(run.path.kind === 'helix' ? null : crossingOf(stretchesOf(run)));
	/** Clusters on each leg and arm, where there are several: what a leg that was built is compared with. */
	const legs = $derived(
		run.rows.length === 0
			? []
			: filledStretches(run).map(
					(s, i) => `${layRun(run).filter((c) => c.stretch === i).length} on ${feetWords(s.length)}`
				)
	);
	const busy = $derived(bench.packer.now);
	const bag = (i: number) => formatInches(run.mix[i]!.nominal);
	const inch = (mm: number) => `${formatQuarters(mm)} in`;

	$effect(() => {
		const job = free;
		const { id } = section;
		untrack(() => bench.packer.want(id, job));
		return () => untrack(() => bench.packer.want(id, undefined));
	});
	function countBy(by: EstimateBy) {
		bench.change((d) => changeRun(d, section.id, (r) => (r.organic.by = by)));
	}
</script>

<Popover label="Path and count of {section.name}" width={460} slim>
	{#snippet trigger()}<span class="quiet-link text-[13px]">{runWords(run)}</span>{/snippet}
	<div class="grid gap-3 text-[13.5px]">
		<p class="flex flex-wrap items-center justify-between gap-3">
			<span>{pathWords(run)}</span>
			<Button onclick={() => (drawing = true)}>Change the path</Button>
		</p>
		{#if legs.length > 1}<p>Clusters leg by leg: {legs.join(', ')}.</p>{/if}
		{#if crossing !== null}
			<p class="bad" role="status">
				Look. The path crosses itself {feetWords(crossing)} from its beginning: balloons would stand in each other
				there.
			</p>
		{/if}
		{#if run.mix.length > 0}
			<table aria-label="How many it takes">
				<thead>
					<tr>
						<th>counted by</th>
						{#each run.mix as part, i (part.id)}<th class="n">{bag(i)}</th>{/each}
						<th class="n">all</th>
						<th class="n">a foot</th>
					</tr>
				</thead>
				<tbody>
					{#each estimates as e (e.by)}
						<tr class:used={run.organic.by === e.by}>
							<td>
								<label>
									<input
										type="radio"
										name="by-{section.id}"
										checked={run.organic.by === e.by}
										disabled={e.counts === null && e.by !== 'packed'}
										onchange={() => countBy(e.by)}
									/>
									{ESTIMATORS[e.by]}{e.stale ? ', of another shape' : ''}
								</label>
							</td>
							{#each run.mix as part, i (part.id)}<td class="n">{e.counts?.[i] ?? '—'}</td>{/each}
							<td class="n">{e.total ?? '—'}</td>
							<td class="n">{e.total === null ? '—' : (e.total / feet).toFixed(1)}</td>
						</tr>
					{/each}
				</tbody>
			</table>
			<p>
				{#if apart !== undefined}They lie {Math.round(apart * 100)} % apart; the recipe counts by {used.by ===
					'packed'
						? 'packing'
						: used.by === 'clusters'
							? 'clusters'
							: 'the foot'}.{/if}
				{#if most}Most by count: {bag(most.byCount)}; most by size: {bag(most.bySize)}.{/if}
				{#if estimates[1]!.counts === null}
					Teach it from a finished piece: say “7 ft took 96 5 + 30 11”.
				{/if}
			</p>
			<p class="text-muted" aria-live="polite">
				{#if busy}
					Packing, {Math.round(busy.share * 100)} %. The picture is rough until then.
					<button type="button" class="quiet-link" onclick={() => bench.packer.stop()}>stop</button>
				{:else if drawn}
					In the picture the widest gap is {inch(drawn.gap)}; a gap is too wide from {inch(drawn.limit)}.
					{drawn.gap > drawn.limit ? 'With these counts one sees through it: take more, or plan infill.' : ''}
				{:else if bench.packer.stopped.size > 0}
					Packing stopped; the picture is rough.
					<button type="button" class="quiet-link" onclick={() => bench.packer.again()}>pack it again</button>
				{:else if !free}
					Too long to pack: it is counted by the others.
				{/if}
			</p>
		{/if}
	</div>
</Popover>
{#await dialog then { default: PathDialog }}
	<PathDialog {bench} {section} {run} bind:open={drawing} />
{/await}

<style>
	table {
		width: 100%;
	}
	td,
	th {
		border-bottom: 1px solid var(--line);
		padding: 3px 6px 3px 0;
		text-align: left;
		font-weight: 400;
	}
	.n {
		text-align: right;
		font-family: var(--font-mono);
		font-size: 12.6px;
		white-space: nowrap;
	}
	.used td {
		font-weight: 600;
	}
	input[type='radio'] {
		accent-color: var(--ink);
	}
	.bad {
		color: var(--bad);
		font-weight: 600;
	}
</style>
