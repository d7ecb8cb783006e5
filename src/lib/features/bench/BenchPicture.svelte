<script lang="ts">
	import { VIEWS } from '../../core/scene/camera.ts';
	import { heightSaid, heightWords } from '../../core/tally/height.ts';
	import Picture from '../picture/Picture.svelte';
	import type { Bench } from './bench.svelte.ts';
	import PictureHands from './PictureHands.svelte';
	import FindingsPanel from './FindingsPanel.svelte';
	import { isSeen } from '../../core/structures/registry/picture.ts';
	import { aboutWords } from './section-words.ts';
	import StandingPanel from './StandingPanel.svelte';
	import TakeAway from './TakeAway.svelte';
	import TurnBy from './TurnBy.svelte';

	interface Props {
		bench: Bench;
		/** Whether there is something for the checker to speak of. */
		checked: boolean;
	}
	let { bench, checked }: Props = $props();
	const several = $derived(bench.shown.sections.filter((s) => isSeen(s.structure)).length > 1);
	const level = $derived((bench.camera?.tilt ?? 0) === 0 && !bench.apart);
	let fitted = $state<number | null>(null);
	let paper = $state<HTMLElement>();
	const back = () => paper?.querySelector<HTMLElement>('.picture-frame')?.focus();
	const said = $derived(heightSaid(bench.tally, bench.context.rates.pumps));
	const tall = $derived(said.of === 'over all' ? null : { mm: said.mm, words: heightWords(said) });
	const label = $derived(
		`${bench.recipe.name}, ${bench.camera ? 'turned' : bench.view}: ${bench.tally.bill.balloons} balloons`
	);
</script>

<section class="picture" aria-label="Picture">
	<div class="min-h-0 flex-1" bind:this={paper}>
		<Picture
			list={bench.picture}
			known={bench.known}
			{tall}
			lit={bench.lit}
			{label}
			{level}
			say={(about) => aboutWords(about, bench.shownByColour, bench.served)}
			onturn={(turn, tilt) => bench.turnBy(turn, tilt)}
			onpoint={(about, by) =>
				(bench.pointed = about === null ? null : { about, from: by === 'keys' ? 'keys' : 'picture' })}
			onpick={(about, at) => {
				bench.selected = bench.allRows.some((l) => l.id === about) ? about : null;
				bench.hands.take(about, at);
			}}
			{fitted}
		>
			{#snippet over(frame)}
				<PictureHands {bench} {frame} bind:fitted onback={back} />
			{/snippet}
		</Picture>
	</div>
	<div class="views" role="group" aria-label="View">
		{#each VIEWS as view (view)}
			<button
				type="button"
				aria-pressed={bench.camera === null && bench.view === view}
				onclick={() => bench.look(view)}>{view}</button
			>
		{/each}
		{#if several}
			<button type="button" aria-pressed={bench.apart} onclick={() => (bench.apart = !bench.apart)}
				>apart</button
			>
		{/if}
		<TurnBy {bench} />
		{#if bench.packer.now}
			<span class="packing" role="status"
				>packing {Math.round(bench.packer.now.share * 100)} %
				<button type="button" class="quiet-link" onclick={() => bench.packer.stop()}>stop</button></span
			>
		{/if}
		<span class="ml-auto flex gap-3"><StandingPanel {bench} /><TakeAway {bench} /></span>
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
		gap: 2px 10px;
		padding: 4px 20px 0;
		font-size: 13.5px;
		color: var(--muted);
	}
	/* Most packings are done before anybody reads of them. */
	.packing {
		animation: come 0s 500ms both;
	}
	@keyframes come {
		from {
			visibility: hidden;
		}
	}
	.views button[aria-pressed='true'] {
		font-weight: 600;
		color: var(--ink);
		border-bottom: 2px solid var(--ink);
	}
	@media (max-width: 640px) {
		.picture {
			contain: none;
			height: 420px;
			order: -1;
		}
	}
</style>
