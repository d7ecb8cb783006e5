import loadHighs from 'highs';
import wasm from 'highs/runtime?url';
import type { CuttingPlan, CuttingProblem } from '../core/cutting/cutting.ts';
import { leastByColumns, type CuttingProgress } from '../core/cutting/columns.ts';
import { leastSticks } from '../core/cutting/patterns.ts';
import { solveWith } from '../core/cutting/solve-with.ts';

/** What the worker answers: a plan, or that it could not prove one in the time it has. */
export type CuttingTell =
	| { readonly plan: CuttingPlan | null; readonly progress?: undefined }
	| { readonly progress: CuttingProgress; readonly plan?: undefined };

/** Seconds after which a proof is given up; the plan that was found by rule stays. */
const PATIENCE = 8;

addEventListener('message', ({ data }: MessageEvent<CuttingProblem>) => {
	void cut(data).then((tell) => postMessage(tell));
});

async function cut(problem: CuttingProblem): Promise<CuttingTell> {
	const highs = await loadHighs({ locateFile: () => wasm });
	const solve = solveWith(highs, PATIENCE);
	const told = (progress: CuttingProgress) => postMessage({ progress } satisfies CuttingTell);
	return { plan: leastSticks(problem, solve) ?? leastByColumns(problem, solve, told) ?? null };
}
