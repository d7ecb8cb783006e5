import type { NewId } from './build.ts';
import { applyBunch, slotFor } from '../structures/bunch/apply.ts';
import { dropUnusedSlots, type RecipeDraft } from './edit.ts';
import type { Mutable } from '../document/mutable.ts';
import type { Entry } from '../language/entry.ts';
import type { BunchItem } from '../structures/bunch/document.ts';
import type { FormPiece } from '../structures/form/document.ts';
import type { Id } from '../document/id.ts';
import type { Run } from '../structures/run/document.ts';
import type { Weave } from '../structures/weave/document.ts';

type Part = Mutable<BunchItem> | Mutable<FormPiece>;
/** Everything of a section that can be moved and taken out by itself. */
type Movable = { readonly id: Id };

/** Lists that hold items of bunches and pieces of forms. */
const listsOf = (recipe: RecipeDraft): { list: Part[]; section: Id }[] =>
	recipe.sections.flatMap(({ id, structure }) =>
		structure.kind === 'bunch'
			? [{ list: structure.items as Part[], section: id }]
			: structure.kind === 'form'
				? [{ list: structure.pieces as Part[], section: id }]
				: []
	);

export function changeItem(recipe: RecipeDraft, id: Id, work: (item: Mutable<BunchItem>) => void) {
	for (const { structure } of recipe.sections) {
		const item = structure.kind === 'bunch' ? structure.items.find((i) => i.id === id) : undefined;
		if (item) work(item);
	}
}

export function changeRun(recipe: RecipeDraft, section: Id, work: (run: Mutable<Run>) => void) {
	const own = recipe.sections.find((s) => s.id === section)?.structure;
	if (own?.kind === 'run') work(own as Mutable<Run>);
}

export function changeWeave(recipe: RecipeDraft, section: Id, work: (weave: Mutable<Weave>) => void) {
	const own = recipe.sections.find((s) => s.id === section)?.structure;
	if (own?.kind === 'weave') work(own as Mutable<Weave>);
}

/** One more or one fewer of an item or a piece; one is the least. */
export function countPart(recipe: RecipeDraft, id: Id, by: number) {
	const part = listsOf(recipe)
		.flatMap(({ list }) => list)
		.find((p) => p.id === id);
	if (part) part.count = Math.max(1, Math.min(200, part.count + by));
}

/** Lists whose parts have an order: those, and what runs and weaves are made of. */
const ordered = (recipe: RecipeDraft): Movable[][] => [
	...listsOf(recipe).map(({ list }) => list as Movable[]),
	...recipe.sections.flatMap(({ structure }): Movable[][] =>
		structure.kind === 'run'
			? [structure.rows, structure.mix, structure.infill, structure.branches]
			: structure.kind === 'weave'
				? [structure.rows]
				: []
	)
];

/** @param by +1 is one up, away from the floor; of runs one later along the path */
export function movePart(recipe: RecipeDraft, id: Id, by: number) {
	for (const list of ordered(recipe)) {
		const from = list.findIndex((p) => p.id === id);
		const to = Math.max(0, Math.min(list.length - 1, from + by));
		if (from < 0 || from === to) continue;
		list.splice(to, 0, ...list.splice(from, 1));
	}
}

export function removePart(recipe: RecipeDraft, id: Id) {
	for (const list of ordered(recipe)) {
		const at = list.findIndex((p) => p.id === id);
		if (at >= 0) list.splice(at, 1);
	}
	dropUnusedSlots(recipe);
}

/** An item or a piece said anew: it keeps its id, and what hangs on it. */
export function replacePart(
	recipe: RecipeDraft,
	id: Id,
	entry: Extract<Entry, { kind: 'item' | 'form piece' }>,
	newId: NewId
) {
	const found = listsOf(recipe).find(({ list }) => list.some((p) => p.id === id));
	if (!found) return;
	const at = found.list.findIndex((p) => p.id === id);
	if (entry.kind === 'item') applyBunch(recipe, entry, found.section, newId);
	else {
		const { colour, ...said } = entry.piece;
		found.list.push({ ...said, id: newId(), slot: slotFor(recipe, newId)(colour) } as Mutable<FormPiece>);
	}
	const made = found.list.pop()!;
	found.list[at] = { ...made, id };
	dropUnusedSlots(recipe);
}
