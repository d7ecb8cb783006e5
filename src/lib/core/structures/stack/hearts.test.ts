import { expect, test } from 'vitest';
import { catalogueOf, colours, design, rates, studio } from '../../../../../tests/kit/studio.ts';
import { PUMPS, said, STOCK } from '../../../../../tests/kit/entry-lines.ts';
import { tally } from '../../tally/tally.ts';

const codes = (...lines: string[]) =>
	tally(design('hearts', ...lines), null, 1, { catalogue: studio, rates, library: () => undefined }).findings.filter((f) => f.code === 'heart-weak'); // prettier-ignore

test('a heart that carries, is twisted or filled with sand is said; on top, or on a pole, it is not', () => {
	expect(codes('4 11 hearts at 9 red', '4 11 at 9 white')).toHaveLength(1);
	expect(codes('4 11 at 9 white', '4 11 hearts at 9 red')).toEqual([]);
	expect(codes('4 11 hearts at 9 red', '4 11 at 9 white', 'pole 4 ft')).toEqual([]);
	expect(codes('4 11 at 9 white', '1 11 hearts at 9 red filled with sand')[0]!.say).toContain(
		'filled with what is heavy'
	);
});

test('strokes that were said are held against what the lengths take by a measured pump', () => {
	const found = (strokes: number) =>
		tally(said(['4 11 at 9 white', 'form arms on column', `2 260 at ${strokes} strokes of hand pump red 20 as arm on row 1 left`]).recipe, null, 1, {
			catalogue: catalogueOf(STOCK, colours),
			rates: { ...rates, pumps: PUMPS },
			library: () => undefined
		}).findings.filter((f) => f.code === 'strokes-off'); // prettier-ignore
	const [off] = found(60);
	const takes = Number(/about (\d+)/.exec(off!.say)![1]);
	expect(found(takes)).toEqual([]);
	expect(found(Math.ceil(takes * 1.3))).toHaveLength(1);
});
