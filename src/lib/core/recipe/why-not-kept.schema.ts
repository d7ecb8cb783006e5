import { firstIssue } from '../first-issue.schema.ts';
import { recipeSchema } from './recipe.schema.ts';
import type { Recipe } from './recipe.ts';

/** Why a recipe could not be kept, in words with its place; nothing where it can. The very rules the server keeps. */
export function whyNotKept(recipe: Recipe): string {
	const read = recipeSchema.safeParse(recipe);
	return read.success ? '' : firstIssue(read.error);
}
