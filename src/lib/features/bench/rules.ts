import type { Recipe } from '../../core/recipe/recipe.ts';

/** Why a recipe could not be kept; nothing where it can. */
export type Judge = (recipe: Recipe) => string;

/** Shorter than what saving waits for, ms. */
const PAUSE = 120;

/** The rules a recipe is kept by, read after the page stands; each recipe is weighed once. */
export class Rules {
	#judge: Judge | null = null;
	/** Weighed last, and found that it can be kept. */
	#good: Recipe | null = null;

	#timer: ReturnType<typeof setTimeout> | undefined;

	/** Weighs once keys come no more for a moment: in a run of keys only what comes of it, and before it is sent. */
	soon(weigh: () => void) {
		clearTimeout(this.#timer);
		this.#timer = setTimeout(weigh, PAUSE);
	}
	use(judge: Judge) {
		this.#judge = judge;
		this.#good = null;
	}
	/** Why it could not be kept; nothing where it can, or while the rules are not here. */
	broken(recipe: Recipe): string {
		if (!this.#judge || recipe === this.#good) return '';
		const why = this.#judge(recipe);
		if (!why) this.#good = recipe;
		return why;
	}
}
