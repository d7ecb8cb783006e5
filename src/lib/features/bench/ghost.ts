import { applyEntry, type EntryPlace } from '../../core/language/apply.ts';
import type { EntryContext } from '../../core/language/context.ts';
import { applyLines } from '../../core/language/plain/read-line.ts';
import type { Entry } from '../../core/language/entry.ts';
import { idsIn } from '../../core/plan/lost-step.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { isSaid, isShown } from '../../core/structures/registry/language.ts';
import type { Said } from '../../core/structures/registry/said.ts';
import { edit, EMPTY_HISTORY } from './history.ts';

/** What can be seen before Enter: what a section gets. */
export type Seen = Said;
export const isSeen = (entry: Entry): entry is Seen => isSaid(entry) && isShown(entry);

/** A recipe with what is being said in its place, not yet put there, and the id of the row or part that is new in it. */
export function ghosted(
	recipe: Recipe,
	said: Seen,
	place: EntryPlace
): { recipe: Recipe; ghost: string | null } {
	const newId = ghostIds();
	let elsewhere: string | undefined;
	const done = edit(
		recipe,
		EMPTY_HISTORY,
		(draft) => void (elsewhere = applyEntry(draft, said, place, newId))
	);
	// Said outside its section it goes to another: the entry line would lose the one it stands in.
	if (!done || elsewhere !== undefined) return { recipe, ghost: null };
	if (place.editing) return { recipe: done.recipe, ghost: place.editing };
	return { recipe: done.recipe, ghost: newIn(done.recipe, recipe) };
}

/** A setting is said of the whole; a row, a size or an arm that was not there before is what is new. */
function newIn(recipe: Recipe, before: Recipe): string | null {
	const known = idsIn(before);
	return [...idsIn(recipe)].find((id) => !known.has(id)) ?? null;
}

/** The same ids at every keystroke: the row that is there changes, no other comes. */
function ghostIds(): () => string {
	let n = 0;
	return () => `ghost-${++n}`;
}

/** The same of several lines said at once; nothing of it where one of them is refused. */
export function ghostedLines(
	recipe: Recipe,
	lines: readonly string[],
	context: EntryContext,
	place: EntryPlace
): { recipe: Recipe; ghost: string | null } {
	const newId = ghostIds();
	let all = false;
	const done = edit(recipe, EMPTY_HISTORY, (draft) => {
		all = applyLines(draft, lines, context, place, newId).ok;
	});
	if (!done || !all) return { recipe, ghost: null };
	return { recipe: done.recipe, ghost: newIn(done.recipe, recipe) };
}
