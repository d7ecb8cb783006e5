import type { Recipe } from '../../core/recipe/recipe.ts';
import { EMPTY_HISTORY, type History } from './history.ts';

/** This tab's own steps, so that undo survives a reload. */
interface Stored {
	readonly recipe: Recipe;
	readonly history: History;
}

const key = (design: string) => `bright-tally:steps:${design}`;

export function remember(design: string, recipe: Recipe, history: History) {
	try {
		sessionStorage.setItem(key(design), JSON.stringify({ recipe, history } satisfies Stored));
	} catch {
		// A full store drops the oldest half of the steps and tries once more.
		const half = { past: history.past.slice(Math.floor(history.past.length / 2)), future: [] };
		try {
			sessionStorage.setItem(key(design), JSON.stringify({ recipe, history: half } satisfies Stored));
		} catch {
			sessionStorage.removeItem(key(design));
		}
	}
}

/** The steps that lead to exactly this recipe; none where it was changed elsewhere. */
export function recall(design: string, recipe: Recipe): History {
	try {
		const stored = JSON.parse(sessionStorage.getItem(key(design)) ?? 'null') as Stored | null;
		if (stored && JSON.stringify(sorted(stored.recipe)) === JSON.stringify(sorted(recipe)))
			return stored.history;
	} catch {
		// Unreadable steps are no steps.
	}
	return EMPTY_HISTORY;
}

/** The same value with its keys in one order. */
function sorted(value: unknown): unknown {
	if (Array.isArray(value)) return value.map(sorted);
	if (value === null || typeof value !== 'object') return value;
	return Object.fromEntries(
		Object.entries(value)
			.sort(([a], [b]) => (a < b ? -1 : 1))
			.map(([k, v]) => [k, sorted(v)])
	);
}
