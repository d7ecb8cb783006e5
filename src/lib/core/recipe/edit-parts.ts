import type { Id, NewId } from '../document/id.ts';
import type { AppliedPiece } from '../structures/applied/document.ts';
import { sectionFor } from '../structures/applied/edit.ts';
import type { ExtraLine } from '../structures/extras/document.ts';
import { sectionOfLines } from '../structures/extras/edit.ts';
import type { Movable } from '../structures/facets/refs.ts';
import type { Home } from '../structures/facets/language.ts';
import type { Structure } from '../structures/kinds.ts';
import { accompanies, listsOf } from '../structures/registry/refs.ts';
import { anew } from '../structures/kit/anew.ts';
import { MOST_ALIKE, MOST_REPEATS } from '../document/limits.ts';
import { dropUnusedSlots, type RecipeDraft } from './draft.ts';
import { settle } from './edit.ts';
import type { Recipe } from './recipe.ts';

/** Lists whose parts have an order, of every section. */
const allLists = (recipe: RecipeDraft): Movable[][] => recipe.sections.flatMap((s) => listsOf(s.structure));

/** One more or one fewer of an item or a piece; one is the least. */
export function countPart(recipe: RecipeDraft, id: Id, by: number) {
	const part = allLists(recipe)
		.flat()
		.find((p) => p.id === id);
	if (part?.count === undefined) return;
	part.count = Math.max(1, Math.min(MOST_ALIKE, part.count + by));
	delete part.range;
}

/** One layer, cluster or string more or fewer of those alike; one is the least. */
export function repeatPart(recipe: RecipeDraft, id: Id, by: number) {
	const part = allLists(recipe)
		.flat()
		.find((p) => p.id === id);
	if (part?.repeat === undefined) return;
	part.repeat = Math.max(1, Math.min(MOST_REPEATS, part.repeat + by));
	delete part.range;
}

/** A copy directly above, of runs later along the path, with ids of its own. @returns its id */
export function copyPart(recipe: RecipeDraft, id: Id, newId: NewId): Id | undefined {
	for (const list of allLists(recipe)) {
		const at = list.findIndex((p) => p.id === id);
		if (at < 0) continue;
		const copy = anew(list[at]!, newId);
		list.splice(at + 1, 0, copy);
		return copy.id;
	}
	return undefined;
}

/** @param by +1 is one up, away from the floor; of runs one later along the path */
export function movePart(recipe: RecipeDraft, id: Id, by: number) {
	for (const list of allLists(recipe)) {
		const from = list.findIndex((p) => p.id === id);
		const to = Math.max(0, Math.min(list.length - 1, from + by));
		if (from < 0 || from === to) continue;
		list.splice(to, 0, ...list.splice(from, 1));
	}
}

/** Takes a part out; what comes only with something, its pieces or lines, goes with the last of them. */
export function removePart(recipe: RecipeDraft, id: Id) {
	for (const section of recipe.sections)
		for (const list of listsOf(section.structure)) {
			const at = list.findIndex((p) => p.id === id);
			if (at < 0) continue;
			list.splice(at, 1);
			const empty = accompanies(section.structure) && list.length === 0;
			if (empty && recipe.sections.length > 1) recipe.sections = recipe.sections.filter((s) => s !== section);
		}
	dropUnusedSlots(recipe);
}

/** Adds a piece to the pieces of its host, making the section for them where it is the first. */
export const addPiece = (recipe: RecipeDraft, piece: AppliedPiece, host: Id | null, newId: NewId) =>
	addPart(recipe, sectionFor(recipe.sections as Recipe['sections'], host), piece, newId);

/** Adds a line to the lines of a design. */
export const addExtra = (recipe: RecipeDraft, line: ExtraLine, newId: NewId) =>
	addPart(recipe, sectionOfLines(recipe.sections as Recipe['sections']), line, newId);

function addPart(recipe: RecipeDraft, home: Home<Structure>, part: Movable, newId: NewId) {
	const section = settle(recipe, home, newId);
	if (section) listsOf(section.structure)[0]!.push(structuredClone(part));
}
