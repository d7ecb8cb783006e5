import { describe, expect, test } from 'vitest';
import { catalogueOf, colours, designOf, materials, rates } from '../../../../tests/kit/studio.ts';
import { firstFitDecreasing } from '../cutting/first-fit-decreasing.ts';
import { PLAIN_MATERIAL } from '../materials/material.ts';
import { feet, inches } from '../units/length.ts';
import { rational } from '../units/rational.ts';
import { unitCost } from '../materials/unit-cost.ts';
import { standingUp } from '../stability/standing-up.ts';
import { tally } from '../tally/tally.ts';
import { cutListsOf } from './cut-lists.ts';
import { sheetListsOf } from './sheet-lists.ts';

const tube = {
	...PLAIN_MATERIAL,
	id: 'tube',
	kind: 'pipe' as const,
	name: 'white tube',
	unit: 'ft' as const,
	packs: [{ id: 'p', supplier: 'Quayside Supply', count: 10, priceMinor: 520 }]
};
const all = [...materials, tube];
const lists = (quantity: number, ...lines: string[]) => {
	const recipe = designOf(all, 'mast', lines);
	return cutListsOf({ recipe, colourway: null, quantity: rational(quantity) }, () => undefined, catalogueOf(all, colours)); // prettier-ignore
};

const sheet = {
	...PLAIN_MATERIAL,
	id: 'sheet',
	kind: 'base' as const,
	name: 'plywood sheet',
	unit: 'sq ft',
	grams: 1000,
	packs: [{ id: 's', supplier: 'Quayside Supply', count: 32, priceMinor: 6400 }]
};

describe('plates that are cut of sheets', () => {
	const stuff = [...materials, tube, sheet];
	const wanted = (...lines: string[]) => ({ recipe: designOf(stuff, 'stand', lines), colourway: null, quantity: rational(3) }); // prettier-ignore
	const found = (all: Parameters<typeof sheetListsOf>[0], shelf?: Parameters<typeof sheetListsOf>[3]) =>
		sheetListsOf(all, () => undefined, catalogueOf(stuff, colours), shelf);
	test('a bill takes the share of a sheet that a plate is: 2 ft square are 4 of its 32 square feet', () => {
		const { recipe } = wanted('frame stand', 'post 5 ft of white tube', 'on plywood sheet 24 in');
		const { bill, assembly } = tally(recipe, null, 3, { catalogue: catalogueOf(stuff, colours), rates, library: () => undefined });
		const line = bill.lines.find((l) => l.material?.id === 'sheet')!;
		expect([line.used.valueOf(), line.unit, unitCost(sheet)?.valueOf()]).toEqual([12, 'sq ft', 200]);
		const standing = standingUp({ built: recipe, assembly, bill, quantity: 3, catalogue: catalogueOf(stuff, colours) });
		expect(standing.weights.find((w) => w.what === 'frame')!.kg).toBeGreaterThan(4);
	}); // prettier-ignore
	test('several jobs are laid together; what is bought as a plate is none, what nobody has chosen is by itself', () => {
		const cut = wanted('frame stand', 'post 5 ft', 'on plywood sheet 24 in');
		const mixed = wanted('frame door', 'door 8 ft by 7 ft', 'on plywood sheet 14 in');
		const open = wanted('frame stand', 'post 5 ft', 'on plate 12 in');
		const bought = wanted('frame stand', 'post 5 ft', `on ${materials.find((m) => m.kind === 'base')!.name} 12 in`);
		const rest = { material: 'sheet', wide: inches(40), deep: inches(22), count: 1 };
		expect(found([cut, mixed, open, bought], [rest])).toEqual([
			{
				material: 'sheet',
				perSquareFoot: 200,
				pieces: [
					{ wide: inches(24), deep: inches(24), quantity: 3 },
					{ wide: inches(14), deep: inches(14), quantity: 6 }
				],
				own: [{ wide: inches(40), deep: inches(22), count: 1 }]
			},
			{ material: null, perSquareFoot: null, pieces: [{ wide: inches(12), deep: inches(12), quantity: 3 }], own: [] }
		]);
	}); // prettier-ignore
});

describe('what is cut over everything that is built', () => {
	test('two masts of one design at three each are six, longest first, at the price of a stick', () => {
		const [list, ...more] = lists(3, 'frame mast x2', 'post 5 ft of white tube');
		expect(more).toEqual([]);
		expect(list!.material).toBe('tube');
		expect(list!.problem.pieces).toEqual([{ length: inches(60), quantity: 6 }]);
		expect(list!.problem.stock).toEqual([{ length: feet(10), priceMinor: 520 }]);
		// 60 in twice and the saw between them is more than 10 ft: six sticks by rule, and no fewer.
		const plan = firstFitDecreasing(list!.problem);
		expect(plan.status === 'cut' && plan.count).toBe(6);
	});
	test('an offcut is cut out of once, though its tube is used in sticks of two lengths', () => {
		const recipe = designOf(all, 'two', ['frame a', 'post 5 ft of white tube', 'frame b', 'post 4 ft of white tube sticks of 8 ft']);
		const shelf = [{ material: 'tube', length: inches(62), count: 1 }];
		const found = cutListsOf({ recipe, colourway: null, quantity: rational(1) }, () => undefined, catalogueOf(all, colours), shelf);
		expect(found).toHaveLength(2);
		expect(found.flatMap((l) => l.problem.stock.filter((s) => s.own !== undefined))).toEqual([{ length: inches(62), priceMinor: null, own: 1 }]);
	}); // prettier-ignore
	test('common practice: three of 36 and two of 18 in come from two sticks of 10 ft', () => {
		const [list] = lists(
			1,
			'frame a x3',
			'post 3 ft of white tube',
			'frame b x2',
			'post 18 in of white tube'
		);
		expect(list!.problem.pieces).toEqual([
			{ length: inches(36), quantity: 3 },
			{ length: inches(18), quantity: 2 }
		]);
		const plan = firstFitDecreasing(list!.problem);
		expect(plan.status === 'cut' && plan.count).toBe(2);
	});
	test('of a tube that is sold in two lengths both may be cut, each at its price', () => {
		const packs = [...tube.packs, { id: 'q', supplier: 'Quayside Supply', count: 20, priceMinor: 900 }];
		const two = [...materials, { ...tube, packs }];
		const recipe = designOf(two, 'mast', ['frame mast x2', 'post 5 ft of white tube']);
		const [list] = cutListsOf({ recipe, colourway: null, quantity: rational(1) }, () => undefined, catalogueOf(two, colours)); // prettier-ignore
		expect(list!.problem.stock).toEqual([
			{ length: feet(10), priceMinor: 520 },
			{ length: feet(20), priceMinor: 900 }
		]);
	});
	test('tubes that are not one are cut apart; of one that is not chosen no stick has a price', () => {
		const own = lists(1, 'frame a', 'post 3 ft of white tube', 'frame b', 'post 3 ft', 'frame c', 'post 3 ft sticks of 8 ft');
		expect(own.map((l) => [l.material, l.problem.stock[0]!.length, l.problem.stock[0]!.priceMinor])).toEqual([
			['tube', feet(10), 520],
			[null, feet(10), null],
			[null, feet(8), null]
		]);
	}); // prettier-ignore
});
