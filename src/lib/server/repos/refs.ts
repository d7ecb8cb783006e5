import { namesIn } from '../../core/files/remap.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';

/** Another design that a recipe uses. */
export interface Ref {
	readonly kind: 'design';
	readonly refId: string;
}

/** Every design a recipe uses, in its sections and in its sizes, once each: what the index of a kept version must hold. */
export const refsOf = (recipe: Recipe): Ref[] =>
	[...namesIn(recipe).designs].sort().map((refId) => ({ kind: 'design', refId }));
