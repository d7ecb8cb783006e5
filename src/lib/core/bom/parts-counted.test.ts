import { expect, test } from 'vitest';
import { catalogueOf, colours, designOf, floating, rates } from '../../../../tests/kit/studio.ts';
import { PARTS } from '../document/rule.ts';
import { tally } from '../tally/tally.ts';

const stock = [
	...floating,
	{ ...floating.at(-1)!, kind: 'adhesive' as const, mark: null, id: 'strip', name: 'strip' }
];
const studio = catalogueOf(stock, colours);
const design = (name: string, ...lines: string[]) => designOf(stock, name, lines);
const strip = [...studio.materials.values()].find((m) => m.kind === 'adhesive')!;
const counts = (...lines: string[]) => {
	const recipe = design('parts', ...lines);
	const of = (part: (typeof PARTS)[number]) => {
		const rules = [...recipe.rules.filter((r) => r.of !== part), { of: part, each: '1', material: strip.id }];
		const own = { ...rates, rules: [] };
		const bill = (all: typeof rules) => tally({ ...recipe, rules: all }, null, 1, { catalogue: studio, rates: own, library: () => undefined }).bill; // prettier-ignore
		const used = (b: ReturnType<typeof bill>) => b.lines.find((l) => l.material?.id === strip.id)?.used.valueOf() ?? 0; // prettier-ignore
		return used(bill(rules)) - used(bill(recipe.rules as typeof rules));
	};
	return Object.fromEntries(PARTS.map((part) => [part, of(part)]).filter(([, n]) => n !== 0));
};

test('by hand: rows with their repeats, pieces, limbs, letters, corners and ends are counted each by themselves', () => {
	expect(counts('4 11 at 9 white x6', '1 16 at 13 white', 'put 2 5 at 4 white as eyes on row 2 front')).toEqual({ 'row': 7, 'cluster': 6, 'piece put on': 2 }); // prettier-ignore
	expect(counts('form arms', '6 260 red 12')).toEqual({ limb: 6 });
	expect(counts('bunch words', 'letters TIDE at 34 of gold', 'letters A B at 34 of gold')).toEqual({
		letter: 6
	});
	expect(counts('weave tray', 'base of 10 links at 9, 8 by 4', 'edge quad')).toEqual({ 'corner of a weave': 4, 'held joint': expect.any(Number) }); // prettier-ignore
	expect(counts('bunch moons', '3 11 at 10 white on 4 ft thin ribbon')).toEqual({ ribbon: 3 });
	expect(counts('run frame', 'corners up 7 ft, right 8 ft, down 7 ft', '4 11 at 9 white', '30 clusters in all')).toEqual({ 'cluster': 30, 'corner of a run': 2, 'end of a run': 2, 'leg of a run': 3 }); // prettier-ignore
	expect(counts('run mast', 'line 6 ft', 'cross at 3 ft right 2 ft', '4 11 at 9 white', '12 clusters in all')).toEqual({ 'cluster': expect.any(Number), 'end of a run': 4, 'leg of a run': 3 }); // prettier-ignore
});

test('a part that no rule speaks of takes nothing', () => {
	const { bill } = tally(design('plain', '4 11 at 9 white x6'), null, 1, { catalogue: studio, rates: { ...rates, rules: [] }, library: () => undefined }); // prettier-ignore
	expect(bill.lines.filter((l) => !l.balloon)).toEqual([]);
});
