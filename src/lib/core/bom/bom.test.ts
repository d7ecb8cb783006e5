import fc from 'fast-check';
import { binomialDistribution } from 'simple-statistics';
import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { newSection, newColourway } from '../recipe/build.ts';
import { designUse } from '../structures/design/empty.ts';
import type { Mutable } from '../document/mutable.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import { listsOf } from '../structures/registry/refs.ts';
import type { Layer } from '../structures/stack/document.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { rational } from '../units/rational.ts';
import { tally } from '../tally/tally.ts';
import { bill, type BillContext } from './bill.ts';
import { countDesigns, drawable, explode } from './explode.ts';
import { binomialAtMost, sparesFor } from './spares.ts';

const context: BillContext = { ...rates, catalogue: studio };
const none = () => undefined;
const billOf = (recipe: Recipe, quantity = 1, library: (id: string) => Recipe | undefined = none) =>
	bill(explode(countDesigns({ recipe, colourway: null, quantity: rational(quantity) }, library)), context);
const using = (name: string, ...uses: [string, string][]): Recipe => ({
	...design(name),
	sections: uses.map(([used, quantity], i) => newSection(`s${i}`, `part ${i}`, designUse(used, quantity)))
});

describe('the bill, counted by hand', () => {
	const lighthouse = design(
		'lighthouse',
		'4 16 at 13 grey',
		'4 11 at 9 rings white / red x5',
		'1 11 at 10 gold',
		'pole 7 ft'
	);
	test('used, by material, with what follows from other counts', () => {
		const { lines, balloons } = billOf(lighthouse);
		const used = Object.fromEntries(lines.map((l) => [l.label, l.used.toFraction()]));
		expect(used).toEqual({
			'16 rounds, limpet grey': '4',
			'11 rounds, gull white': '12',
			'11 rounds, buoy red': '8',
			'11 rounds, hive gold matte': '1',
			'pole, not chosen yet': '1',
			patch: '4'
		});
		expect(balloons).toBe(25);
	});
	test('a certain material is of its own colour on the list to inflate, whatever the slot holds', () => {
		const two = structuredClone(design('two', '4 11 at 9 white')) as RecipeDraft;
		const [layer] = listsOf(two.sections[0]!.structure)[0]! as unknown as [Mutable<Layer>];
		layer.clusters[0]!.places[0]!.material = '11-red';
		const { inflate, lines } = billOf(two as Recipe);
		expect(lines.filter((l) => l.balloon).map((l) => [l.material?.colour, l.used.valueOf()])).toEqual([
			['red', 1],
			['white', 3]
		]);
		expect(inflate.map((l) => [l.colour, l.quantity.valueOf()])).toEqual([
			['red', 1],
			['white', 3]
		]);
	});
	test('the list to inflate keeps sizes apart that the list to buy merges', () => {
		const two = design('two', '4 11 at 9 white', '4 11 at 8½ white');
		expect(billOf(two).lines.filter((l) => l.balloon)).toHaveLength(1);
		expect(billOf(two).inflate.map((l) => [l.label, l.quantity.valueOf()])).toEqual([
			['11 at 9, gull white', 4],
			['11 at 8½, gull white', 4]
		]);
	});
	test('a modelling balloon ties four clusters: quantities stay exact and are rounded up once', () => {
		const tied = design('tied', '4 11 at 9 white x8');
		const stack = tied.sections[0]!.structure;
		if (stack.kind === 'stack') Object.assign(stack, { joining: 'modelling balloon' });
		const line = (n: number) => billOf(tied, n).lines.find((l) => l.label === 'tie balloon')!;
		expect(line(1).used.toFraction()).toBe('7/4');
		expect(line(1).toBuy).toBe(2);
		expect(line(3).toBuy).toBe(6); // 21/4 is 5.25, not 3 × 2
	});
	test('what is not in the Stockroom, and an open slot, are lines without a material', () => {
		const odd = design('odd', '4 16 at 13 gold', '4 11 at 9 white');
		expect(billOf(odd).lines[0]).toMatchObject({ status: 'unlisted', material: undefined });
		const open = { ...odd, colourways: [newColourway('c', 'open', {})] };
		expect(
			billOf(open)
				.lines.map((l) => l.status)
				.slice(0, 2)
		).toEqual(['open', 'open']);
	});
});

describe('designs inside designs', () => {
	const ring = design('ring', '4 11 at 9 white');
	test('quantities multiply down every path: 2 × 3 + 5 = 11 rings of 4', () => {
		const library = new Map([
			['ring', ring],
			['arm', using('arm', ['ring', '3'])]
		]);
		const figure = using('figure', ['arm', '2'], ['ring', '5']);
		expect(billOf(figure, 1, (id) => library.get(id)).balloons).toBe(44);
	});
	test('a cycle is refused with its path', () => {
		const library = new Map([
			['a', using('hive', ['b', '1'])],
			['b', using('frame', ['a', '1'])]
		]);
		const error = expect.objectContaining({ code: 'cycle', message: 'hive > frame > hive' });
		expect(() => billOf(library.get('a')!, 1, (id) => library.get(id))).toThrow();
		expect(() =>
			countDesigns({ design: 'a', recipe: library.get('a')!, colourway: null, quantity: rational(1) }, (id) =>
				library.get(id)
			)
		).toThrow(error);
	});
	test('sixty levels that each use the next twice are refused by size at once; without balloons they are counted', () => {
		const levels = (leaf: Recipe) =>
			new Map(
				Array.from({ length: 61 }, (_, i) => [`d${i}`, i === 60 ? leaf : using(`d${i}`, [`d${i + 1}`, '2'])])
			);
		const full = levels(ring);
		expect(() => billOf(full.get('d0')!, 1, (id) => full.get(id))).toThrow(
			expect.objectContaining({ code: 'too-many' })
		);
		const hollow = levels(design('empty'));
		expect(billOf(hollow.get('d0')!, 1, (id) => hollow.get(id)).lines).toEqual([]);
	});
	test('a design nobody kept is said to be missing', () => {
		expect(() => billOf(using('figure', ['gone', '1']))).toThrow(
			expect.objectContaining({ code: 'not-found' })
		);
	});
});

describe('spares', () => {
	test.each([
		[24, 0.04, 0.95],
		[40, 0.1, 0.99],
		[6, 0.02, 0.9],
		[120, 0.05, 0.95]
	])(
		'of %i at a loss of %f and service %f: against the binomial distribution of simple-statistics',
		(needed, loss, service) => {
			const atMost = (s: number) =>
				(binomialDistribution(needed + s, loss) as number[]).slice(0, s + 1).reduce((a, b) => a + b, 0);
			const s = sparesFor(needed, loss, service);
			expect(atMost(s)).toBeGreaterThanOrEqual(service);
			if (s > 0) expect(atMost(s - 1)).toBeLessThan(service);
			expect(binomialAtMost(s, needed + s, loss)).toBeCloseTo(atMost(s), 6);
		}
	);
	test('rise with need, loss and service; none without loss', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 0, max: 3000 }),
				fc.double({ min: 0, max: 0.3, noNaN: true }),
				(needed, loss) => {
					const s = sparesFor(needed, loss, 0.95);
					expect(sparesFor(needed + 10, loss, 0.95)).toBeGreaterThanOrEqual(s);
					expect(sparesFor(needed, loss, 0.99)).toBeGreaterThanOrEqual(s);
				}
			),
			{ numRuns: 40 }
		);
		expect(sparesFor(100, 0, 0.95)).toBe(0);
		expect(sparesFor(100_000, 0.04, 0.95)).toBeGreaterThan(4000); // no underflow
		expect(() => sparesFor(1, 1, 0.9)).toThrow(expect.objectContaining({ code: 'out-of-range' }));
	});
});

describe('what would take gigabytes to draw is refused before anything is built', () => {
	const nest = (depth: number, times: number) => {
		const chain = new Map<string, Recipe>([['leaf', design('leaf', 'pole 6 ft')]]);
		for (let i = 0; i < depth; i++)
			chain.set(`n${i}`, using(`n${i}`, [i === 0 ? 'leaf' : `n${i - 1}`, String(times)]));
		return { recipe: chain.get(`n${depth - 1}`)!, library: (id: string) => chain.get(id) };
	};
	test.each([
		['designs without a balloon, six deep and sixty times each', 6, 60],
		['five deep and twenty-four times each', 5, 24],
		['ten to the fifteenth of one', 1, 1e15]
	])('%s', (_, depth, times) => {
		const { recipe, library } = nest(depth, times);
		const wanted = { recipe, colourway: null, quantity: rational(1) };
		expect(() => drawable(countDesigns(wanted, library), wanted)).toThrow(/more than 20,000 parts/);
		const worked = tally(recipe, null, 1, { catalogue: studio, rates, library });
		expect(worked.findings.map((f) => f.code)).toContain('too-many');
		expect(worked.price).toMatchObject({ missing: [recipe.name] });
	});
	test('nine hundred of a design with parts are no more to draw than one', () => {
		const { recipe, library } = nest(2, 20);
		const wanted = { recipe, colourway: null, quantity: rational(900) };
		expect(() => drawable(countDesigns(wanted, library), wanted)).not.toThrow();
	});
});
