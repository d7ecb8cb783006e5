import { inches, um, type Micrometres } from '../units/length.ts';
import type { CuttingPlan, CuttingProblem } from './cutting.ts';

/** Shorter than this what is left is thrown away. House rule. */
export const USEFUL = inches(12);
/** What is left is told to the eighth of an inch below, µm. */
const EIGHTH = 3175;
export const markedDown = (v: number): number => Math.floor(v / EIGHTH) * EIGHTH;

export interface Lengths {
	readonly length: Micrometres;
	readonly count: number;
}

/** What a cut takes off the shelf, and what it leaves that is long enough to be of use. */
export function afterCut(
	{ stock }: CuttingProblem,
	{ sticks }: Extract<CuttingPlan, { readonly status: 'cut' }>
): { readonly used: readonly Lengths[]; readonly left: readonly Lengths[] } {
	const used = new Map<number, number>();
	const left = new Map<number, number>();
	const add = (to: Map<number, number>, long: number, count: number) => to.set(long, (to.get(long) ?? 0) + count);
	for (const stick of sticks) {
		const { own, length } = stock[stick.stock]!;
		if (own !== undefined) add(used, length, stick.count);
		const rest = markedDown(stick.left);
		if (rest >= USEFUL) add(left, rest, stick.count);
	}
	const list = (of: Map<number, number>) => [...of].map(([length, count]) => ({ length: um(length), count }));
	return { used: list(used), left: list(left) };
} // prettier-ignore
