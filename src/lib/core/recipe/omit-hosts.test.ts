import { describe, expect, test } from 'vitest';
import { designOf, floating } from '../../../../tests/kit/studio.ts';
import { assemble } from '../assembly/assemble.ts';
import { dropHeld } from './held.ts';
import type { RecipeDraft } from './draft.ts';
import { omittingSlots } from './omit-slots.ts';
import { withoutOpen } from './open-sections.ts';
import type { Recipe } from './recipe.ts';

/** A head on the column, a feeler on the head, a ball on the feeler, and an eye on the column itself. */
const figure = (): Recipe =>
	designOf(floating, 'figure', [
		'4 11 at 9 white',
		'put 1 11 at 7 gold as head on row 1 front',
		'put 1 5 at 2 white as eye on row 1 left',
		'form feelers on column',
		'1 260 red 9 as feeler on head up',
		'put 1 5 at 2 white as ball on feeler'
	]);
const names = ({ sections }: Recipe) =>
	sections.flatMap(({ structure }) =>
		structure.kind === 'applied' || structure.kind === 'form' ? structure.pieces.map((p) => p.name) : []
	);
const without = (recipe: Recipe, slot: string) =>
	omittingSlots(recipe, new Set(recipe.slots.filter((s) => s.name === slot).map((s) => s.id)));

describe('what sits on parts of other sections', () => {
	test('stays when a colour goes that has nothing to do with it', () => {
		const recipe = designOf(floating, 'more', []);
		expect(names(recipe)).toEqual([]);
		const plus = { ...figure(), slots: [...figure().slots, { id: 'spare', name: 'spare', role: null }] };
		expect(names(without(plus, 'spare')).toSorted()).toEqual(['ball', 'eye', 'feeler', 'head']);
	});
	test('goes with what carries it, on and on outwards', () => {
		expect(names(without(figure(), 'gold'))).toEqual(['eye']);
		expect(names(without(figure(), 'red')).toSorted()).toEqual(['eye', 'head']);
	});
	test('stays when another part is left out', () => {
		const recipe = figure();
		const extra = { ...recipe.sections[0]!, id: 'wing', name: 'wing', open: { out: true, when: '' } };
		expect(names(withoutOpen({ ...recipe, sections: [...recipe.sections, extra] })).toSorted()).toEqual(['ball', 'eye', 'feeler', 'head']); // prettier-ignore
	});
	test('a section on a piece goes with it when that is dragged to another column', () => {
		const recipe = structuredClone(
			designOf(floating, 'two', [
				'4 11 at 9 white',
				'put 1 5 at 4 red as head on row 1 front',
				'section hat on head up',
				'1 5 at 2 white',
				'section other right of column gap 2 ft',
				'4 11 at 9 white'
			])
		) as RecipeDraft;
		const at = () => {
			const { pieces } = assemble(recipe as Recipe, null, () => undefined);
			const [hat, other] = ['hat', 'other'].map((n) => recipe.sections.find((s) => s.name === n)!.id);
			const x = (id: string) => pieces.find((p) => p.section === id)!.spots[0]!.x;
			return x(other!) - x(hat!);
		};
		expect(at()).toBeGreaterThan(500);
		const head = recipe.sections.flatMap((s) => (s.structure.kind === 'applied' ? s.structure.pieces : []))[0]!;
		const row = recipe.sections.find((s) => s.name === 'other')!.structure;
		let n = 0;
		const onto = row.kind === 'stack' ? row.layers[0]!.id : '';
		expect(dropHeld(recipe, { about: head.id }, { about: onto, place: null }, () => `new-${n++}`).ok).toBe(true);
		expect(Math.abs(at())).toBeLessThan(1);
	}); // prettier-ignore
});
