import fc from 'fast-check';
import { copyPart, repeatPart } from '../../core/recipe/edit-parts.ts';
import { expect, test } from 'vitest';
import { counter, design } from '../../../../tests/kit/studio.ts';
import { moveLayer, removeLayer, resizeLayer, stackIn } from '../../core/structures/stack/edit.ts';
import { type RecipeDraft } from '../../core/recipe/draft.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { edit, EMPTY_HISTORY, MOST_STEPS, stepBack, stepForth } from './history.ts';

const start = design('column', '4 16 at 13 grey', '4 11 at 9 white x4', '4 11 at 9 gold');
const newId = counter('h');
const anyEdit = fc.record({
	what: fc.constantFrom('repeat', 'resize', 'move', 'copy', 'remove', 'name'),
	row: fc.nat(9),
	by: fc.constantFrom(1, -1)
});

function apply(draft: RecipeDraft, { what, row, by }: { what: string; row: number; by: number }) {
	const layers = stackIn(draft as Recipe)!.layers;
	const id = layers[row % Math.max(1, layers.length)]?.id ?? '';
	if (what === 'repeat') repeatPart(draft, id, by);
	else if (what === 'resize') resizeLayer(draft, id, by);
	else if (what === 'move') moveLayer(draft, id, by);
	else if (what === 'copy') copyPart(draft, id, newId);
	else if (what === 'remove') removeLayer(draft, id);
	else draft.name = `named ${row}`;
}

test('undo takes any run of edits back to the start, redo brings all of it again', () => {
	fc.assert(
		fc.property(fc.array(anyEdit, { maxLength: 25 }), (edits) => {
			let now = { recipe: start, history: EMPTY_HISTORY };
			for (const e of edits) now = edit(now.recipe, now.history, (d) => apply(d, e)) ?? now;
			const end = now.recipe;
			// What goes through the session store comes back as plain JSON.
			now = JSON.parse(JSON.stringify(now));
			const steps = now.history.past.length;
			for (let i = 0; i < steps; i++) now = stepBack(now.recipe, now.history)!;
			expect(now.recipe).toEqual(start);
			expect(stepBack(now.recipe, now.history)).toBeUndefined();
			for (let i = 0; i < steps; i++) now = stepForth(now.recipe, now.history)!;
			expect(now.recipe).toEqual(end);
		}),
		{ numRuns: 60 }
	);
});
test('holds 500 steps; an edit that changes nothing is no step; a new edit ends the future', () => {
	let now = { recipe: start, history: EMPTY_HISTORY };
	for (let i = 0; i < MOST_STEPS + 20; i++) now = edit(now.recipe, now.history, (d) => (d.name = `n${i}`))!;
	expect(now.history.past).toHaveLength(500);
	expect(edit(now.recipe, now.history, (d) => (d.name = `n${MOST_STEPS + 19}`))).toBeUndefined();
	const back = stepBack(now.recipe, now.history)!;
	expect(back.history.future).toHaveLength(1);
	expect(edit(back.recipe, back.history, (d) => (d.notes = 'x'))!.history.future).toHaveLength(0);
});
test('500 steps on a large design stay within three fifths of the session store (5 million characters)', () => {
	let now = { recipe: start, history: EMPTY_HISTORY };
	for (let i = 0; i < 56; i++)
		now = edit(now.recipe, now.history, (d) => void copyPart(d, stackIn(d as Recipe)!.layers[0]!.id, newId))!;
	for (let i = 0; i < 500; i++) {
		const id = stackIn(now.recipe)!.layers[i % 50]!.id;
		now = edit(now.recipe, now.history, (d) => resizeLayer(d, id, i % 2 ? 1 : -1)) ?? now;
	}
	expect(JSON.stringify(now).length).toBeLessThan(3_000_000);
});
