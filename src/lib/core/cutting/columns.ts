import type { CuttingPlan, CuttingProblem } from './cutting.ts';
import { tooLong, worthOf } from './cutting.ts';
import { firstFitDecreasing } from './first-fit-decreasing.ts';
import { leastOf, programme, type Pattern, type Solve } from './patterns.ts';

/** Rounds of looking for better patterns, and steps of one search, after which it is let be. */
const [MOST_ROUNDS, MOST_STEPS] = [400, 400_000];
/** A pattern that saves no more than this is none. */
const NOTHING = 1e-7;

/** How far a search has come. */
export interface CuttingProgress {
	readonly rounds: number;
	/** No plan is worth less. */
	readonly least: number;
}

/**
 * A plan over so many pieces that their patterns cannot all be written down: patterns are made as they are asked for, by
 * what a piece more is worth; then the best plan of those, with the bound that no plan can be under.
 * Source: Gilmore & Gomory, Oper. Res. 9 (1961) and 11 (1963); bound by Farley, Oper. Res. 38 (1990) (from memory).
 * @returns undefined where the solver was stopped or its answer does not hold
 */
export function leastByColumns(
	problem: CuttingProblem,
	solve: Solve,
	tell: (progress: CuttingProgress) => void = () => undefined
): CuttingPlan | undefined {
	const long = tooLong(problem);
	if (long) return { status: 'too-long', piece: long };
	const rule = firstFitDecreasing(problem);
	if (rule.status !== 'cut') return rule;
	const patterns: Pattern[] = rule.sticks.map(({ stock, cuts }) => ({ stock, counts: problem.pieces.map((p) => cuts.filter((c) => c === p.length).length) })); // prettier-ignore
	const known = new Set(patterns.map(keyOf));
	let least = 0;
	for (let rounds = 1; rounds <= MOST_ROUNDS; rounds++) {
		const relaxed = solve(programme(problem, patterns, (p) => worthOf(problem, p.stock), undefined, false));
		if (relaxed.status !== 'optimal' || !relaxed.duals) break;
		const { duals } = relaxed;
		const worth = problem.pieces.map((_, i) => Math.max(0, duals[`p${i}`] ?? 0));
		let [better, whole, dearest] = [0, true, 0];
		for (const [stock, { own }] of problem.stock.entries()) {
			const found = bestPattern(problem, stock, worth);
			whole &&= found.whole;
			const price = worthOf(problem, stock) - (own === undefined ? 0 : Math.min(0, duals[`own${stock}`] ?? 0));
			const saves = found.worth - price;
			if (own === undefined && price > 0) dearest = Math.max(dearest, found.worth / price);
			else if (saves > NOTHING) dearest = Infinity;
			const pattern = { stock, counts: found.counts };
			if (saves <= NOTHING || known.has(keyOf(pattern))) continue;
			known.add(keyOf(pattern));
			patterns.push(pattern);
			better++;
		}
		// Farley: the relaxed worth over the dearest pattern is a bound before the last round too.
		if (whole && Number.isFinite(dearest) && !problem.stock.some((s) => s.own !== undefined))
			least = Math.max(least, Math.ceil(relaxed.bound / Math.max(1, dearest) - 1e-6));
		if (better === 0 && whole) least = Math.max(least, Math.ceil(relaxed.bound - 1e-6));
		tell({ rounds, least });
		if (better === 0) break;
	}
	const best = leastOf(problem, patterns, solve, Math.max(least, rule.bound));
	// Where the solver was stopped the rule's plan stays, under the better bound.
	if (best?.status === 'cut' && worthIn(problem, best) <= worthIn(problem, rule)) return best;
	return { ...rule, bound: Math.max(least, rule.bound), proved: worthIn(problem, rule) <= Math.max(least, rule.bound) };
} // prettier-ignore

const worthIn = (problem: CuttingProblem, { sticks }: Extract<CuttingPlan, { status: 'cut' }>): number =>
	sticks.reduce((a, s) => a + s.count * worthOf(problem, s.stock), 0);
const keyOf = ({ stock, counts }: Pattern): string => `${stock}/${counts.join()}`;

/**
 * The pattern of one stick whose pieces are worth the most: a bounded knapsack, by branch and bound over pieces from those
 * that give most for their length.
 */
function bestPattern({ stock, kerf, pieces }: CuttingProblem, at: number, worth: readonly number[]) {
	const room = stock[at]!.length + kerf;
	const order = pieces
		.map((p, i) => ({ i, long: p.length + kerf, most: p.quantity, worth: worth[i]! }))
		.filter((p) => p.worth > NOTHING && p.long <= room)
		.sort((a, b) => b.worth / b.long - a.worth / a.long);
	const counts = pieces.map(() => 0);
	let best = { worth: 0, counts: [...counts] };
	let steps = 0;
	const take = (n: number, left: number, sum: number) => {
		if (++steps > MOST_STEPS) return;
		if (sum > best.worth + 1e-12) best = { worth: sum, counts: [...counts] };
		const next = order[n];
		if (!next || sum + (left * next.worth) / next.long <= best.worth + 1e-12) return;
		for (let k = Math.min(next.most, Math.floor(left / next.long)); k >= 0; k--) {
			counts[next.i] = k;
			take(n + 1, left - k * next.long, sum + k * next.worth);
		}
		counts[next.i] = 0;
	};
	take(0, room, 0);
	return { ...best, whole: steps <= MOST_STEPS };
}
