<script lang="ts">
	import { removePart } from '../../../../core/recipe/edit-parts.ts';
	import { printBalloon } from '../../../../core/structures/kit/print-balloon.ts';
	import type { Applied, AppliedPiece } from '../../../../core/structures/applied/document.ts';
	import type { ListProps } from '../screen.ts';
	import { manyWords } from '../../../../core/document/count-range.ts';
	import { allWords, fixedWords } from '../../../../core/structures/applied/print.ts';
	import { hostWords } from '../../section-words.ts';
	import PartRow from '../../kit/PartRow.svelte';
	import PiecePanel from './PiecePanel.svelte';

	let { bench, section }: ListProps<Applied> = $props();
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
		<PartRow {bench} part={piece} hex={hexOf(piece)} out={() => bench.change((d) => removePart(d, piece.id))}>
			{#snippet panel()}<PiecePanel {bench} {piece} host={section.stand.by} />{/snippet}
			<span class="words">
				<b class="figures">{allWords(piece)} ×</b>
				{piece.name}
				<span class="quiet"
					>{what(piece) === piece.name ? '' : `${what(piece)} · `}
					{piece.on
						.map(
							(tier) =>
								`${piece.on.length > 1 ? `${manyWords(tier)} ` : ''}${hostWords(tier.host, bench.recipe)}`
						)
						.join(', ')}
					· {fixedWords(piece)}{hides(piece) > 0 ? ` · hides ${hides(piece)}` : ''}{lost(piece)
						? ' · its host is gone'
						: ''}{bench.served.has(piece.id) ? ` · ${bench.served.get(piece.id)!.join(', ')}` : ''}</span
				>
			</span>
		</PartRow>
	{/each}
</ul>

<style>
	.pieces {
		margin-left: 54px;
		border-left: 1px solid var(--line);
	}
	.words {
		min-width: 0;
		flex: 1;
	}
	.quiet {
		color: var(--muted);
	}
</style>
