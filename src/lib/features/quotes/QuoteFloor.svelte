<script lang="ts">
	import type { QuotedLine } from '../../core/quote/quote.ts';
	import { drawAssembly } from '../../core/scene/draw-list.ts';
	import { isBare } from '../../core/assembly/assemble.ts';
	import type { TallyContext } from '../../core/tally/tally.ts';
	import MiniPicture from '../picture/MiniPicture.svelte';

	interface Props {
		lines: readonly QuotedLine[];
		context: Pick<TallyContext, 'catalogue'>;
	}
	let { lines, context }: Props = $props();
	const HEIGHT = 150;
	const lists = $derived(
		lines.flatMap(({ item, tally: { assembly } }) =>
			isBare(assembly)
				? []
				: [{ id: item.id, quantity: item.quantity, list: drawAssembly(assembly, { catalogue: context.catalogue, view: 'front' }) }]
		)
	); // prettier-ignore
	const scale = $derived((HEIGHT - 4) / Math.max(1500, ...lists.map((l) => l.list.height)));
</script>

{#if lists.length > 0}
	<!-- All at one scale, on one floor. -->
	<div
		class="flex items-end gap-3 overflow-x-auto border-b-2 border-ink px-2 pt-2"
		role="img"
		aria-label="The pieces at one scale"
		data-name="floor"
	>
		{#each lists as { id, list, quantity } (id)}
			<span class="flex shrink-0 items-end">
				<MiniPicture {list} {scale} height={HEIGHT} />
				{#if quantity > 1}<span class="figures pb-1 text-[13px] text-muted">×{quantity}</span>{/if}
			</span>
		{/each}
	</div>
{/if}
