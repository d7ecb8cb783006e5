import type { Micrometres } from '../units/length.ts';
import { leftOf, planOf, tooLong, worthOf, type CuttingPlan, type CuttingProblem } from './cutting.ts';

/** A way of cutting one stick: how many of each piece. */
export interface Pattern {
	readonly stock: number;
	readonly counts: readonly number[];
}

/** More ways than this are not written down: the answer is then no longer proved. */
export const MOST_PATTERNS = 20_000;

/**
 * Every way of cutting a stick that leaves no room for another piece that is wanted.
 * @returns undefined where there are more than `most`
 */
export function patternsOf(problem: CuttingProblem, most = MOST_PATTERNS): Pattern[] | undefined {
	const { stock, kerf, pieces } = problem;
	const found: Pattern[] = [];
	for (let at = 0; at < stock.length; at++) {
		// A cut each, and one kerf more of room: the last piece ends the stick.
		const room = stock[at]!.length + kerf;
		const counts: number[] = [];
		const cut = (piece: number, left: number): boolean => {
			if (piece === pieces.length) {
				const full = pieces.every((p, i) => counts[i] === p.quantity || p.length + kerf > left);
				if (full && counts.some((c) => c > 0)) found.push({ stock: at, counts: [...counts] });
				return found.length <= most;
			}
			const { length, quantity } = pieces[piece]!;
			for (let n = Math.min(quantity, Math.floor(left / (length + kerf))); n >= 0; n--) {
				counts[piece] = n;
				if (!cut(piece + 1, left - n * (length + kerf))) return false;
			}
			return true;
		};
		if (!cut(0, room)) return undefined;
	}
	return found;
}

/** Solves an integer programme in the LP file format; the worker and the tests fill it in. */
export type Solve = (programme: string) => {
	/** Of a programme without whole numbers: what one more of a row is worth, by its name. */
	readonly duals?: Readonly<Record<string, number>>;
	readonly status: 'optimal' | 'stopped';
	readonly values: Readonly<Record<string, number>>;
	/** The least the aim can be, by the solver's own proof. */
	readonly bound: number;
};

/**
 * The least sticks, or money where every length has a price, that all pieces can be cut from; of those the least
 * length bought. One variable a pattern: how many sticks are cut so.
 * Source: Gilmore & Gomory, “A Linear Programming Approach to the Cutting-Stock Problem”, Oper. Res. 9 (1961) (from memory).
 * @returns undefined where the patterns are too many, the solver was stopped or its answer does not hold
 */
export function leastSticks(problem: CuttingProblem, solve: Solve, most?: number): CuttingPlan | undefined {
	const long = tooLong(problem);
	if (long) return { status: 'too-long', piece: long };
	const patterns = patternsOf(problem, most);
	return patterns && leastOf(problem, patterns, solve);
}

/**
 * The best plan of patterns that are written down. @param bound no plan is worth less; the solver's own bound where it is not said
 * @returns undefined where the solver was stopped or its answer does not hold
 */
export function leastOf(
	problem: CuttingProblem,
	patterns: readonly Pattern[],
	solve: Solve,
	bound?: number
): CuttingPlan | undefined {
	const first = solve(programme(problem, patterns, (p) => worthOf(problem, p.stock)));
	if (first.status !== 'optimal') return undefined;
	const own = Math.ceil(first.bound - 1e-6);
	const least = bound ?? own;
	// Of all plans of that worth the one that buys the least length: only where lengths differ is there a choice.
	const second =
		problem.stock.length < 2
			? first
			: solve(programme(problem, patterns, (p) => problem.stock[p.stock]!.length / 1e6, own));
	const chosen = second.status === 'optimal' ? second : first;
	const sticks = trimmed(problem, patterns, chosen.values);
	return sticks && planOf(problem, sticks, least);
}

/** The sticks of a solution; pieces cut beyond what is wanted are left in their sticks. */
function trimmed(
	problem: CuttingProblem,
	patterns: readonly Pattern[],
	values: Readonly<Record<string, number>>
) {
	const wanted = problem.pieces.map((p) => p.quantity);
	const sticks: { stock: number; cuts: Micrometres[]; count: number }[] = [];
	patterns.forEach(({ stock, counts }, i) => {
		for (let n = Math.round(values[`x${i}`] ?? 0); n > 0; n--) {
			const cuts = counts.flatMap((c, piece) => {
				const taken = Math.min(c, wanted[piece]!);
				wanted[piece]! -= taken;
				return Array.from({ length: taken }, () => problem.pieces[piece]!.length);
			});
			if (cuts.length > 0) sticks.push({ stock, cuts, count: 1 });
		}
	});
	// What a solver says is checked: every piece is there, and every stick holds its own.
	if (wanted.some((w) => w > 0) || sticks.some((s) => leftOf(problem, s.stock, s.cuts) < 0)) return undefined;
	return sticks;
}

export function programme(
	problem: CuttingProblem,
	patterns: readonly Pattern[],
	worth: (p: Pattern) => number,
	most?: number,
	whole = true
): string {
	const sum = (terms: readonly (readonly [number, number])[]) =>
		terms.map(([c, i]) => `${c} x${i}`).join(' + ');
	const rows = problem.pieces.map((p, piece) => {
		const terms = patterns.flatMap((pattern, i) =>
			pattern.counts[piece]! > 0 ? [[pattern.counts[piece]!, i] as const] : []
		);
		return ` p${piece}: ${sum(terms)} >= ${p.quantity}`;
	});
	problem.stock.forEach(({ own }, at) => {
		const terms = patterns.flatMap((p, i) => (p.stock === at ? [[1, i] as const] : []));
		if (own !== undefined && terms.length > 0) rows.push(` own${at}: ${sum(terms)} <= ${own}`);
	});
	if (most !== undefined)
		rows.push(` worth: ${sum(patterns.map((p, i) => [worthOf(problem, p.stock), i] as const))} <= ${most}`);
	const names = patterns.map((_, i) => `x${i}`);
	return [
		'Minimize',
		` all: ${sum(patterns.map((p, i) => [worth(p), i] as const))}`,
		'Subject To',
		...rows,
		...(whole ? ['General', ` ${names.join(' ')}`] : []),
		'End'
	].join('\n');
}
