import type { Micrometres } from '../units/length.ts';
import {
	leftOf,
	materialBound,
	planOf,
	tooLong,
	worthOf,
	type CuttingPlan,
	type CuttingProblem
} from './cutting.ts';

/**
 * Cuts every piece from as few sticks as first-fit decreasing finds, in O(pieces · sticks), all of the stock length
 * that is cheapest for what it gives; a piece that does not fit it opens the cheapest one it fits.
 * Of one stock length never worse than 11/9 of the optimum plus 6/9 of a stick.
 * Source: Dósa, “The Tight Bound of First Fit Decreasing…”, ESCAPE 2007, LNCS 4614, pp. 1–11 (from memory).
 * @returns `too-long` with the first piece that fits no stick, never a partial plan
 */
export function firstFitDecreasing(problem: CuttingProblem): CuttingPlan {
	const long = tooLong(problem);
	if (long) return { status: 'too-long', piece: long };
	const pieces = problem.pieces
		.flatMap((p) => Array.from({ length: p.quantity }, () => p.length))
		.sort((a, b) => b - a);
	// What lies on the shelf first, the shortest that will do; then what is cheapest for what it gives.
	const order = problem.stock
		.map(({ length, own }, stock) => ({ stock, length, own, each: worthOf(problem, stock) / length }))
		.sort((a, b) => a.each - b.each || (a.own === undefined ? b.length - a.length : a.length - b.length));
	const left = new Map(problem.stock.map(({ own }, stock) => [stock, own ?? Infinity]));
	const sticks: { stock: number; cuts: Micrometres[]; count: number }[] = [];
	for (const piece of pieces) {
		const fits = sticks.find((s) => leftOf(problem, s.stock, [...s.cuts, piece]) >= 0);
		if (fits) {
			fits.cuts.push(piece);
			continue;
		}
		const next = order.find((o) => o.length >= piece && left.get(o.stock)! > 0);
		if (!next) return { status: 'too-long', piece: problem.pieces.find((p) => p.length === piece)! };
		left.set(next.stock, left.get(next.stock)! - 1);
		sticks.push({ stock: next.stock, cuts: [piece], count: 1 });
	}
	return planOf(problem, sticks, materialBound(problem));
}
