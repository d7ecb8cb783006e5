import { applyEntry } from '../../core/language/apply.ts';
import { applyLined } from '../../core/recipe/apply-run.ts';
import { buildLayer } from '../../core/recipe/build.ts';
import { insertLayer, replaceLayer } from '../../core/recipe/edit.ts';
import { replacePart } from '../../core/recipe/edit-parts.ts';
import type { Entry } from '../../core/language/entry.ts';
import { idsIn } from '../../core/plan/lost-step.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { edit, EMPTY_HISTORY } from './history.ts';

const SEEN: ReadonlySet<Entry['kind']> = new Set([
	'layer',
	'item',
	'weight',
	'form piece',
	'run',
	'weave'
] as const);

/** What can be seen before Enter: what a section gets. */
export type Seen = Extract<Entry, { kind: 'layer' | 'item' | 'weight' | 'form piece' | 'run' | 'weave' }>;
export const isSeen = (entry: Entry): entry is Seen => SEEN.has(entry.kind);

/** Where it goes, and what stands there now. */
interface Where {
	readonly section: string | undefined;
	readonly index: number;
	/** Row or part that it takes the place of. */
	readonly editing: string | null;
	readonly editingPart: string | null;
	/** Share of the rigid rise kept; undefined where no stack is in hand. */
	readonly squash: number | undefined;
}

/** A recipe with what is being said in its place, not yet put there, and the id of the row or part that is new in it. */
export function ghosted(recipe: Recipe, said: Seen, where: Where): { recipe: Recipe; ghost: string | null } {
	// A word said outside a bunch makes a section of its own: the entry line would lose the one it stands in.
	const inHand = recipe.sections.find((s) => s.id === where.section)?.structure.kind;
	if ((said.kind === 'item' || said.kind === 'weight') && inHand !== 'bunch') return { recipe, ghost: null };
	let n = 0;
	// The same ids at every keystroke: the row that is there changes, no other comes.
	const newId = () => `ghost-${++n}`;
	const { section, index, editing, editingPart, squash } = where;
	let ghost: string | null = editing ?? editingPart ?? 'ghost-1';
	const done = edit(recipe, EMPTY_HISTORY, (draft) => {
		if (said.kind === 'layer') {
			if (squash === undefined) return;
			const built = buildLayer(said.layer, squash, newId);
			ghost = editing ?? built.layer.id;
			if (editing) replaceLayer(draft, editing, built);
			else insertLayer(draft, index, built, section);
		} else if (said.kind === 'run' || said.kind === 'weave')
			applyLined(draft, said, section, newId, editingPart ?? undefined);
		else if (editingPart && said.kind !== 'weight') replacePart(draft, editingPart, said, newId);
		else applyEntry(draft, said, { section, index }, newId);
	});
	if (!done) return { recipe, ghost: null };
	if (editingPart === null && (said.kind === 'run' || said.kind === 'weave')) {
		// A setting is said of the whole; a row, a size or an arm that was not there is what is new.
		const before = idsIn(recipe);
		ghost = [...idsIn(done.recipe)].find((id) => !before.has(id)) ?? null;
	}
	return { recipe: done.recipe, ghost };
}
