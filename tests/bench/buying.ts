import loadHighs from 'highs';
import { randomLcg, randomUniform } from 'd3-random';
import { LEFTOVER, type BuyingProblem } from '../../src/lib/core/buying/buying.ts';
import { byRule } from '../../src/lib/core/buying/by-rule.ts';
import { costOf, covers } from '../../src/lib/core/buying/cost-of.ts';
import { inTime } from '../../src/lib/core/buying/in-time.ts';
import { leastCost } from '../../src/lib/core/buying/least-cost.ts';
import { solveWith } from '../../src/lib/core/cutting/solve-with.ts';
import { dayOfNumber } from '../../src/lib/core/units/calendar-day.ts';
import { report } from './studio.ts';

/** A period of 20 jobs: 300 materials wanted by any of their days, of five suppliers with breaks, sending and days of their own. */
function largePurchase(seed: number): BuyingProblem {
	const random = randomUniform.source(randomLcg(seed))(0, 1);
	const whole = (low: number, high: number) => low + Math.floor(random() * (high - low + 1));
	const today = 20_000;
	const sellers = Array.from({ length: 5 }, (_, i) => ({ id: `s${i}`, shipping: whole(500, 2000), freeFrom: random() < 0.6 ? whole(5000, 30_000) : null, lead: whole(1, 9) }));
	const materials = Array.from({ length: 300 }, (_, i) => `m${i}`);
	const days = Array.from({ length: 20 }, () => dayOfNumber(today + whole(2, 40)));
	return {
		today: dayOfNumber(today),
		wants: materials.flatMap((material) => Array.from({ length: whole(1, 3) }, () => ({ material, pieces: whole(1, 150), by: days[whole(0, 19)]! }))),
		offers: materials.flatMap((material) =>
			sellers.flatMap((s) => {
				if (random() < 0.4) return [];
				const count = [10, 25, 50, 100][whole(0, 3)]!;
				const minor = Math.round(count * (8 + 12 * random()));
				const prices = [{ from: 1, minor }, ...(random() < 0.3 ? [{ from: whole(3, 6), minor: Math.round(minor * 0.88) }] : [])];
				return [{ pack: `${material}-${s.id}`, material, supplier: s.id, count, prices }];
			})
		),
		sellers,
		leftover: LEFTOVER
	};
} // prettier-ignore

/** The purchase of a period: proved, or within 1 %, under 10 s. */
export async function buying(): Promise<boolean[]> {
	const highs = await loadHighs();
	const run = (seed: number) => {
		const problem = largePurchase(seed);
		const from = performance.now();
		const plan = leastCost(problem, solveWith(highs, 8));
		const ms = performance.now() - from;
		const { problem: sane } = inTime(problem);
		if (!covers(sane, plan.purchases)) throw new Error('not covered');
		const rule = costOf(sane, byRule(sane)).net;
		return { ms, over: plan.bound === null ? Infinity : plan.cost.net / plan.bound - 1, less: 1 - plan.cost.net / rule };
	};
	const all = [0.1, 0.2, 0.3].map(run);
	console.log(`   ${all.map((r) => (100 * r.less).toFixed(1)).join(', ')} % less than each material by itself`);
	return [
		report('300 materials for 20 jobs from 5 suppliers, the slowest of three', Math.max(...all.map((r) => r.ms)), 10_000, 'ms'),
		report('over the bound', 100 * Math.max(...all.map((r) => r.over)), 1, '%')
	];
} // prettier-ignore
