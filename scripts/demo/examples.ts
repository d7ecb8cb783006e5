import { bundleOf, type Bundle } from '../../src/lib/core/files/bundle.ts';
import type { Recipe } from '../../src/lib/core/recipe/recipe.ts';
import { demoDesigns } from './designs.ts';
import { demoRecipe } from './load.ts';
import { colours, stockRows } from './stock.ts';

const recipe = (id: string): Recipe => demoRecipe(demoDesigns.find((d) => d.id === id)!);

/** One recipe file for each structure, by its name. */
export function exampleFiles(): [string, Recipe | Bundle][] {
	const inside = ['octopus-figure', 'octopus-arm'].map((id) => ({ id, recipe: recipe(id) }));
	const materials = stockRows.map((r) => ({ ...r.material, packs: [] }));
	return [
		['stack.recipe.json', recipe('kelp-column')],
		['applied.recipe.json', recipe('bee-figure')],
		['bunch.recipe.json', recipe('buoy-bunch')],
		['form.recipe.json', recipe('jellyfish-bunch')],
		['frame.recipe.json', recipe('signal-mast')],
		['run.recipe.json', recipe('whisk-and-bun-runner')],
		['weave.recipe.json', recipe('signal-flag-wall')],
		['extras.recipe.json', recipe('lighthouse-column')],
		['design-inside.recipes.json', bundleOf(inside, { materials, colours })]
	];
}
