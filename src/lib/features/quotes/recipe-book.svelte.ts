import type { Recipe } from '../../core/recipe/recipe.ts';

/** Recipes of kept versions, by the ids of the versions, and every design inside those. */
export interface RecipePage {
	readonly recipes: readonly (readonly [string, Recipe])[];
	readonly library: readonly (readonly [string, Recipe])[];
}

/** Recipes that came with a page, and those asked for since: a page brings only what it shows. */
export class RecipeBook {
	#recipes = $state.raw<ReadonlyMap<string, Recipe>>(new Map());
	#library = $state.raw<ReadonlyMap<string, Recipe>>(new Map());

	constructor(first: RecipePage) {
		this.#add(first);
	}
	#add({ recipes, library }: RecipePage) {
		this.#recipes = new Map([...this.#recipes, ...recipes]);
		this.#library = new Map([...this.#library, ...library]);
	}
	version(id: string): Recipe | undefined {
		return this.#recipes.get(id);
	}
	/** A design inside another. */
	readonly inside = (design: string): Recipe | undefined => this.#library.get(design);

	/** Asks for a version where it is not here yet. @returns nothing where it is, else a sentence */
	async need(id: string): Promise<string> {
		if (this.#recipes.has(id)) return '';
		const response = await fetch(`/quotes/recipes/${encodeURIComponent(id)}`).catch(() => undefined);
		if (!response) return 'The server does not answer, so that design cannot be read. Try again in a moment.';
		const answer = (await response.json().catch(() => undefined)) as
			Partial<RecipePage & { message: string }> | undefined;
		if (!response.ok || !answer?.recipes || !answer.library)
			return answer?.message ?? 'That design cannot be read just now. Try again in a moment.';
		this.#add({ recipes: answer.recipes, library: answer.library });
		return '';
	}
}
