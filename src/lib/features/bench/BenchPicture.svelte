<script lang="ts">
	import { VIEWS } from '../../core/scene/camera.ts';
	import Picture from '../picture/Picture.svelte';
	import type { Bench } from './bench.svelte.ts';
	import FindingsPanel from './FindingsPanel.svelte';
	import TurnBy from './TurnBy.svelte';

	interface Props {
		bench: Bench;
		/** Whether there is something for the checker to speak of. */
		checked: boolean;
	}
	let { bench, checked }: Props = $props();
	const selectedRow = $derived(
		bench.selected === null ? null : bench.allRows.findIndex((l) => l.id === bench.selected)
	);
	const label = $derived(
		`${bench.recipe.name}, ${bench.camera ? 'turned' : bench.view}: ${bench.tally.bill.balloons} balloons`
	);
</script>

<section class="picture" aria-label="Picture">
	<div class="min-h-0 flex-1">
		<Picture
			list={bench.picture}
			known={bench.known}
			lit={selectedRow}
			{label}
			level={(bench.camera?.tilt ?? 0) === 0}
			onturn={(turn, tilt) => bench.turnBy(turn, tilt)}
			onpick={(row) => (bench.selected = bench.allRows[row]?.id ?? null)}
		/>
	</div>
	<div class="views" role="group" aria-label="View">
		{#each VIEWS as view (view)}
			<button
				type="button"
				aria-pressed={bench.camera === null && bench.view === view}
				onclick={() => bench.look(view)}>{view}</button
			>
		{/each}
		<TurnBy {bench} />
		<a class="quiet-link ml-auto" href="/bench/{bench.id}/recipe.json" download>recipe file</a>
		<a class="quiet-link" href="/shorthand">shorthand</a>
	</div>
	{#if checked}<FindingsPanel {bench} />{/if}
</section>

<style>
	.picture {
		contain: layout paint;
		display: flex;
		min-height: 0;
		min-width: 0;
		flex-direction: column;
	}
	.views {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 14px;
		padding: 4px 20px 0;
		font-size: 13.5px;
		color: var(--muted);
	}
	.views button[aria-pressed='true'] {
		font-weight: 600;
		color: var(--ink);
		border-bottom: 2px solid var(--ink);
	}
	@media (max-width: 640px) {
		.picture {
			height: 420px;
			order: -1;
		}
	}
</style>
