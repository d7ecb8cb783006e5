import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, test } from 'vitest';
import { POINT } from '../units/number.ts';
import { inches, um, type Micrometres } from '../units/length.ts';
import { leftOf, materialBound, type CuttingPlan, type CuttingProblem } from './cutting.ts';
import { firstFitDecreasing } from './first-fit-decreasing.ts';
import { leastByColumns } from './columns.ts';
import { leastSticks, patternsOf } from './patterns.ts';
import { solveWith } from './solve-with.ts';
import { readCutting, type CuttingText } from './read-cutting.ts';

const highs = await loadHighs();
const solve = solveWith(highs, 60);
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

describe('patterns made as they are asked for', () => {
	test('the paper-mill instance: 73 rolls, proved, without writing down its patterns', () => {
		const told: number[] = [];
		const best = cut(leastByColumns(mill, solve, ({ least }) => told.push(least)));
		expect([best.count, best.bound, best.proved]).toEqual([73, 73, true]);
		expect(given(best)).toEqual(asked(mill));
		expect(told.at(-1)).toBe(73);
	});
	const piece = fc.tuple(fc.integer({ min: 6, max: 118 }).map((n) => inches(n)), fc.integer({ min: 1, max: 6 }));
	const some = fc.uniqueArray(piece, { minLength: 1, maxLength: 6, selector: ([l]) => l });
	test('never better than the whole programme, never under its own bound, and every piece is cut (property)', () => {
		fc.assert(
			fc.property(some, (pieces) => {
				const p = problem(pieces);
				const [whole, made] = [cut(leastSticks(p, solve)), cut(leastByColumns(p, solve))];
				expect(made.count).toBeGreaterThanOrEqual(whole.count);
				expect(made.bound).toBeLessThanOrEqual(whole.count);
				expect(given(made)).toEqual(asked(p));
			}),
			{ numRuns: 40 }
		);
	}, 60_000);
	test('as many sticks and as little money as a programme of another making finds: bins with a place for each piece (property)', () => {
		// An independent formulation (Kantorovich): which piece goes into which stick, one variable each.
		const small = fc.array(fc.integer({ min: 20, max: 100 }), { minLength: 1, maxLength: 6 });
		fc.assert(
			fc.property(small, (all) => {
				const bins = all.map((_, b) => b);
				const lines = ['Minimize', ` all: ${bins.map((b) => `y${b}`).join(' + ')}`, 'Subject To',
					...all.map((_, i) => ` c${i}: ${bins.map((b) => `x${i}_${b}`).join(' + ')} = 1`),
					...bins.map((b) => ` b${b}: ${all.map((l, i) => `${l} x${i}_${b}`).join(' + ')} - 120 y${b} <= 0`),
					'Binary', ` ${bins.flatMap((b) => [`y${b}`, ...all.map((_, i) => `x${i}_${b}`)]).join(' ')}`, 'End'];
				const counts = new Map<number, number>();
				for (const l of all) counts.set(l, (counts.get(l) ?? 0) + 1);
				const p = problem([...counts].map(([l, n]) => [inches(l), n] as const));
				expect(cut(leastSticks(p, solve)).count).toBe(Math.round(solve(lines.join('\n')).bound));
			}),
			{ numRuns: 25 }
		);
	}, 60_000);
}); // prettier-ignore

describe('what lies on the shelf', () => {
	const shelf = (own: readonly (readonly [number, number])[]) => [
		{ length: ft(10), priceMinor: null },
		...own.map(([long, count]) => ({ length: inches(long), priceMinor: null, own: count }))
	];
	test('by hand: 3 pieces of 40 in and one of 30: the 30 comes out of an offcut of 31, one stick is bought', () => {
		const p = problem([[inches(40), 3], [inches(30), 1]], { stock: shelf([[31, 1]]) }); // prettier-ignore
		for (const plan of [cut(leastSticks(p, solve)), cut(firstFitDecreasing(p)), cut(leastByColumns(p, solve))]) {
			expect([plan.bought, plan.count]).toEqual([1, 2]);
			expect(given(plan)).toEqual(asked(p));
		}
	});
	test('by hand: six of 30 in: four of a stick and two of the shelf; for a seventh another stick, there are no more of them', () => {
		const of = (n: number) => cut(leastSticks(problem([[inches(30), n]], { stock: shelf([[31, 2]]) }), solve));
		const own = (plan: Cut) => plan.sticks.filter((s) => s.stock === 1).reduce((a, s) => a + s.count, 0);
		expect([of(6).bought, own(of(6)), of(7).bought]).toEqual([1, 2, 2]);
		expect(own(of(9))).toBeLessThanOrEqual(2);
	});
	test('of two that will do the shorter is cut: the longer is of more use later', () => {
		const p = problem([[inches(30), 1]], { stock: shelf([[60, 1], [31, 1]]) }); // prettier-ignore
		for (const plan of [cut(leastSticks(p, solve)), cut(firstFitDecreasing(p))])
			expect([plan.bought, plan.sticks[0]!.stock]).toEqual([0, 2]);
	});
	test('a blade wider than the offcut, a piece only an offcut would hold and there is none left: said, never half a plan', () => {
		const long = problem([[inches(130), 2]], { stock: shelf([[132, 1]]) });
		expect(firstFitDecreasing(long)).toMatchObject({ status: 'too-long' });
		const thin = problem([[inches(3), 1]], { stock: shelf([[3, 1]]), kerf: inches(0.5) });
		expect(cut(leastSticks(thin, solve)).bought).toBe(0);
	});
	test('more on the shelf never costs more (property)', () => {
		const piece = fc.tuple(fc.integer({ min: 6, max: 118 }).map((n) => inches(n)), fc.integer({ min: 1, max: 3 }));
		fc.assert(
			fc.property(fc.uniqueArray(piece, { minLength: 1, maxLength: 4, selector: ([l]) => l }), fc.integer({ min: 12, max: 110 }), (pieces, long) => {
				const [none, one] = [[], [[long, 1]] as const].map((own) => cut(leastSticks(problem(pieces, { stock: shelf(own) }), solve)));
				expect(one!.bought).toBeLessThanOrEqual(none!.bought);
				expect(one!.bound).toBeLessThanOrEqual(one!.bought);
			}),
			{ numRuns: 40 }
		);
	}, 60_000);
}); // prettier-ignore

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
