<script lang="ts">
	import MiniPicture from '../picture/MiniPicture.svelte';
	import type { SeenPiece } from './front-pictures.ts';

	interface Props {
		pieces: readonly SeenPiece[];
	}
	let { pieces }: Props = $props();
	const HEIGHT = 150;
	const scale = $derived((HEIGHT - 4) / Math.max(1500, ...pieces.map((l) => l.list.height)));
</script>

{#if pieces.length > 0}
	<!-- All at one scale, on one floor. -->
	<div
		class="flex items-end gap-3 overflow-x-auto border-b-2 border-ink px-2 pt-2"
		role="img"
		aria-label="The pieces at one scale"
		data-name="floor"
	>
		{#each pieces as { id, list, quantity } (id)}
			<span class="flex shrink-0 items-end">
				<MiniPicture {list} {scale} height={HEIGHT} />
				{#if quantity > 1}<span class="figures pb-1 text-[13px] text-muted">×{quantity}</span>{/if}
			</span>
		{/each}
	</div>
{/if}
