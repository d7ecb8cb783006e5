<script lang="ts">
	import { removePiece } from '../../core/recipe/edit-pieces.ts';
	import { printBalloon } from '../../core/recipe/entry/print-entry.ts';
	import type { Applied, AppliedPiece, Section } from '../../core/recipe/recipe.ts';
	import { countOfPiece } from '../../core/structures/applied.ts';
	import type { Bench } from './bench.svelte.ts';
	import { hostWords } from './section-words.ts';
	import PiecePanel from './PiecePanel.svelte';

	interface Props {
		bench: Bench;
		section: Section & { readonly structure: Applied };
	}
	let { bench, section }: Props = $props();
	const group = $derived(bench.tally.assembly.applied.find((g) => g.section === section.id));
	const hides = (piece: AppliedPiece) =>
		(group?.balls ?? []).filter((b) => b.piece === piece.id).reduce((a, b) => a + b.hides, 0);
	const lost = (piece: AppliedPiece) => bench.tally.assembly.lost.includes(piece.id);
	const what = ({ what: thing }: AppliedPiece) =>
		thing.kind === 'material'
			? (bench.catalogue.materials.get(thing.material ?? '')?.name ?? 'not chosen yet')
			: printBalloon(thing.balloon);
	const hexOf = ({ what: thing }: AppliedPiece) => {
		const colour =
			thing.kind === 'balloon'
				? bench.chosen.fills[thing.balloon.slot]
				: bench.catalogue.materials.get(thing.material ?? '')?.colour;
		return bench.catalogue.colours.get(colour ?? '')?.hex ?? 'transparent';
	};
</script>

<ul class="pieces" aria-label={section.name}>
	{#each section.structure.pieces as piece (piece.id)}
		<li data-about={piece.id} class:pointed={bench.pointed?.about === piece.id}>
			<span class="dot" style:background={hexOf(piece)} aria-hidden="true"></span>
			<span class="words">
				<b class="figures">{countOfPiece(piece)} ×</b>
				{piece.name}
				<span class="quiet"
					>{what(piece) === piece.name ? '' : `${what(piece)} · `}
					{piece.on
						.map(
							({ host, count }) => `${piece.on.length > 1 ? `${count} ` : ''}${hostWords(host, bench.recipe)}`
						)
						.join(', ')}
					· {piece.fixing}{hides(piece) > 0 ? ` · hides ${hides(piece)}` : ''}{lost(piece)
						? ' · its host is gone'
						: ''}{bench.served.has(piece.id) ? ` · ${bench.served.get(piece.id)!.join(', ')}` : ''}</span
				>
			</span>
			<PiecePanel {bench} {piece} host={section.stand.by} />
			<button
				type="button"
				class="quiet-link"
				aria-label="Take out {piece.name}"
				onclick={() => bench.change((d) => removePiece(d, piece.id))}>out</button
			>
		</li>
	{/each}
</ul>

<style>
	.pieces {
		margin-left: 54px;
		border-left: 1px solid var(--line);
	}
	li {
		display: flex;
		align-items: center;
		gap: 8px;
		padding: 2px 10px 2px 12px;
		font-size: 13px;
	}
	.pointed {
		background: var(--tint);
	}
	.words {
		min-width: 0;
		flex: 1;
	}
	.quiet {
		color: var(--muted);
	}
	.dot {
		flex: none;
		width: 10px;
		height: 10px;
		border-radius: 50%;
		border: 1px solid rgb(27 35 51 / 0.25);
	}
</style>
