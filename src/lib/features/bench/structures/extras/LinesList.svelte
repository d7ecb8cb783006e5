<script lang="ts">
	import { nameOf } from '../../../../core/document/names.ts';
	import { removePart } from '../../../../core/recipe/edit-parts.ts';
	import { countedLines } from '../../../../core/structures/extras/count.ts';
	import type { Bench } from '../../bench.svelte.ts';
	import { lineWords } from '../../section-words.ts';
	import LinePanel from './LinePanel.svelte';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	const counted = $derived(new Set(countedLines(bench.extras).map((l) => l.id)));
</script>

{#if bench.extras.length > 0}
	<ul class="extras" aria-label="Extras">
		{#each bench.extras as line (line.id)}
			{@const name = nameOf(bench.catalogue.materials, line.material)}
			{@const words = lineWords(line, name, bench.recipe)}
			<li>
				<span class="words" class:off={!counted.has(line.id)} title={words}>{words}</span>
				{#if !counted.has(line.id)}<span>not taken</span>{/if}
				<LinePanel {bench} {line} {name} />
				<button
					type="button"
					class="quiet-link"
					onclick={() => bench.change((d) => removePart(d, line.id))}
					aria-label="Take out {name}">out</button
				>
			</li>
		{/each}
	</ul>
{/if}

<style>
	.extras {
		margin-top: 2px;
		max-height: 104px;
		overflow-y: auto;
		scrollbar-width: thin;
		color: var(--muted);
	}
	li {
		display: flex;
		align-items: center;
		gap: 8px;
		line-height: 24px;
		white-space: nowrap;
	}
	.words {
		min-width: 0;
		flex: 1;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	.off {
		text-decoration: line-through;
	}
</style>
