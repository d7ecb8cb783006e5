<script lang="ts">
	import type { FrozenPlace, FrozenQuote } from '../../core/quote/frozen.ts';
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

<!-- Pieces stand in the photo to its scale: the picture of each is computed, the photo is what it was. -->
<figure class="place" data-name="place">
	<img
		src="{places}/{place.photo}"
		alt="The place with the pieces in it"
		width={place.width}
		height={place.height}
	/>
	<svg viewBox="0 0 {place.width} {place.height}" aria-hidden="true">
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
	</svg>
</figure>

<style>
	.place {
		position: relative;
		grid-column: 1 / -1;
		margin: 0 auto;
		max-width: 720px;
	}
	img {
		display: block;
		width: 100%;
		height: auto;
	}
	svg {
		position: absolute;
		inset: 0;
		width: 100%;
		height: 100%;
	}
</style>
