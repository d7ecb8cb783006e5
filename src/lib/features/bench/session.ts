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

/** What stands half typed on the entry line, and what it changes. */
interface Typed {
	text: string;
	editing: string | null;
	editingPart: string | null;
}
const typedKey = (design: string) => `bright-tally:typed:${design}`;

/** A line left in the middle is there again, in this tab and in a later one. */
export function rememberTyped(design: string, { text, editing, editingPart }: Typed) {
	try {
		if (text.trim() === '') localStorage.removeItem(typedKey(design));
		else
			localStorage.setItem(typedKey(design), JSON.stringify({ text, editing, editingPart } satisfies Typed));
	} catch {
		// A full store keeps no half line; what was entered lies elsewhere.
	}
}
/** Puts it back where it stood. @param isThere whether a part that was being changed is still there */
export function recallTyped(design: string, bench: Typed, isThere: (id: string) => boolean) {
	try {
		const left = JSON.parse(localStorage.getItem(typedKey(design)) ?? 'null') as Typed | null;
		if (!left || typeof left.text !== 'string' || bench.text !== '') return;
		const still = (id: string | null) => (id !== null && isThere(id) ? id : null);
		Object.assign(bench, {
			text: left.text,
			editing: still(left.editing),
			editingPart: still(left.editingPart)
		});
	} catch {
		// An unreadable line is none.
	}
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
