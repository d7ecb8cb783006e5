import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, test } from 'vitest';
import { solveWith } from '../cutting/solve-with.ts';
import { dayOfNumber } from '../units/calendar-day.ts';
import { LEFTOVER, type BuyingProblem, type Offer, type Purchase } from './buying.ts';
import { byRule } from './by-rule.ts';
import { cheapestPiece, costOf, covers, priceOf, totals } from './cost-of.ts';
import { inTime } from './in-time.ts';
import { leastCost } from './least-cost.ts';

const highs = await loadHighs();
const solve = solveWith(highs, 20);
const TODAY = '2027-05-04';
const day = (n: number) => dayOfNumber(Date.parse(TODAY) / 86_400_000 + n);
const offer = (pack: string, supplier: string, count: number, ...prices: [from: number, minor: number][]): Offer => ({ pack, material: 'white', supplier, count, prices: prices.map(([from, minor]) => ({ from, minor })) }); // prettier-ignore
const problem = (more: Partial<BuyingProblem>): BuyingProblem => ({
	today: TODAY,
	wants: [{ material: 'white', pieces: 130, by: day(20) }],
	offers: [offer('q100', 'quay', 100, [1, 1700]), offer('q25', 'quay', 25, [1, 600])],
	sellers: [{ id: 'quay', shipping: 900, freeFrom: null, lead: 5 }],
	leftover: 0,
	...more
});
const bought = (plan: { readonly purchases: readonly Purchase[] }) => Object.fromEntries(plan.purchases.map((p) => [p.pack, p.packs])); // prettier-ignore

/** Every plan there is, of each up to what holds all that is wanted of it and its highest break: the least of those that are in time. */
function bruteForce(of: BuyingProblem): number {
	const wanted = totals(of.wants);
	const most = of.offers.map((o) => Math.max(Math.ceil((wanted.get(o.material) ?? 0) / o.count), ...o.prices.map((p) => p.from)));
	let least = Infinity;
	const go = (i: number, so: readonly Purchase[]) => {
		if (i === of.offers.length) {
			if (covers(of, so)) least = Math.min(least, costOf(of, so).net);
			return;
		}
		for (let packs = 0; packs <= most[i]!; packs++) go(i + 1, [...so, { pack: of.offers[i]!.pack, packs }]);
	};
	go(0, []);
	return least;
} // prettier-ignore

describe('what is bought', () => {
	test('by hand: a large pack and two small ones are less than two large ones', () => {
		// 1 × 100 + 2 × 25 = 150 pieces, 2900; 2 × 100 = 200 pieces, 3400; sending 900 either way.
		const plan = leastCost(problem({}), solve);
		expect([bought(plan), plan.cost, plan.bound]).toEqual([{ q100: 1, q25: 2 }, { goods: 2900, shipping: 900, left: 0, net: 3800 }, 3800]); // prettier-ignore
	});
	test('what is left over counts for something: then two large ones may be less', () => {
		// 70 left at half of 17 cents are 5.95; 20 left are 1.70: 34.00 − 5.95 = 28.05 against 29.00 − 1.70 = 27.30.
		expect(bought(leastCost(problem({ leftover: LEFTOVER }), solve))).toEqual({ q100: 1, q25: 2 });
		expect(bought(leastCost(problem({ leftover: 0.9 }), solve))).toEqual({ q100: 2 });
	});
	test('one more pack for the break, one more thing for sending at nothing, two suppliers where each is cheap', () => {
		const broken = problem({ offers: [offer('q100', 'quay', 100, [1, 1700], [3, 1100])] });
		expect(bought(leastCost(broken, solve))).toEqual({ q100: 3 });
		const free = problem({ sellers: [{ id: 'quay', shipping: 900, freeFrom: 3400, lead: 5 }] });
		expect(leastCost(free, solve)).toMatchObject({ cost: { goods: 3400, shipping: 0 } });
		const two = problem({
			wants: [{ material: 'white', pieces: 100, by: day(20) }, { material: 'red', pieces: 100, by: day(20) }],
			offers: [offer('qw', 'quay', 100, [1, 1000]), offer('hw', 'harbour', 100, [1, 5000]), { ...offer('qr', 'quay', 100, [1, 5000]), material: 'red' }, { ...offer('hr', 'harbour', 100, [1, 1000]), material: 'red' }],
			sellers: [{ id: 'quay', shipping: 500, freeFrom: null, lead: 3 }, { id: 'harbour', shipping: 500, freeFrom: null, lead: 3 }]
		}); // prettier-ignore
		expect(bought(leastCost(two, solve))).toEqual({ qw: 1, hr: 1 });
	});
	test('the dear one that comes in time for the first job, the cheap one for the rest', () => {
		const plan = leastCost(
			problem({
				wants: [{ material: 'white', pieces: 50, by: day(3) }, { material: 'white', pieces: 300, by: day(20) }],
				offers: [offer('dear', 'quick', 50, [1, 2000]), offer('cheap', 'slow', 100, [1, 1000])],
				sellers: [{ id: 'quick', shipping: 300, freeFrom: null, lead: 2 }, { id: 'slow', shipping: 300, freeFrom: null, lead: 10 }]
			}),
			solve
		); // prettier-ignore
		expect(bought(plan)).toEqual({ dear: 1, cheap: 3 });
	});
	test('what comes late is named with its day, what nobody sells too, and the rest is bought', () => {
		const plan = leastCost(problem({ wants: [{ material: 'white', pieces: 10, by: day(2) }, { material: 'glass', pieces: 1, by: day(20) }] }), solve); // prettier-ignore
		expect(plan.late).toEqual([{ material: 'white', pieces: 10, by: day(2), arrives: day(5) }]);
		expect(plan.unsold.map((w) => w.material)).toEqual(['glass']);
		expect(bought(plan)).toEqual({ q25: 1 });
	});
	test('a pack of no known price is taken only where nobody says one', () => {
		const unknown = { ...offer('?', 'quay', 100), prices: [] };
		expect(inTime(problem({ offers: [...problem({}).offers, unknown] })).problem.offers.map((o) => o.pack)).toEqual(['q100', 'q25']); // prettier-ignore
		expect(bought(leastCost(problem({ offers: [unknown] }), solve))).toEqual({ '?': 2 });
	});
	test('what nobody wants fills an order up to one pack of it, and no further', () => {
		const wants = [{ material: 'red', pieces: 11, by: day(4) }];
		const offers = [
			offer('p0', 'quick', 10, [1, 100]),
			{ ...offer('p1', 'quick', 10, [1, 145], [3, 100]), material: 'red' }
		];
		const sellers = [{ id: 'quick', shipping: 101, freeFrom: 500, lead: 2 }];
		// Two white for sending at nothing would come to 500 − 195 = 305; three red alone come to 401 − 95.
		expect(leastCost(problem({ wants, offers, sellers, leftover: 0.5 }), solve).cost.net).toBe(306);
	});
	test('nothing wanted is nothing bought; a solver that fails leaves the plan by rule, and proves nothing', () => {
		expect(leastCost(problem({ wants: [] }), solve)).toMatchObject({ purchases: [], bound: 0 });
		const plan = leastCost(problem({}), () => ({ status: 'stopped', values: {}, duals: {}, bound: 0 }));
		expect(plan.bound).toBeNull();
		expect(covers(problem({}), plan.purchases)).toBe(true);
	});
});

const anyProblem = fc
	.record({
		wants: fc.array(fc.record({ material: fc.constantFrom('white', 'red'), pieces: fc.integer({ min: 1, max: 40 }), by: fc.constantFrom(day(4), day(12)) }), { minLength: 1, maxLength: 3 }),
		offers: fc.array(
			fc.record({
				material: fc.constantFrom('white', 'red'),
				supplier: fc.constantFrom('quick', 'slow'),
				count: fc.constantFrom(10, 25, 50),
				minor: fc.integer({ min: 100, max: 2000 }),
				better: fc.option(fc.record({ from: fc.integer({ min: 2, max: 4 }), share: fc.double({ min: 0.5, max: 0.95, noNaN: true }) }))
			}),
			{ minLength: 1, maxLength: 4 }
		),
		shipping: fc.tuple(fc.integer({ min: 0, max: 1500 }), fc.integer({ min: 0, max: 1500 })),
		free: fc.option(fc.integer({ min: 500, max: 4000 })),
		leftover: fc.constantFrom(0, 0.5)
	})
	.map(({ wants, offers, shipping, free, leftover }): BuyingProblem => ({
		today: TODAY,
		wants,
		offers: offers.map(({ minor, better, ...o }, i) => ({ ...o, pack: `p${i}`, prices: [{ from: 1, minor }, ...(better ? [{ from: better.from, minor: Math.round(minor * better.share) }] : [])] })),
		sellers: [{ id: 'quick', shipping: shipping[0], freeFrom: free, lead: 2 }, { id: 'slow', shipping: shipping[1], freeFrom: null, lead: 9 }],
		leftover
	})); // prettier-ignore

describe('whatever is wanted and offered', () => {
	test('the plan is in time, and no plan there is costs less: brute force', () => {
		fc.assert(
			fc.property(anyProblem, (of) => {
				const { problem: sane } = inTime(of);
				const plan = leastCost(of, solve);
				expect(covers(sane, plan.purchases)).toBe(true);
				if (sane.wants.length === 0) return;
				expect(plan.cost.net).toBeCloseTo(bruteForce(sane), 4);
				expect(plan.bound).toBeLessThanOrEqual(plan.cost.net + 1e-6);
				expect(plan.bound!).toBeGreaterThan(plan.cost.net - 0.02 * Math.abs(plan.cost.net) - 1);
			}),
			{ numRuns: 120 }
		);
	}, 60_000);
	test('the plan by rule is in time too', () => {
		fc.assert(fc.property(anyProblem, (of) => void expect(covers(inTime(of).problem, byRule(inTime(of).problem))).toBe(true))); // prettier-ignore
	});
	test('every want is bought, late or unsold', () => {
		fc.assert(
			fc.property(anyProblem, (of) => {
				const { problem: sane, unsold } = inTime(of);
				const sum = (all: readonly { readonly pieces: number }[]) => all.reduce((a, w) => a + w.pieces, 0);
				expect(sum(sane.wants) + sum(unsold)).toBe(sum(of.wants));
			})
		);
	});
});

test('a price is that of the highest break that is reached', () => {
	const own = offer('p', 'q', 10, [1, 100], [5, 80]);
	expect([0, 1, 4, 5, 6].map((n) => priceOf(own, n))).toEqual([0, 100, 400, 400, 480]);
	expect(cheapestPiece([own]).get('white')).toBe(8);
});
