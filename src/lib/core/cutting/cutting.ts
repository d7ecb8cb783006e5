import type { Micrometres } from '../units/length.ts';

/** So many pieces of one length. */
export interface CutPiece {
	readonly length: Micrometres;
	readonly quantity: number;
}

/** A length that is sold. */
export interface StockLength {
	readonly length: Micrometres;
	/** Minor units a stick; null is not known. */
	readonly priceMinor: number | null;
	/** So many lie on the shelf and cost nothing more; where it is not said it is bought, as many as are wanted. */
	readonly own?: number | undefined;
}

export interface CuttingProblem {
	readonly stock: readonly StockLength[];
	/** What every cut takes away. */
	readonly kerf: Micrometres | 0;
	readonly pieces: readonly CutPiece[];
}

/** One way of cutting a stick, and how many are cut like that. */
export interface CutStick {
	/** Index into the stock. */
	readonly stock: number;
	/** Longest first. */
	readonly cuts: readonly Micrometres[];
	readonly count: number;
	/** What is left of each, µm. */
	readonly left: number;
}

export type CuttingPlan =
	| {
			readonly status: 'cut';
			readonly sticks: readonly CutStick[];
			/** Sticks in all, how many of them are bought, and what those cost where every price is known. */
			readonly count: number;
			readonly bought: number;
			readonly costMinor: number | null;
			/** Nobody can do with fewer sticks, or less money where prices decide. */
			readonly bound: number;
			/** The plan is as good as its bound. */
			readonly proved: boolean;
	  }
	| { readonly status: 'too-long'; readonly piece: CutPiece };

/** Whether money decides: every stock length has a price. */
export const isPriced = ({ stock }: CuttingProblem): boolean =>
	stock.every((s) => s.own !== undefined || s.priceMinor !== null);

/** What a stick counts for: nothing where it lies on the shelf, its price where prices decide, else one. */
export function worthOf(problem: CuttingProblem, stock: number): number {
	const { own, priceMinor } = problem.stock[stock]!;
	return own !== undefined ? 0 : isPriced(problem) ? priceMinor! : 1;
}

/** What is left of a stick: each piece but one that ends it takes a cut. Below 0 it does not fit. µm */
export function leftOf({ stock, kerf }: CuttingProblem, at: number, cuts: readonly number[]): number {
	const used = cuts.reduce((a, c) => a + c, 0) + Math.max(0, cuts.length - 1) * kerf;
	const left = stock[at]!.length - used;
	return left > 0 ? Math.max(0, left - kerf) : left;
}

/** The first piece that no stick holds. */
export const tooLong = ({ stock, pieces }: CuttingProblem): CutPiece | undefined => {
	const longest = Math.max(...stock.map((s) => s.length));
	return pieces.find((p) => p.length > longest);
};

/**
 * What cannot be undercut, however it is cut: pieces with a cut each over what a stick gives of length for its worth.
 * The material bound of cutting stock, rounded up where worth is counted in whole numbers.
 */
export function materialBound(problem: CuttingProblem): number {
	const need = problem.pieces.reduce((a, p) => a + p.quantity * (p.length + problem.kerf), 0);
	const shelf = problem.stock.reduce((a, s) => a + (s.own ?? 0) * (s.length + problem.kerf), 0);
	const bought = problem.stock.flatMap((s, i) =>
		s.own === undefined ? [worthOf(problem, i) / (s.length + problem.kerf)] : []
	);
	return bought.length === 0 ? 0 : Math.max(0, Math.ceil((need - shelf) * Math.min(...bought) - 1e-9));
}

/** A plan put together from sticks: alike ones counted once, most first. */
export function planOf(
	problem: CuttingProblem,
	sticks: readonly { stock: number; cuts: readonly Micrometres[]; count: number }[],
	bound: number
): CuttingPlan {
	const alike = new Map<string, CutStick>();
	for (const { stock, cuts, count } of sticks) {
		const longest = [...cuts].sort((a, b) => b - a);
		const key = `${stock}/${longest.join(',')}`;
		const same = alike.get(key);
		alike.set(key, {
			stock,
			cuts: longest,
			count: (same?.count ?? 0) + count,
			left: leftOf(problem, stock, longest)
		});
	}
	const all = [...alike.values()].sort((a, b) => b.count - a.count || a.left - b.left);
	const worth = all.reduce((a, s) => a + s.count * worthOf(problem, s.stock), 0);
	return {
		status: 'cut',
		sticks: all,
		count: all.reduce((a, s) => a + s.count, 0),
		bought: all.reduce((a, s) => a + (problem.stock[s.stock]!.own === undefined ? s.count : 0), 0),
		costMinor: isPriced(problem) ? worth : null,
		bound,
		proved: worth <= bound
	};
}
