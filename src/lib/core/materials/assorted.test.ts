import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { colours, designOf, floating, rates } from '../../../../tests/kit/studio.ts';
import { assemble } from '../assembly/assemble.ts';
import { drawAssembly } from '../scene/draw-list.ts';
import { tally } from '../tally/tally.ts';
import { alikeAtRandom, LaidOut } from './assorted.ts';
import { catalogue } from './catalogue.ts';
import { PLAIN_MATERIAL, type Colour } from './material.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { inches } from '../units/length.ts';

const HEXES = ['#c63d2f', '#2c6e91', '#e5a92f', '#3f6b3a', '#f2f0ea'];
/** A Stockroom with an assorted bag of so many colours. */
function stockWith(many: number) {
	const bag: Colour = { id: 'bag', name: 'regatta', finish: 'matte', hex: HEXES[0]!, of: HEXES.slice(0, many).map((hex) => ({ colour: hex, parts: 1, hex })) }; // prettier-ignore
	const balloon = { ...PLAIN_MATERIAL, kind: 'latex-round' as const, nominal: inches(11), colour: 'bag', id: 'bag-11', name: '11 in round, regatta', packs: [] }; // prettier-ignore
	const link = { ...balloon, kind: 'latex-link' as const, nominal: inches(10), id: 'bag-10', name: '10 in link, regatta' }; // prettier-ignore
	return { materials: [...floating, balloon, link], colours: [...colours, bag] };
}
const made = (many: number, ...lines: string[]) => {
	const stock = stockWith(many);
	const recipe = designOf(floating, 'wall', lines.map((l) => l.replace('regatta', 'gold'))) as RecipeDraft; // prettier-ignore
	const gold = recipe.slots.find((s) => s.name === 'gold');
	if (gold) recipe.colourways[0]!.fills[gold.id] = 'bag';
	return { recipe: recipe as Recipe, context: { catalogue: catalogue(stock.materials, stock.colours), rates, library: () => undefined } }; // prettier-ignore
};

describe('an assorted bag', () => {
	test('two of k equal colours are alike one time in k (elementary probability)', () => {
		for (const k of [2, 3, 5]) expect(alikeAtRandom(Array.from({ length: k }, () => ({ parts: 7 })))).toBeCloseTo(1 / k, 12); // prettier-ignore
		expect(alikeAtRandom([{ parts: 3 }, { parts: 1 }])).toBeCloseTo(10 / 16, 12);
	});
	test('laid out with one colour more than neighbours, none are alike (greedy colouring; property)', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 4 }), fc.array(fc.array(fc.nat(500), { maxLength: 4 }), { maxLength: 60 }), (most, links) => {
				const laid = new LaidOut(Array.from({ length: most + 1 }, () => ({ parts: 1 })));
				const is: number[] = [];
				links.forEach((to, i) => {
					const near = i === 0 ? [] : [...new Set(to.slice(0, most).map((n) => n % i))].map((n) => is[n]!);
					const own = laid.next(near);
					expect(near).not.toContain(own);
					is.push(own);
				});
			})
		); // prettier-ignore
	});
	test('without neighbours it keeps to the shares', () => {
		const laid = new LaidOut([{ parts: 3 }, { parts: 1 }]);
		const all = Array.from({ length: 40 }, () => laid.next([]));
		expect(all.filter((c) => c === 0)).toHaveLength(30);
	});
	test('it is bought as one bag, and drawn in its colours: neighbours differ', () => {
		const { recipe, context } = made(5, '4 11 at 9 regatta x6');
		const lines = tally(recipe, null, 1, context).bill.lines.filter((l) => l.balloon);
		expect(lines.map((l) => [l.material?.id, l.used.valueOf()])).toEqual([['bag-11', 24]]);
		const drawn = drawAssembly(assemble(recipe, null, () => undefined), { catalogue: context.catalogue, view: 'front' }); // prettier-ignore
		const hexes = drawn.discs.map((d) => drawn.paints[d.paint]!.hex);
		expect(new Set(hexes).size).toBe(5);
		const shares = HEXES.map((h) => hexes.filter((x) => x === h).length);
		expect(Math.max(...shares) - Math.min(...shares)).toBeLessThanOrEqual(3);
	});
	test('woven, it says how many neighbours come out alike, and whether that can be helped', () => {
		const WALL = ['weave wall', 'panel of 10 links at 9', '4 rows 8 regatta', 'joined with 5 at 2 red'];
		const says = (many: number) => {
			const { recipe, context } = made(many, ...WALL);
			return tally(recipe, null, 1, context).findings.find((f) => f.code === 'alike-neighbours')?.say;
		};
		// Four strings of eight: seven joints along each.
		expect(says(4)).toMatch(/about 7 of 28 neighbours/);
		expect(says(4)).toMatch(/none has to be/);
		expect(says(2)).toMatch(/about 14 of 28/);
		const plain = made(4, 'weave wall', 'panel of 10 links at 9', '4 rows 8 red', 'joined with 5 at 2 red');
		expect(tally(plain.recipe, null, 1, plain.context).findings.map((f) => f.code)).not.toContain('alike-neighbours'); // prettier-ignore
	});
	test('a honeycomb of two colours cannot help it: three sides meet at a corner', () => {
		const { recipe, context } = made(2, 'weave comb', 'honeycomb of 10 links at 9', '2 rows 3 regatta');
		expect(tally(recipe, null, 1, context).findings.find((f) => f.code === 'alike-neighbours')?.say).toMatch(/still are: with 2 colours/); // prettier-ignore
	});
});
