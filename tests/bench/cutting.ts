import loadHighs from 'highs';
import { leastByColumns } from '../../src/lib/core/cutting/columns.ts';
import type { CuttingProblem } from '../../src/lib/core/cutting/cutting.ts';
import { leastSticks } from '../../src/lib/core/cutting/patterns.ts';
import { solveWith } from '../../src/lib/core/cutting/solve-with.ts';
import { seeded } from '../../src/lib/core/geometry/random.ts';
import { inches } from '../../src/lib/core/units/length.ts';
import { report } from './studio.ts';

/** So many pieces of so many lengths, 8 to 100 in, out of sticks of 10 ft. */
function cuttings(pieces: number, lengths: number, seed: number): CuttingProblem {
	const random = seeded(seed);
	const all = new Map<number, number>();
	while (all.size < lengths) all.set(8 + Math.floor(random() * 737) / 8, 1);
	const keys = [...all.keys()];
	for (let n = lengths; n < pieces; n++) {
		const key = keys[Math.floor(random() * keys.length)]!;
		all.set(key, all.get(key)! + 1);
	}
	return {
		stock: [{ length: inches(120), priceMinor: null }],
		kerf: inches(1 / 16),
		pieces: [...all].map(([long, quantity]) => ({ length: inches(long), quantity }))
	};
}

/** The cut list: 60 pieces of 15 lengths proved under 3 s; 500 pieces within 1 % of the bound under 10 s. */
export async function cutting(): Promise<boolean[]> {
	const highs = await loadHighs();
	const solve = solveWith(highs, 8);
	const run = (problem: CuttingProblem) => {
		const from = performance.now();
		const plan = leastSticks(problem, solve) ?? leastByColumns(problem, solve);
		if (plan?.status !== 'cut') throw new Error('not cut');
		return { seconds: (performance.now() - from) / 1000, plan };
	};
	const small = [1, 2, 3, 4, 5].map((seed) => run(cuttings(60, 15, seed)));
	const large = [1, 2, 3].map((seed) => run(cuttings(500, 40, seed)));
	const most = (all: typeof small) => Math.max(...all.map((r) => r.seconds));
	const apart = Math.max(...large.map(({ plan }) => plan.bought / Math.max(1, plan.bound) - 1));
	console.log(`   proved: ${small.filter((r) => r.plan.proved).length} of ${small.length} of 60 pieces, ${large.filter((r) => r.plan.proved).length} of ${large.length} of 500`); // prettier-ignore
	return [
		report('60 pieces of 15 lengths, the slowest of five', most(small) * 1000, 3000, 'ms'),
		report('500 pieces of 40 lengths, the slowest of three', most(large) * 1000, 10_000, 'ms'),
		report('500 pieces, over the bound', apart * 100, 1, '%')
	];
}
