import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, test } from 'vitest';
import { POINT } from '../units/number.ts';
import { inches, um, type Micrometres } from '../units/length.ts';
import { leftOf, materialBound, type CuttingPlan, type CuttingProblem } from './cutting.ts';
import { firstFitDecreasing } from './first-fit-decreasing.ts';
import { leastSticks, patternsOf, type Solve } from './patterns.ts';
import { readCutting, type CuttingText } from './read-cutting.ts';

const highs = await loadHighs();
const solve: Solve = (programme) => {
	const { Status, ObjectiveValue, Columns } = highs.solve(programme, { time_limit: 60 });
	const values = Object.fromEntries(
		Object.entries(Columns).map(([name, c]) => [name, 'Primal' in c ? (c.Primal ?? 0) : 0])
	);
	return { status: Status === 'Optimal' ? 'optimal' : 'stopped', values, bound: ObjectiveValue };
};
type Cut = Extract<CuttingPlan, { status: 'cut' }>;
const cut = (plan: CuttingPlan | undefined): Cut => {
	if (plan?.status !== 'cut') throw new Error('not cut');
	return plan;
};
const ft = (n: number) => inches(n * 12);
const problem = (
	pieces: readonly (readonly [Micrometres, number])[],
	more: Partial<CuttingProblem> = {}
): CuttingProblem => ({
	stock: [{ length: ft(10), priceMinor: null }],
	kerf: 0,
	pieces: pieces.map(([length, quantity]) => ({ length, quantity })),
	...more
});
/** Pieces of a plan as they were wanted, longest first. */
const given = ({ sticks }: Cut) =>
	sticks.flatMap((s) => Array.from({ length: s.count }, () => s.cuts).flat()).sort((a, b) => b - a);
const asked = ({ pieces }: CuttingProblem) =>
	pieces.flatMap((p) => Array.from({ length: p.quantity }, () => p.length)).sort((a, b) => b - a);

/** The paper-mill instance, 13 widths on 5600 mm rolls. Source: https://en.wikipedia.org/wiki/Cutting_stock_problem (from memory). */
const MILL = [
	[1380, 22], [1520, 25], [1560, 12], [1710, 14], [1820, 18], [1880, 18], [1930, 20], [2000, 10], [2050, 12], [2100, 14],
	[2140, 16], [2150, 18], [2200, 20]
] as const; // prettier-ignore
const mill = problem(
	MILL.map(([width, count]) => [um(width * 1000), count] as const),
	{ stock: [{ length: um(5_600_000), priceMinor: null }] }
);

describe('the paper-mill instance', () => {
	test('optimum 73 rolls, proved; first-fit decreasing finds 82, within 11/9 · 73 + 6/9', () => {
		const best = cut(leastSticks(mill, solve));
		expect([best.count, best.bound, best.proved]).toEqual([73, 73, true]);
		expect(given(best)).toEqual(asked(mill));
		const rule = cut(firstFitDecreasing(mill));
		expect([rule.count, rule.proved]).toEqual([82, false]);
		expect(rule.count).toBeLessThanOrEqual((11 / 9) * 73 + 6 / 9);
		expect(materialBound(mill)).toBeLessThanOrEqual(73);
	}, 30_000);
});

describe('sticks of pipe', () => {
	test('three pieces of 40 in come out of 10 ft, with a saw of ⅛ in only two', () => {
		expect(cut(leastSticks(problem([[inches(40), 3]]), solve)).count).toBe(1);
		const sawn = problem([[inches(40), 3]], { kerf: inches(0.125) });
		expect(cut(leastSticks(sawn, solve)).count).toBe(2);
		expect(leftOf(sawn, 0, [inches(40), inches(40)])).toBe(inches(120 - 80 - 0.25));
	});
	test('money decides where every length has a price: two of 8 ft at 5.00 are dearer than one of 16 ft at 8.00', () => {
		const stock = [
			{ length: ft(8), priceMinor: 500 },
			{ length: ft(16), priceMinor: 800 }
		];
		const plan = cut(leastSticks(problem([[ft(4), 4]], { stock }), solve));
		expect([plan.costMinor, plan.count, plan.sticks[0]!.stock, plan.proved]).toEqual([800, 1, 1, true]);
		const short = cut(leastSticks(problem([[ft(4), 2]], { stock }), solve));
		expect([short.costMinor, short.sticks[0]!.stock]).toEqual([500, 0]);
	});
	test('of plans with as many sticks the one that buys the least length', () => {
		const stock = [
			{ length: ft(10), priceMinor: null },
			{ length: ft(8), priceMinor: null }
		];
		const plan = cut(leastSticks(problem([[ft(4), 2]], { stock }), solve));
		expect([plan.count, plan.sticks[0]!.stock, plan.sticks[0]!.left]).toEqual([1, 1, 0]);
	});
	test('a piece longer than every stick is named, never half a plan', () => {
		for (const plan of [
			firstFitDecreasing(problem([[ft(11), 1]])),
			leastSticks(problem([[ft(11), 1]]), solve)
		])
			expect(plan).toMatchObject({ status: 'too-long', piece: { quantity: 1 } });
	});
	test('too many ways to write down, or a solver that was stopped: no answer rather than an unproved one', () => {
		expect(patternsOf(mill, 50)).toBeUndefined();
		expect(leastSticks(mill, solve, 50)).toBeUndefined();
		expect(
			leastSticks(problem([[ft(4), 2]]), () => ({ status: 'stopped', values: {}, bound: 0 }))
		).toBeUndefined();
	});
	test('an answer of a solver that misses a piece is no plan', () => {
		const wrong = leastSticks(problem([[ft(4), 2]]), () => ({ status: 'optimal', values: {}, bound: 1 }));
		expect(wrong).toBeUndefined();
	});
	test('every piece is cut, every stick holds its own, the bound holds, and the proof beats the rule (property)', () => {
		const piece = fc.tuple(
			fc.integer({ min: 6, max: 118 }).map((n) => inches(n)),
			fc.integer({ min: 1, max: 5 })
		);
		fc.assert(
			fc.property(
				fc.uniqueArray(piece, { minLength: 1, maxLength: 6, selector: ([l]) => l }),
				fc.constantFrom(0, inches(0.125)),
				(pieces, kerf) => {
					const p = problem(pieces, { kerf: kerf as CuttingProblem['kerf'] });
					const [rule, best] = [cut(firstFitDecreasing(p)), cut(leastSticks(p, solve))];
					for (const plan of [rule, best]) {
						expect(given(plan)).toEqual(asked(p));
						for (const s of plan.sticks) expect(leftOf(p, s.stock, s.cuts)).toBeGreaterThanOrEqual(0);
						expect(plan.count).toBeGreaterThanOrEqual(plan.bound);
					}
					expect(best.count).toBeLessThanOrEqual(rule.count);
					expect(best.proved).toBe(true);
					expect(best.count).toBeGreaterThanOrEqual(materialBound(p));
				}
			),
			{ numRuns: 40 }
		);
	}, 60_000);
});

describe('what is typed', () => {
	const reading = { currency: 'USD', style: POINT } as const;
	const read = (typed: Partial<CuttingText>) =>
		readCutting({ pieces: '4 × 3 ft', stock: '10 ft', kerf: '', ...typed }, reading);
	test('counts and lengths a line each, prices, a saw; the same length twice is one kind', () => {
		expect(read({ pieces: '4 × 3 ft\n2 x 18½ in; 36 in', stock: '10 ft at 8.40\n8 ft', kerf: '⅛' })).toEqual({
			problem: {
				pieces: [
					{ length: inches(36), quantity: 5 },
					{ length: inches(18.5), quantity: 2 }
				],
				stock: [
					{ length: ft(10), priceMinor: 840 },
					{ length: ft(8), priceMinor: null }
				],
				kerf: inches(0.125)
			}
		});
	});
	test.each<[Partial<CuttingText>, string, RegExp]>([
		[{ pieces: '' }, 'pieces', /Which pieces/],
		[{ pieces: 'four long ones' }, 'pieces', /“four long ones”: Type how many and how long/],
		[{ pieces: '0 × 3 ft' }, 'pieces', /Pieces alike/],
		[{ pieces: '3 × −2 ft' }, 'pieces', /negative/],
		[{ stock: ' ' }, 'stock', /Which lengths are sold/],
		[{ stock: '10 ft at cheap' }, 'stock', /cheap/],
		[{ stock: '10 ft at 0' }, 'stock', /above 0/],
		[{ kerf: '2 in' }, 'kerf', /less than an inch/]
	])('%j', (typed, field, say) => {
		const found = read(typed);
		expect('errors' in found && found.errors[field as 'kerf']).toMatch(say);
	});
});
