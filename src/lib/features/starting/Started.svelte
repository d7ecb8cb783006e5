<script lang="ts">
	import { onMount } from 'svelte';
	import type { Catalogue } from '../../core/materials/catalogue.ts';
	import type { Recipe } from '../../core/recipe/recipe.ts';
	import Button from '../../ui/button/Button.svelte';
	import { linesOf } from './lines.ts';

	interface Props {
		/** Of the design. */
		id: string;
		/** As it was built from its shape. */
		recipe: Recipe;
		catalogue: Catalogue;
	}
	let { id, recipe, catalogue }: Props = $props();
	// svelte-ignore state_referenced_locally
	const lines = linesOf(recipe, catalogue);
	let open = $state(true);
	// Said once in a tab, whatever its address says after a reload.
	onMount(() => {
		const key = `bright-tally/started ${id}`;
		if (sessionStorage.getItem(key)) open = false;
		sessionStorage.setItem(key, 'said');
	});
</script>

{#if open}
	<section class="said" aria-label="The same in lines">
		<p class="text-[13px] text-muted">
			Built. It is an ordinary design now: change anything here. Typed on the line below, it would have been
		</p>
		<ol class="figures">
			{#each lines as line, index (index)}<li>{line}</li>{/each}
		</ol>
		<Button kind="word" onclick={() => (open = false)}>Close</Button>
	</section>
{/if}

<style>
	.said {
		border-bottom: 1px solid var(--line);
		padding: 10px 12px;
	}
	ol {
		margin: 4px 0;
		font-size: 12.6px;
		line-height: 1.5;
	}
</style>
