<script lang="ts">
	import type { FrozenPlace, FrozenQuote } from '../../core/quote/frozen.ts';
	import PlaceFrame from './PlaceFrame.svelte';
	import Discs from '../picture/Discs.svelte';

	interface Props {
		frozen: Pick<FrozenQuote, 'lines'>;
		place: FrozenPlace;
		/** Where photos of places lie for whoever looks. */
		places: string;
		/** Lines that are on it as chosen. */
		isOn: ReadonlySet<number>;
	}
	let { frozen, place, places, isOn }: Props = $props();
</script>

<!-- Pieces stand in the photo to its scale: the picture of each is computed. -->
<figure class="place" data-name="place">
	<PlaceFrame
		src="{places}/{place.photo}"
		alt="The place with the pieces in it"
		width={place.width}
		height={place.height}
	>
		{#each place.pieces as piece, i (i)}
			{@const line = frozen.lines[piece.line]}
			{#if line?.picture && isOn.has(piece.line)}
				{@const scale = piece.mm * place.width}
				<g
					transform="translate({piece.x * place.width} {piece.y * place.height}) scale({piece.turned
						? -scale
						: scale} {scale})"
				>
					<Discs list={line.picture} top={line.picture.height} />
				</g>
			{/if}
		{/each}
	</PlaceFrame>
</figure>

<style>
	.place {
		grid-column: 1 / -1;
		margin: 0 auto;
		width: 100%;
		max-width: 720px;
	}
</style>
