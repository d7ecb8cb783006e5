import { applyPatches, enablePatches, produceWithPatches, type Patch } from 'immer';
import { followRows } from '../../core/recipe/follow-rows.ts';
import type { RecipeDraft } from '../../core/recipe/draft.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';

enablePatches();

/** One edit, as what it changed and what takes it back. */
export interface Step {
	readonly redo: Patch[];
	readonly undo: Patch[];
}

/** Undo and redo, as differences: 500 steps of a large recipe stay small enough for the session store. */
export interface History {
	readonly past: readonly Step[];
	readonly future: readonly Step[];
}

export const EMPTY_HISTORY: History = { past: [], future: [] };
export const MOST_STEPS = 500;

export function edit(
	recipe: Recipe,
	history: History,
	change: (draft: RecipeDraft) => void
): { recipe: Recipe; history: History } | undefined {
	const [next, redo, undo] = produceWithPatches(recipe, (draft) => {
		change(draft as unknown as RecipeDraft);
		followRows(draft as unknown as RecipeDraft, recipe);
	});
	if (redo.length === 0) return undefined;
	return {
		recipe: next,
		history: { past: [...history.past, { redo, undo }].slice(-MOST_STEPS), future: [] }
	};
}

export function stepBack(
	recipe: Recipe,
	{ past, future }: History
): { recipe: Recipe; history: History } | undefined {
	const step = past.at(-1);
	if (!step) return undefined;
	return {
		recipe: applyPatches(recipe, step.undo),
		history: { past: past.slice(0, -1), future: [step, ...future] }
	};
}

export function stepForth(
	recipe: Recipe,
	{ past, future }: History
): { recipe: Recipe; history: History } | undefined {
	const [step, ...rest] = future;
	if (!step) return undefined;
	return { recipe: applyPatches(recipe, step.redo), history: { past: [...past, step], future: rest } };
}
