import type { Id } from '../document/id.ts';
import { goesAlong } from '../structures/registry/variant.ts';
import { wayDown } from './copies.ts';
import type { RecipeDraft } from './draft.ts';
import { hosted } from './omit-slots.ts';
import type { Recipe, Section, SizeOption } from './recipe.ts';

/** Whether a section is built: as the size says, else as the section does. */
export const isIn = ({ id, open }: Pick<Section, 'id' | 'open'>, size?: Pick<SizeOption, 'open'>): boolean =>
	size?.open?.[id] ?? !(open?.out ?? false);

/** Whether anything of a design may be there or not. */
export const hasOpen = ({ sections }: Pick<Recipe, 'sections'>): boolean =>
	sections.some((s) => s.open !== undefined);

/** Sections that are not built, with all that stands by them or goes along them. */
export function outIn(
	{ sections }: Pick<Recipe, 'sections'>,
	size?: Pick<SizeOption, 'open'>
): ReadonlySet<Id> {
	const out = new Set(sections.filter((s) => !isIn(s, size)).map((s) => s.id));
	for (let before = -1; before !== out.size;) {
		before = out.size;
		for (const { id, stand, structure } of sections)
			if (out.has(stand.by ?? '') || out.has(goesAlong(structure) ?? '')) out.add(id);
	}
	return out;
}

/** A recipe as it is built, without the sections that are not; a design with nothing else in it keeps them all. */
export function withoutOpen(recipe: Recipe, size?: Pick<SizeOption, 'open'>): Recipe {
	if (!hasOpen(recipe)) return recipe;
	const out = outIn(recipe, size);
	const some = recipe.sections.filter((s) => !out.has(s.id));
	const left = some.length > 0 ? some : recipe.sections;
	// What is built is there: looked at once more it stays what it is.
	return { ...recipe, sections: hosted(recipe.sections, left).map((s) => ({ ...s, open: undefined })) };
}

/** Leaves a section out or puts it back; of those that stand for each other one is there. */
export function putIn(recipe: RecipeDraft, id: Id, isThere: boolean): void {
	const own = recipe.sections.find((s) => s.id === id);
	if (!own) return;
	own.open = { when: '', ...own.open, out: !isThere };
	const { group } = own.open;
	if (group === undefined) return;
	const others = recipe.sections.filter((s) => s.id !== id && s.open?.group === group);
	if (isThere) for (const s of others) s.open!.out = true;
	else if (others.every((s) => s.open!.out) && others[0]) others[0].open!.out = false;
}

/** Whether one may stand for another: neither stands by the other, however many stand between them. */
export const mayStandFor = (recipe: Pick<Recipe, 'sections'>, a: Section, b: Section): boolean =>
	!wayDown(recipe, a).includes(b) && !wayDown(recipe, b).includes(a);

/** One stands for the other: the first is there as it stands, the second is not. */
export function eitherOr(recipe: RecipeDraft, first: Id, second: Id): void {
	const [a, b] = [first, second].map((id) => recipe.sections.find((s) => s.id === id));
	if (!a || !b || a === b) return;
	const group = a.open?.group ?? b.open?.group ?? a.id;
	a.open = { when: '', ...a.open, out: a.open?.out ?? false, group };
	b.open = { when: '', ...b.open, out: !a.open.out, group };
} // prettier-ignore

/** It is always there again; where it stood for others, they are by themselves. */
export function settleOpen(recipe: RecipeDraft, id: Id): void {
	const own = recipe.sections.find((s) => s.id === id);
	const group = own?.open?.group;
	if (own) delete own.open;
	if (group === undefined) return;
	const left = recipe.sections.filter((s) => s.open?.group === group);
	if (left.length === 1) delete left[0]!.open!.group;
}
