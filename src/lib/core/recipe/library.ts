import type { Recipe } from './recipe.ts';

/** Finds the last kept version of a design used inside another. */
export type Library = (design: string) => Recipe | undefined;
