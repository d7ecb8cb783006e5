<script lang="ts">
	import { GONE } from '../../core/document/names.ts';
	import { leastText, priceText } from './tape-words.ts';
	import { formatMoney } from '../../core/money/money.ts';
	import type { Recipe } from '../../core/recipe/recipe.ts';
	import { sayRecipe } from '../../core/compare/say-recipe.ts';
	import { tally } from '../../core/tally/tally.ts';
	import Button from '../../ui/button/Button.svelte';
	import Dialog from '../../ui/dialog/Dialog.svelte';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	const theirs = $derived(bench.saver.theirs);
	const nameOf = (id: string) =>
		bench.catalogue.materials.get(id)?.name ?? bench.catalogue.colourNames.get(id) ?? GONE.material;
	const rowsOf = (recipe: Recipe) => sayRecipe(recipe, nameOf);
	const priceOf = (recipe: Recipe) => {
		const { price, cost } = tally(recipe, null, 1, bench.context);
		return leastText(priceText(price, formatMoney), cost.total.unknown);
	};
	const sides = $derived(
		theirs
			? [
					{ title: 'Saved meanwhile', recipe: theirs.recipe, other: rowsOf(bench.recipe) },
					{ title: 'Yours, here', recipe: bench.recipe, other: rowsOf(theirs.recipe) }
				]
			: []
	);
	function takeTheirs() {
		if (!theirs) return;
		const { recipe } = theirs;
		bench.saver.settle();
		bench.replaceAll(recipe);
	}
	function keepMine() {
		bench.saver.settle();
		bench.saver.want({ recipe: bench.recipe });
	}
</script>

<Dialog title="This design was changed somewhere else" open={theirs !== null} width={860}>
	<p class="mb-3 text-muted">
		Another tab or person saved it after you opened it. Nothing is lost: choose which goes on; undo brings the
		other back here.
	</p>
	<div class="grid grid-cols-1 gap-4 sm:grid-cols-2">
		{#each sides as side (side.title)}
			<section aria-label={side.title}>
				<h3 class="text-base">{side.title}</h3>
				<p class="mb-1 text-muted">{side.recipe.name} · {priceOf(side.recipe)}</p>
				<ul class="figures max-h-[40vh] overflow-auto border-t border-line text-[12.6px]">
					{#each rowsOf(side.recipe) as row, index (index)}
						<li class="border-b border-line py-1" class:font-semibold={!side.other.includes(row)}>{row}</li>
					{/each}
				</ul>
			</section>
		{/each}
	</div>
	{#snippet actions()}
		<Button onclick={takeTheirs}>Go on with theirs</Button>
		<Button kind="strong" onclick={keepMine}>Go on with mine</Button>
	{/snippet}
</Dialog>
