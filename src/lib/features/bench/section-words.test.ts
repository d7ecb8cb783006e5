import { expect, test } from 'vitest';
import { design } from '../../../../tests/kit/studio.ts';
import { emptyStack, newSection } from '../../core/recipe/build.ts';
import { ON_THE_FLOOR, type Section } from '../../core/recipe/recipe.ts';
import { feet } from '../../core/units/length.ts';
import { standingWords } from './section-words.ts';

const base = design('figure', '4 11 at 9 white');
const [column] = base.sections;
const words = (change: Partial<Section>) => {
	const arm = { ...newSection('arm', 'arm', emptyStack()), ...change };
	return standingWords(arm, { ...base, sections: [column!, arm] });
};
const by = (more: object) => ({ stand: { ...ON_THE_FLOOR, by: column!.id, ...more } });

test.each<[Partial<Section>, string]>([
	[{}, 'on the floor'],
	[by({}), 'on top of column'],
	[{ ...by({ how: 'left' }), times: 2, mirror: true }, '×2 mirrored, left of column'],
	[{ ...by({ how: 'right', height: feet(4) }), times: 3 }, '×3, right of column at 4′ 0″'],
	[by({ how: 'front' }), 'before column'],
	[by({ how: 'back', height: feet(2) }), 'behind column at 2′ 0″'],
	[by({ height: feet(2) }), 'on top of column'],
	[{ stand: { ...ON_THE_FLOOR, by: 'nobody', how: 'left' } }, 'on the floor']
])('%j reads “%s”', (change, text) => expect(words(change)).toBe(text));
